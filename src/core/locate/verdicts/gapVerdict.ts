import type { ClosestApproach } from '@/core/clearance/closestOverTravel';
import { LIMITS } from '@/core/materials/limits';
import { memberName } from '@/core/rig/names';
import type { Travel } from '@/core/rig/schema';
import { sayLength } from '@/core/units/length';
import { downToLine, type Tape } from '@/core/units/tape';
import type { Remedy, Verdict } from '@/core/verdict/verdict';
import type { Gap, LocateInput } from '../types';
import { sayLock, sayTravel } from './words';

export const MAKE_ROOM: Remedy = { text: 'Move one of the two, or bend the bar.' };

/** What is to be said about the tightest place between two bodies. @param about the one that is spoken of, if it is one of them */
export function gapVerdict(input: LocateInput, gap: ClosestApproach, tape: Tape, about?: string): Verdict {
  const least = LIMITS.clearance.least;
  const swapped = gap.b === about;
  const [one, other] = (swapped ? [gap.b, gap.a] : [gap.a, gap.b]).map((id) => memberName(id, input.rig.end));
  const place = `${sayTravel(gap.at, input, tape)}${sayLock(gap)}`;
  const far = sayLength(gap.distance, tape);
  const shared = { id: 'clearance', where: `${gap.a} / ${gap.b}, ${place}`, remedies: [] };
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

/** What makes room: something moved; or a travel that ends where there still is some. */
export function roomRemedies({ until }: Gap, tape: Tape): Remedy[] {
  if (!until?.stop) return [MAKE_ROOM];
  const { end, mm } = until.stop;
  const at = sayLength(downToLine(mm, tape), tape);
  const least = sayLength(LIMITS.clearance.least, tape);
  const touch = until.touch ? ` They touch with a wheel ${sayWheel(until.touch, tape)}.` : '';
  const stop = end === 'bump' ? `set the bump stops at ${at} up` : `stop the droop at ${at}`;
  return [MAKE_ROOM, { text: `Or ${stop}: ${least} is left then, in heave and roll.${touch}` }];
}

/** How far the wheel that moves most has gone, and which way. */
function sayWheel({ left, right }: Travel, tape: Tape): string {
  const most = Math.abs(left) >= Math.abs(right) ? left : right;
  return `${sayLength(Math.abs(most), tape)} ${most > 0 ? 'up' : 'down'}`;
}
