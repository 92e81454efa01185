/** A name in the drawing: its middle, and how wide it is written. */
export type Label = { x: number; y: number; width: number };

const LINE = 15;
/** Of the narrow face at the size names are written in. */
const LETTER = 6.1;

export const widthOf = (text: string): number => LETTER * text.length;

/** Lower places for names that would be written over each other, from the top down; those that are clear stay where they are. */
export function apart(labels: Label[]): number[] {
  const placed: Label[] = [];
  const ys = labels.map(({ y }) => y);
  const fromTop = labels.map((label, i) => ({ ...label, i })).sort((a, b) => a.y - b.y);
  for (const { i, ...label } of fromTop) {
    const over = (y: number) =>
      placed.find(
        (p) => Math.abs(p.x - label.x) < (p.width + label.width) / 2 && Math.abs(p.y - y) < LINE - 1e-9,
      );
    for (let hit = over(label.y); hit; hit = over(label.y)) label.y = hit.y + LINE;
    placed.push(label);
    ys[i] = label.y;
  }
  return ys;
}
