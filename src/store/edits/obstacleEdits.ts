import type { Obstacle } from '@/core/rig/schema';
import { edit } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import type { Point } from '@/core/geometry/vector';
import { isCarsOwn } from '@/core/job/bodies/bodyNames';
import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '@/core/job/jobSchema';

/** Changes one of the things in the way, set as it stands at ride height. */
export function editObstacle(id: string, change: (o: Obstacle) => Obstacle | null): void {
  setRocker(0, 0);
  edit((job) => withObstacles(job, (list) => list.flatMap((o) => (o.id === id ? (change(o) ?? []) : [o]))));
}

/** Puts things in the way, as one step. */
export function addObstacles(things: Obstacle[]): void {
  edit((job) =>
    things.reduce(
      (with_, thing) => withObstacles(with_, (list) => [...list, { ...thing, id: freeName(thing.id, list) }]),
      job,
    ),
  );
}

/** Moves a thing whole, mm by coordinate. */
export function shiftObstacle(id: string, by: Partial<Record<0 | 1 | 2, number>>): void {
  const moved = (p: Point) => p.map((v, k) => v + (by[k as 0 | 1 | 2] ?? 0)) as Point;
  editObstacle(id, (o) => {
    switch (o.shape) {
      case 'box':
        return { ...o, min: moved(o.min), max: moved(o.max) };
      case 'capsule':
      case 'cylinder':
        return { ...o, from: moved(o.from), to: moved(o.to) };
      case 'sphere':
        return { ...o, centre: moved(o.centre) };
    }
  });
}

function withObstacles(job: Job, change: (list: Obstacle[]) => Obstacle[]): Job {
  return withBodies({ ...job, rig: { ...job.rig, obstacles: change(job.rig.obstacles ?? []) } });
}

/** Every thing has a name of its own, and none the car’s own: a second tank is `tank 2`. */
export function freeName(wanted: string, list: { id: string }[]): string {
  const taken = new Set(list.map((o) => o.id));
  if (!taken.has(wanted) && !isCarsOwn(wanted)) return wanted;
  let n = 2;
  while (taken.has(`${wanted} ${n}`) || isCarsOwn(`${wanted} ${n}`)) n++;
  return `${wanted} ${n}`;
}
