import { axleToChassis, chassisToAxle, type Attitude } from '@/core/kinematics/attitude';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { pathAt } from './barPath';
import { segmentToBox, segmentToSegment } from '@/core/geometry/closestApproach';
import type { Point } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';

/**
 * Surface-to-surface distance of two things near each other, mm; negative where they overlap. `member` is a bar, or
 * something that the axle carries.
 */
export type Clearance = { member: string; obstacle: string; distance: number };

/**
 * Distances, in one pose, from every bar that states its diameter to every obstacle and to every other such bar, and from
 * what the axle carries to what the chassis carries. Bars are capsules along their path; each obstacle is looked at in the
 * axes of the body that carries it.
 *
 * @param bracket length at each end of a bar, mm, that belongs to the bracket and is not looked at against what the same
 *   body carries; 0 takes bars from eye to eye
 */
export function clearances(rig: Rig, pose: Attitude, bracket = 0): Clearance[] {
  const bars = linksOf(rig).filter((m) => m.od !== undefined);
  const obstacles = rig.obstacles ?? [];
  const toChassis = axleToChassis(pose, rig.tireRadius);
  const toAxle = obstacles.length ? chassisToAxle(pose, rig.tireRadius) : toChassis;
  const paths = bars.map((m) => pathAt(m, toChassis(m.axle)));
  const found: Clearance[] = [];
  bars.forEach((bar, i) => {
    for (const obstacle of obstacles) {
      const onAxle = obstacle.on === 'axle';
      const free = bracket > 0 ? trimmed(paths[i]!, onAxle ? 'end' : 'start', bracket) : paths[i]!;
      const path = onAxle ? free.map(toAxle) : free;
      found.push({
        member: bar.id,
        obstacle: obstacle.id,
        distance: toObstacle(path, obstacle) - bar.od! / 2,
      });
    }
    for (let k = i + 1; k < bars.length; k++) {
      const other = bars[k]!;
      const distance = pathToPath(paths[i]!, paths[k]!) - (bar.od! + other.od!) / 2;
      found.push({ member: bar.id, obstacle: other.id, distance });
    }
  });
  for (const moving of obstacles) {
    if (moving.on !== 'axle') continue;
    for (const still of obstacles) {
      if (still.on !== 'chassis') continue;
      const distance = betweenBodies(moving, still, toChassis, toAxle);
      found.push({ member: moving.id, obstacle: still.id, distance });
    }
  }
  return found;
}

/** Whether a rig states anything between which a gap could be measured. */
export const hasClearances = (rig: Rig): boolean =>
  rig.obstacles !== undefined || linksOf(rig).filter((m) => m.od !== undefined).length > 1;

/** A path without its first or last piece, but never without its middle. */
export function trimmed(path: Point[], end: 'start' | 'end', by: number): Point[] {
  const way = end === 'start' ? path : [...path].reverse();
  const [eye, next] = [way[0]!, way[1]!];
  const share = Math.min(by / Math.hypot(...eye.map((v, k) => next[k]! - v)), 0.4);
  return [eye.map((v, k) => v + share * (next[k]! - v)) as Point, ...way.slice(1)];
}

/**
 * What the axle carries against what the chassis carries. Spheres and capsules are seen in the other's axes. Of two boxes
 * the nearest points lie on an edge of one of them at least, so the edges of each against the other find it.
 */
function betweenBodies(
  moving: Obstacle,
  still: Obstacle,
  toChassis: (p: Point) => Point,
  toAxle: (p: Point) => Point,
): number {
  if (moving.shape !== 'box') return toObstacle(spine(moving).map(toChassis), still) - moving.radius;
  if (still.shape !== 'box') return toObstacle(spine(still).map(toAxle), moving) - still.radius;
  const alongEdges = (of: Box, seen: (p: Point) => Point, other: Box) =>
    Math.min(...edges(of).map((edge) => toObstacle(edge.map(seen), other)));
  return Math.min(alongEdges(moving, toChassis, still), alongEdges(still, toAxle, moving));
}

type Box = Extract<Obstacle, { shape: 'box' }>;

const spine = (o: Exclude<Obstacle, Box>): Point[] =>
  o.shape === 'sphere' ? [o.centre, o.centre] : [o.from, o.to];

function edges({ min, max }: Box): Point[][] {
  const corner = (i: number): Point => [0, 1, 2].map((k) => ((i >> k) & 1 ? max[k]! : min[k]!)) as Point;
  return [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) =>
    [1, 2, 4].filter((bit) => !(i & bit)).map((bit) => [corner(i), corner(i | bit)]),
  );
}

export function toObstacle(path: Point[], obstacle: Obstacle): number {
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

/** The least distance between two paths, mm. */
export const pathToPath = (p: Point[], q: Point[]): number =>
  least(p, (a, b) => least(q, (c, d) => segmentToSegment(a, b, c, d)));

function least(path: Point[], of: (a: Point, b: Point) => number): number {
  let best = Infinity;
  for (let i = 1; i < path.length; i++) best = Math.min(best, of(path[i - 1]!, path[i]!));
  return best;
}
