import { layoutEnd, type LayoutId } from '@/core/rig/layouts';
import { mountOwners } from '@/core/rig/mounts';
import { applyReadings } from '@/core/job/applyReadings';
import type { Job } from '@/core/job/jobSchema';
import { withoutMembersWork } from './work';

/**
 * The job laid out anew in another layout, from its pattern: what was typed for the old members goes, and what was made of
 * them; what was measured on the car stays.
 */
export function withLayout(job: Job, layout: LayoutId): Job {
  const fresh = { ...withoutMembersWork(job, mountOwners(job.rig)) };
  delete fresh.placed;
  return applyReadings({
    ...fresh,
    layout,
    laidOut: false,
    rig: { ...job.rig, end: layoutEnd(layout) },
  });
}
