import { clearances, type Clearance } from './clearance';
import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import type { Rig, Travel } from '@/core/rig/schema';

/** Where in the travel two bodies come nearest, and how near, mm. */
export type ClosestApproach = Clearance & { at: Travel };

/** The last of a bar before its eye is its bracket's business, mm: three inches. */
const BRACKET = 76;

/** Where in a set of poses each pair of things comes nearest; the tightest pair first. */
export function closestApproaches(rig: Rig, poses: SweptPose[]): ClosestApproach[] {
  const nearest: { gap: Clearance; pose: Pose }[] = [];
  for (const pose of poses) {
    if (!isReached(pose)) continue;
    // Every pose lists the same pairs in the same order.
    clearances(rig, pose, BRACKET).forEach((gap, pair) => {
      const known = nearest[pair];
      if (!known || gap.distance < known.gap.distance) nearest[pair] = { gap, pose };
    });
  }
  return nearest
    .map(({ gap, pose: { left, right } }) => ({ ...gap, at: { left, right } }))
    .sort((a, b) => a.distance - b.distance);
}
