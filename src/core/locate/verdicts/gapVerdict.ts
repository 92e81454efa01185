import type { ClosestApproach } from '@/core/clearance/closestOverTravel';
import { LIMITS } from '@/core/materials/limits';
import { memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Remedy, Verdict } from '@/core/verdict/verdict';
import type { LocateInput } from '../types';
import { sayTravel } from './words';

export const MAKE_ROOM: Remedy = {
  text: 'Move one of the two, bend the bar, or stop the travel earlier.',
};

/** What is to be said about the tightest place between two bodies. @param about the one that is spoken of, if it is one of them */
export function gapVerdict(input: LocateInput, gap: ClosestApproach, tape: Tape, about?: string): Verdict {
  const least = LIMITS.clearance.least;
  const swapped = gap.obstacle === about;
  const [one, other] = (swapped ? [gap.obstacle, gap.member] : [gap.member, gap.obstacle]).map((id) =>
    memberName(id, input.rig.end),
  );
  const place = sayTravel(gap.at, input, tape);
  const far = sayLength(gap.distance, tape);
  const shared = { id: 'clearance', where: `${gap.member} / ${gap.obstacle}, ${place}`, remedies: [] };
  if (gap.distance >= least - 1e-6)
    return {
      ...shared,
      state: 'ok',
      title: 'Clears, bump to droop.',
      reason: `Closest: ${one} to ${other}, ${far}, ${place}. What is not drawn is for your own eyes.`,
    };
  const hits = gap.distance <= 0;
  return {
    ...shared,
    state: hits ? 'stop' : 'look',
    title: hits ? `The ${one} hits the ${other} ${place}.` : `Only ${far} from ${one} to ${other} ${place}.`,
    reason: `Leave at least ${sayLength(least, tape)}: fingers should fit, at every height of the axle.`,
  };
}
