import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import { withParts } from '@/core/job/edits/parts/parts';
import { withPinionAngle } from '@/core/job/edits/pinion';
import type { Job } from '@/core/job/jobSchema';
import type { Remedy } from './verdict';

/** Whether a remedy can be carried out with one touch; others are only read. */
export const canBeTaken = ({ changes, roll, pinionDeg, parts }: Remedy): boolean =>
  [changes, roll, pinionDeg, parts].some((part) => part !== undefined);

/** The job with a remedy taken. */
export function withRemedy(job: Job, { changes, roll, pinionDeg, parts }: Remedy): Job {
  const moved = changes ? withMounts(job, changes) : job;
  const turned = pinionDeg === undefined ? moved : withPinionAngle(moved, pinionDeg);
  const rolled = roll ? withRoll(turned, roll) : turned;
  return parts ? withParts(rolled, parts) : rolled;
}
