import { told, without } from '@/core/job/edits/omit';
import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { LINK_ENDS, type LinkEnd } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import type { BuiltEye } from '@/core/job/slices/work/weld';
import { oncePer } from '@/core/numerics/oncePer';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import type { MountChange } from '@/core/rig/mounts';

export const BUILT_AXES = ['ahead', 'left', 'up'] as const;
export type BuiltAxis = (typeof BUILT_AXES)[number];

/** Where an eye was measured to be, mm as at ride height; as designed where it was not measured. */
export const builtEye = ({ weld }: Pick<Job, 'weld'>, link: string, end: LinkEnd): BuiltEye =>
  weld.built?.[mountId(link, end)] ?? {};

/** The job with an eye measured along one of its directions, mm as at ride height; null takes it back. */
export function withBuilt(job: Job, link: string, end: LinkEnd, axis: BuiltAxis, mm: number | null): Job {
  const { built = {} } = job.weld;
  const id = mountId(link, end);
  const eye = told(built[id], { [axis]: mm ?? undefined });
  return { ...job, weld: { ...job.weld, built: eye ? { ...built, [id]: eye } : without(built, id) } };
}

/** Every measured coordinate of a link's eyes, as a change of where it is drawn. */
export function changesOf(job: Pick<Job, 'weld'>, link: LinkMember): MountChange[] {
  return LINK_ENDS.flatMap((end) => {
    const eye = builtEye(job, link.id, end);
    return BUILT_AXES.flatMap((key, axis): MountChange[] => {
      const mm = eye[key];
      return mm === undefined ? [] : [{ member: link.id, end, axis: axis as 0 | 1 | 2, mm }];
    });
  });
}

/** The job with every eye where it was measured, its bars set to what is between them; null where none was measured. */
export const builtJob = (job: Job): Job | null => AS_MEASURED(job, job.weld);

const AS_MEASURED = oncePer((job: Job, weld: Job['weld']): Job | null => {
  const changes = linksOf(job.rig).flatMap((link) => changesOf({ weld }, link));
  return changes.length ? withMounts(job, changes) : null;
});

/** How many eyes were measured where they came out. */
export const eyesMeasured = ({ rig, weld }: Pick<Job, 'rig' | 'weld'>): number =>
  linksOf(rig).flatMap(({ id }) => LINK_ENDS.filter((end) => Object.keys(builtEye({ weld }, id, end)).length))
    .length;

/** The job drawn as a link was built: what was measured becomes the design, and is measured no more. */
export function withBuiltAsDesigned(job: Job, link: LinkMember): Job {
  const changes = changesOf(job, link);
  const { built = {} } = job.weld;
  const left = LINK_ENDS.reduce((rest, end) => without(rest, mountId(link.id, end)), built);
  return { ...withMounts(job, changes), weld: { ...job.weld, built: left } };
}
