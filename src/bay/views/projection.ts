import type { ViewName, Zoom } from '@/store/viewport';
import type { Point } from '@/core/geometry/vector';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

export type Flat = [across: number, down: number];

/** From behind; from the left with the front to the left; from above with the front up. mm to mm, down the screen positive. */
const PROJECTIONS: Record<ViewName, (p: Point) => Flat> = {
  rear: ([, y, z]) => [-y, -z],
  side: ([x, , z]) => [-x, -z],
  plan: ([x, y]) => [-y, -x],
};

/** Which coordinates a drag in a view moves: their index, and the sign that the screen gives them. */
export const DRAGS: Record<ViewName, { across: 0 | 1; down: 0 | 2 }> = {
  rear: { across: 1, down: 2 },
  side: { across: 0, down: 2 },
  plan: { across: 1, down: 0 },
};

/** Which way from the axle, the middle of the car and the floor a coordinate is: where it grows, and where it falls. */
const WAYS = [
  ['ahead of the axle', 'behind the axle'],
  ['left of the middle', 'right of the middle'],
  ['off the floor', 'below the floor'],
] as const;

/** Where something stands, in the two coordinates that its view moves: `18 1/2 in left of the middle, 12 in off the floor`. */
export function sayPlaced(view: ViewName, at: Point, tape: Tape): string {
  const { across, down } = DRAGS[view];
  return [across, down]
    .map((axis) => `${sayLength(Math.abs(at[axis]), tape)} ${WAYS[axis][at[axis] < 0 ? 1 : 0]}`)
    .join(', ');
}

/** Points of a sheet, one after another, as a path of SVG. */
export const path = (points: Flat[]) =>
  `M${points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join('L')}`;

export type Box = { x: number; y: number; width: number; height: number };
export type Extent = { left: number; right: number; top: number; bottom: number };

/** A view set true to scale into a box of the bay. */
export type Sheet = {
  view: ViewName;
  box: Box;
  /** px per mm */
  k: number;
  at: (p: Point) => Flat;
  /** mm on the car of a movement on the screen */
  toMm: (px: number) => number;
  /** what is drawn on two sheets of one key lands on the same pixels */
  key: string;
};

/** Fits an extent (mm, projected) into a box without distortion, centred, then zooms about the middle of the box. */
export function fit(view: ViewName, box: Box, extent: Extent, zoom: Zoom): Sheet {
  const width = extent.right - extent.left;
  const height = extent.bottom - extent.top;
  const k = zoom.k * Math.min(box.width / width, box.height / height);
  const across = (u: number) => box.x + zoom.dx + (box.width - width * k) / 2 + (u - extent.left) * k;
  const down = (v: number) => box.y + zoom.dy + (box.height - height * k) / 2 + (v - extent.top) * k;
  const project = PROJECTIONS[view];
  return {
    view,
    box,
    k,
    at: (p) => {
      const [u, v] = project(p);
      return [across(u), down(v)];
    },
    toMm: (px) => px / k,
    key: [view, k, across(0), down(0), ...Object.values(box)].join(),
  };
}

/** A memory of the last sheet of each view, which is given again while nothing would land on other pixels. */
export function sheetKeeper(): (now: Sheet) => Sheet {
  const last: Partial<Record<ViewName, Sheet>> = {};
  return (now) => {
    const before = last[now.view];
    return before?.key === now.key ? before : (last[now.view] = now);
  };
}
