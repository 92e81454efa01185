import type { Rig } from '@/core/rig/schema';
import { cross, dot, minus, type Point } from '@/core/geometry/vector';
import { axleToChassis, type Attitude } from './attitude';
import { toDegrees, toRadians } from '@/core/geometry/angle';

export type Driveshaft = { length: number; plunge: number; frontAngleDeg: number; rearAngleDeg: number };

/**
 * Length of the shaft between its two joints, its change from ride height (longer positive), and the angle of each joint:
 * between the shaft and the axis of the yoke there. A yoke's own angle counts like pitch, nose down positive.
 */
export function describeDriveshaft(
  shaft: NonNullable<Rig['driveshaft']>,
  pose: Attitude,
  tireRadius: number,
): Driveshaft {
  const place = axleToChassis(pose, tireRadius);
  const pinion = place(shaft.pinion);
  const along = minus(shaft.transmission, pinion);
  const length = Math.hypot(...along);
  const axisOnAxle = yokeAxis(shaft.pinionAngleDeg);
  const tip = place(shaft.pinion.map((v, k) => v + axisOnAxle[k]!) as Point);
  return {
    length,
    plunge: length - Math.hypot(...minus(shaft.transmission, shaft.pinion)),
    frontAngleDeg: between(along, yokeAxis(shaft.transmissionAngleDeg)),
    rearAngleDeg: between(along, minus(tip, pinion)),
  };
}

/** Direction of a yoke's axis, forward: x turned about y. */
const yokeAxis = (deg: number): Point => [Math.cos(toRadians(deg)), 0, -Math.sin(toRadians(deg))];

/** A shaft runs along its yokes either way: of a front axle, back from the pinion. */
function between(a: Point, b: Point): number {
  return toDegrees(Math.atan2(Math.hypot(...cross(a, b)), Math.abs(dot(a, b))));
}
