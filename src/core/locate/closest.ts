import { barClearances } from '@/core/clearance/clearance';
import { linksOf } from '@/core/rig/members';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { Rig } from '@/core/rig/schema';
import type { ClosestApproach } from './types';

/** Where in a set of poses a bar comes nearest to any obstacle; null when nothing is measured to come near. */
export function closestApproach(rig: Rig, barId: string, poses: SweptPose[]): ClosestApproach | null {
  const bar = linksOf(rig).find((m) => m.id === barId)!;
  let closest: ClosestApproach | null = null;
  for (const pose of poses.filter(isReached)) {
    for (const c of barClearances(rig, bar, pose)) {
      if (!closest || c.distance < closest.distance)
        closest = { ...c, at: { left: pose.left, right: pose.right } };
    }
  }
  return closest;
}
