/** What a drawing's looks are made of, taken from the page's styles into a picture that stands by itself. */
const LOOKS = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'stroke-linecap',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'visibility',
] as const;

/** Sharp enough to print. */
const PNG_SCALE = 3;
/** Above the drawing, for what it shows and of which car. */
const HEAD = 26;
const SVG = 'http://www.w3.org/2000/svg';

/** Letters, and halves of letters, that no XML can hold, however they came into a name. */
const UNWRITABLE = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff\p{Surrogate}]/gu;

/** A drawing of the page under a title, as SVG text that looks the same by itself; letters fall back on a plain face where ours is missing. */
export function svgText(svg: SVGSVGElement, title: string): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg, copy].map((root) => [root, ...root.querySelectorAll('*')]) as [
    Element[],
    Element[],
  ];
  from.forEach((element, i) => {
    const looks = getComputedStyle(element);
    const drawn = to[i]!;
    drawn.setAttribute('style', LOOKS.map((name) => `${name}:${looks.getPropertyValue(name)}`).join(';'));
    for (const name of ['class', 'tabindex', 'role', 'aria-label']) drawn.removeAttribute(name);
  });
  const { width, height } = sizeOf(svg);
  copy.setAttribute('xmlns', SVG);
  copy.setAttribute('viewBox', `0 ${-HEAD} ${width} ${height}`);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  copy.prepend(
    made('rect', { y: -HEAD, width, height, fill: getComputedStyle(svg).backgroundColor }),
    made('text', { x: 8, y: -8, fill: '#23211d', 'font-size': 14 }, title),
  );
  return new XMLSerializer().serializeToString(copy).replace(UNWRITABLE, '');
}

function sizeOf(svg: SVGSVGElement): { width: number; height: number } {
  const { width, height } = svg.viewBox.baseVal;
  return { width, height: height + HEAD };
}

function made(name: string, attributes: Record<string, string | number>, text = ''): SVGElement {
  const element = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
  element.textContent = text;
  return element;
}

/** The same as a PNG. */
export async function pngOf(svg: SVGSVGElement, title: string): Promise<Blob> {
  const { width, height } = sizeOf(svg);
  const image = new Image(width * PNG_SCALE, height * PNG_SCALE);
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgText(svg, title))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width * PNG_SCALE, height * PNG_SCALE];
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((done, fail) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : fail(new Error('The picture could not be made'))),
      'image/png',
    ),
  );
}
