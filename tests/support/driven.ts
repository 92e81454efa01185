import type { Job } from '@/core/job/jobSchema';

/** A car that has been out once. */
export const driven = (job: Job): Job => ({
  ...job,
  drive: {
    ...job.drive,
    outings: [{ id: 'one', at: '2026-05-02T09:00:00.000Z' } as Job['drive']['outings'][number]],
  },
});
