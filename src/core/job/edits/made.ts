import type { Job } from '../jobSchema';
import { told, without } from './omit';

/** The job with bars said to be there already, so long from eye to eye, mm; null where they are still to be made. */
export function withMade(job: Job, ids: string[], mm: number | null): Job {
  const there = withLocate(job, { made: withEach(job.locate.made, ids, mm) });
  return mm === null ? withOpens(there, ids, null) : there;
}

/** The job with such bars said to open to a length, mm; null where they have no thread, or nobody said. */
export const withOpens = (job: Job, ids: string[], mm: number | null): Job =>
  withLocate(job, { opens: withEach(job.locate.opens, ids, mm) });

type Lengths = Job['locate']['made'];

/** Lengths by id with some set, or taken out; undefined where none is left. */
function withEach(lengths: Lengths, ids: string[], mm: number | null): Lengths {
  const all = ids.reduce(
    (left, id) => (mm === null ? without(left, id) : { ...left, [id]: mm }),
    lengths ?? {},
  );
  return Object.keys(all).length ? all : undefined;
}

/** The job with what is known of its weighing with one end lifted changed. */
export const withLifted = (job: Job, change: Partial<NonNullable<Job['locate']['lifted']>>): Job =>
  withLocate(job, { lifted: told(job.locate.lifted, change) });

const withLocate = (job: Job, change: Partial<Job['locate']>): Job => ({
  ...job,
  locate: told(job.locate, change)!,
});
