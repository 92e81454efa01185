import type { Job } from '@/core/job/jobSchema';
import { coordinateNow, type MountChange } from '@/core/rig/mounts';
import { canBeTaken } from '@/core/verdict/remedy';
import { aboutOf, asClause, type Judged, type Remedy } from '@/core/verdict/verdict';
import { curesFor } from './cures';
import { inHoles } from './holes';
import { lookAt, type Look } from './look';
import { tradeOf } from './trade';
import { tried, type Tried } from './tried';

/**
 * What is advised about one verdict: remedies that were tried, help, and spoil nothing; those that help at a price, which is said; and
 * what can only be read. `searched`: how many changes were tried where it has no remedy of its own.
 */
export type Advice = {
  station: string;
  about: string;
  offered: Tried[];
  priced: Tried[];
  read: Remedy[];
  searched: number;
};

/** So many ways are offered, and so many at a price. */
const MOST = { offered: 3, priced: 2 };
/** So many cures are enough. */
const ENOUGH = 2;
const NONE = { cures: [], among: 0 };

/** Tries everything that might be advised about what wants a look or stops the work. */
export function adviseOn(job: Job, look: Look = lookAt(job)): Advice[] {
  const open = look.said.filter(({ verdict }) => verdict.would !== 'ok');
  const advice = withoutOpposites(
    open.map((said) => adviceOn(job, look, said)),
    open.map(({ verdict }) => verdict),
    job,
  );
  return advice.map((one) => ({
    ...one,
    priced: one.priced.map((way) => ({ ...way, trade: tradeOf(job, look, way.remedy) })),
  }));
}

function adviceOn(job: Job, look: Look, said: Look['said'][number]): Advice {
  const { verdict, station } = said;
  const own = verdict.remedies
    .filter(canBeTaken)
    .map((remedy) => tried(job, look, said, inHoles(job, remedy)));
  const { cures, among } = own.some(({ helps }) => helps) ? NONE : curesFor(job, verdict.id);
  const all = [...own, ...search(job, look, said, cures)];
  return {
    station,
    about: aboutOf(verdict),
    offered: all.filter(({ helps }) => helps).slice(0, MOST.offered),
    priced: all.filter(({ helps, spoils }) => !helps && spoils.length > 0).slice(0, MOST.priced),
    read: verdict.remedies.filter((remedy) => !canBeTaken(remedy)),
    searched: among,
  };
}

/** What a remedy moves, in one word: two of the same are more or less of one. */
const movedBy = ({ changes = [] }: Remedy): string =>
  changes
    .map(({ member, end, axis }) => `${member}/${end}/${axis}`)
    .sort()
    .join(' ');

/** Cures that are looked for, least change first, until enough unlike ones are found; of those at a price the first alone. */
function search(job: Job, look: Look, said: Look['said'][number], cures: Remedy[]): Tried[] {
  const helping: Tried[] = [];
  let priced: Tried | null = null;
  for (const remedy of cures) {
    if (helping.length >= ENOUGH) break;
    if (helping.some((other) => movedBy(other.remedy) === movedBy(remedy))) continue;
    const one = tried(job, look, said, remedy);
    if (one.helps) helping.push(one);
    else if (one.spoils.length > 0) priced ??= one;
  }
  return [...helping, ...(helping.length === 0 && priced ? [priced] : [])];
}

/** Remedies of two verdicts that move one mount opposite ways are no remedies: each is told with what it works against. */
function withoutOpposites(advice: Advice[], verdicts: Judged[], job: Job): Advice[] {
  const against = (one: Tried, index: number): Judged | undefined => {
    const other = advice.findIndex(
      ({ offered }, i) => i !== index && offered.some((o) => areOpposite(one, o, job)),
    );
    return verdicts[other];
  };
  return advice.map((said, i) => {
    const opposed = said.offered.map((one) => ({ one, other: against(one, i) }));
    return {
      ...said,
      offered: opposed.filter(({ other }) => !other).map(({ one }) => one),
      priced: [
        ...said.priced,
        ...opposed
          .flatMap(({ one, other }) =>
            other ? [{ ...one, helps: false, spoils: [`it works against “${asClause(other.title)}”`] }] : [],
          )
          .slice(0, 1),
      ].slice(0, MOST.priced),
    };
  });
}

function areOpposite(one: Tried, other: Tried, job: Job): boolean {
  const way = (change: MountChange): number =>
    Math.sign(change.mm - (coordinateNow(job.rig, change) ?? change.mm));
  return (one.remedy.changes ?? []).some((a) =>
    (other.remedy.changes ?? []).some(
      (b) => a.member === b.member && a.end === b.end && a.axis === b.axis && way(a) * way(b) < 0,
    ),
  );
}
