import { solveStandardLoads } from '@/core/balance/standardLoads';
import { assemble, type Mechanism } from '@/core/kinematics/mechanism';
import { LIMITS } from '@/core/materials/limits';
import { describeBar } from '@/core/rig/lateralBar';
import { lateralBarOf } from '@/core/rig/roles';
import { curesOf } from './remedies/cures';
import { leafGive } from './leafGive';
import { lineFindings } from './lines';
import { madeBars } from './made/standWith';
import { findLinks } from './linkFindings';
import { compareSchools } from './schools';
import { HEAVES, posesEverywhere, tightPlaces, withHeld } from './tightPlaces';
import { curvePoint } from './travel/travelCurve';
import { whileDriven, type LocateInput, type LocateResult } from './types';

const CURVE_STEPS = 48;
/** Gaps change slowly over the travel: of the curve's poses, so many apart are looked at for them. */
const GAP_EVERY = CURVE_STEPS / HEAVES;

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
  const everywhere = posesEverywhere(
    input,
    mechanism,
    overTravel.filter((_, i) => i % GAP_EVERY === 0),
  );
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
    gaps: withHeld(input, everywhere, tightPlaces(input, everywhere, LIMITS.clearance.least)),
    links: findLinks(input, ride, poses, [...over.poses, over.ghosts.leftUp, over.ghosts.rightUp]),
    schools: bar && compareSchools(driving, bar.id),
    cures: null,
    lines: lineFindings(input.lines, rig, everywhere, input.lock),
    leafGive: leafGive(input),
    loads: solveStandardLoads(mechanism, { use: input.use, ...input.loads }),
    made: madeBars(rig, input),
  };
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
