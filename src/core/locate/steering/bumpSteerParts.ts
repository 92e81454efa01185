import { bumpSteer } from '@/core/kinematics/bumpSteer';
import type { Attitude } from '@/core/kinematics/attitude';
import { minus, plus, type Point } from '@/core/geometry/vector';
import { lateralBarOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';

/**
 * What the drag link steers the wheels in a pose, degrees, left positive, in parts that add up to it: what is left with a link that
 * is the track bar's twin (`axle`: caster and the axle's own turn), and what comes of its standing on the other side, of its other
 * length and of its other angle, put on one after the other in that order.
 */
export type BumpSteerParts = { axle: number; side: number; length: number; angle: number };

/** Null without a drag link or a track bar, and where a link cannot follow. */
export function bumpSteerParts(rig: Rig, pose: Attitude): BumpSteerParts | null {
  const bar = lateralBarOf(rig);
  const { steering, tireRadius } = rig;
  if (!bar || !steering) return null;
  const own = minus(steering.pitman, steering.knuckle);
  const twin = minus(bar.chassis, bar.axle);
  const sided: Point = [twin[0], Math.sign(own[1]) === Math.sign(twin[1]) ? twin[1] : -twin[1], twin[2]];
  const ratio = Math.hypot(...own) / Math.hypot(...twin);
  const scaled = sided.map((v) => v * ratio) as Point;
  const [first, second, third, last] = [twin, sided, scaled, own].map((reach) =>
    bumpSteer({ ...steering, pitman: plus(steering.knuckle, reach) }, pose, tireRadius),
  );
  if (first == null || second == null || third == null || last == null) return null;
  return { axle: first, side: second - first, length: third - second, angle: last - third };
}
