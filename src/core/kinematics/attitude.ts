import type { Point } from '@/core/geometry/vector';
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

/**
 * Carries points of the axle from where they are at ride height to where they are in a pose.
 *
 * @param tireRadius height of the axle's centre at ride height, mm: axle points turn about it
 */
export function axleToChassis(pose: Attitude, tireRadius: number): (point: Point) => Point {
  const [r, p, s] = [toRadians(pose.rollDeg), toRadians(pose.pitchDeg), toRadians(pose.steerDeg)];
  const [cr, sr, cp, sp, cs, ss] = [
    Math.cos(r),
    Math.sin(r),
    Math.cos(p),
    Math.sin(p),
    Math.cos(s),
    Math.sin(s),
  ];
  return ([x, y, zGround]) => {
    const z = zGround - tireRadius;
    return [
      pose.x + cs * cp * x + (cs * sp * sr - ss * cr) * y + (cs * sp * cr + ss * sr) * z,
      pose.y + ss * cp * x + (ss * sp * sr + cs * cr) * y + (ss * sp * cr - cs * sr) * z,
      pose.z - sp * x + cp * sr * y + cp * cr * z,
    ];
  };
}

/** The inverse of `axleToChassis`: where a point of the chassis is in a pose, seen from the axle and in its ride-height axes. */
export function chassisToAxle(pose: Attitude, tireRadius: number): (point: Point) => Point {
  const turned = axleToChassis(pose, tireRadius);
  const origin = turned([0, 0, tireRadius]);
  const axes = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as Point[]
  ).map((e) => {
    const tip = turned([e[0], e[1], e[2] + tireRadius]);
    return tip.map((v, k) => v - origin[k]!) as Point;
  });
  return (point) => {
    const d = point.map((v, k) => v - origin[k]!) as Point;
    const along = (axis: Point) => axis[0] * d[0] + axis[1] * d[1] + axis[2] * d[2];
    return [along(axes[0]!), along(axes[1]!), along(axes[2]!) + tireRadius];
  };
}
