import type { Basis } from '@/core/build/stripes';
import type { Job } from '@/core/job/schema';

export const drawStripe = (job: Job, key: string, basis: Basis): Job => ({
  ...job,
  stripes: { ...job.stripes, [key]: { at: new Date().toISOString(), basis } },
});

export function wipeStripe(job: Job, key: string): Job {
  const { [key]: _wiped, ...stripes } = job.stripes;
  return { ...job, stripes };
}
