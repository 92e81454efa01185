import { layoutEnd, layOut, type LayoutId } from '@/core/rig/layouts';
import { PANHARD } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { applyReadings } from '@/core/job/applyReadings';
import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '@/core/job/jobSchema';
import { withPlaced } from '@/core/job/placed';
import { patternSize } from '@/core/job/jobValues';
import { withoutMembersWork } from './work';

/** What can be put on an axle by itself: the members of that kind in a layout that has them. */
type MemberKit = { name: string; from: LayoutId; ids: string[] };

export const MEMBER_KITS = {
  bar: { name: 'Bar across the car', from: 'three-link-panhard', ids: [PANHARD] },
  lower: { name: 'Two lower links', from: 'three-link-panhard', ids: ['lower-left', 'lower-right'] },
  upper: { name: 'One upper link', from: 'three-link-panhard', ids: ['upper'] },
  uppers: {
    name: 'Two upper links',
    from: 'parallel-four-link-panhard',
    ids: ['upper-left', 'upper-right'],
  },
  crank: { name: 'Crank and two links', from: 'three-link-watts', ids: ['watts'] },
  'torque-arm': { name: 'Torque arm', from: 'torque-arm-panhard', ids: ['torque-arm'] },
  ladders: { name: 'Two ladder bars', from: 'ladder-bars-panhard', ids: ['ladder-left', 'ladder-right'] },
  'truck-arms': {
    name: 'Two truck arms',
    from: 'truck-arms-panhard',
    ids: ['truck-arm-left', 'truck-arm-right'],
  },
  'track-bar': { name: 'Track bar', from: 'front-four-link', ids: [PANHARD] },
  'front-lowers': { name: 'Two lower links', from: 'front-four-link', ids: ['lower-left', 'lower-right'] },
  'front-uppers': { name: 'Two upper links', from: 'front-four-link', ids: ['upper-left', 'upper-right'] },
  'radius-arms': {
    name: 'Two radius arms',
    from: 'front-radius-arms',
    ids: ['radius-arm-left', 'radius-arm-right'],
  },
  leaves: { name: 'Two leaf springs', from: 'leaf-panhard', ids: ['leaf-left', 'leaf-right'] },
  'front-leaves': { name: 'Two leaf springs', from: 'front-leaf', ids: ['leaf-left', 'leaf-right'] },
} as const satisfies Record<string, MemberKit>;
export type KitName = keyof typeof MEMBER_KITS;

/** The parts for this end of the car that are not on the axle yet. */
export function kitsToAdd({ members, end }: Rig): KitName[] {
  const there = new Set(members.map((m) => m.id));
  return (Object.keys(MEMBER_KITS) as KitName[]).filter(
    (part) => layoutEnd(MEMBER_KITS[part].from) === end && MEMBER_KITS[part].ids.some((id) => !there.has(id)),
  );
}

/** The job with a part put on, where its usual layout has it. */
export function withKit(job: Job, part: KitName): Job {
  const { from, ids } = MEMBER_KITS[part];
  const there = new Set(job.rig.members.map((m) => m.id));
  const fresh = layOut(from, patternSize(job), job.front).members.filter(
    (m) => (ids as readonly string[]).includes(m.id) && !there.has(m.id),
  );
  return applyReadings({
    ...withPlaced(job, []),
    rig: { ...job.rig, members: [...job.rig.members, ...fresh] },
  });
}

/** The job with members taken off, and all that was said or made of them; the last of all stays, since something must hold the axle. */
export function withoutMembers(job: Job, ids: string[]): Job {
  const members = job.rig.members.filter((m) => !ids.includes(m.id));
  if (members.length === 0) return job;
  return withBodies({ ...withoutMembersWork(withPlaced(job, []), ids), rig: { ...job.rig, members } });
}
