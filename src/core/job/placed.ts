import { layOut } from '@/core/rig/layouts';
import { mountOwners, mountsOf } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import type { Job } from './jobSchema';
import { patternSize } from './jobValues';

/** A mount by its member and its key: `panhard/chassis`. */
export type MountId = string;
export const mountId = (member: string, key: string): MountId => `${member}/${key}`;

/** Every mount of a rig. */
export const mountIds = (rig: Rig): MountId[] =>
  mountOwners(rig).flatMap((id) => mountsOf(rig, id).map(({ key }) => mountId(id, key)));

/**
 * The mounts that the builder has put where they are; all others still stand where the layout's pattern put them. A job that does not
 * say has those placed that stand elsewhere than in its pattern.
 */
export const placedMounts = (job: Job): MountId[] => job.placed ?? (job.laidOut ? offPattern(job) : []);

export const isPlaced = (job: Job, id: MountId): boolean => placedMounts(job).includes(id);

/** The job with mounts taken as the builder's own: where they stand they stay. */
export const withPlaced = (job: Job, ids: MountId[]): Job => ({
  ...job,
  laidOut: true,
  placed: [...new Set([...placedMounts(job), ...ids])].sort(),
});

function offPattern(job: Job): MountId[] {
  const pattern: Rig = { ...job.rig, ...layOut(job.layout, patternSize(job), job.front) };
  const at = (rig: Rig) =>
    new Map(
      mountOwners(rig).flatMap((id) =>
        mountsOf(rig, id).map(({ key, point }) => [mountId(id, key), point] as const),
      ),
    );
  const [now, drawn] = [at(job.rig), at(pattern)];
  return [...now]
    .filter(([id, point]) => drawn.get(id)?.every((v, k) => Math.abs(v - point[k]!) < SAME) !== true)
    .map(([id]) => id);
}
/** Places nearer than this are one, mm. */
const SAME = 0.01;
