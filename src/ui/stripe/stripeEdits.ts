import type { Basis } from '@/core/job/stripes';
import type { Job } from '@/core/job/jobSchema';
import { without } from '@/core/job/edits/omit';

export const drawStripe = (job: Job, key: string, basis: Basis): Job => ({
  ...job,
  stripes: { ...job.stripes, [key]: { at: new Date().toISOString(), basis } },
});

export const wipeStripe = (job: Job, key: string): Job => ({ ...job, stripes: without(job.stripes, key) });
