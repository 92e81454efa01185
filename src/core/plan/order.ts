import { TRACKS } from '@/core/job/slices/work/plan';
import { ZONES, type Task } from './task';

/** Steps in working order; or, where none can come first, a circle of steps that each wait for the one before, the last for the first. */
export type Ordered = { ok: true; tasks: Task[] } | { ok: false; circle: Task[] };

/**
 * Steps in an order that can be done: each comes after all that it waits for. Among those that could come next, one of the same track
 * comes first, then one that is done from where the builder lies already, then as they are listed. A step that waits for one that is not
 * in the list does not wait for it.
 */
export function inOrder(tasks: Task[]): Ordered {
  const waits = waitsOf(tasks);
  const left = new Set(tasks);
  const ordered: Task[] = [];
  while (left.size > 0) {
    const ready = [...left].filter((task) => waits.get(task)!.every((other) => !left.has(other)));
    if (ready.length === 0) return { ok: false, circle: circleIn(left, waits) };
    const last = ordered.at(-1);
    const next = ready.reduce((best, task) => (before(task, best, last) ? task : best));
    left.delete(next);
    ordered.push(next);
  }
  return { ok: true, tasks: ordered };
}

/** What each step waits for, of those in the list. */
function waitsOf(tasks: Task[]): Map<Task, Task[]> {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return new Map(
    tasks.map((task) => [
      task,
      task.after.map(({ id }) => byId.get(id)).filter((other) => other !== undefined),
    ]),
  );
}

function before(task: Task, best: Task, last: Task | undefined): boolean {
  const tracks = TRACKS.indexOf(task.track) - TRACKS.indexOf(best.track);
  if (tracks !== 0) return tracks < 0;
  return last !== undefined && steps(task, last) < steps(best, last);
}

/** How far it is from one place of work to another: none where it is the same; from the bench, everything is as far. */
const steps = (task: Task, last: Task): number =>
  task.zone === last.zone
    ? 0
    : [task.zone, last.zone].includes('bench')
      ? ZONES.length
      : Math.abs(ZONES.indexOf(task.zone) - ZONES.indexOf(last.zone));

/** A circle among steps of which each waits for another: walked back until a step comes round again. */
function circleIn(left: Set<Task>, waits: Map<Task, Task[]>): Task[] {
  const path: Task[] = [];
  let at = [...left][0]!;
  while (!path.includes(at)) {
    path.unshift(at);
    at = waits.get(at)!.find((other) => left.has(other))!;
  }
  return path.slice(0, path.indexOf(at) + 1);
}
