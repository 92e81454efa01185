import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import type { CurvePoint, CurveValues } from './types';

/** What of a pose is drawn over the travel. */
export function curveValues(pose: Pose): CurveValues {
  const { y, rollCentreHeight, antiSquatPct = null, rollSteer, pitchDeg, bumpSteerDeg = null } = pose;
  return { y, rollCentreHeight, antiSquat: antiSquatPct, rollSteer, pitchDeg, bumpSteer: bumpSteerDeg };
}

/** A curve is drawn at every movement of a drag: only what it shows crosses over from the worker. */
export function curvePoint(pose: SweptPose): CurvePoint {
  if (!isReached(pose)) return { lift: pose.left, lost: pose.unreachable.member };
  return { lift: pose.left, ...curveValues(pose) };
}
