import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '../jobSchema';
import { without } from './omit';

export type BodyKey = keyof Job['bodies'];

/** The job with a size of a body, or how it gives, as typed; null: as it usually is. */
export function withBody(job: Job, key: BodyKey, value: number | null): Job {
  const bodies = value === null ? without(job.bodies, key) : { ...job.bodies, [key]: value };
  return withBodies({ ...job, bodies });
}
