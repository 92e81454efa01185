import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { assemble, type Mechanism } from '@/core/kinematics/mechanism';
import { describeBar } from '@/core/rig/lateralBar';
import { lateralBarOf } from '@/core/rig/roles';
import { lateralRemedies } from './lateralRemedies';
import { findLinks } from './linkFindings';
import { solveStandardLoads } from './loads';
import { compareSchools } from './schools';
import { curvePoint, mostSideways } from './travelCurve';
import type { LocateInput, LocateResult } from './types';

const CURVE_STEPS = 48;
/** Gaps change slowly over the travel: they are looked at on every fourth pose of the curve. */
const GAP_EVERY = 4;

/**
 * Everything Locate works out of one geometry, in one pass: ride, the travel curve, the ghosts, the rocker's pose, gaps, schools,
 * loads, findings; light enough to follow a dragged mount.
 *
 * @throws InputError when the members cannot hold the axle or be assembled
 */
export function analyseLocate(input: LocateInput): LocateResult {
  const { rig, rocker } = input;
  const mechanism = assemble(rig);
  const { ride, at } = mechanism;
  const { poses: overTravel, ghosts } = travelled(input, mechanism);
  const poses = [...overTravel, ghosts.leftUp, ghosts.rightUp];
  const gaps = closestApproaches(
    rig,
    poses.filter((_, i) => i % GAP_EVERY === 0 || i > CURVE_STEPS),
  );
  const bar = lateralBarOf(rig);
  const curve = overTravel.map(curvePoint);
  const closest = gaps.find((g) => g.member === bar?.id || g.obstacle === bar?.id);
  return {
    bar: bar && describeBar(bar),
    ride,
    curve,
    ghosts,
    current: at(rocker),
    gaps,
    links: findLinks(input, ride, poses),
    schools: bar && compareSchools(input, bar.id),
    remedies: bar && lateralRemedies(input, mechanism, bar, mostSideways(curve), closest),
    loads: solveStandardLoads(input, mechanism),
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
