import type { Job } from '@/core/job/jobSchema';
import { withWays } from './edits';
import { planNow } from './standing';

/** What can be changed of how the work is gone about: bar by bar, or with the axle on rests. */
export const WAYS_OUT = {
  same: (job: Job): Job => withWays(job, { car: 'same' }),
  rests: (job: Job): Job => ({ ...job, place: { ...job.place, holding: 'rests' } }),
} as const;
export type WayOut = keyof typeof WAYS_OUT;

/** How work that goes round can be gone about so that it has an order; each is tried. A bare car has no bars to replace. */
export const waysOut = (job: Job): WayOut[] =>
  (Object.keys(WAYS_OUT) as WayOut[]).filter(
    (way) => (way === 'rests' || job.plan.car !== 'bare') && planNow(WAYS_OUT[way](job)).ok,
  );
