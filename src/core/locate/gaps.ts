import { memberName } from '@/core/layouts/names';
import { sayLength } from '@/core/units/format';
import type { Remedy, Verdict } from '@/core/verdict';
import { placeInTravel } from './words';
import type { ClosestApproach, LocateInput } from './types';

/** Least gap anywhere in the travel, mm: half an inch, fingers fit (common practice, no published source). */
export const LEAST_CLEARANCE = 12.7;

export const MAKE_ROOM: Remedy = {
  text: 'Move one of the two, bend the bar, or stop the travel earlier.',
};

/** What is to be said about the tightest place between two things. @param about the one that is spoken of, if it is one of them */
export function sayGap(input: LocateInput, gap: ClosestApproach, about?: string): Verdict {
  const { tape } = input;
  const swapped = gap.obstacle === about;
  const [one, other] = (swapped ? [gap.obstacle, gap.member] : [gap.member, gap.obstacle]).map(memberName);
  const place = placeInTravel(gap.at, input);
  const clear = gap.distance >= LEAST_CLEARANCE - 1e-6;
  const far = sayLength(gap.distance, tape);
  const shared = { id: 'clearance', where: `${gap.member} / ${gap.obstacle}, ${place}`, remedies: [] };
  if (clear) {
    return {
      ...shared,
      state: 'ok',
      title: 'Clears, bump to droop.',
      reason: `Closest: ${one} to ${other}, ${far}, ${place}. What is not drawn is for your own eyes.`,
    };
  }
  const hits = gap.distance <= 0;
  return {
    ...shared,
    state: hits ? 'stop' : 'look',
    title: hits ? `The ${one} hits the ${other} ${place}.` : `Only ${far} from ${one} to ${other} ${place}.`,
    reason: `Leave at least ${sayLength(LEAST_CLEARANCE, tape)}: fingers should fit, at every height of the axle.`,
  };
}
