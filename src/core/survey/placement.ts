import type { Datum } from '@/core/survey/quantities/datums';
import { estimateOf, type Adjustment } from './leastSquares';
import type { Network, PlanPoint } from './network';
import type { Estimate } from './uncertainty';
import { toDegrees } from '@/core/geometry/angle';
import type { Side } from '@/core/geometry/side';

/** Where the axle stands by one datum: everything the readings say, brought over to it. */
export type Placement = {
  datum: Datum;
  /** from the datum to the middle of the axle along each rail, mm, as a tape would read it */
  middle: Record<Side, Estimate>;
  /** how far the left wheel stands ahead of the right, degrees, positive ahead; and that over the track */
  square: Estimate;
  aheadAtTire: Estimate;
  /** how far the axle's marks stand to the left of the middle between the datum points, mm */
  left: Estimate;
};

/**
 * Where the axle stands, seen from a datum: its two points set across the car, the middle between them on the centreline.
 * Readings from other datums come over through what ties them together.
 *
 * @param track between the tyres' tread centres, mm: the arm at which out-of-square is seen
 * @returns null where nothing ties the axle to this datum
 */
export function placementBy(
  datum: Datum,
  { names }: Network,
  adjustment: Adjustment,
  track: number,
): Placement | null {
  const at = (name: string, side: Side) => {
    const [i, j] = [names.get(`${name}.${side}.along`), names.get(`${name}.${side}.across`)];
    return i === undefined || j === undefined ? null : (x: number[]): PlanPoint => [x[i]!, x[j]!];
  };
  const [dl, dr, al, ar] = [at(datum, 'left'), at(datum, 'right'), at('axle', 'left'), at('axle', 'right')];
  if (!dl || !dr || !al || !ar) return null;
  // Across the car by the datum: from its right point to its left one.
  const seen = (x: number[], from: PlanPoint, to: PlanPoint): PlanPoint => {
    const [l, r] = [dl(x), dr(x)];
    const width = Math.hypot(l[0] - r[0], l[1] - r[1]);
    const [ux, uy] = [(l[0] - r[0]) / width, (l[1] - r[1]) / width];
    const [vx, vy] = [to[0] - from[0], to[1] - from[1]];
    return [vx * uy - vy * ux, vx * ux + vy * uy];
  };
  const middleOf = (a: PlanPoint, b: PlanPoint): PlanPoint => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const angle = (x: number[]) => {
    const [ahead, across] = seen(x, ar(x), al(x));
    return Math.atan2(ahead, across);
  };
  const of = (f: (x: number[]) => number) => estimateOf(adjustment, f);
  const length = (d: (x: number[]) => PlanPoint, a: (x: number[]) => PlanPoint) => (x: number[]) =>
    Math.hypot(d(x)[0] - a(x)[0], d(x)[1] - a(x)[1]);
  return {
    datum,
    middle: { left: of(length(dl, al)), right: of(length(dr, ar)) },
    square: of((x) => toDegrees(angle(x))),
    aheadAtTire: of((x) => track * Math.tan(angle(x))),
    left: of((x) => seen(x, middleOf(dl(x), dr(x)), middleOf(al(x), ar(x)))[1]),
  };
}
