import type { Use } from '@/core/job/schema';
import type { Clearance } from '@/core/clearance/clearance';
import type { MemberJoints } from '@/core/joints/joints';
import type { Pose, SweptPose } from '@/core/kinematics/pose';
import type { Rig, Spring, Travel } from '@/core/rig/schema';
import type { LoadAnswer, LoadCase } from '@/core/statics/loads';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict';
import type { LateralBar } from './lateralBar';
import type { School, SchoolComparison } from './schools';

export type LocateInput = {
  rig: Rig;
  /** as Roll has them: where their seats are */
  springs: Spring[] | null;
  /** wheel travel from ride height to the stops, mm, both positive */
  bump: number;
  droop: number;
  /** null where it was never measured */
  tireWidth: number | null;
  /** most sideways movement the builder accepts over the travel, mm */
  shiftLimit: number;
  school: School;
  tape: Tape;
  use: Use;
  joints: Record<string, MemberJoints>;
  /** how far the slip yoke can go in and out from ride height, mm, as far as it was measured */
  room: { in?: number; out?: number };
  loads: { cornerG: number; axleRatio: number };
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
  steerDeg: number;
  bumpSteer: number | null;
  /** of the driveshaft: how far it has come out, mm, and the angles of its joints */
  plunge: number | null;
  frontJoint: number | null;
  rearJoint: number | null;
};

/** What the members that hold the axle do, at ride height and at worst over the travel. */
export type LinkFindings = {
  antiSquat: number | null;
  rollSteer: number | null;
  instantCentre: [number, number] | null;
  /** degrees the pinion turns from droop to bump */
  pinion: number;
  /** the hardest a member is asked to give, where there are more members than motions */
  bind: BindFinding | null;
  /** the eye that comes nearest to the end of its swing over the travel */
  joint: JointFinding | null;
  /** the eye that is most cocked at ride height, against its swing */
  cocked: JointFinding | null;
  shaft: ShaftFindings | null;
  /** of a front axle: drag link against track bar, where there is one */
  steering: SteeringFindings | null;
};

export type BindFinding = {
  member: string;
  force: number;
  give: number;
  at: string;
  rigid: boolean;
  joints: MemberJoints | null;
};

export type JointFinding = {
  member: string;
  end: 'chassis' | 'axle';
  degrees: number;
  swing: number;
  joint: string;
  at: string;
};

export type ShaftFindings = {
  /** joint angles at ride height */
  front: number;
  rear: number;
  /** largest angle of either joint over the travel, and where */
  most: number;
  mostAt: string;
  /** how far the slip yoke goes in and comes out from ride height, mm, both positive */
  in: number;
  out: number;
};

export type SteeringFindings = {
  /** largest turn of the knuckles, degrees, with both wheels together and with one up; null out of the drag link’s reach */
  bumpSteer: { both: number; one: number } | null;
  match: { length: number; angle: number } | null;
};

export type ClosestApproach = Clearance & { at: Travel };

export type LocateResult = {
  /** null in layouts without a bar across the car */
  bar: LateralBar | null;
  ride: Pose;
  /** both wheels together, droop to bump */
  curve: CurvePoint[];
  ghosts: Record<'bump' | 'droop' | 'leftUp' | 'rightUp', SweptPose>;
  current: SweptPose;
  /** the tightest places over the travel, the tightest first, one for each pair of things */
  gaps: ClosestApproach[];
  schools: SchoolComparison | null;
  /** about holding the axle sideways */
  verdicts: Verdict[];
  links: LinkFindings;
  /** about holding it lengthwise */
  linkVerdicts: Verdict[];
  /** about the driveshaft and the room things have */
  roomVerdicts: Verdict[];
  loads: { load: LoadCase; answer: LoadAnswer | null }[];
};
