import { carry, seenFromAxle, type Attitude } from '@/core/kinematics/attitude';
import { linksOf } from '@/core/rig/members';
import type { LinkMember, Obstacle, Point, Rig } from '@/core/rig/schema';
import { pathAt } from './path';
import { segmentToBox, segmentToSegment } from './distance';

/** Surface-to-surface distance of a bar to something near it, mm; negative where they overlap. */
export type Clearance = { member: string; obstacle: string; distance: number };

/**
 * Distances, in one pose, from every bar that states its diameter to every obstacle and to every other such bar. Bars are
 * capsules along their path; each obstacle is looked at in the axes of the body that carries it.
 */
export function clearances(rig: Rig, pose: Attitude): Clearance[] {
  const bars = linksOf(rig).filter((m) => m.od !== undefined);
  const toChassis = carry(pose, rig.tireRadius);
  const toAxle = seenFromAxle(pose, rig.tireRadius);
  const paths = bars.map((m) => pathAt(m, toChassis(m.axle)));
  return bars.flatMap((bar, i) => [
    ...(rig.obstacles ?? []).map((obstacle) => {
      const path = obstacle.on === 'axle' ? paths[i]!.map(toAxle) : paths[i]!;
      return { member: bar.id, obstacle: obstacle.id, distance: toObstacle(path, obstacle) - bar.od! / 2 };
    }),
    ...bars.slice(i + 1).map((other, k) => ({
      member: bar.id,
      obstacle: other.id,
      distance: pathToPath(paths[i]!, paths[i + 1 + k]!) - (bar.od! + other.od!) / 2,
    })),
  ]);
}

/** The one bar's distances to obstacles, without its fellows: what Locate asks for at every movement of a drag. */
export function barClearances(rig: Rig, bar: LinkMember, pose: Attitude): Clearance[] {
  return clearances({ ...rig, members: [bar] }, pose);
}

function toObstacle(path: Point[], obstacle: Obstacle): number {
  switch (obstacle.shape) {
    case 'sphere':
      return (
        least(path, (a, b) => segmentToSegment(a, b, obstacle.centre, obstacle.centre)) - obstacle.radius
      );
    case 'capsule':
      return least(path, (a, b) => segmentToSegment(a, b, obstacle.from, obstacle.to)) - obstacle.radius;
    case 'box':
      return least(path, (a, b) => segmentToBox(a, b, obstacle.min, obstacle.max));
  }
}

const pathToPath = (p: Point[], q: Point[]): number =>
  least(p, (a, b) => least(q, (c, d) => segmentToSegment(a, b, c, d)));

function least(path: Point[], of: (a: Point, b: Point) => number): number {
  let best = Infinity;
  for (let i = 1; i < path.length; i++) best = Math.min(best, of(path[i - 1]!, path[i]!));
  return best;
}
