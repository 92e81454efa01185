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

/** A drawing of the page as SVG text that looks the same by itself; letters fall back on a plain face where ours is missing. */
export function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg, copy].map((root) => [root, ...root.querySelectorAll('*')]) as [
    Element[],
    Element[],
  ];
  from.forEach((element, i) => {
    const looks = getComputedStyle(element);
    const made = to[i]!;
    made.setAttribute('style', LOOKS.map((name) => `${name}:${looks.getPropertyValue(name)}`).join(';'));
    for (const name of ['class', 'tabindex', 'role', 'aria-label']) made.removeAttribute(name);
  });
  const { width, height } = svg.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', getComputedStyle(svg).backgroundColor);
  copy.prepend(ground);
  return new XMLSerializer().serializeToString(copy);
}

/** The same as a PNG. */
export async function pngOf(svg: SVGSVGElement): Promise<Blob> {
  const { width, height } = svg.viewBox.baseVal;
  const image = new Image(width * PNG_SCALE, height * PNG_SCALE);
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgText(svg))}`;
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
