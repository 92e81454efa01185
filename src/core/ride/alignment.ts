import { specOf } from '@/core/job/made/parts';
import { Matrix, solve } from 'ml-matrix';
import { leastEngagement, makeBar, windTube, type BarSpec } from '@/core/fabricate/adjustableBar';
import { toDegrees } from '@/core/geometry/angle';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import type { Adjuster } from '@/core/job/slices/work/ride';
import { LIMITS } from '@/core/materials/limits';
import { linksOf } from '@/core/rig/members/members';
import { InputError } from '@/core/rig/read';
import { adjusterOf, perTurn, turnsFor } from './turns/adjusters';
import { alignmentBars, TASKS, type AlignmentBar, type Task } from './alignmentBars';
import { onGround } from './onGround';
import { Car, type Stance } from './stance';
import { wantedPinion } from './targets';
import { turnsOf } from './turns/turns';

/** One bar to be worked: its length as it is and as it should be, mm; turns, positive lengthens; null where it has no thread. */
export type BarTurn = {
  id: string;
  name: string;
  by: AlignmentBar['by'];
  adjuster: Adjuster;
  lengthNow: number;
  lengthWanted: number;
  mm: number;
  turns: number | null;
};

/** How the axle stands: left of the middle, mm; left wheel ahead, mm over the track; pinion, degrees nose down. */
export type Standing = { offset: number | null; ahead: number | null; pinion: number | null };

export type SettingStep = {
  task: Task;
  bars: BarTurn[];
  /** what the next reading should find, once this step and those before it are done */
  after: Standing;
};

export type Setting = {
  now: Standing;
  steps: SettingStep[];
  /** degrees of wedge or of clocking, nose down positive, where no bar sets the pinion; null where nothing is wanted */
  wedge: number | null;
  centred: boolean;
  square: boolean;
  pinionSet: boolean;
  /** thread in the tube of the bar on the saw after its turns, mm; null when that bar is not turned */
  thread: { engagement: { frame: number; axle: number }; limit: number; holds: boolean } | null;
  /** the bars that centre the axle, and their lengths as they are, mm */
  centring: { id: string; name: string; length: number }[];
  /** tilt of the bar across the car after its change, degrees, up to the frame positive */
  tiltAfter: number | null;
};

/**
 * What the readings on the ground ask for: the bars to be worked, in order, with all their effects on one another.
 *
 * The changes of length are solved together: those at which the pose solver, with all mounts where they are, moves the axle
 * sideways, turns it square and turns its pinion by what is missing. Turns follow from the pitches and are rounded to what
 * can be done; the result after each step is the solver's, for the turns as rounded.
 *
 * @returns null while nothing that a bar of this layout can set has been read
 * @throws InputError when no length of the bars does it
 */
export function settingOf(job: Job): Setting | null {
  const ground = onGround(job);
  const levers = alignmentBars(job.rig);
  const target = wantedPinion(job);
  const now: Standing = {
    offset: ground.offset?.value ?? null,
    ahead: ground.ahead?.value ?? null,
    pinion: ground.pinion?.value ?? null,
  };
  const missing: Record<Task, number | null> = {
    centre: now.offset === null ? null : -now.offset,
    square: now.ahead === null ? null : -now.ahead,
    pinion: short(target, now.pinion),
  };
  const within: Record<Task, number> = {
    centre: job.ride.tolerance,
    square: LIMITS.onGround.square,
    pinion: LIMITS.onGround.pinion,
  };
  const isOff = (task: Task, by: number | null): boolean => by !== null && Math.abs(by) > within[task] + 1e-6;
  const settable = TASKS.filter((task) => missing[task] !== null && levers[task].length > 0);
  const wedged = missing.pinion !== null && levers.pinion.length === 0;
  if (settable.length === 0 && !wedged) return null;

  const car = new Car(job);
  const stepsFor = (tasks: Task[]) => stepsOf(car, job, tasks, levers, now, missing);
  // What is good enough is left alone, unless setting the rest would spoil it.
  let tasks = settable.filter((task) => isOff(task, missing[task]));
  let steps = stepsFor(tasks);
  for (;;) {
    const left = missingAfter(steps.at(-1)?.after ?? now, target);
    const spoiled = settable.filter((task) => !tasks.includes(task) && isOff(task, left[task]));
    if (tasks.length === 0 || spoiled.length === 0) break;
    tasks = settable.filter((task) => tasks.includes(task) || spoiled.includes(task));
    steps = stepsFor(tasks);
  }
  const last = steps.at(-1)?.after ?? now;
  return {
    now,
    steps,
    wedge: wedged && isOff('pinion', short(target, last.pinion)) ? short(target, last.pinion) : null,
    centred: !isOff('centre', missing.centre),
    square: !isOff('square', missing.square),
    pinionSet: !isOff('pinion', missing.pinion),
    centring: levers.centre.map((bar) => ({ id: bar.id, name: bar.name, length: lengthOf(job, bar) })),
    thread: threadAfter(job, steps),
    tiltAfter: tiltAfter(job, steps),
  };
}

const short = (wanted: number | null, read: number | null): number | null =>
  wanted === null || read === null ? null : wanted - read;

const missingAfter = ({ offset, ahead, pinion }: Standing, target: number | null) => ({
  centre: offset,
  square: ahead,
  pinion: short(target, pinion),
});

/** What is done for some tasks, in order, all their effects on one another solved together. */
function stepsOf(
  car: Car,
  job: Job,
  tasks: Task[],
  levers: Record<Task, AlignmentBar[]>,
  now: Standing,
  missing: Record<Task, number | null>,
): SettingStep[] {
  if (tasks.length === 0) return [];
  const start = car.standing([]);
  const lengths = solveTogether(car, job, tasks, levers, start, missing);
  const done: [AlignmentBar[], number][] = [];
  return tasks.map((task, i): SettingStep => {
    const lever = levers[task];
    const bars = lever.map((bar) => barTurn(job, bar, bar.sign * lengths[i]!, done));
    done.push([lever, rounded(bars[0]!)]);
    const then = car.standing(done);
    const reading = (read: number | null, k: Read) => (read === null ? null : read + then[k] - start[k]);
    return {
      task,
      bars,
      after: {
        offset: reading(now.offset, 'y'),
        ahead: reading(now.ahead, 'ahead'),
        pinion: reading(now.pinion, 'pitch'),
      },
    };
  });
}

/** What is read of how the axle stands. */
type Read = 'y' | 'ahead' | 'pitch';
const KEYS: Record<Task, Read> = { square: 'ahead', pinion: 'pitch', centre: 'y' };

const STEPS = 12;
const CLOSE = 1e-8;

/** Newton's method on the pose solver; the levers are nearly straight-lined, so a few steps suffice. */
function solveTogether(
  car: Car,
  job: Job,
  tasks: Task[],
  levers: Record<Task, AlignmentBar[]>,
  start: Stance,
  missing: Record<Task, number | null>,
): number[] {
  const at = (x: number[]) => car.standing(tasks.map((task, i) => [levers[task], x[i]!]));
  const away = (stance: Stance) => tasks.map((t) => start[KEYS[t]] + (missing[t] ?? 0) - stance[KEYS[t]]);
  let x = tasks.map(() => 0);
  for (let step = 0; step < STEPS; step++) {
    const here = at(x);
    const error = away(here);
    if (Math.max(0, ...error.map(Math.abs)) < CLOSE) return x;
    const columns = tasks.map((_, k) => {
      const there = at(x.with(k, x[k]! + 1));
      return tasks.map((t) => there[KEYS[t]] - here[KEYS[t]]);
    });
    const J = new Matrix(tasks.map((_, i) => columns.map((column) => column[i]!)));
    if (columns.some((column) => Math.max(...column.map(Math.abs)) < 1e-9))
      throw new InputError('ride', 'their lengths do not move the axle');
    const change = solve(J, Matrix.columnVector(error), true).to1DArray();
    x = x.map((v, k) => v + change[k]!);
    if (x.some((v) => !Number.isFinite(v))) throw new InputError('ride', 'the members do not reach');
  }
  return x;
}

function barTurn(job: Job, bar: AlignmentBar, mm: number, done: [AlignmentBar[], number][]): BarTurn {
  const adjuster = adjusterOf(job, bar);
  const each = perTurn(adjuster);
  const before = done
    .flatMap(([lever, by]) => lever.filter((b) => b.id === bar.id).map((b) => b.sign * by))
    .reduce((a, b) => a + b, 0);
  const lengthNow = lengthOf(job, bar) + before;
  return {
    id: bar.id,
    name: bar.name,
    by: bar.by,
    adjuster,
    lengthNow,
    lengthWanted: lengthNow + mm,
    mm,
    turns: each === null ? null : mm / each,
  };
}

/** Length of a bar as it has been wound, mm. */
function lengthOf(job: Job, bar: AlignmentBar): number {
  const each = perTurn(adjusterOf(job, bar));
  return bar.length + (each === null ? 0 : turnsOf(job, bar.id) * each);
}

/** Change of length as it can be done, mm: whole steps of turn; any length where a bar is cut or a bracket moved. */
function rounded({ adjuster, mm }: BarTurn): number {
  const turns = turnsFor(adjuster, mm);
  return turns === null ? mm : turns * perTurn(adjuster)!;
}

function threadAfter(job: Job, steps: SettingStep[]): Setting['thread'] {
  const bar = workBar(job);
  const worked = steps.flatMap((s) => s.bars).filter((b) => b.id === bar?.id && b.adjuster.style === 'tube');
  const last = worked.at(-1);
  if (!bar || !last) return null;
  const turns = worked.reduce((sum, b) => sum + b.turns!, 0);
  const spec = windTube(specOf(job, bar.id), turnsOf(job, bar.id) + turns);
  const { frame, axle } = makeBar(last.lengthWanted, spec).ends;
  return {
    engagement: { frame: frame.engagement, axle: axle.engagement },
    limit: leastEngagement(specOf(job, bar.id).thread, job.cut.engagementRule),
    holds: frame.holds && axle.holds && shankLeft(spec),
  };
}

/** A tube wound in past the shoulder is an order that cannot be followed. */
const shankLeft = (spec: BarSpec): boolean =>
  spec.ends.frame.showing >= -1e-9 && spec.ends.axle.showing >= -1e-9;

/** The eyes stay at their heights: a longer bar is that much flatter. */
function tiltAfter(job: Job, steps: SettingStep[]): number | null {
  const turn = steps.find((s) => s.task === 'centre')?.bars[0];
  const bar = turn && linksOf(job.rig).find((m) => m.id === turn.id);
  if (!bar) return null;
  return toDegrees(Math.asin((bar.chassis[2] - bar.axle[2]) / turn.lengthWanted));
}
