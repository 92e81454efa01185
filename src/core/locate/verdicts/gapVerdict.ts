import { ownObstacles } from '@/core/job/jobValues';
import { LIMITS } from '@/core/materials/limits';
import { linksOf } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import type { Rig, Travel } from '@/core/rig/schema';
import { sayLength, sayPast } from '@/core/units/length';
import { downToLine, type Tape } from '@/core/units/tape';
import { whereAt, type Remedy, type Verdict } from '@/core/verdict/verdict';
import { isTight, type Gap, type HeldBar, type LocateCures, type LocateInput } from '../types';
import { sayLock, sayTravel } from './words';

/** What nobody has entered, and was not looked at. */
function unlooked({ rig, lines }: LocateInput): string {
  const not = [
    ...(ownObstacles(rig).length
      ? []
      : ['exhaust, tank and whatever else is under there (nothing is drawn)']),
    ...(lines.length ? [] : ['brake hoses, lines and cables (none is entered)']),
  ];
  return not.length ? `Not checked: ${not.join('; ')}.` : 'What is not drawn is for your own eyes.';
}

/** What is to be said of a bent bar that can turn about its eyes. */
function saidOfRolling({ held, distance }: Gap, tape: Tape): string {
  if (!held || held.distance - distance < 0.5) return '';
  const left = held.distance > 0 ? `${sayLength(held.distance, tape)} is left` : 'it hits still';
  return ` The bent bar can roll about its own two ends as far as their joints swing; held as it is drawn, ${left}.`;
}

/** What is to be said about the tightest place between two bodies. @param about the one that is spoken of, if it is one of them */
export function gapVerdict(input: LocateInput, gap: Gap, tape: Tape, about?: string): Verdict {
  const least = LIMITS.clearance.least;
  const swapped = gap.b === about;
  const [one, other] = (swapped ? [gap.b, gap.a] : [gap.a, gap.b]).map((id) => memberName(id, input.rig.end));
  const place = `${sayTravel(gap.at, input, tape)}${sayLock(gap)}`;
  const far = isTight(gap) ? sayPast(gap.distance, least, tape) : sayLength(gap.distance, tape);
  const shared = { id: 'clearance', where: whereAt(`${gap.a} / ${gap.b}`, place), remedies: [] };
  if (!isTight(gap))
    return {
      ...shared,
      state: 'ok',
      title: 'Clears, bump to droop.',
      reason: `Closest: ${one} to ${other}, ${far}, ${place}. ${unlooked(input)}`,
    };
  const hits = gap.distance <= 0;
  return {
    ...shared,
    state: hits ? 'stop' : 'look',
    title: hits
      ? `The ${one} hits the ${other} ${place}.`
      : far === sayLength(0, tape)
        ? `Hardly any room from ${one} to ${other} ${place}.`
        : `Only ${far} from ${one} to ${other} ${place}.`,
    reason: `Leave at least ${sayLength(least, tape)}: fingers should fit, at every height of the axle.${saidOfRolling(gap, tape)}`,
  };
}

/** A soft bushing at the end that swings little enough for one, where the bar then clears. */
function holdFromRolling(held: HeldBar | undefined): Remedy[] {
  if (!held?.end || held.distance < LIMITS.clearance.least - 1e-6) return [];
  const end = held.end === 'axle' ? 'axle' : 'frame';
  return [
    { text: `Or a soft bushing at its ${end} end, which cannot roll: held as it is drawn, the bar clears.` },
  ];
}

/** What makes room between two bodies: one of them moved, or bent where it is a bar. */
export const makeRoom = ({ a, b }: Gap, rig: Rig): Remedy => ({
  text: linksOf(rig).some(({ id }) => id === a || id === b)
    ? 'Move one of the two, or bend the bar.'
    : 'Move one of the two.',
});

/** What makes do where nothing is moved: a bar that cannot roll; or a travel that ends where there still is some room. */
export function makeDo({ a, b, held }: Gap, cures: LocateCures | null, tape: Tape): Remedy[] {
  const hold = holdFromRolling(held);
  const until = cures?.until.find((of) => of.a === a && of.b === b);
  if (!until?.stop) return hold;
  const { end, mm } = until.stop;
  const at = sayLength(downToLine(mm, tape), tape);
  const least = sayLength(LIMITS.clearance.least, tape);
  const touch = until.touch ? ` They touch with a wheel ${sayWheel(until.touch, tape)}.` : '';
  const stop = end === 'bump' ? `set the bump stops at ${at} up` : `stop the droop at ${at}`;
  return [...hold, { text: `Or ${stop}: ${least} is left then, in heave and roll.${touch}` }];
}

/** How far the wheel that moves most has gone, and which way. */
function sayWheel({ left, right }: Travel, tape: Tape): string {
  const most = Math.abs(left) >= Math.abs(right) ? left : right;
  return `${sayLength(Math.abs(most), tape)} ${most > 0 ? 'up' : 'down'}`;
}
