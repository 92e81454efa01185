/**
 * Reads a PDF with `pdfjs-dist` in a process of its own, as it is a module that Jest does not load: prints, page by page, its size, the boxes
 * of the paths that are stroked on it, mm from its lower left corner, its words, and where each of them ends.
 */
import { readFileSync } from 'node:fs';
import { getDocument, OPS, Util, VerbosityLevel } from 'pdfjs-dist/legacy/build/pdf.mjs';

const MM = 25.4 / 72;
const pdf = await getDocument({
  data: new Uint8Array(readFileSync(process.argv[2])),
  verbosity: VerbosityLevel.ERRORS,
}).promise;

/** The box of a path, by the corners of its own box. */
function boxOf([x1, y1, x2, y2], matrix) {
  const corners = [
    [x1, y1],
    [x2, y2],
  ];
  for (const corner of corners) Util.applyTransform(corner, matrix);
  const [[a, b], [c, d]] = corners.map((corner) => corner.map((v) => v * MM));
  return [Math.min(a, c), Math.min(b, d), Math.max(a, c), Math.max(b, d)];
}

const pages = [];
for (let n = 1; n <= pdf.numPages; n++) {
  const page = await pdf.getPage(n);
  const { width, height } = page.getViewport({ scale: 1 });
  const { fnArray, argsArray } = await page.getOperatorList();
  const boxes = [];
  let matrix = [1, 0, 0, 1, 0, 0];
  const kept = [];
  fnArray.forEach((fn, i) => {
    const args = argsArray[i];
    if (fn === OPS.save) kept.push(matrix);
    if (fn === OPS.restore) matrix = kept.pop();
    if (fn === OPS.transform) matrix = Util.transform(matrix, args);
    if (fn === OPS.constructPath && args[0] === OPS.stroke) boxes.push(boxOf(args[2], matrix));
  });
  const { items } = await page.getTextContent();
  pages.push({
    width: width * MM,
    height: height * MM,
    boxes,
    words: items.map(({ str }) => str),
    ends: items.map(({ transform, width: long }) => (transform[4] + long) * MM),
  });
}
process.stdout.write(JSON.stringify(pages));
