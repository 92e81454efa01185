import type { Job } from '@/core/job/jobSchema';
import { memberName } from '@/core/rig/names';
import { orNone } from '@/core/rig/read';
import { withRemedy } from '@/core/verdict/remedy';
import { aboutOf, asClause, type Judged, type Remedy } from '@/core/verdict/verdict';
import { gravities, lookAt, type Look, type Numbers } from './look';

/** A number of the car that a remedy changes. */
export type Effect = { what: keyof Numbers; from: number; to: number };

/**
 * What came of a remedy when it was tried: whether the verdict it is for gets better and none gets worse; what it would spoil, in
 * words; what else it changes.
 */
export type Tried = { remedy: Remedy; helps: boolean; spoils: string[]; effects: Effect[] };

/** Changes smaller than these are none. */
const LEAST: Numbers = {
  rollCentre: 1,
  antiSquat: 1,
  rollSteer: 0.005,
  sideways: 0.3,
  frontShare: 0.005,
  lean: 0.05,
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

function effectsOf(before: Numbers, after: Numbers): Effect[] {
  return (Object.keys(LEAST) as (keyof Numbers)[]).flatMap((what) => {
    const [from, to] = [before[what], after[what]];
    if (from === null || to === null || !Number.isFinite(from) || !Number.isFinite(to)) return [];
    return Math.abs(to - from) < LEAST[what]! ? [] : [{ what, from, to }];
  });
}
