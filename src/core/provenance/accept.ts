import type { Job } from '@/core/job/jobSchema';
import { marked, withPlaced } from '@/core/job/placed';
import type { Input, InputId } from './inputs';

/** What a builder can say is right as it stands. What must be read, weighed or looked up is not settled by saying so. */
const ACCEPTABLE = /^(mount|size|joints|lock|tube|barEnds|bar|bracket|shiftLimit)\b/;

export const isAcceptable = ({ id }: Pick<Input, 'id'>): boolean => ACCEPTABLE.test(id);

/** The job with guessed inputs taken as right: mounts stay where they are drawn, usual values count as typed. */
export function withAccepted(job: Job, ids: InputId[]): Job {
  const mounts = ids.filter((id) => id.startsWith('mount.'));
  const others = ids.filter((id) => !id.startsWith('mount.'));
  const placed = mounts.length
    ? withPlaced(
        job,
        mounts.map((id) => id.slice('mount.'.length)),
      )
    : job;
  return { ...placed, accepted: marked([...Object.keys(job.accepted ?? {}), ...others]) };
}
