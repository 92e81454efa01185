import type { SolvedLoad } from '@/core/balance/standardLoads';
import type { ClearUntil, ClosestApproach } from '@/core/clearance/closestOverTravel';
import type { Job } from '@/core/job/jobSchema';
import { drivenTravel, lockOf, tireWidthOf, travelOf } from '@/core/job/jobValues';
import type { Pose, SweptPose } from '@/core/kinematics/pose';
import { flopOf, jointsOf, type JointName, type MemberJoints } from '@/core/materials/joints';
import { LIMITS } from '@/core/materials/limits';
import type { Use } from '@/core/materials/uses';
import type { LateralBar, LevelSchool } from '@/core/rig/lateralBar';
import { linksOf } from '@/core/rig/members/members';
import type { Rig, Travel } from '@/core/rig/schema';
import type { Tape } from '@/core/units/tape';
import type { BumpSteerParts } from './steering/bumpSteerParts';
import type { DragLinkMatch } from './steering/dragLinkMatch';
import type { Line, LineFinding } from './lines';
import type { MadeBars } from './made/standWith';
import type { SchoolComparison } from './schools';
import type { SliderFinding } from './slider';

export type LocateInput = {
  rig: Rig;
  /** what remedies are rounded to */
  tape: Tape;
  /** wheel travel from ride height to the stops, mm, both positive */
  bump: number;
  droop: number;
  /** how far of the way up the car is driven, mm: what steers or swings above that is not judged */
  driven: number;
  /** null where it was never measured */
  tireWidth: number | null;
  /** how far the front wheels steer to either side, degrees; null where nothing is steered */
  lock: number | null;
  /** most sideways movement the builder accepts over the travel, mm */
  shiftLimit: number;
  school: LevelSchool;
  use: Use;
  joints: Record<string, MemberJoints>;
  /** how far the slip yoke can go in and out from ride height, mm, as far as it was measured */
  room: { in?: number; out?: number };
  /** the same of a torque arm's slider */
  slider: { in?: number; out?: number };
  loads: { cornerG: number; axleRatio: number };
  lines: Line[];
  /** how long bars are that are there already, eye to eye, mm, by id */
  made: Record<string, number>;
  /** how long each of them may be wound out, where it has thread, mm, by id */
  opens: Record<string, number>;
  /** where the rocker stands */
  rocker: Travel;
};

/** What is asked of the travel that the car is driven over. */
export const whileDriven = (input: LocateInput): LocateInput => ({ ...input, bump: input.driven });

/** How far each bent bar may turn about its own eyes, degrees each way. */
export const flopsOf =
  ({ rig, joints }: Pick<LocateInput, 'rig' | 'joints'>) =>
  (id: string): number =>
    linksOf(rig).some((link) => link.id === id && link.path?.chassis.length)
      ? flopOf(jointsOf(joints, id))
      : 0;

export const locateInput = (job: Job, rocker: Travel): LocateInput => ({
  rig: job.rig,
  tape: job.tape,
  ...travelOf(job),
  driven: drivenTravel(job).bump,
  tireWidth: tireWidthOf(job),
  lock: lockOf(job),
  shiftLimit: job.locate.shiftLimit,
  school: job.locate.school,
  use: job.use,
  joints: job.joints,
  room: job.shaft.room,
  slider: job.shaft.slider ?? {},
  loads: { cornerG: job.cornerG, axleRatio: job.shaft.ratio },
  lines: job.lines,
  made: job.locate.made ?? {},
  opens: job.locate.opens ?? {},
  rocker,
});

/**
 * The axle at one height of both wheels, with its side-view instant centre [x, z], mm, null at infinity; or the member that can follow
 * no farther than there.
 */
export type CurvePoint =
  | ({ lift: number; limitingMember?: undefined; instantCentre: SideCentre } & CurveValues)
  | { lift: number; limitingMember: string };
export type SideCentre = [x: number, z: number] | null;

/** What can be drawn over the travel; null where it has no value. mm, per cent, degrees. */
export type CurveValues = {
  y: number;
  rollCentreHeight: number | null;
  antiSquat: number | null;
  rollSteer: number | null;
  pitchDeg: number;
  steerDeg: number;
  /** of the road wheels, of a front axle */
  wheelSteer: number | null;
  /** of the driveshaft: how far it has come out, mm, and the angles of its joints */
  plunge: number | null;
  frontJoint: number | null;
  rearJoint: number | null;
};

/** What the members that hold the axle do, at ride height and at worst over the travel. */
export type LinkFindings = {
  antiSquat: number | null;
  /** under the brakes, of a rear axle that carries them; null while the rear's share of the braking is not told */
  antiLift: number | null;
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
  /** of a front axle */
  steering: SteeringFindings | null;
  sliders: SliderFinding[];
};

/** A member by its id, the force it binds with, N, how far its ends must give for that, mm, and where in the travel. */
export type BindFinding = { member: string; force: number; give: number; at: Travel };

/** An eye of a link: degrees that its joint is cocked, of those it has, and where in the travel. */
export type JointFinding = {
  member: string;
  end: 'chassis' | 'axle';
  degrees: number;
  swing: number;
  joint: JointName;
  at: Travel;
};

export type ShaftFindings = {
  /** joint angles at ride height, degrees */
  front: number;
  rear: number;
  /** largest angle of either joint over the travel, and where */
  most: number;
  mostAt: Travel;
  /** how far the slip yoke goes in and comes out from ride height, mm, both positive */
  in: number;
  out: number;
};

/**
 * How far leaf springs let the axle go sideways in the steady corner, mm: by themselves, and with the bar that is there, or with a
 * level one where there is none. What the corner pushes with, N, is the sprung weight on this end.
 */
export type LeafGive = { force: number; alone: number; withBar: number; hasBar: boolean };

/** The most that something turns over the travel, degrees: with both wheels together, and with one up as the other drops. */
export type MostSteer = { both: number; one: number };

export type SteeringFindings = {
  /** of the road wheels; null out of the drag link’s reach */
  wheels: MostSteer | null;
  /** of the axle by itself, which takes its wheels along */
  axle: MostSteer;
  /** drag link against lateral bar; null without one */
  match: DragLinkMatch | null;
  /** what makes the drag link steer with both wheels where it steers most; null without a lateral bar */
  parts: (BumpSteerParts & { at: Travel }) | null;
};

/** The end of the lateral bar to move, its height off the ground to come, mm, and what the wheels are then steered. */
export type SteeringRemedy = { member: string; end: 'chassis' | 'axle'; z: number; wheels: MostSteer };

/**
 * What would mend a lateral bar, tried with the solver. `length`, where the axle moves farther sideways than is allowed: level
 * alone does it; or level with its frame end out at `y`, mm, of which `farthest` is the most that fits; or not even that does.
 * `away`, where it is too near to something the axle carries: how much farther from the axle both ends must stand, mm.
 */
export type LateralRemedies = {
  length:
    | { kind: 'level' }
    | { kind: 'longer'; y: number; farthest: number }
    | { kind: 'bothOut'; chassis: number; axle: number; farthest: number }
    | { kind: 'tooShort'; longest: number }
    | null;
  away: number | null;
};

/**
 * A bent bar held from rolling: what it then leaves, mm, and which of its ends swings so little over the travel that a soft bushing
 * there could hold it; null where neither does.
 */
export type HeldBar = { distance: number; end: 'chassis' | 'axle' | null };

/** A place where two bodies come nearest over the travel. */
export type Gap = ClosestApproach & {
  /** the same with a bent bar that can turn about its eyes held as it was drawn */
  held?: HeldBar;
};

/** Whether less is left between two bodies than fingers need. */
export const isTight = ({ distance }: ClosestApproach): boolean => distance < LIMITS.clearance.least - 1e-6;

/** So many tight places are followed to where they begin. */
export const FOLLOWED = 4;

/** What would mend what was found, each tried with the solver. */
export type LocateCures = {
  /** a bar across that is too short or too near; null without one */
  lateral: LateralRemedies | null;
  /** where bumps steer too much: an end of the lateral bar put up or down; null where none would mend it */
  steering: SteeringRemedy | null;
  /** how far the travel goes before two bodies are too near, of the tightest places */
  until: (ClearUntil & { a: string; b: string })[];
};

/** What Locate works out of one geometry: numbers, ids and places; words are made of it on the way to the screen. */
export type LocateResult = {
  /** null in layouts without a bar across the car */
  bar: LateralBar | null;
  ride: Pose;
  /** both wheels together, droop to bump */
  curve: CurvePoint[];
  /** the same over the travel that the car is driven over */
  driven: CurvePoint[];
  ghosts: Record<'bump' | 'droop' | 'leftUp' | 'rightUp', SweptPose>;
  current: SweptPose;
  /** the tight places over the travel, the tightest first, one for each pair of bodies; and what the bar across, and all else, comes nearest to */
  gaps: Gap[];
  schools: SchoolComparison | null;
  /** what would mend it; null where that was not asked, as while a mount is dragged */
  cures: LocateCures | null;
  links: LinkFindings;
  /** what hoses, lines and cables span over the travel */
  lines: LineFinding[];
  /** what leaf springs give sideways, with a bar and without */
  leafGive: LeafGive | null;
  loads: SolvedLoad[];
  /** where bars that are there already put the axle; null where none is said to be */
  made: MadeBars | null;
};
