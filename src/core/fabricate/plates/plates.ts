import type { IPath } from 'makerjs';
import {
  arc,
  hole,
  line,
  outline,
  rectangle,
  through,
  type Drawing,
  type Place,
} from '@/core/fabricate/drawing';

/**
 * A tab that stands on its foot, mm: its foot from one flank to the other, from the middle of its root; how wide it is at its holes, how far
 * the highest hole is from the edge; its holes up from the root.
 */
export type TabShape = { foot: Place[]; width: number; edge: number; hole: number; holes: number[] };

/** A piece of an outline shorter than this is none, mm: no gap that any cutter or reader tells. */
const SHARP = 1e-3;

/** How far up its flanks reach: to the lowest hole, at least to the nose's edge from the root, never past the highest hole, mm. */
export const flankTop = ({ edge, holes }: TabShape): number =>
  Math.min(Math.max(...holes), Math.max(edge, Math.min(...holes)));

/** How many corners stand for a quarter of a nose, and for its foot, where a tab is only drawn. */
const ROUND = 4;
const FOOT = 12;

/** Corners that a tab is drawn by, mm, from one end of its foot all round. */
export function tabCorners(shape: TabShape): Place[] {
  const { foot, width, edge, holes } = shape;
  const [w, top] = [width / 2, Math.max(...holes) + edge];
  const r = Math.min(edge, w);
  const nose = Array.from({ length: ROUND + 1 }, (_, i): Place => {
    const turn = (Math.PI / 2) * (i / ROUND);
    return [w - r + r * Math.cos(turn), top - r + r * Math.sin(turn)];
  });
  const step = Math.max(1, Math.round((foot.length - 1) / FOOT));
  const flank: Place[] = [[w, flankTop(shape)], ...nose];
  return [
    ...foot.filter((_, i) => i % step === 0 || i === foot.length - 1),
    ...flank,
    ...flank.map(([x, y]): Place => [-x, y]).reverse(),
  ];
}

/** Whether a tab has steel between its foot and its flanks: on a tube it may reach round so far that they cross. */
export function isFootClear(shape: TabShape): boolean {
  const mirrored = shape.foot.map(([u, v]): Place => [-u, v]).reverse();
  return [shape.foot, mirrored].every((foot) => {
    const [x, y] = foot.at(-1)!;
    const [across, up] = [shape.width / 2 - x, flankTop(shape) - y];
    return foot.slice(0, -1).every(([u, v]) => across * (v - y) - up * (u - x) > 0);
  });
}

/** A tab round its nose, from the top of its right flank to the foot of its left one. */
export function noseOf(shape: TabShape): IPath[] {
  const { foot, width, edge, holes } = shape;
  const low = flankTop(shape);
  const [w, top] = [width / 2, Math.max(...holes) + edge];
  const r = Math.min(edge, w);
  const flat = w - r > SHARP;
  return [
    ...(top - r - low > SHARP
      ? [line('CUT', [w, low], [w, top - r]), line('CUT', [-w, top - r], [-w, low])]
      : []),
    arc('CUT', [w - r, top - r], r, 0, 90),
    ...(flat ? [line('CUT', [w - r, top], [r - w, top])] : []),
    arc('CUT', [r - w, top - r], r, 90, 180),
    line('CUT', [-w, low], foot[0]!),
  ];
}

/** The holes of a tab, and its middle line, which registers on the bracket's scribed line. */
export const markedOn = ({ foot, edge, hole: diameter, holes }: TabShape): IPath[] => [
  line('SCRIBE', [0, Math.max(...foot.map(([, y]) => y))], [0, Math.max(...holes) + edge]),
  ...holes.flatMap((y) => hole([0, y], diameter)),
];

/** A tab: along its foot, up its two flanks to its holes, and round its nose. */
export const tabDrawing = (shape: TabShape): Drawing => ({
  paths: [
    ...through('CUT', shape.foot),
    line('CUT', shape.foot.at(-1)!, [shape.width / 2, flankTop(shape)]),
    ...noseOf(shape),
    ...markedOn(shape),
  ],
  words: [],
});

/** A rectangle from its lower left corner, with its middle lines scribed, mm. */
export function plateDrawing(width: number, height: number): Drawing {
  return {
    paths: [
      ...outline(rectangle([0, 0], [width, height])),
      line('SCRIBE', [width / 2, 0], [width / 2, height]),
      line('SCRIBE', [0, height / 2], [width, height / 2]),
    ],
    words: [],
  };
}
