import type { Rig } from '@/core/rig/schema';
import { axleToChassis, type Attitude } from './attitude';
import { toDegrees, wrapped } from '@/core/geometry/angle';

/**
 * Turn of a front knuckle, degrees, left positive: about a vertical through its kingpin, by as much as keeps the drag link's
 * length between the pitman arm on the chassis and the knuckle's arm on the axle. Null where the link cannot follow.
 *
 * With n the knuckle's arm and d from pitman to kingpin, |Rz(δ)·n + d| = L is A·cos δ + B·sin δ = C.
 *
 * @param longer how much longer than it is drawn the drag link is made, mm
 */
export function bumpSteer(
  steering: NonNullable<Rig['steering']>,
  pose: Attitude,
  tireRadius: number,
  longer = 0,
): number | null {
  const place = axleToChassis(pose, tireRadius);
  const { pitman } = steering;
  const kingpin = place(steering.kingpin);
  const knuckle = place(steering.knuckle);
  const length = longer + Math.hypot(...steering.knuckle.map((v, k) => v - pitman[k]!));
  const [nx, ny, nz] = knuckle.map((v, k) => v - kingpin[k]!) as [number, number, number];
  const [dx, dy, dz] = kingpin.map((v, k) => v - pitman[k]!) as [number, number, number];
  const a = dx * nx + dy * ny;
  const b = dy * nx - dx * ny;
  const c = (length ** 2 - (nx * nx + ny * ny + nz * nz) - (dx * dx + dy * dy + dz * dz) - 2 * dz * nz) / 2;
  const reach = Math.hypot(a, b);
  if (reach === 0 || Math.abs(c) > reach) return null;
  const middle = Math.atan2(b, a);
  const swing = Math.acos(c / reach);
  const nearest = [middle + swing, middle - swing].map(wrapped).sort((p, q) => Math.abs(p) - Math.abs(q))[0]!;
  return toDegrees(nearest);
}

/**
 * Turn of the road wheels of a front axle with the steering held, degrees, left positive: what its knuckles turn against the
 * axle, and what the axle itself turns with them. Null where the drag link cannot follow.
 */
export const wheelSteer = (steerDeg: number, bumpSteerDeg: number | null | undefined): number | null =>
  bumpSteerDeg == null ? null : steerDeg + bumpSteerDeg;
