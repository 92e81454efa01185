import { distance, type Point } from '@/core/geometry/vector';
import { axialRate, jointsOf, type MemberJoints } from '@/core/materials/joints';
import { isLink, kindOf } from '@/core/rig/members/members';
import { withMount, type MountChange } from '@/core/rig/mounts';
import { pairOf, partnerOf, withLink } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '../jobSchema';
import { mountId, withPlaced } from '../placed';

/** Ends of a bar nearer than this are one point, mm. */
const SHORTEST_BAR = 1;

/**
 * The job with mounts moved; the same job where that would put both ends of a bar on one point. Text typed for a mount
 * that has moved shows no more, since it no longer reads as the value.
 */
export function withMounts(job: Job, changes: MountChange[]): Job {
  const rig = changes.reduce(withMount, job.rig);
  if (collapsed(rig)) return job;
  const moved = changes.map(({ member, end }) => mountId(member, end));
  return withBodies({ ...withPlaced(job, moved), rig });
}

/** Whether both ends of some bar stand on one point. */
const collapsed = ({ members }: Rig): boolean =>
  members.some((m) =>
    kindOf(m)
      .bars(m)
      .some(([a, b]) => distance(a, b) < SHORTEST_BAR),
  );

/** The same changes with their like on the other side of the car, for members that come in pairs. */
export function onBothSides(job: Job, changes: MountChange[]): MountChange[] {
  return changes.flatMap((change) => {
    const partner = partnerOf(change.member);
    if (!partner || !job.rig.members.some((m) => m.id === partner)) return [change];
    return [change, { ...change, member: partner, mm: change.axis === 1 ? -change.mm : change.mm }];
  });
}

/** The job with a bar bent through other points between its eyes, at ride height; none makes it straight. */
export function withBends(job: Job, member: string, bends: Point[]): Job {
  const path = bends.length ? { chassis: bends } : undefined;
  return { ...withPlaced(job, []), rig: withLink(job.rig, member, (bar) => ({ ...bar, path })) };
}

/** The job with other joints in a link, whose stiffness follows from them; on both sides where asked. */
export function withJoints(job: Job, member: string, change: Partial<MemberJoints>, alike: boolean): Job {
  const ids = alike ? pairOf(member) : [member];
  const joints = { ...job.joints };
  for (const id of ids) joints[id] = { ...jointsOf(joints, id), ...change };
  const members = job.rig.members.map((m) =>
    ids.includes(m.id) && isLink(m) ? { ...m, rate: axialRate(joints[m.id]!) } : m,
  );
  // What a joint has between its plates is how wide its bracket is.
  return withBodies({ ...withPlaced(job, []), joints, rig: { ...job.rig, members } });
}
