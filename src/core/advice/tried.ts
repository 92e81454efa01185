import type { Job } from '@/core/job/jobSchema';
import { LIMITS } from '@/core/materials/limits';
import { memberName } from '@/core/rig/names';
import { orNone } from '@/core/rig/read';
import { withRemedy } from '@/core/verdict/remedy';
import { aboutOf, asClause, type Judged, type Remedy } from '@/core/verdict/verdict';
import { effectsOf, type Effect } from './effects';
import { gravities, lookAt, RANK, type Look, type Numbers } from './look';
import type { Trade } from './trade';

/**
 * What came of a remedy when it was tried: whether the verdict it is for gets better and none gets worse; what it would spoil, in
 * words; what else it changes. `trade`: what each step is worth, of one that is only to be weighed.
 */
export type Tried = {
  remedy: Remedy;
  helps: boolean;
  spoils: string[];
  effects: Effect[];
  trade?: Trade | null;
};

/** Solves the car with a remedy taken, and looks at all of it again. */
export function tried(
  job: Job,
  before: Look,
  { station, verdict }: { station: string; verdict: Judged },
  remedy: Remedy,
): Tried {
  const after = orNone(() => lookAt(withRemedy(job, remedy), { cures: false }));
  if (!after) return { remedy, helps: false, spoils: ['the axle would not be held'], effects: [] };
  const strength = station === 'prove';
  const [was, is] = [gravities(before, strength), gravities(after, strength)];
  const about = `${station} ${aboutOf(verdict)}`;
  const better = (is.get(about) ?? 0) < (was.get(about) ?? 0);
  // What stops the work is cured even where something that wants a look wants it the more.
  const stops = was.get(about) === RANK.stop;
  const spoils = [
    ...worsened(job, was, is, after),
    ...(stops ? [] : fartherOut(job, before.numbers, after.numbers)),
  ];
  return {
    remedy,
    helps: better && spoils.length === 0,
    spoils: better ? spoils : [],
    effects: effectsOf(before.numbers, after.numbers),
  };
}

/** Something that is graver than it was, in words, and whether it now stops the work. */
export type Graver = { said: string; stops: boolean };

/** What is graver than it was. @param was and is how grave each thing was, and is in `after` */
export const graver = (job: Job, was: Map<string, number>, is: Map<string, number>, after: Look): Graver[] =>
  [...is]
    .filter(([key, rank]) => rank > (was.get(key) ?? 0))
    .map(([key, rank]) => ({ said: saidOf(key, after, job), stops: rank === RANK.stop }));

/** The same in words alone. */
export const worsened = (...of: Parameters<typeof graver>): string[] => graver(...of).map(({ said }) => said);

/** What suits a car of this use, of the numbers that a change of its mounts moves; and by how much one of them is said to be another. */
const SUITS = ({ use, locate }: Job) =>
  [
    { what: 'antiSquat', name: 'anti-squat', range: LIMITS.antiSquat[use], felt: 5 },
    { what: 'rollSteer', name: 'how it steers as it rolls', range: LIMITS.rollSteer, felt: 0.01 },
    { what: 'sideways', name: 'how far the axle goes sideways', range: [0, locate.shiftLimit], felt: 0.4 },
  ] as const;

/** Numbers outside of what suits the car that would go farther out, in words: a grave thing made graver, though it is called the same. */
export function fartherOut(job: Job, before: Numbers, after: Numbers): string[] {
  return SUITS(job).flatMap(({ what, name, range: [least, most], felt }) => {
    const [was, is] = [before[what], after[what]].map((v) =>
      v === null ? 0 : Math.max(0, least - v, v - most),
    ) as [number, number];
    return was > 0 && is > was + felt ? [`${name} is still farther from what suits`] : [];
  });
}

/** What is then said of something, as it begins; a pair of bodies by their names. */
function saidOf(key: string, { said }: Look, { rig }: Job): string {
  const there = said.find(({ station, verdict }) => `${station} ${aboutOf(verdict)}` === key);
  if (there) return asClause(there.verdict.title);
  const [, a = '', b = ''] = /^locate clearance (.*) \/ (.*)$/.exec(key) ?? [];
  return `the ${memberName(a, rig.end)} comes too near to the ${memberName(b, rig.end)}`;
}
