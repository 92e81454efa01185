import { stationStripe } from '@/core/bench/stripes';
import type { Job } from '@/core/job/jobSchema';
import type { HoldPoint } from '@/core/job/slices/fields';
import type { Done } from '@/core/job/slices/work/plan';
import type { JointState, WeldEvent } from '@/core/job/slices/work/weld';
import { stripeState } from '@/core/job/stripes';
import { bracketBasis } from '@/core/weld/bracketBasis';
import { fastening } from '@/core/weld/fastening';
import { jointState, STATES } from '@/core/weld/holdPoint';
import { tasksOf } from './plan';
import { inOrder } from './order';
import type { MarkedAt, Task } from './task';

/**
 * How a step stands: it waits for others, can be done now, is done, there is nothing of it on this car, or is done and in doubt since
 * what it rested on has changed.
 */
type Standing =
  | { kind: 'waits'; for: Task[] }
  | { kind: 'ready' }
  | { kind: 'done'; at: string | null; note: string | null }
  | { kind: 'notHere'; at: string }
  | { kind: 'doubt'; at: string; changes: string[] };

export type Planned = { task: Task; standing: Standing };

/** Work that was done and is no longer part of the plan. */
export type Leftover = { id: string; done: Done };

export type PlanNow = { ok: true; steps: Planned[]; leftovers: Leftover[] } | { ok: false; circle: Task[] };

/** The plan of a job as it stands: every step in working order with how far it is, and what was done that the plan has no use for now. */
export function planNow(job: Job): PlanNow {
  const tasks = tasksOf(job);
  const ordered = inOrder(tasks);
  if (!ordered.ok) return ordered;
  const marks = new Map(ordered.tasks.map((task) => [task.id, markOf(job, task)]));
  const byId = new Map(ordered.tasks.map((task) => [task.id, task]));
  const steps = ordered.tasks.map((task): Planned => {
    const mark = marks.get(task.id);
    if (mark) return { task, standing: mark };
    const waiting = task.after.filter(({ id }) => !marks.get(id)).flatMap(({ id }) => byId.get(id) ?? []);
    return { task, standing: waiting.length ? { kind: 'waits', for: waiting } : { kind: 'ready' } };
  });
  return { ok: true, steps, leftovers: leftoversOf(job, byId) };
}

const leftoversOf = ({ plan }: Job, byId: Map<string, Task>): Leftover[] =>
  Object.entries(plan.done)
    .filter(([id, { notHere }]) => !byId.has(id) && !notHere)
    .map(([id, done]) => ({ id, done }));

/** How a step that was done stands; null of one that was not. */
function markOf(job: Job, task: Task): Standing | null {
  const done = job.plan.done[task.id];
  if (done?.notHere) return { kind: 'notHere', at: done.at };
  if (task.marked)
    return 'station' in task.marked ? stationMark(job, task.marked) : jointMark(job, task.marked);
  return done ? standingOf(job, done, task) : null;
}

function standingOf(job: Job, done: Pick<Done, 'at' | 'basis' | 'note'>, task: Task): Standing {
  const stripe = stripeState(done, task.basis, job.tape);
  if (stripe.kind === 'broken') return { kind: 'doubt', at: done.at, changes: stripe.changes };
  return { kind: 'done', at: done.at, note: done.note ?? null };
}

function stationMark(job: Job, { station }: Extract<MarkedAt, { station: unknown }>): Standing | null {
  const stripe = stationStripe(job, station);
  if (stripe.kind === 'none') return null;
  return stripe.kind === 'broken'
    ? { kind: 'doubt', at: stripe.at, changes: stripe.changes }
    : { kind: 'done', at: stripe.at, note: null };
}

function jointMark(
  job: Job,
  { member, brackets, to }: Extract<MarkedAt, { member: string }>,
): Standing | null {
  const reached = brackets.every((bracket) => hasReached(job, member, bracket, to));
  if (!reached) return null;
  const entered = brackets.map((bracket) => lastEntry(job, member, bracket, to));
  const changes = brackets.flatMap((bracket, i) => changesSince(job, member, bracket, entered[i]));
  const at = entered.findLast((event) => event)?.at ?? null;
  return changes.length > 0 && at !== null
    ? { kind: 'doubt', at, changes }
    : { kind: 'done', at, note: null };
}

function hasReached(job: Job, member: string, bracket: HoldPoint, to: JointState): boolean {
  const states: readonly JointState[] = STATES[fastening(job, { member, bracket })];
  const at = states.indexOf(jointState(job, { member, bracket }));
  return at >= 0 && at >= states.indexOf(to);
}

/** When a bracket last came to a state, since it was last cut loose. */
function lastEntry({ weld }: Job, member: string, bracket: HoldPoint, to: JointState): WeldEvent | undefined {
  return weld.log.findLast((e) => e.member === member && e.bracket === bracket && e.to === to);
}

function changesSince(job: Job, member: string, bracket: HoldPoint, event: WeldEvent | undefined): string[] {
  if (!event?.basis) return [];
  const stripe = stripeState(
    { at: event.at, basis: event.basis },
    bracketBasis(job, member, bracket),
    job.tape,
  );
  return stripe.kind === 'broken' ? stripe.changes : [];
}

/** The step that is to be done next: the first that waits for nothing; null where all is done. */
export const nextStep = (steps: Planned[]): Planned | null =>
  steps.find(({ standing }) => standing.kind === 'ready') ?? null;

/** How many steps are done, of how many there are on this car. */
export function progressOf(steps: Planned[]): { done: number; of: number; doubt: number } {
  const here = steps.filter(({ standing }) => standing.kind !== 'notHere');
  return {
    done: here.filter(({ standing }) => standing.kind === 'done').length,
    of: here.length,
    doubt: here.filter(({ standing }) => standing.kind === 'doubt').length,
  };
}
