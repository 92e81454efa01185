import type { Clearance } from '@/core/clearance/clearance';
import type { Pose, SweptPose } from '@/core/kinematics/pose';
import type { Rig, Travel } from '@/core/rig/schema';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict';
import type { LateralBar } from './lateralBar';
import type { School, SchoolComparison } from './schools';

export type LocateInput = {
  rig: Rig;
  /** wheel travel from ride height to the stops, mm, both positive */
  bump: number;
  droop: number;
  tireWidth: number;
  /** most sideways movement the builder accepts over the travel, mm */
  shiftLimit: number;
  school: School;
  tape: Tape;
  /** where the rocker stands */
  rocker: Travel;
};

/** The axle at one height of both wheels; `lost` names the member that cannot follow there. */
export type CurvePoint =
  | { lift: number; y: number; rollCentreHeight: number | null; lost?: undefined }
  | { lift: number; lost: string };

export type ClosestApproach = Clearance & { at: Travel };

export type LocateResult = {
  bar: LateralBar;
  ride: Pose;
  /** both wheels together, droop to bump */
  curve: CurvePoint[];
  ghosts: { bump: SweptPose; droop: SweptPose; leftUp: SweptPose };
  current: SweptPose;
  closest: ClosestApproach | null;
  schools: SchoolComparison;
  verdicts: Verdict[];
};
