import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import { withPinionAngle } from '@/core/job/edits/pinion';
import type { Job } from '@/core/job/jobSchema';
import type { Remedy } from './verdict';

/** Whether a remedy can be carried out with one touch; others are only read. */
export const canBeTaken = ({ changes, roll, pinionDeg }: Remedy): boolean =>
  changes !== undefined || roll !== undefined || pinionDeg !== undefined;

/** The job with a remedy taken. */
export function withRemedy(job: Job, { changes, roll, pinionDeg }: Remedy): Job {
  const moved = changes ? withMounts(job, changes) : job;
  const turned = pinionDeg === undefined ? moved : withPinionAngle(moved, pinionDeg);
  return roll ? withRoll(turned, roll) : turned;
}
