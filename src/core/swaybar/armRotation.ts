import { axleToChassis, chassisToAxle, type Attitude } from '@/core/kinematics/attitude';
import { cross, dot, minus, plus, unit, type Point } from '@/core/geometry/vector';
import { bySide, SIDES, type Side } from '@/core/geometry/side';
import type { SwayBar } from '@/core/rig/schema';
import { wrapped } from '@/core/geometry/angle';

/** Where a bar's arms have turned to, radians about its bushings, since ride height; null where a link cannot follow. */
export type ArmTurns = Record<Side, number | null>;

/** A circle that an eye moves on, about the line through the bushings. */
type Circle = { centre: Point; radius: number; p: Point; q: Point };

/** A bar in motion: its bushings' axis, its eyes' circles, and how far each link reaches. */
export type TurningBar = {
  bar: SwayBar;
  axis: Point;
  origin: Point;
  circles: Record<Side, Circle>;
  reach: Record<Side, number>;
  /** which of the two places where a link just reaches is the one it is put together in */
  branch: Record<Side, 1 | -1>;
};

/** What a bar is made ready to be moved with; null where an eye lies on the bushings' axis, which no link can move. */
export function turningBar(bar: SwayBar): TurningBar | null {
  const [a, b] = bar.bushings;
  const axis = unit(minus(a, b));
  const circle = (eye: Point): Circle => {
    const along = dot(minus(eye, b), axis);
    const centre = plus(b, axis.map((v) => v * along) as Point);
    const arm = minus(eye, centre);
    const p = unit(arm);
    return { centre, radius: Math.hypot(...arm), p, q: cross(axis, p) };
  };
  const eyes = { left: bar.centreline[0]!, right: bar.centreline.at(-1)! };
  const circles = { left: circle(eyes.left), right: circle(eyes.right) };
  if (SIDES.some((side) => !(circles[side].radius > 1e-6))) return null;
  const reach = bySide((side) => Math.hypot(...minus(bar.links[side], eyes[side])));
  const branch = bySide((side): 1 | -1 => {
    const places = meeting(circles[side], bar.links[side], reach[side]);
    if (!places) return 1;
    const [first, second] = [1, -1].map((s) => Math.abs(wrapped(places.toward + s * places.spread)));
    return first! <= second! ? 1 : -1;
  });
  return { bar, axis, origin: b, circles, reach, branch };
}

/** Where the far ends of the links are, in the axes of the body that carries the bar. */
export function feetIn({ bar }: TurningBar, pose: Attitude, tireRadius: number): Record<Side, Point> {
  const moved =
    bar.mountedOn === 'chassis' ? axleToChassis(pose, tireRadius) : chassisToAxle(pose, tireRadius);
  return { left: moved(bar.links.left), right: moved(bar.links.right) };
}

/**
 * How far each arm turns for its link to reach a foot; the links keep their length. Loose links may be swung either way round,
 * and take the smaller turn of the arm.
 */
export const turnsTo = (
  { circles, reach, branch }: TurningBar,
  feet: Record<Side, Point>,
  loose = false,
): ArmTurns =>
  bySide((side) => {
    const places = meeting(circles[side], feet[side], reach[side]);
    if (!places) return null;
    const turn = (way: number) => wrapped(places.toward + way * places.spread);
    if (!loose) return turn(branch[side]);
    const [up, down] = [turn(1), turn(-1)];
    return Math.abs(up) <= Math.abs(down) ? up : down;
  });

/** The bar with its links at some feet: how far its arms have turned, and where its eyes are; null where a link does not reach. */
export function eyesAtFeet(
  turning: TurningBar,
  feet: Record<Side, Point>,
  loose = false,
): { turns: Record<Side, number>; eyes: Record<Side, Point> } | null {
  const { left, right } = turnsTo(turning, feet, loose);
  if (left === null || right === null) return null;
  const { circles } = turning;
  return {
    turns: { left, right },
    eyes: { left: eyeAt(circles.left, left), right: eyeAt(circles.right, right) },
  };
}

/** The same with its line, from the left eye to the right. */
export function barAtFeet(
  turning: TurningBar,
  feet: Record<Side, Point>,
  loose = false,
): { turns: Record<Side, number>; line: Point[] } | null {
  const stood = eyesAtFeet(turning, feet, loose);
  return stood && { turns: stood.turns, line: lineAt(turning, stood.turns) };
}

/** Where the circle of an eye is a link's length from its foot: |c + r(p cos α + q sin α) − foot| = L, as A cos α + B sin α = C. */
function meeting(
  { centre, radius, p, q }: Circle,
  foot: Point,
  reach: number,
): { toward: number; spread: number } | null {
  const d = minus(foot, centre);
  const [A, B] = [dot(d, p), dot(d, q)];
  const C = (radius ** 2 + dot(d, d) - reach ** 2) / (2 * radius);
  const most = Math.hypot(A, B);
  return most > Math.abs(C) ? { toward: Math.atan2(B, A), spread: Math.acos(C / most) } : null;
}

/** The bar's line with its arms turned: what lies between the bushings is wound evenly from one arm to the other. */
export function lineAt({ bar, axis, origin, circles }: TurningBar, turns: Record<Side, number>): Point[] {
  const along = (p: Point) => dot(minus(p, origin), axis);
  const [from, to] = [along(bar.bushings[1]), along(bar.bushings[0])];
  const share = (p: Point) => Math.min(1, Math.max(0, (along(p) - from) / (to - from)));
  const eyes = { left: eyeAt(circles.left, turns.left), right: eyeAt(circles.right, turns.right) };
  const points = bar.centreline;
  return points.map((p, i) => {
    if (i === 0) return eyes.left;
    if (i === points.length - 1) return eyes.right;
    return turned(p, axis, origin, turns.right + share(p) * (turns.left - turns.right));
  });
}

export function turned(p: Point, axis: Point, origin: Point, angle: number): Point {
  const d = minus(p, origin);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const over = cross(axis, d);
  const held = dot(axis, d) * (1 - c);
  return d.map((v, k) => origin[k]! + v * c + over[k]! * s + axis[k]! * held) as Point;
}

function eyeAt({ centre, radius, p, q }: Circle, angle: number): Point {
  const [c, s] = [radius * Math.cos(angle), radius * Math.sin(angle)];
  return centre.map((v, k) => v + c * p[k]! + s * q[k]!) as Point;
}
