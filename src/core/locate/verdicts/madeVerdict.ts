import { LIMITS } from '@/core/materials/limits';
import { distance } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';
import { withMount, type MountChange } from '@/core/rig/mounts';
import { groupName } from '@/core/rig/names';
import type { Rig } from '@/core/rig/schema';
import { formatDegrees, sayLength } from '@/core/units/length';
import { division, type Tape } from '@/core/units/tape';
import type { Remedy, Verdict } from '@/core/verdict/verdict';
import { eyeToSuit, type AxleStand, type MadeBars } from '../made/standWith';
import type { LocateInput } from '../types';

/** Where bars that are there already put the axle, against where it is drawn; and which of their eyes could give way. */
export function madeVerdict({ rig, made }: LocateInput, found: MadeBars | null, tape: Tape): Verdict | null {
  if (!found) return null;
  const { stand } = found;
  const longer = groups(found.longer, tape);
  const shared = { id: 'made', where: 'axle' };
  if (!stand)
    return {
      ...shared,
      state: 'stop',
      title: 'The bars you have cannot be bolted up with the mounts as drawn.',
      reason: `${sayLonger(rig, longer, tape)}.`,
      remedies: eyesThatSuit(rig, made, longer, tape),
    };
  const off = asides(stand, rig, tape);
  if (off.length === 0)
    return {
      ...shared,
      state: 'ok',
      title: 'The bars you have put the axle where it is drawn.',
      reason: longer.length
        ? `${sayLonger(rig, longer, tape)}; it stands within a line or two.`
        : 'Each is as long as it is drawn.',
      remedies: [],
    };
  return {
    ...shared,
    state: 'look',
    title: `With the bars you have, the axle stands ${off.join(', ')}.`,
    reason: `Against where it is drawn, at ride height. ${sayLonger(rig, longer, tape)}.`,
    remedies: eyesThatSuit(rig, made, longer, tape),
  };
}

/** What an axle is off by that counts, in words; nothing where it stands where it is drawn. */
export function asides({ ahead, left, leftAhead, turnedDeg }: AxleStand, { end }: Rig, tape: Tape): string[] {
  const { aside, square, turned } = LIMITS.stands;
  const say = (mm: number, [more, less]: [string, string], least: number) =>
    Math.abs(mm) > least ? [`${sayLength(Math.abs(mm), tape)} ${mm > 0 ? more : less}`] : [];
  const turn = end === 'rear' ? ['nose down', 'nose up'] : ['less caster', 'more caster'];
  return [
    ...say(ahead, ['ahead', 'back'], aside),
    ...say(left, ['to the left', 'to the right'], aside),
    ...say(leftAhead, ['ahead on the left', 'ahead on the right'], square),
    ...(Math.abs(turnedDeg) > turned
      ? [`turned ${formatDegrees(Math.abs(turnedDeg))} ${turn[turnedDeg > 0 ? 0 : 1]}`]
      : []),
  ];
}

/** Bars that are longer by as much: left and right alike are said once. */
type Longer = { ids: string[]; by: number }[];

function groups(longer: MadeBars['longer'], tape: Tape): Longer {
  const line = division(tape) / 8;
  const out: Longer = [];
  for (const { id, by } of longer) {
    const like = out.find((g) => groupName([g.ids[0]!, id]) !== null && Math.abs(g.by - by) < line);
    if (like) like.ids.push(id);
    else out.push({ ids: [id], by });
  }
  return out;
}

const nameOf = (ids: string[], { end }: Rig): string => groupName(ids, end) ?? ids.join(', ');

/** `The lower links are 1/8 in shorter than drawn`. */
const sayLonger = (rig: Rig, longer: Longer, tape: Tape): string =>
  longer
    .map(
      ({ ids, by }, i) =>
        `${i ? 'the' : 'The'} ${nameOf(ids, rig)} ${ids.length > 1 ? 'are' : 'is'} ${sayLength(Math.abs(by), tape)} ${by > 0 ? 'longer' : 'shorter'} than drawn`,
    )
    .join('; ');

/** Eyes moved so that bars fit that are there already: those at the frame, or those at the axle; or the bars set to the lengths drawn. */
function eyesThatSuit(rig: Rig, made: Record<string, number>, longer: Longer, tape: Tape): Remedy[] {
  const bars = linksOf(rig).filter(({ id }) => longer.some(({ ids }) => ids.includes(id)));
  const moved = (['chassis', 'axle'] as const).flatMap((end): Remedy[] => {
    const each = bars.map((bar) => eyeToSuit(bar, end, made[bar.id]!));
    if (each.some((changes) => changes === null)) return [];
    const changes = each.flatMap((c) => c!);
    const far = longer.map(({ ids }) => `${nameOf(ids, rig)} ${sayMoved(rig, changes, ids[0]!, tape)}`);
    return [
      { text: `Let the ${end === 'axle' ? 'axle' : 'frame'} eyes give way: ${far.join(', ')}`, changes },
    ];
  });
  const set = longer.map(
    ({ ids, by }) => `${nameOf(ids, rig)} ${sayLength(Math.abs(by), tape)} ${by > 0 ? 'shorter' : 'longer'}`,
  );
  return [
    ...moved,
    { text: `Or set the bars to the lengths drawn, where they have thread for it: ${set.join(', ')}.` },
  ];
}

/** How far an eye goes, `3/16 in back`, as it mostly goes. */
function sayMoved(rig: Rig, changes: MountChange[], id: string, tape: Tape): string {
  const own = changes.filter(({ member }) => member === id);
  const was = linksOf(rig).find((bar) => bar.id === id)!;
  const is = linksOf(own.reduce(withMount, rig)).find((bar) => bar.id === id)!;
  const end = own[0]!.end as 'chassis' | 'axle';
  const [dx, dy] = [is[end][0] - was[end][0], is[end][1] - was[end][1]];
  const way =
    Math.abs(dx) >= Math.abs(dy) ? (dx > 0 ? 'ahead' : 'back') : dy > 0 ? 'to the left' : 'to the right';
  return `${sayLength(distance(was[end], is[end]), tape)} ${way}`;
}
