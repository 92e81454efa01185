import { solveStandardLoads } from '@/core/balance/standardLoads';
import type { Looking } from '@/core/clearance/clearance';
import { closestApproaches, type ClosestApproach } from '@/core/clearance/closestOverTravel';
import { tightApproaches } from '@/core/clearance/tightOverTravel';
import { assemble, type Mechanism } from '@/core/kinematics/mechanism';
import { misalignment } from '@/core/kinematics/misalignment';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { LIMITS } from '@/core/materials/limits';
import { describeBar } from '@/core/rig/lateralBar';
import { lateralBarOf } from '@/core/rig/roles';
import { linksOf } from '@/core/rig/members/members';
import { BODY_IDS, type Rig } from '@/core/rig/schema';
import { curesOf } from './remedies/cures';
import { leafGive } from './leafGive';
import { lineFindings } from './lines';
import { madeBars } from './made/standWith';
import { findLinks } from './linkFindings';
import { compareSchools } from './schools';
import { curvePoint } from './travel/travelCurve';
import {
  FOLLOWED,
  flopsOf,
  isTight,
  whileDriven,
  type Gap,
  type LocateInput,
  type LocateResult,
} from './types';

const CURVE_STEPS = 48;
/** Gaps change slowly over the travel: they are looked at on every fourth pose of the curve, and so often on each way of rolling. */
const GAP_EVERY = 4;
const GAP_STEPS = 4;

/**
 * Everything Locate works out of one geometry, with what would mend what it finds.
 *
 * @throws InputError when the members cannot hold the axle or be assembled
 */
export function analyseLocate(input: LocateInput): LocateResult {
  const found = findLocate(input);
  return { ...found, cures: curesOf(input, found) };
}

/**
 * What Locate finds of one geometry, in one pass: ride, the travel curve, the ghosts, the rocker's pose, gaps, schools, loads; light
 * enough to follow a dragged mount, as what would mend it is not tried.
 *
 * @throws InputError when the members cannot hold the axle or be assembled
 */
export function findLocate(input: LocateInput): LocateResult & { cures: null } {
  const { rig, rocker } = input;
  const mechanism = assemble(rig);
  const { ride, at } = mechanism;
  const { poses: overTravel, ghosts } = travelled(input, mechanism);
  const poses = [...overTravel, ghosts.leftUp, ghosts.rightUp];
  const driving = whileDriven(input);
  const parks = driving.bump < input.bump;
  const over = parks ? travelled(driving, mechanism) : { poses: overTravel, ghosts };
  const everywhere = [...overTravel.filter((_, i) => i % GAP_EVERY === 0), ...rolledPoses(input, mechanism)];
  const bar = lateralBarOf(rig);
  const curve = overTravel.map(curvePoint);
  const driven = parks ? over.poses.map(curvePoint) : curve;
  return {
    bar: bar && describeBar(bar),
    ride,
    curve,
    driven,
    ghosts,
    current: at(rocker),
    gaps: gapsOver(input, everywhere),
    links: findLinks(input, ride, poses, [...over.poses, over.ghosts.leftUp, over.ghosts.rightUp]),
    schools: bar && compareSchools(driving, bar.id),
    cures: null,
    lines: lineFindings(input.lines, rig, everywhere, input.lock),
    leafGive: leafGive(input),
    loads: solveStandardLoads(mechanism, { use: input.use, ...input.loads }),
    made: madeBars(rig, input),
  };
}

/** The ways of the travel beside both wheels together: one up as the other drops, and one alone. */
const ROLLS = [
  [1, -1],
  [-1, 1],
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

function rolledPoses({ bump, droop }: LocateInput, { at }: Mechanism): SweptPose[] {
  const reach = (way: number) => (way > 0 ? bump : way < 0 ? -droop : 0);
  return ROLLS.flatMap(([left, right]) =>
    Array.from({ length: GAP_STEPS }, (_, i) => {
      const share = (i + 1) / GAP_STEPS;
      return at({ left: share * reach(left), right: share * reach(right) });
    }),
  );
}

/** Whether a gap is spoken of with the bar across the car, or with everything else that needs room. */
const spokenOfWith = (rig: Rig): ((a: string, b: string) => string) => {
  const bar = lateralBarOf(rig)?.id;
  return (a, b) => (a === bar || b === bar ? 'bar' : 'rest');
};

/**
 * The tightest place of each pair of bodies that gets tight over heave, roll and one wheel, steered to either side where that can be;
 * and of the bar across and of all else the closest pair, where that is not tight.
 */
function gapsOver(input: LocateInput, poses: SweptPose[]): Gap[] {
  const { rig, lock } = input;
  const group = spokenOfWith(rig);
  const flops = flopsOf(input);
  const tight = (looking: Pick<Looking, 'lockDeg' | 'only'>) =>
    tightApproaches(rig, poses, { ...looking, flops }, { within: LIMITS.clearance.least, group });
  // Once they are steered, it is the tyres that come near to something; all else is as it was.
  const tires: string[] = Object.values(BODY_IDS.tire);
  const only = (a: string, b: string) => tires.includes(a) || tires.includes(b);
  const locks = lock === null ? [] : [lock, -lock];
  const gaps = [...tight({}), ...locks.flatMap((lockDeg) => tight({ lockDeg, only }))].sort(
    (a, b) => a.distance - b.distance,
  );
  const firstOf = (key: (gap: ClosestApproach) => string) =>
    new Set(new Map(gaps.map((gap) => [key(gap), gap] as const).reverse()).values());
  const ofPairs = firstOf(({ a, b }) => `${a}\n${b}`);
  const ofGroups = firstOf(({ a, b }) => group(a, b));
  return gaps
    .filter((gap) => ofGroups.has(gap) || (isTight(gap) && ofPairs.has(gap)))
    .map((gap, i) => (i < FOLLOWED && isTight(gap) ? { ...gap, held: heldBar(input, poses, gap) } : gap));
}

/** The same gap with its bent bar held as it was drawn; nothing where none of the two can roll. */
function heldBar(input: LocateInput, poses: SweptPose[], { a, b, lockDeg }: ClosestApproach) {
  const { rig, joints } = input;
  const rolls = flopsOf(input);
  const bar = linksOf(rig).find(({ id }) => (id === a || id === b) && rolls(id) > 0);
  if (!bar) return undefined;
  const only = (p: string, q: string) => p === a && q === b;
  const { distance } = closestApproaches(rig, poses, { lockDeg, only })[0]!;
  const cocked = poses
    .filter(isReached)
    .map((pose) => misalignment(rig, bar, jointsOf(joints, bar.id), pose));
  const end = (['chassis', 'axle'] as const).find((at) =>
    cocked.every((swing) => swing[at] <= JOINTS.poly.swing),
  );
  return { distance, end: end ?? null };
}

/** Poses of both wheels together from droop to bump, and of the ends of the travel that the bay ghosts. */
function travelled({ bump, droop }: LocateInput, { at }: Mechanism) {
  const poses = Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
    const lift = -droop + ((bump + droop) * i) / CURVE_STEPS;
    return at({ left: lift, right: lift });
  });
  const ghosts = {
    bump: poses[CURVE_STEPS]!,
    droop: poses[0]!,
    leftUp: at({ left: bump, right: -droop }),
    rightUp: at({ left: -droop, right: bump }),
  };
  return { poses, ghosts };
}
