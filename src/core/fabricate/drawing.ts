import { MM_PER_INCH } from '@/core/units/tape';
import type { IModel, IPath, IPathArc, IPathCircle, IPathLine } from 'makerjs';

/** The layers of a file that is cut by: outline, bends, marks to scribe, holes, words. */
export const LAYERS = ['CUT', 'BEND', 'SCRIBE', 'DRILL', 'TEXT'] as const;
export type Layer = (typeof LAYERS)[number];

/** A place on a sheet, mm. */
export type Place = readonly [x: number, y: number];

/** A part as it is drawn flat, at its own size, mm: its paths by layer, and words at places. */
export type Drawing = { paths: IPath[]; words: { at: Place; text: string }[] };

/** A hole is drilled so much larger than what goes through it, mm: a 32nd of an inch. */
export const LOOSE = MM_PER_INCH / 32;

const on = <P extends IPath>(layer: Layer, path: P): P => ({ ...path, layer });

export const line = (layer: Layer, from: Place, to: Place): IPathLine =>
  on(layer, { type: 'line', origin: [...from], end: [...to] });

/** A whole circle. */
export const ring = (layer: Layer, centre: Place, radius: number): IPathCircle =>
  on(layer, { type: 'circle', origin: [...centre], radius });

/** An arc turned to the left, from one angle to another, degrees. */
export const arc = (
  layer: Layer,
  centre: Place,
  radius: number,
  startAngle: number,
  endAngle: number,
): IPathArc => on(layer, { type: 'arc', origin: [...centre], radius, startAngle, endAngle });

/** Straight lines from place to place. */
export const through = (layer: Layer, places: Place[]): IPathLine[] =>
  places.slice(1).map((to, i) => line(layer, places[i]!, to));

/** The corners of a rectangle, from its lower left one round to the left, mm. */
export const rectangle = ([x1, y1]: Place, [x2, y2]: Place): Place[] => [
  [x1, y1],
  [x2, y1],
  [x2, y2],
  [x1, y2],
];

/** A closed outline of straight lines. */
export const outline = (places: Place[]): IPathLine[] => through('CUT', [...places, places[0]!]);

/** The middle of a hole: a cross to punch, and its circle. */
export const hole = ([x, y]: Place, diameter: number): IPath[] => {
  const reach = diameter / 2 + 4;
  return [
    ring('DRILL', [x, y], diameter / 2),
    line('SCRIBE', [x - reach, y], [x + reach, y]),
    line('SCRIBE', [x, y - reach], [x, y + reach]),
  ];
};

/** A drawing as the exporters take it. */
export const modelOf = ({ paths, words }: Drawing): IModel => ({
  paths: Object.fromEntries(paths.map((path, i) => [`p${i}`, path])),
  models: Object.fromEntries(
    words.map(({ at: [x, y], text }, i) => [
      `t${i}`,
      {
        caption: {
          text,
          anchor: on('TEXT', { type: 'line', origin: [x - 1, y], end: [x + 1, y] } as IPathLine),
        },
      },
    ]),
  ),
});

/** What a plate weighs by: the area inside its outline less its holes, mm², by the outline's own lines and arcs. */
export function areaOf({ paths }: Drawing): number {
  let area = 0;
  for (const path of paths) {
    if (path.layer === 'DRILL' && path.type === 'circle')
      area -= Math.PI * (path as { radius?: number }).radius! ** 2;
    if (path.layer !== 'CUT') continue;
    if (path.type === 'circle') area += Math.PI * (path as { radius?: number }).radius! ** 2;
    for (const [[x1, y1], [x2, y2]] of chordsOf(path)) area += (x1 * y2 - x2 * y1) / 2;
  }
  return area;
}

/** Chords of an arc so fine that their area is the arc's. */
const CHORDS = 90;

function chordsOf(path: Drawing['paths'][number]): [[number, number], [number, number]][] {
  if (path.type === 'circle') return [];
  if (path.type === 'line') {
    const { origin, end } = path as unknown as { origin: [number, number]; end: [number, number] };
    return [[origin, end]];
  }
  const { origin, radius, startAngle, endAngle } = path as unknown as {
    origin: [number, number];
    radius: number;
    startAngle: number;
    endAngle: number;
  };
  // An arc goes to the left, past 0° where its end is less than its start.
  const sweep = endAngle - startAngle + (endAngle < startAngle ? 360 : 0);
  const at = (i: number): [number, number] => {
    const turn = ((startAngle + (sweep * i) / CHORDS) * Math.PI) / 180;
    return [origin[0] + radius * Math.cos(turn), origin[1] + radius * Math.sin(turn)];
  };
  return Array.from({ length: CHORDS }, (_, i) => [at(i), at(i + 1)]);
}
