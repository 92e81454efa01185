import type { Job } from '../jobSchema';
import { withoutOwners } from './omit';

/** The job without anything that was typed for some members, or made of them: joints, holes, welds, stripes. The log stays. */
export function withoutMembersWork(job: Job, ids: string[]): Job {
  const { weld, cut } = job;
  return {
    ...job,
    cut: ids.includes(cut.member ?? '') ? { ...cut, member: undefined } : cut,
    typed: withoutOwners(job.typed, ids),
    placed: job.placed?.filter((mount) => !ids.includes(mount.split('/')[0]!)),
    accepted: job.accepted?.filter((id) => !ids.some((member) => id === `joints.${member}`)),
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
