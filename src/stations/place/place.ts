import { enter } from '@/store/jobStore';
import type { Job } from '@/core/job/jobSchema';

/** Changes what is known of the axle's place by something that was typed. */
export const putPlace = (
  field: string,
  typed: string | null,
  change: (p: Job['place']) => Partial<Job['place']>,
) => enter(field, typed, (job) => ({ ...job, place: { ...job.place, ...change(job.place) } }));
