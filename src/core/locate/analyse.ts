import { setInMotion, type MovingRig } from '@/core/kinematics/answer';
import { gravestFirst } from '@/core/verdict';
import { checkLateralBar } from './checks';
import { closestApproaches } from './closest';
import { curvePoint } from './curve';
import { solveStandardLoads } from './loads';
import { checkLateral } from './lateralChecks';
import { describeBar, findLateralBar } from './lateralBar';
import { checkLinks } from './linkChecks';
import { findLinks } from './linkFindings';
import { checkRoom } from './roomChecks';
import { compareSchools } from './schools';
import type { LocateInput, LocateResult } from './types';
import { withoutGaps } from './withoutGaps';

const CURVE_STEPS = 48;
/** Gaps change slowly over the travel: they are looked at on every fourth pose of the curve. */
const GAP_EVERY = 4;

/**
 * Everything Locate shows of one geometry. One pass: ride, the travel curve, the ghosts, the rocker's pose, clearances,
 * schools, loads and verdicts; light enough to follow a dragged mount.
 *
 * @throws InputError when the members cannot hold the axle or be assembled
 */
export function analyseLocate(input: LocateInput): LocateResult {
  const { rig, rocker } = input;
  const moving = setInMotion(withoutGaps(rig));
  const { ride, at } = moving;
  const { curve, ghosts } = travel(input, moving);
  const poses = [...curve, ghosts.leftUp, ghosts.rightUp];
  const gaps = closestApproaches(
    rig,
    poses.filter((_, i) => i % GAP_EVERY === 0 || i > CURVE_STEPS),
  );
  const bar = findLateralBar(rig);
  const links = findLinks(input, ride, poses, bar);
  const found = {
    bar: bar && describeBar(bar),
    ride,
    curve: curve.map(curvePoint),
    ghosts,
    current: at(rocker),
    gaps,
    links,
  };
  return {
    ...found,
    schools: bar && compareSchools(input, bar.id),
    verdicts: gravestFirst(bar ? checkLateralBar(input, found, bar) : checkLateral(input, found)),
    linkVerdicts: gravestFirst(checkLinks(input, links)),
    roomVerdicts: gravestFirst(checkRoom(input, found, bar)),
    loads: solveStandardLoads(input, moving),
  };
}

/** Poses of both wheels together from droop to bump, and of the ends of the travel that the bay ghosts. */
function travel({ bump, droop }: LocateInput, { at }: MovingRig) {
  const curve = Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
    const lift = -droop + ((bump + droop) * i) / CURVE_STEPS;
    return at({ left: lift, right: lift });
  });
  const ghosts = {
    bump: curve[CURVE_STEPS]!,
    droop: curve[0]!,
    leftUp: at({ left: bump, right: -droop }),
    rightUp: at({ left: -droop, right: bump }),
  };
  return { curve, ghosts };
}
