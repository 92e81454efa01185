import { bodiesOf } from '@/core/clearance/bodies';
import { segmentToSegment } from '@/core/geometry/closestApproach';
import { segmentsOf } from '@/core/geometry/shapes';
import type { Point } from '@/core/geometry/vector';
import { kindOf, linksOf } from '@/core/rig/members/members';
import type { MountKey } from '@/core/rig/members/kind';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { bracketId } from './bodies/bodyNames';
import { bracketBody } from './made/bracketShape';
import { sizeOf } from './bodies/bodySizes';
import type { Job } from './jobSchema';

/** Mounts that are bracketed: the tips of a crank are its own, and a leaf is clamped to its axle. */
const BRACKETED: readonly MountKey[] = [
  'chassis',
  'axle',
  'frontEye',
  'rearEye',
  'pivot',
  'ends.top',
  'ends.bottom',
];

/** Mounts nearer to a bracket than this stand in it, mm: three inches. */
const SHARED = 76;

type Bracket = { member: string; key: MountKey; body: Obstacle & { shape: 'capsule' } };

/**
 * The brackets of all members, mm: of links as they are made, from tube or rail to past the eye; of others as thick as is usual, on the
 * frame the ears round the eye, on the axle from the eye to the tube.
 */
export function bracketsOf(job: Job): Obstacle[] {
  const radius = sizeOf(job, 'bracket') / 2;
  return standing(job.rig).map(({ member, key, body }) => {
    const link = linksOf(job.rig).find(({ id }) => id === member);
    const isOfLink = link && (key === 'chassis' || key === 'axle');
    return isOfLink ? bracketBody(job, link, key, body.id) : { ...body, radius };
  });
}

/** What each bracket is fastened to, beside what its own carrier has: its member, and whatever else is mounted in it. */
export function joinedToBrackets(rig: Rig): [string, string][] {
  const mounted = bodiesOf(rig).filter((body) => body.mounts.length > 0);
  return standing(rig).flatMap(({ member, body: bracket }) =>
    mounted
      .filter(
        ({ id, mounts }) =>
          id === member ||
          mounts.some(
            (m) =>
              m.on === bracket.on &&
              segmentToSegment(segmentsOf([m.point, m.point]), 0, segmentsOf([bracket.from, bracket.to]), 0) <
                SHARED,
          ),
      )
      .map(({ id }): [string, string] => [bracket.id, id]),
  );
}

/** Where brackets stand: from the eye to the axle's middle, or at the eye alone. */
function standing(rig: Rig): Bracket[] {
  return rig.members.flatMap((member) =>
    kindOf(member)
      .mounts(member)
      .filter(({ key }) => BRACKETED.includes(key))
      .map(({ key, on, point }): Bracket => {
        const to: Point = on === 'axle' ? [0, point[1], rig.tireRadius] : point;
        const id = bracketId(member.id, key);
        return { member: member.id, key, body: { id, on, shape: 'capsule', from: point, to, radius: 0 } };
      }),
  );
}
