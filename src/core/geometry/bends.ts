import { toDegrees } from './angle';
import { cross, distance, dot, minus, unit, type Point } from './vector';

/** One bend, on the way along a bar from its first eye to its last. */
export type Bend = {
  /** from the bend before, or the end hole: to where their straight lines meet, mm */
  leg: number;
  /** of straight bar that is left on that leg between the bends, mm; negative where they run into each other */
  straight: number;
  /** degrees away from straight on */
  angle: number;
  /** degrees that the plane of this bend is turned from that of the one before, seen along the bar */
  turn: number;
};

export type BendSheet = {
  bends: Bend[];
  /** from the last bend to the last eye, mm */
  last: number;
  /** bar from eye to eye along its middle line, mm */
  blank: number;
};

/**
 * How a bar through points is bent from straight stock: legs to where the straight lines meet, angles, and the turn between one bend's plane
 * and the next. Along the middle line a bend of radius R and angle θ takes R·θ where the corner would have taken 2R·tan(θ/2).
 */
export function bendsAlong(points: Point[], radius: number): BendSheet {
  const way = points.slice(1).map((p, i) => unit(minus(p, points[i]!)));
  const legs = points.slice(1).map((p, i) => distance(p, points[i]!));
  const angles = way.slice(1).map((d, i) => Math.acos(Math.min(1, Math.max(-1, dot(d, way[i]!)))));
  const planes = way.slice(1).map((d, i) => cross(way[i]!, d));
  const R = radius;
  const taken = (i: number) => (angles[i] === undefined ? 0 : R * Math.tan(angles[i] / 2));
  const bends = angles.map((angle, i) => ({
    leg: legs[i]!,
    straight: legs[i]! - taken(i - 1) - taken(i),
    angle: toDegrees(angle),
    turn: i === 0 ? 0 : turnBetween(planes[i - 1]!, planes[i]!, way[i]!),
  }));
  const corners = legs.reduce((sum, leg) => sum + leg, 0);
  const saved = angles.reduce((sum, angle) => sum + R * (2 * Math.tan(angle / 2) - angle), 0);
  return { bends, last: legs.at(-1)!, blank: corners - saved };
}

/** From one plane's normal to the next's about the bar, degrees; the way a right-hand screw goes forward. */
function turnBetween(a: Point, b: Point, along: Point): number {
  const turn = toDegrees(Math.atan2(dot(cross(a, b), along), dot(a, b)));
  return Math.abs(turn) < 1e-6 ? 0 : turn;
}
