import { bracketOf } from '@/core/job/made/bracketParts';
import { bodyAt } from '@/core/job/made/parts';
import type { Job } from '@/core/job/jobSchema';
import type { HoldPoint } from '@/core/job/slices/fields';
import { linksOf } from '@/core/rig/members/members';
import { heldPoints } from './held';

/** What is fastened of a member, where the job keeps its state. */
export type Joint = { member: string; bracket: HoldPoint };

/** How something is fastened: a bracket of a bar as it is made; mounts of a sway bar by their bolts; all else as the job's own make or its kit goes on. */
export function fastening(job: Job, { member, bracket }: Joint): 'welded' | 'bolted' {
  const link = linksOf(job.rig).find(({ id }) => id === member);
  if (link && (bracket === 'frame' || bracket === 'axle'))
    return bracketOf(job, link, bodyAt(bracket)).bolted ? 'bolted' : 'welded';
  const point = heldPoints(job, member).find((one) => one.bracket === bracket);
  return (point?.bolted ?? job.plan.make === 'kit') ? 'bolted' : 'welded';
}
