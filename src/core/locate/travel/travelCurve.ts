import { wheelSteer } from '@/core/kinematics/bumpSteer';
import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import type { CurvePoint, CurveValues } from '@/core/locate/types';

/** What of a pose is drawn over the travel. */
export function curveValues(pose: Pose): CurveValues {
  return {
    y: pose.y,
    rollCentreHeight: pose.rollCentreHeight,
    antiSquat: pose.antiSquatPct ?? null,
    rollSteer: pose.rollSteer,
    pitchDeg: pose.pitchDeg,
    steerDeg: pose.steerDeg,
    wheelSteer: wheelSteer(pose.steerDeg, pose.bumpSteerDeg),
    plunge: pose.driveshaft?.plunge ?? null,
    frontJoint: pose.driveshaft?.frontAngleDeg ?? null,
    rearJoint: pose.driveshaft?.rearAngleDeg ?? null,
  };
}

/** A curve is drawn at every movement of a drag: only what it shows crosses over from the worker. */
export function curvePoint(pose: SweptPose): CurvePoint {
  if (!isReached(pose)) return { lift: pose.left, limitingMember: pose.unreachable.member };
  return { lift: pose.left, instantCentre: pose.instantCentre, ...curveValues(pose) };
}

/** The points of a curve that the axle reaches. */
export const reachedPoints = (curve: CurvePoint[]): Extract<CurvePoint, CurveValues>[] =>
  curve.filter((p) => p.limitingMember === undefined);

/**
 * Most sideways movement of the axle from where it stands at ride height, mm; infinite where it cannot follow.
 *
 * @param from where that is: a bar longer than it is drawn holds it to one side
 */
export const mostSideways = (curve: CurvePoint[], from: number): number =>
  Math.max(...curve.map((p) => (p.limitingMember === undefined ? Math.abs(p.y - from) : Infinity)));

/** How far the roll centre moves over the travel of both wheels, mm. */
export function rollCentreRange(curve: CurvePoint[]): number {
  const heights = reachedPoints(curve).flatMap((p) => p.rollCentreHeight ?? []);
  return heights.length ? Math.max(...heights) - Math.min(...heights) : 0;
}
