import { distance, type Point } from '@/core/geometry/vector';
import { toRadians } from '@/core/geometry/angle';

/** Where an axle stands relative to the chassis: its centre (mm) and Z-Y-X angles (degrees). */
export type Attitude = {
  x: number;
  y: number;
  z: number;
  rollDeg: number;
  pitchDeg: number;
  steerDeg: number;
};

/** Where a point is carried to: a new one, or one that is written over. */
type Carry = (point: Point, into?: Point) => Point;

/**
 * Both ways between the axes of the axle and of the chassis in a pose: points of the axle as they are at ride height, turned about
 * its centre and moved with it; and where a point of the chassis then is, seen from the axle, in its ride-height axes.
 *
 * @param tireRadius height of the axle's centre at ride height, mm
 */
export function carries(pose: Attitude, tireRadius: number): { toChassis: Carry; toAxle: Carry } {
  const r = toRadians(pose.rollDeg);
  const p = toRadians(pose.pitchDeg);
  const s = toRadians(pose.steerDeg);
  const cr = Math.cos(r);
  const sr = Math.sin(r);
  const cp = Math.cos(p);
  const sp = Math.sin(p);
  const cs = Math.cos(s);
  const ss = Math.sin(s);
  const xx = cs * cp;
  const xy = cs * sp * sr - ss * cr;
  const xz = cs * sp * cr + ss * sr;
  const yx = ss * cp;
  const yy = ss * sp * sr + cs * cr;
  const yz = ss * sp * cr - cs * sr;
  const zx = -sp;
  const zy = cp * sr;
  const zz = cp * cr;
  const { x: ox, y: oy, z: oz } = pose;
  return {
    toChassis: (q, into = [0, 0, 0]) => {
      const x = q[0];
      const y = q[1];
      const z = q[2] - tireRadius;
      into[0] = ox + xx * x + xy * y + xz * z;
      into[1] = oy + yx * x + yy * y + yz * z;
      into[2] = oz + zx * x + zy * y + zz * z;
      return into;
    },
    toAxle: (q, into = [0, 0, 0]) => {
      const x = q[0] - ox;
      const y = q[1] - oy;
      const z = q[2] - oz;
      into[0] = xx * x + yx * y + zx * z;
      into[1] = xy * x + yy * y + zy * z;
      into[2] = xz * x + yz * y + zz * z + tireRadius;
      return into;
    },
  };
}

/** Carries points of the axle from where they are at ride height to where they are in a pose. */
export function axleToChassis(pose: Attitude, tireRadius: number): (point: Point) => Point {
  const { toChassis } = carries(pose, tireRadius);
  // Alone, so that what `map` hands on beside a point is not written over.
  return (point) => toChassis(point);
}

/** The inverse of `axleToChassis`. */
export function chassisToAxle(pose: Attitude, tireRadius: number): (point: Point) => Point {
  const { toAxle } = carries(pose, tireRadius);
  return (point) => toAxle(point);
}

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
