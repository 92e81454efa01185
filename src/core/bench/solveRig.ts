import { rollAnswer, type RollAnswer } from '@/core/balance/rollStiffness';
import { clearancesOf, hasClearances, type Clearance } from '@/core/clearance/clearance';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import { findWarnings, type Warning } from '@/core/locate/warnings';
import { InputError } from '@/core/rig/read';
import type { Rig } from '@/core/rig/schema';
import { solveLoad, type LoadAnswer } from '@/core/statics/equilibrium';

/** As version 1 called the two bodies. */
type FirstClearance = { member: string; obstacle: string; distance: number };
type WithClearance = { clearance?: Clearance[] | FirstClearance[] };

export type Answer = RollAnswer & {
  ride: Pose & WithClearance;
  sweep: (SweptPose & WithClearance)[];
  loads?: LoadAnswer[];
  warnings: Warning[];
};

/**
 * A rig's whole answer: poses at ride height and over its sweep, loads, roll and warnings. The command and the server give it.
 *
 * @throws InputError for a rig that is under-constrained, cannot be assembled, or cannot carry one of its loads
 */
export function solveRig(rig: Rig): Answer {
  const mechanism = assemble(rig);
  const gapsIn = hasClearances(rig) ? clearancesOf(rig) : null;
  const told = (gaps: Clearance[]) => (rig.version === 1 ? gaps.map(asFirst) : gaps);
  // Set on the pose itself, which was made for this answer: a long sweep is not copied.
  const withGaps = <P extends SweptPose>(pose: P): P & WithClearance =>
    gapsIn && isReached(pose) ? Object.assign(pose, { clearance: told(gapsIn(pose)) }) : pose;
  const answer: Answer = {
    ride: withGaps(mechanism.ride),
    sweep: (rig.sweep ?? []).map((travel) => withGaps(mechanism.at(travel))),
    ...rollAnswer(rig, mechanism),
    warnings: findWarnings(rig),
  };
  if (rig.loads) answer.loads = rig.loads.map((load, i) => carried(solveLoad(mechanism, load), i));
  return answer;
}

const asFirst = ({ a, b, distance }: Clearance): FirstClearance => ({ member: a, obstacle: b, distance });

function carried(answer: LoadAnswer | null, index: number): LoadAnswer {
  if (answer) return answer;
  throw new InputError(`loads[${index}]`, 'the members and springs cannot carry it; check the spring seats');
}
