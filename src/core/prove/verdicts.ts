import type { Job } from '@/core/job/jobSchema';
import { FORCE, STRESS } from '@/core/units/unit';
import type { Tape } from '@/core/units/tape';
import { isOfSwayBar } from '@/core/job/made/sway/parts';
import { partName, spokenPart } from '@/core/provenance/inputs';
import { capital } from '@/core/rig/names';
import type { Finding, Remedy, Verdict } from '@/core/verdict/verdict';
import { boltVerdicts } from './faults/boltWays';
import { crossFaults } from './faults/crossFaults';
import { partFaults } from './faults/faults';
import { railHoleVerdicts } from './faults/railHole';
import { swayFaults } from './faults/swayFaults';
import { isShort, isUnderOne, weakestFirst } from './prove';
import { CHECKS, isWeld, type Check, type CheckName, type Failure, type Proof } from './types';

/** What of a part gives way, as the subject of a sentence: of one part, or of several alike. */
const SUBJECT: Record<CheckName, string> = {
  tension: 'the bar itself, pulled,',
  'weld-zone': 'the steel beside the welds',
  column: 'the bar itself, pushed,',
  bent: 'the bend',
  'thread-frame': 'the shank at the frame end',
  'thread-axle': 'the shank at the axle end',
  'strip-frame': 'the thread at the frame end',
  'strip-axle': 'the thread at the axle end',
  'rod-end': 'the rod end',
  'eye-frame': 'the frame end at the pin',
  'eye-axle': 'the axle end at the pin',
  'end-weld-frame': 'the weld of the frame end',
  'end-weld-axle': 'the weld of the axle end',
  'fatigue-end-frame': 'the weld of the frame end, pulled to and fro,',
  'fatigue-end-axle': 'the weld of the axle end, pulled to and fro,',
  'bolt-shear': 'the bolt, sheared,',
  'bolt-bending': 'the bolt, bent,',
  'tear-out': 'the hole’s edge',
  bearing: 'the hole’s wall',
  'net-section': 'the tab at its hole',
  'gross-section': 'the tab beside its hole',
  'root-bending': 'the root of the plates',
  'root-across': 'a plate, bent aside,',
  weld: 'the weld',
  'rail-wall': 'the rail’s wall',
  'fatigue-shank': 'a shank, pulled to and fro,',
  'fatigue-weld': 'the weld, pulled to and fro,',
  'fatigue-toe': 'a plate beside its weld, bent to and fro,',
  brace: 'the brace',
  'link-tension': 'the link itself, pulled,',
  'link-weld-zone': 'the steel beside the welds',
  'link-column': 'the link itself, pushed,',
  'link-shank': 'the shank of an end',
  'link-strip': 'the thread of an end',
  'pin-bar-shear': 'the bolt at the bar, sheared,',
  'pin-bar-bending': 'the bolt at the bar, bent,',
  'pin-foot-shear': 'the bolt at the foot, sheared,',
  'pin-foot-bending': 'the bolt at the foot, bent,',
  'strap-sides': 'a side of the strap',
  'strap-feet': 'a foot of the strap',
  'strap-bolts': 'the bolts, drawn out,',
  'angle-leg': 'the leg under the strap',
  'angle-bolts': 'the bolts of the other leg',
  ear: 'the ear',
  'cross-bending': 'bent and twisted, it',
  'cross-weld': 'a weld at its ends',
  'cross-weld-time': 'a weld at its ends, pulled to and fro,',
};

const GOES: Record<Failure, string> = {
  bends: 'It bends first, and shows it.',
  buckles: 'It folds up.',
  breaks: 'It breaks with little warning.',
  strips: 'The thread strips, and the end comes out.',
  cracks: 'It cracks in time, and does not show it before: look there for cracks at every service.',
};

/** A factor, with as many places as tell it from what is wanted. */
export function sayFactor(factor: number, wanted: number): string {
  if (!Number.isFinite(factor)) return 'without end';
  const scale = Math.abs(factor - wanted) < 0.1 || factor < 0.1 ? 100 : 10;
  // Too little is never rounded up to enough.
  return (Math.floor(factor * scale + 1e-9) / scale).toString();
}

/** What is wanted is never rounded down to what there is. */
export const sayWanted = (wanted: number): string => (Math.ceil(wanted * 10 - 1e-9) / 10).toFixed(1);

export const sayAmount = (value: number, unit: Check['unit'], tape: Tape): string =>
  unit === 'N' ? FORCE.say(value, tape) : STRESS.say(value, tape);

/**
 * What is said of what was proved: each part that is too weak by its weakest check; and of what holds for now, what would go
 * first.
 *
 * @param cures what would make a check hold; without it, that is not looked for
 */
export function proveVerdicts(
  job: Job,
  { checks, bolts }: Proof,
  cures: (check: Check) => Remedy[] = () => [],
): Verdict[] {
  // What cannot be made is wrong whatever pulls at it.
  const made = [
    ...partFaults(job),
    ...swayFaults(job),
    ...crossFaults(job),
    ...boltVerdicts(job, bolts),
    ...railHoleVerdicts(job),
  ];
  if (checks.length === 0) return made;
  const weakest = weakestOfParts(job, checks);
  const weak = weakest.filter(isShort);
  return [
    ...made,
    ...weak.map((check): Verdict => ({ ...weakVerdict(job, check), remedies: cures(check) })),
    ...(weak.length ? [] : [allHold(job, weakest)]),
    ...(checks.some(isUnderOne) ? [] : firstToGo(job, checks)),
  ];
}

/** The weakest check of each part; of a pair that is alike, of the worse of the two. */
function weakestOfParts(job: Job, checks: Check[]): Check[] {
  const first = new Map<string, Check>();
  for (const check of checks) {
    const key = spokenPart(job, check.part);
    const known = first.get(key);
    if (!known || weakestFirst(check, known) < 0) first.set(key, check);
  }
  return [...first.values()].sort(weakestFirst);
}

function weakVerdict(job: Job, check: Check): Omit<Verdict, 'remedies'> {
  const { part, factor, wanted, demand, capacity, unit } = check;
  const state: Finding = isUnderOne(check) ? 'stop' : 'look';
  const name = capital(partName(job, part));
  const say = (value: number) =>
    Number.isFinite(value) ? sayAmount(value, unit, job.tape) : 'more than there is';
  return {
    id: 'strength',
    where: spokenPart(job, part),
    state,
    title: `${name}: ${SUBJECT[check.check]} ${state === 'stop' ? 'does not hold' : 'is weaker than wanted'}.`,
    reason: `“${check.case}” asks ${say(demand)} of it; it has ${say(capacity)}: ${sayFactor(factor, wanted)} times, ${sayWanted(wanted)} wanted. ${GOES[check.fails]}`,
  };
}

function allHold(job: Job, weakest: Check[]): Verdict {
  const [least] = weakest;
  const { part, factor, wanted, check, case: name } = least!;
  return {
    id: 'strength',
    where: spokenPart(job, part),
    state: 'ok',
    title: 'Every bar and bracket holds as often as is wanted.',
    reason: `Nearest to it: the ${partName(job, part)}, ${SUBJECT[check].replace(/, it$|,$/, '')}, ${sayFactor(factor, wanted)} times in “${name}”, ${sayWanted(wanted)} wanted.`,
    remedies: [],
  };
}

/** What a weld breaks at is so much more than what it is allowed: 0.577 of the wire’s strength in shear against 0.3. */
const WELD_BREAKS = 0.577 / 0.3;
/** How many times the load a check’s part really goes at. */
const goesAt = ({ check, factor }: Check): number => (isWeld(check) ? factor * WELD_BREAKS : factor);

/** What of the whole goes first when it is asked too much, which had better be something that bends. */
function firstToGo(job: Job, checks: Check[]): Verdict[] {
  // What a sway bar pulls at does not hold the axle: it may go first.
  const order = checks
    .filter(({ part, fails }) => fails !== 'cracks' && !isOfSwayBar(part))
    .sort((a, b) => goesAt(a) - goesAt(b));
  const [first] = order;
  if (!first) return [];
  const bends = order.find(({ fails }) => fails === 'bends' || fails === 'buckles');
  const sudden = first.fails === 'breaks' || first.fails === 'strips';
  return [
    {
      id: 'first-to-go',
      where: spokenPart(job, first.part),
      state: sudden ? 'look' : 'ok',
      title: sudden
        ? 'Asked too much, it breaks before anything bends.'
        : 'Asked too much, it bends before anything breaks.',
      reason: `First the ${partName(job, first.part)}: ${CHECKS[first.check].toLowerCase()}, at ${sayFactor(goesAt(first), Infinity)} times “${first.case}”.${
        sudden && bends
          ? ` What bends, the ${partName(job, bends.part)}, does so at ${sayFactor(goesAt(bends), Infinity)} times only. A part that bends is found at the next look; one that breaks lets the axle go.`
          : ''
      }`,
      remedies: [],
    },
  ];
}
