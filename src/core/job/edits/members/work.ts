import type { Job } from '@/core/job/jobSchema';
import { without, withoutOwners } from '@/core/job/edits/omit';

/** The job without anything that was typed for some members, or made of them: joints, holes, welds, stripes. The log stays. */
export function withoutMembersWork(job: Job, ids: string[]): Job {
  const { weld, cut } = job;
  return {
    ...job,
    cut: {
      ...cut,
      ...(ids.includes(cut.member ?? '') && { member: undefined }),
      ...(cut.takenOff && { takenOff: { ...cut.takenOff, bars: withoutOwners(cut.takenOff.bars, ids) } }),
    },
    typed: withoutOwners(job.typed, ids),
    ...(job.placed && { placed: withoutOwners(job.placed, ids) }),
    ...(job.accepted && {
      accepted: ids.reduce((kept, id) => without(kept, `joints.${id}`), job.accepted),
    }),
    locate: {
      ...job.locate,
      ...(job.locate.made && { made: withoutOwners(job.locate.made, ids) }),
      ...(job.locate.opens && { opens: withoutOwners(job.locate.opens, ids) }),
    },
    joints: withoutOwners(job.joints, ids),
    holes: withoutOwners(job.holes, ids),
    weld: {
      ...weld,
      joints: withoutOwners(weld.joints, ids),
      measured: withoutOwners(weld.measured, ids),
    },
    stripes: Object.fromEntries(
      Object.entries(job.stripes).filter(([key]) => !ids.some((id) => key.startsWith(`weld.${id}/`))),
    ),
  };
}
