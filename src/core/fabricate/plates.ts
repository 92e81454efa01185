import { arc, hole, line, outline, type Drawing, type Place } from './drawing';

/** A tab that stands on its root, mm: how deep it is there, how wide at its holes, how far the highest hole is from the edge; its holes up from the root. */
export type TabShape = { depth: number; width: number; edge: number; hole: number; holes: number[] };

/** A piece of an outline shorter than this is none, mm: no gap that any cutter or reader tells. */
const SHARP = 1e-3;

/** A tab: up its two flanks from the root to its holes, and round its nose. The middle line registers on the bracket's scribed line. */
export function tabDrawing({ depth, width, edge, hole: diameter, holes }: TabShape): Drawing {
  const high = Math.max(...holes);
  // A hole close over the root leaves its flanks as they are.
  const low = Math.min(high, Math.max(edge, Math.min(...holes)));
  const [w, top] = [width / 2, high + edge];
  const r = Math.min(edge, w);
  const flat = w - r > SHARP;
  return {
    paths: [
      line('CUT', [-depth / 2, 0], [depth / 2, 0]),
      line('CUT', [depth / 2, 0], [w, low]),
      ...(top - r - low > SHARP
        ? [line('CUT', [w, low], [w, top - r]), line('CUT', [-w, top - r], [-w, low])]
        : []),
      arc('CUT', [w - r, top - r], r, 0, 90),
      ...(flat ? [line('CUT', [w - r, top], [r - w, top])] : []),
      arc('CUT', [r - w, top - r], r, 90, 180),
      line('CUT', [-w, low], [-depth / 2, 0]),
      line('SCRIBE', [0, 0], [0, top]),
      ...holes.flatMap((y) => hole([0, y], diameter)),
    ],
    words: [],
  };
}

/** A rectangle from its lower left corner, with its middle lines scribed, mm. */
export function plateDrawing(width: number, height: number): Drawing {
  const corners: Place[] = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  return {
    paths: [
      ...outline(corners),
      line('SCRIBE', [width / 2, 0], [width / 2, height]),
      line('SCRIBE', [0, height / 2], [width, height / 2]),
    ],
    words: [],
  };
}
