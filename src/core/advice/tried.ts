import type { Job } from '@/core/job/jobSchema';
import { memberName } from '@/core/rig/names';
import { orNone } from '@/core/rig/read';
import { withRemedy } from '@/core/verdict/remedy';
import { aboutOf, asClause, type Judged, type Remedy } from '@/core/verdict/verdict';
import { effectsOf, type Effect } from './effects';
import { gravities, lookAt, type Look } from './look';
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
  const after = orNone(() => lookAt(withRemedy(job, remedy)));
  if (!after) return { remedy, helps: false, spoils: ['the axle would not be held'], effects: [] };
  const [was, is] = [gravities(before), gravities(after)];
  const about = `${station} ${aboutOf(verdict)}`;
  const better = (is.get(about) ?? 0) < (was.get(about) ?? 0);
  const worse = [...is].filter(([key, rank]) => rank > (was.get(key) ?? 0)).map(([key]) => key);
  return {
    remedy,
    helps: better && worse.length === 0,
    spoils: better ? worse.map((key) => saidOf(key, after, job)) : [],
    effects: effectsOf(before.numbers, after.numbers),
  };
}

/** What is then said of something, as it begins; a pair of bodies by their names. */
function saidOf(key: string, { said }: Look, { rig }: Job): string {
  const there = said.find(({ station, verdict }) => `${station} ${aboutOf(verdict)}` === key);
  if (there) return asClause(there.verdict.title);
  const [, a = '', b = ''] = /^locate clearance (.*) \/ (.*)$/.exec(key) ?? [];
  return `the ${memberName(a, rig.end)} comes too near to the ${memberName(b, rig.end)}`;
}
