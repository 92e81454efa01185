import { layOut } from '@/core/rig/layouts';
import { mountOwners, mountsOf } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import type { Job } from './jobSchema';
import { patternSize } from './jobValues';

/** A mount by its member and its key: `panhard/chassis`. */
type MountId = string;
export const mountId = (member: string, key: string): MountId => `${member}/${key}`;

/** Every mount of a rig. */
export const mountIds = (rig: Rig): MountId[] =>
  mountOwners(rig).flatMap((id) => mountsOf(rig, id).map(({ key }) => mountId(id, key)));

/**
 * The mounts that the builder has put where they are; all others still stand where the layout's pattern put them. A job that does not
 * say has those placed that stand elsewhere than in its pattern.
 */
export function placedMounts(job: Job): MountId[] {
  if (job.placed) return Object.keys(job.placed);
  return job.laidOut ? offPattern(job) : [];
}

export const isPlaced = (job: Job, id: MountId): boolean =>
  job.placed ? job.placed[id] === true : placedMounts(job).includes(id);

/** The job with mounts taken as the builder's own: where they stand they stay. */
export const withPlaced = (job: Job, ids: MountId[]): Job => ({
  ...job,
  laidOut: true,
  placed: marked([...placedMounts(job), ...ids]),
});

/** Ids as a job keeps them: each once, under its name, so that what two tabs mark comes together. */
export const marked = (ids: string[]): Record<string, true> =>
  Object.fromEntries([...new Set(ids)].sort().map((id) => [id, true]));

function offPattern(job: Job): MountId[] {
  const pattern: Rig = { ...job.rig, ...layOut(job.layout, patternSize(job), job.front) };
  const places = (rig: Rig) =>
    new Map(
      mountOwners(rig).flatMap((id) =>
        mountsOf(rig, id).map(({ key, point }) => [mountId(id, key), point] as const),
      ),
    );
  const [now, drawn] = [places(job.rig), places(pattern)];
  return [...now]
    .filter(([id, point]) => !drawn.get(id)?.every((v, k) => Math.abs(v - point[k]!) < SAME))
    .map(([id]) => id);
}
/** Places nearer than this are one, mm. */
const SAME = 0.01;
