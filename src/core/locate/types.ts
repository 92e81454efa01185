import type { Use } from '@/core/job/schema';
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
  use: Use;
  /** where the rocker stands */
  rocker: Travel;
};

/** The axle at one height of both wheels; `lost` names the member that cannot follow there. */
export type CurvePoint = ({ lift: number; lost?: undefined } & CurveValues) | { lift: number; lost: string };

/** What can be drawn over the travel; null where it has no value. */
export type CurveValues = {
  y: number;
  rollCentreHeight: number | null;
  antiSquat: number | null;
  rollSteer: number | null;
  pitchDeg: number;
  bumpSteer: number | null;
};

/** What the members that hold the axle lengthwise do, at ride height and at worst over the travel. */
export type LinkFindings = {
  antiSquat: number | null;
  rollSteer: number | null;
  instantCentre: [number, number] | null;
  /** degrees the pinion turns from droop to bump */
  pinion: number;
  /** the hardest a member is asked to give, where there are more members than motions */
  bind: { member: string; force: number; give: number; at: string; rigid: boolean } | null;
  joint: { member: string; degrees: number } | null;
  /** of a front axle: drag link against track bar */
  steering: { bumpSteer: number | null; lengthDifference: number; angleDifference: number } | null;
};

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
  links: LinkFindings;
  linkVerdicts: Verdict[];
};
