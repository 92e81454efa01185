import { setInMotion } from '@/core/kinematics/answer';
import { checkLateralBar } from './checks';
import { describeBar, findLateralBar } from './lateralBar';
import { closestApproach } from './closest';
import { curvePoint } from './curve';
import { checkLinks } from './linkChecks';
import { findLinks } from './linkFindings';
import { compareSchools } from './schools';
import type { LocateInput, LocateResult } from './types';

const CURVE_STEPS = 48;

/**
 * Everything Locate shows of one geometry. One pass: ride, the travel curve, the ghosts, the rocker's pose, clearances,
 * schools and verdicts; light enough to follow a dragged mount.
 *
 * @throws InputError when the members cannot hold the axle or be assembled
 */
export function analyseLocate(input: LocateInput): LocateResult {
  const { rig, bump, droop, rocker } = input;
  const { ride, at } = setInMotion(rig);
  const member = findLateralBar(rig);
  const curve = Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
    const lift = -droop + ((bump + droop) * i) / CURVE_STEPS;
    return at({ left: lift, right: lift });
  });
  const ghosts = {
    bump: at({ left: bump, right: bump }),
    droop: at({ left: -droop, right: -droop }),
    leftUp: at({ left: bump, right: -droop }),
  };
  const rightUp = at({ left: -droop, right: bump });
  const closest = closestApproach(rig, member.id, [...curve, ghosts.leftUp, rightUp]);
  const links = findLinks(rig, ride, [...curve, ghosts.leftUp, rightUp], member.id);
  const result = {
    links,
    linkVerdicts: checkLinks(input, links),
    bar: describeBar(member),
    ride,
    curve: curve.map(curvePoint),
    ghosts,
    current: at(rocker),
    closest,
    schools: compareSchools(input, member.id),
  };
  return { ...result, verdicts: checkLateralBar(input, result) };
}
