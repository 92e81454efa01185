import { carry, seenFromAxle, type Attitude } from '@/core/kinematics/attitude';
import type { Member, Obstacle, Point, Rig } from '@/core/rig/schema';
import { segmentToBox, segmentToSegment } from './distance';

/** Surface-to-surface distance of a bar to something near it, mm; negative where they overlap. */
export type Clearance = { member: string; obstacle: string; distance: number };

/**
 * Distances from every bar that states its diameter to every obstacle, in one pose. Bars are capsules between their eyes;
 * each obstacle is looked at in the axes of the body that carries it.
 */
export function clearances(rig: Rig, pose: Attitude): Clearance[] {
  const onChassis = (p: Point) => p;
  const toChassis = carry(pose, rig.tireRadius);
  const toAxle = seenFromAxle(pose, rig.tireRadius);
  return rig.members.flatMap((member) => {
    if (member.od === undefined) return [];
    return (rig.obstacles ?? []).map((obstacle) => {
      const ends: [Point, Point] =
        obstacle.on === 'axle'
          ? [toAxle(member.chassis), member.axle]
          : [onChassis(member.chassis), toChassis(member.axle)];
      return { member: member.id, obstacle: obstacle.id, distance: gap(member, ends, obstacle) };
    });
  });
}

function gap(member: Member, [a, b]: [Point, Point], obstacle: Obstacle): number {
  const radius = member.od! / 2;
  switch (obstacle.shape) {
    case 'sphere':
      return segmentToSegment(a, b, obstacle.centre, obstacle.centre) - obstacle.radius - radius;
    case 'capsule':
      return segmentToSegment(a, b, obstacle.from, obstacle.to) - obstacle.radius - radius;
    case 'box':
      return segmentToBox(a, b, obstacle.min, obstacle.max) - radius;
  }
}
