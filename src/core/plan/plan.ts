import type { Job } from '@/core/job/jobSchema';
import type { OwnStep } from '@/core/job/slices/work/plan';
import { takingApart } from './steps/apart';
import { boltingOn } from './steps/boltOn';
import { onTheGround } from './steps/ground';
import { holdingTheAxle } from './steps/held';
import { fittingLinks } from './steps/links';
import { fittingOthers } from './steps/others';
import { makingReady } from './steps/ready';
import { siteOf } from './site';
import { together } from './steps/together';
import { fittingSwayBar } from './steps/swayBar/swayBar';
import { after, type Task } from './task';

/** Every step of the work on this car, in no order yet; a step waits only for what this car has. */
export function tasksOf(job: Job): Task[] {
  const site = siteOf(job);
  const tasks = [
    ...takingApart(site),
    ...makingReady(site),
    ...holdingTheAxle(site),
    ...fittingOthers(site),
    ...fittingLinks(site),
    ...together(site),
    ...fittingSwayBar(site),
    ...boltingOn(site),
    ...onTheGround(site),
  ];
  return withOwn(tasks, job.plan.own);
}

/** The builder's own steps among the others: each after one step and before another, as far as it was said. */
function withOwn(tasks: Task[], own: OwnStep[]): Task[] {
  const added = own.map(({ id, title, track, after: first }): Task => ({
    id: ownId(id),
    track,
    zone: 'round',
    title,
    how: 'A step of your own.',
    after: first ? [after(first, 'as you said')] : [],
    basis: {},
  }));
  const all = [...tasks, ...added].map((task) => {
    const before = own
      .filter((step) => step.before === task.id)
      .map(({ id }) => after(ownId(id), 'as you said'));
    return before.length ? { ...task, after: [...task.after, ...before] } : task;
  });
  const ids = new Set(all.map(({ id }) => id));
  return all.map((task) => ({ ...task, after: task.after.filter(({ id }) => ids.has(id)) }));
}

const ownId = (id: string): string => `own/${id}`;
