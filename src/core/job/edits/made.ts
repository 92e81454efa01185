import type { Job } from '../jobSchema';
import { told, without } from './omit';

/** The job with bars said to be there already, so long from eye to eye, mm; null where they are still to be made. */
export function withMade(job: Job, ids: string[], mm: number | null): Job {
  const made = ids.reduce(
    (all, id) => (mm === null ? without(all, id) : { ...all, [id]: mm }),
    job.locate.made ?? {},
  );
  return withLocate(job, { made: Object.keys(made).length ? made : undefined });
}

/** The job with what is known of its weighing with one end lifted changed. */
export const withLifted = (job: Job, change: Partial<NonNullable<Job['locate']['lifted']>>): Job =>
  withLocate(job, { lifted: told(job.locate.lifted, change) });

const withLocate = (job: Job, change: Partial<Job['locate']>): Job => ({
  ...job,
  locate: told(job.locate, change)!,
});
