import type { Coordinates } from '@/core/geometry/shapes';
import { distance, type Point } from '@/core/geometry/vector';
import { putTurn, toRadians } from '@/core/geometry/angle';

/** Where an axle stands relative to the chassis: its centre (mm) and Z-Y-X angles (degrees). */
export type Attitude = {
  x: number;
  y: number;
  z: number;
  rollDeg: number;
  pitchDeg: number;
  steerDeg: number;
};

/** The attitude of an axle at ride height. @param tireRadius height of its centre there, mm */
export const atRideHeight = ({ tireRadius }: { tireRadius: number }): Attitude => ({
  x: 0,
  y: 0,
  z: tireRadius,
  rollDeg: 0,
  pitchDeg: 0,
  steerDeg: 0,
});

/**
 * An axle's attitude in one list of numbers: its turn row by row (9), its centre (x, y, z), mm, and the height of that centre at ride
 * height, mm.
 */
export type AxleFrame = Float64Array;

/** @param tireRadius height of the axle's centre at ride height, mm */
export function axleFrame(
  pose: Attitude,
  tireRadius: number,
  into: AxleFrame = new Float64Array(13),
): AxleFrame {
  const r = toRadians(pose.rollDeg);
  const p = toRadians(pose.pitchDeg);
  const s = toRadians(pose.steerDeg);
  const cr = Math.cos(r);
  const sr = Math.sin(r);
  const cp = Math.cos(p);
  const sp = Math.sin(p);
  const cs = Math.cos(s);
  const ss = Math.sin(s);
  putTurn(into, cr, sr, cp, sp, cs, ss);
  into[9] = pose.x;
  into[10] = pose.y;
  into[11] = pose.z;
  into[12] = tireRadius;
  return into;
}

/** Writes where a point of the axle, told as it is at ride height, is in a pose. */
export function toChassis(
  frame: AxleFrame,
  from: Coordinates,
  at: number,
  into: Coordinates,
  to: number,
): void {
  const x = from[at]!;
  const y = from[at + 1]!;
  const z = from[at + 2]! - frame[12]!;
  into[to] = frame[9]! + frame[0]! * x + frame[1]! * y + frame[2]! * z;
  into[to + 1] = frame[10]! + frame[3]! * x + frame[4]! * y + frame[5]! * z;
  into[to + 2] = frame[11]! + frame[6]! * x + frame[7]! * y + frame[8]! * z;
}

/** Writes where a point of the chassis is in a pose, seen from the axle in its ride-height axes. */
export function toAxle(frame: AxleFrame, from: Coordinates, at: number, into: Coordinates, to: number): void {
  const x = from[at]! - frame[9]!;
  const y = from[at + 1]! - frame[10]!;
  const z = from[at + 2]! - frame[11]!;
  into[to] = frame[0]! * x + frame[3]! * y + frame[6]! * z;
  into[to + 1] = frame[1]! * x + frame[4]! * y + frame[7]! * z;
  into[to + 2] = frame[2]! * x + frame[5]! * y + frame[8]! * z + frame[12]!;
}

/** Carries points of the axle from where they are at ride height to where they are in a pose. */
export function axleToChassis(pose: Attitude, tireRadius: number): (point: Point) => Point {
  return carrying(axleFrame(pose, tireRadius), toChassis);
}

/** The inverse of `axleToChassis`. */
export function chassisToAxle(pose: Attitude, tireRadius: number): (point: Point) => Point {
  return carrying(axleFrame(pose, tireRadius), toAxle);
}

const carrying =
  (frame: AxleFrame, carry: typeof toChassis) =>
  (point: Point): Point => {
    const into: Point = [0, 0, 0];
    carry(frame, point, 0, into, 0);
    return into;
  };

/**
 * How far the ball of an arm rigid to the axle is carried from where it hangs, mm, in a pose: what joint, arm and bracket give.
 * The arm goes with the tube where it is welded on, and so turns by its share of the tube's twist.
 */
export function ballCarried(
  pose: Attitude & { twistDeg?: number },
  ball: Point,
  { track, tireRadius }: { track: number; tireRadius: number },
): number {
  const share = toRadians(((pose.twistDeg ?? 0) * ball[1]) / track);
  const [c, s, up] = [Math.cos(share), Math.sin(share), ball[2] - tireRadius];
  const turned: Point = [c * ball[0] + s * up, ball[1], tireRadius + c * up - s * ball[0]];
  return distance(axleToChassis(pose, tireRadius)(turned), ball);
}
