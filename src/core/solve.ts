import { setInMotion } from '@/core/kinematics/answer';
import type { Pose, SweptPose } from '@/core/kinematics/pose';
import { findWarnings, type Warning } from '@/core/locate/warnings';
import { rollOf, type RollAnswer } from '@/core/roll/roll';
import { InputError } from '@/core/rig/read';
import type { Rig } from '@/core/rig/schema';
import type { LoadAnswer } from '@/core/statics/loads';

export type Answer = RollAnswer & {
  ride: Pose;
  sweep: SweptPose[];
  loads?: LoadAnswer[];
  warnings: Warning[];
};

/**
 * Solves a rig at ride height and over its sweep, its loads and its warnings. The command and the server answer with it.
 *
 * @throws InputError for a rig that is under-constrained, cannot be assembled, or cannot carry one of its loads
 */
export function solveRig(rig: Rig): Answer {
  const moving = setInMotion(rig);
  const { ride, at, under } = moving;
  const answer: Answer = {
    ride,
    sweep: (rig.sweep ?? []).map(at),
    ...rollOf(rig, moving),
    warnings: findWarnings(rig),
  };
  if (rig.loads) answer.loads = rig.loads.map((load, i) => carried(under(load), i));
  return answer;
}

function carried(answer: LoadAnswer | null, index: number): LoadAnswer {
  if (answer) return answer;
  throw new InputError(`loads[${index}]`, 'the members and springs cannot carry it; check the spring seats');
}
