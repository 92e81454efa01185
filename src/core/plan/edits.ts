import type { Job } from '@/core/job/jobSchema';
import { without } from '@/core/job/edits/omit';
import type { OwnStep, Plan } from '@/core/job/slices/work/plan';
import type { Task } from './task';

/** The plan gone about another way; what was done stays done. */
export const withWays = (job: Job, ways: Partial<Pick<Plan, 'car' | 'make' | 'helper'>>): Job => ({
  ...job,
  plan: { ...job.plan, ...ways },
});

/** A step marked done, with what it rests on now; or as having nothing to do on this car. */
export const withDone = (job: Job, task: Task, at: string, { note = '', notHere = false } = {}): Job => ({
  ...job,
  plan: {
    ...job.plan,
    done: {
      ...job.plan.done,
      [task.id]: {
        at,
        title: task.title,
        basis: task.basis,
        ...(note.trim() && { note: note.trim() }),
        ...(notHere && { notHere: true as const }),
      },
    },
  },
});

/** A step that is to be done again. */
export const withUndone = (job: Job, id: string): Job => ({
  ...job,
  plan: { ...job.plan, done: without(job.plan.done, id) },
});

export const withOwnStep = (job: Job, step: OwnStep): Job => ({
  ...job,
  plan: { ...job.plan, own: [...job.plan.own.filter(({ id }) => id !== step.id), step] },
});

/** The plan without a step of the builder's own, done or not. */
export const withoutOwnStep = (job: Job, id: string): Job => ({
  ...job,
  plan: {
    ...job.plan,
    own: job.plan.own.filter((step) => step.id !== id),
    done: without(job.plan.done, `own/${id}`),
  },
});
