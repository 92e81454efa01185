import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import type { Drawing } from '../drawing';
import { PAPERS, plain, POINTS, wrapped, type Paper } from './text';
import { extentsOf, pathDataOf } from '../vectorFiles';

/** What no printer prints, mm; at a page's head its title, then what is to be known of it, a line at a time, and the marks. */
const MARGIN = 12;
const NOTE = { from: 9, line: 3.5, size: 8 };
const MARKS = 7;
/** What is listed on the first page stands so far apart, mm. */
const LISTED = 6;
/** A drawing keeps off the marks by so much, mm. */
const INSIDE = 4;
/** Room that the longest of such words takes, so that every tile of a drawing has the same. */
const TILE = 'Sheet 10 of 10. ';
/** The square by which a print is checked, mm. */
const CHECK = 100;
const INK = rgb(0, 0, 0);
const LIGHT = rgb(0.45, 0.45, 0.45);

/** A drawing that is printed: what it is called, how many of it, and what else its maker should know. */
export type Printed = { title: string; quantity: number; notes: string[]; drawing: Drawing };

/**
 * Drawings at their own size on paper, tiled where one is larger than a sheet: the first page has the square by which the print is checked
 * and the list of what follows; each tile the corners by which it is laid to the next.
 */
export async function pdfOf(
  title: string,
  revision: string,
  printed: Printed[],
  paper: Paper,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  const [width, height] = PAPERS[paper];
  const sheet = (): PDFPage => pdf.addPage([width * POINTS, height * POINTS]);
  const write = (page: PDFPage, text: string, x: number, y: number, size = 10, face: PDFFont = font) =>
    page.drawText(plain(text), { x: x * POINTS, y: (height - y) * POINTS, size, font: face, color: INK });

  const first = sheet();
  write(first, title, MARGIN, MARGIN + 6, 16, bold);
  write(
    first,
    `Revision ${revision}. At full size: print at 100 %, not fitted to the page.`,
    MARGIN,
    MARGIN + 14,
  );
  const [x, y] = [MARGIN + 5, MARGIN + 24];
  first.drawRectangle({
    x: x * POINTS,
    y: (height - y - CHECK) * POINTS,
    width: CHECK * POINTS,
    height: CHECK * POINTS,
    borderColor: INK,
    borderWidth: 0.5,
  });
  write(first, 'Measure this square before anything is cut by what follows:', x + 5, y + 12, 9);
  write(first, `${CHECK}.00 mm, 3 15/16 in and a hair, on every side.`, x + 5, y + 18, 9);
  // What finds no place under the square is listed on pages of its own.
  let [page, down] = [first, y + CHECK + 12];
  for (const { title: name, quantity } of printed) {
    if (down > height - MARGIN) [page, down] = [sheet(), MARGIN + 6];
    write(page, `${quantity} × ${name}`, MARGIN + 5, down);
    down += LISTED;
  }

  for (const { title: name, quantity, notes, drawing } of printed) {
    const { low, high } = extentsOf(drawing);
    const said = [...notes.map((note) => `${note}.`), `${title}, revision ${revision}.`].join(' ');
    // Which tile of how many it is, is said in front of it.
    const lines = wrapped(plain(`${TILE}${said}`), font, NOTE.size, width - 2 * MARGIN);
    const head = NOTE.from + NOTE.line * (lines.length - 1) + MARKS;
    const [room, tall] = [width - 2 * MARGIN, height - 2 * MARGIN - head];
    const [wide, deep] = [high[0] - low[0] + 2 * INSIDE, high[1] - low[1] + 2 * INSIDE];
    const [across, down] = [Math.max(1, Math.ceil(wide / room)), Math.max(1, Math.ceil(deep / tall))];
    const data = pathDataOf(drawing);
    for (let row = 0; row < down; row++)
      for (let column = 0; column < across; column++) {
        const page = sheet();
        // Drawn with y downwards from the drawing's own origin.
        const originX = MARGIN + INSIDE - low[0] - column * room;
        const originY = MARGIN + head + INSIDE + high[1] - row * tall;
        for (const [layer, path] of Object.entries(data))
          if (path)
            page.drawSvgPath(path, {
              x: originX * POINTS,
              y: (height - originY) * POINTS,
              scale: POINTS,
              borderColor: layer === 'SCRIBE' ? LIGHT : INK,
              // The width of a line is scaled with its path.
              borderWidth: (layer === 'CUT' ? 0.8 : 0.4) / POINTS,
            });
        frame(page, { width, height, head });
        write(page, `${name}, ${quantity} off`, MARGIN, MARGIN + 3, 12, bold);
        const tile = across * down > 1 ? `Sheet ${row * across + column + 1} of ${across * down}. ` : '';
        wrapped(plain(`${tile}${said}`), font, NOTE.size, width - 2 * MARGIN).forEach((line, i) =>
          write(page, line, MARGIN, MARGIN + NOTE.from + NOTE.line * i, NOTE.size),
        );
      }
  }
  return pdf.save();
}

/** Paper over and round a tile, and the marks by which it is laid to its neighbours. */
function frame(
  page: PDFPage,
  { width, height, head }: { width: number; height: number; head: number },
): void {
  const white = rgb(1, 1, 1);
  const blank = (x: number, y: number, w: number, h: number) =>
    page.drawRectangle({ x: x * POINTS, y: y * POINTS, width: w * POINTS, height: h * POINTS, color: white });
  blank(0, 0, width, MARGIN);
  blank(0, 0, MARGIN, height);
  blank(width - MARGIN, 0, MARGIN, height);
  blank(0, height - MARGIN - head, width, MARGIN + head);
  const mark = (x: number, y: number) =>
    [
      [x - 5, y, x + 5, y],
      [x, y - 5, x, y + 5],
    ].forEach(([x1, y1, x2, y2]) =>
      page.drawLine({
        start: { x: x1! * POINTS, y: y1! * POINTS },
        end: { x: x2! * POINTS, y: y2! * POINTS },
        thickness: 0.4,
        color: LIGHT,
      }),
    );
  for (const x of [MARGIN, width - MARGIN]) for (const y of [MARGIN, height - MARGIN - head]) mark(x, y);
}
