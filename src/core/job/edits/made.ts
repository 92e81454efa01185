import type { Job } from '../jobSchema';
import { without } from './omit';

/** The job with bars said to be there already, so long from eye to eye, mm; null where they are still to be made. */
export function withMade(job: Job, ids: string[], mm: number | null): Job {
  const made = ids.reduce(
    (all, id) => (mm === null ? without(all, id) : { ...all, [id]: mm }),
    job.locate.made ?? {},
  );
  const locate = { ...job.locate, made };
  if (Object.keys(made).length === 0) delete (locate as Partial<typeof locate>).made;
  return { ...job, locate };
}
