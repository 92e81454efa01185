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
export function madeVerdict({ rig, opens }: LocateInput, found: MadeBars | null, tape: Tape): Verdict | null {
  if (!found) return null;
  const { stand } = found;
  const longer = groups(found.longer, tape);
  const remedies = eyesThatSuit(rig, found.longer, longer, opens, tape);
  const reason = (more: string[]) =>
    sentences([...more, sayLonger(rig, longer, tape), sayOpened(rig, found, tape)]);
  const shared = { id: 'made', where: 'axle' };
  if (!stand)
    return {
      ...shared,
      state: 'stop',
      title: 'The bars you have cannot be bolted up with the mounts as drawn.',
      reason: reason([]),
      remedies,
    };
  const off = asides(stand, rig, tape);
  if (off.length === 0)
    return {
      ...shared,
      state: 'ok',
      title: 'The bars you have put the axle where it is drawn.',
      reason: reason(
        longer.length ? ['It stands within a line or two'] : found.opened.length ? [] : [AS_DRAWN],
      ),
      remedies: [],
    };
  return {
    ...shared,
    state: 'look',
    title: `With the bars you have, the axle stands ${off.join(', ')}.`,
    reason: reason(['Against where it is drawn, at ride height']),
    remedies,
  };
}

const AS_DRAWN = 'Each is as long as it is drawn';
const sentences = (said: string[]): string =>
  said
    .filter((one) => one !== '')
    .map((one) => `${one}.`)
    .join(' ');

/** How far bars with thread are wound out, what they have left, and where the axle stands with them wound in. */
function sayOpened(rig: Rig, { opened, closed }: MadeBars, tape: Tape): string {
  if (opened.length === 0) return '';
  const out = groups(opened, tape).map(
    ({ ids, by }) => `${nameOf(ids, rig)} ${sayLength(by, tape)}, ${sayLeft(opened, ids, tape)}`,
  );
  const wound = closed ? asides(closed, rig, tape) : [];
  const told = wound.length ? `; wound in, the axle stands ${wound.join(', ')}` : '';
  return `Wind out the ${out.join('; the ')}${told}`;
}

function sayLeft(opened: MadeBars['opened'], ids: string[], tape: Tape): string {
  const left = Math.min(...opened.filter(({ id }) => ids.includes(id)).map((one) => one.left));
  return left < division(tape) / 2 ? 'as far as it goes' : `${sayLength(left, tape)} to spare`;
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
function eyesThatSuit(
  rig: Rig,
  each: MadeBars['longer'],
  longer: Longer,
  opens: Record<string, number>,
  tape: Tape,
): Remedy[] {
  const bars = linksOf(rig).flatMap((bar) => {
    const one = each.find(({ id }) => id === bar.id);
    return one ? [{ bar, length: distance(bar.chassis, bar.axle) + one.by }] : [];
  });
  const moved = (['chassis', 'axle'] as const).flatMap((end): Remedy[] => {
    const suit = bars.map(({ bar, length }) => eyeToSuit(bar, end, length));
    if (suit.some((changes) => changes === null)) return [];
    const changes = suit.flatMap((c) => c!);
    const far = longer.map(({ ids }) => `${nameOf(ids, rig)} ${sayMoved(rig, changes, ids[0]!, tape)}`);
    return [
      { text: `Let the ${end === 'axle' ? 'axle' : 'frame'} eyes give way: ${far.join(', ')}`, changes },
    ];
  });
  // A bar that is said to open to a length is wound as far as it goes already.
  const unsaid = longer.filter(({ ids }) => ids.some((id) => opens[id] === undefined));
  const set = unsaid.map(
    ({ ids, by }) => `${nameOf(ids, rig)} ${sayLength(Math.abs(by), tape)} ${by > 0 ? 'shorter' : 'longer'}`,
  );
  return [
    ...moved,
    ...(set.length
      ? [{ text: `Or set the bars to the lengths drawn, where they have thread for it: ${set.join(', ')}.` }]
      : []),
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
