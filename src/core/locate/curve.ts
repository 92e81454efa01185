import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import type { CurvePoint, CurveValues } from './types';

/** What of a pose is drawn over the travel. */
export function curveValues(pose: Pose): CurveValues {
  return {
    y: pose.y,
    rollCentreHeight: pose.rollCentreHeight,
    antiSquat: pose.antiSquatPct ?? null,
    rollSteer: pose.rollSteer,
    pitchDeg: pose.pitchDeg,
    steerDeg: pose.steerDeg,
    bumpSteer: pose.bumpSteerDeg ?? null,
    plunge: pose.driveshaft?.plunge ?? null,
    frontJoint: pose.driveshaft?.frontAngleDeg ?? null,
    rearJoint: pose.driveshaft?.rearAngleDeg ?? null,
  };
}

/** A curve is drawn at every movement of a drag: only what it shows crosses over from the worker. */
export function curvePoint(pose: SweptPose): CurvePoint {
  if (!isReached(pose)) return { lift: pose.left, lost: pose.unreachable.member };
  return { lift: pose.left, ...curveValues(pose) };
}
