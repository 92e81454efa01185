import { useContext, useState } from 'react';
import { temporal } from 'zundo';
import { create } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Drafts } from './storage/db';
import type { Job } from '@/core/job/jobSchema';
import { jobFault } from '@/core/job/file';
import { without } from '@/core/job/edits/omit';
import { HeldJob } from './heldJob';
import { say } from './notices';
import { madeToFit, sameStored } from './merging/merge';
import { isReadAsBuilt, jobRead, refuseAsBuilt, useReading } from './reading';

/** Whether the job is stored; why not, where it could not be. */
type SaveState =
  { kind: 'saved' | 'followed' | 'saving'; message?: never } | { kind: 'failed'; message: string };

type JobState = {
  job: Job | null;
  drafts: Drafts;
  saving: SaveState;
};

const UNDO_STEPS = 300;

/** The job on the bench. One place holds it; every edit goes through `edit`, and each edit is one step of undo. */
export const useJobStore = create<JobState>()(
  temporal((): JobState => ({ job: null, drafts: {}, saving: { kind: 'saved' } }), {
    partialize: ({ job }) => ({ job }),
    equality: (a, b) => a.job === b.job,
    limit: UNDO_STEPS,
  }),
);

const history = () => useJobStore.temporal.getState();

/**
 * What a gesture has made of the job so far. It is shown once it has been worked out (`showDragged`), so that fields, figures
 * and drawing change together, in one frame.
 */
export const useDragged = create<{ job: Job | null }>()(() => ({ job: null }));

/** The act that the edits of this moment belong to, and the one that those before it belonged to. */
let actNow: string | null = null;
let actBefore: string | null = null;

/** Edits made in one act are one step of undo, as the letters typed into one field. */
export function inOneAct(act: string, work: () => void): void {
  actNow = act;
  try {
    work();
  } finally {
    actNow = null;
  }
}

/** What comes next is another act, whatever its name. */
export function endAct(): void {
  actBefore = null;
}

/**
 * Changes the job. A change that gives back the same job is no change; one that could not be read back from its file is not
 * made, and said.
 *
 * @returns false where there is nothing to change: no job, or one that is read as it was built, which is said
 */
export function edit(change: (job: Job) => Job): boolean {
  if (isReadAsBuilt()) {
    refuseAsBuilt();
    return false;
  }
  const dragged = useDragged.getState().job;
  if (dragged) {
    useDragged.setState({ job: change(dragged) });
    return true;
  }
  const { job } = useJobStore.getState();
  if (!job) return false;
  const changed = fitting(change(job), job);
  const goesOn = actNow !== null && actNow === actBefore;
  if (changed !== job) actBefore = actNow;
  if (goesOn) inPlace({ job: changed });
  else useJobStore.setState({ job: changed });
  return true;
}

/** Sets what is on the bench without a step of undo. */
function inPlace(state: Partial<Pick<JobState, 'job' | 'drafts' | 'saving'>>): void {
  history().pause();
  useJobStore.setState(state);
  history().resume();
}

/** A changed job where it can be read back from its file; else the job as it was. */
function fitting(changed: Job, before: Job): Job {
  const fault = changed === before ? null : jobFault(changed);
  if (!fault) return changed;
  say({
    kind: 'error',
    key: 'unfit',
    title: 'That was not taken: a job file could not hold it.',
    description: `${fault.message}. The job is as it was.`,
  });
  return before;
}

/** Changes the job by a value that was typed, and keeps the text under the field's name; null where the field was emptied. */
export function enter(field: string, text: string | null, change: (job: Job) => Job): void {
  edit((job) => {
    const changed = change(job);
    const typed = without(changed.typed, field);
    return { ...changed, typed: text === null ? typed : { ...typed, [field]: text } };
  });
}

/** The job on the bench, as it is read; only for what runs while one is there. */
export function useJob(): Job {
  const asBuilt = useReading(isReadAsBuilt);
  const held = useContext(HeldJob);
  return useJobStore((s) => held ?? jobRead(s.job!, asBuilt));
}

/** The same, asked once. */
export function jobOnBench(): Job | null {
  const { job } = useJobStore.getState();
  return job && jobRead(job);
}

/**
 * A part of the job: what uses it is drawn again only when that part changes, which keeps a drag smooth. A part that is made anew
 * at every asking must be alike in each of its keys; one with a list made anew within it would be drawn for ever.
 */
export function useJobPart<T>(part: (job: Job) => T): T {
  const asBuilt = useReading(isReadAsBuilt);
  const held = useContext(HeldJob);
  return useJobStore(useShallow((s) => part(held ?? jobRead(s.job!, asBuilt))));
}

/** A part of the job as it is drawn, however it is read: what was checked and marked is the drawing. Alike in each of its keys, where it is made anew. */
export const useDrawnPart = <T>(part: (job: Job) => T): T => useJobStore(useShallow((s) => part(s.job!)));

/** What can be undone and done again: the states before the job as it is, the earliest first, and those after it. */
export type Acts = { past: Job[]; future: Job[] };

const statesOf = (kept: { job?: Job | null }[]): Job[] => kept.flatMap(({ job }) => job ?? []);

export function actsDone(): Acts {
  const { pastStates, futureStates } = history();
  return { past: statesOf(pastStates), future: statesOf(futureStates) };
}

function setActs({ past, future }: Acts): void {
  const states = (jobs: Job[]) => jobs.slice(-UNDO_STEPS).map((job) => ({ job }));
  useJobStore.temporal.setState({ pastStates: states(past), futureStates: states(future) });
}

export function putOnBench(job: Job, drafts: Drafts, acts: Acts = { past: [], future: [] }): void {
  endAct();
  inPlace({ job, drafts });
  setActs(acts);
}

/** Brings in what was changed elsewhere: no act of this bench, and what undo goes back to has it too. */
export function bringIn({ job, drafts }: { job: Job; drafts: Drafts }, into: (state: Job) => Job): void {
  inPlace({ job, drafts, saving: { kind: 'followed' } });
  const { past, future } = actsDone();
  setActs({ past: past.map(into), future: future.map(into) });
}

/**
 * Edits between the two count as one step of undo: a drag, not every place it passed.
 *
 * @returns what ends it; null while another is going on, as with a second finger, or while the car is read as it was built
 */
export function beginGesture(): (() => void) | null {
  const before = useJobStore.getState().job;
  endAct();
  if (!before || useDragged.getState().job || isReadAsBuilt()) return null;
  history().pause();
  useDragged.setState({ job: before });
  return () => {
    const after = useDragged.getState().job;
    useDragged.setState({ job: null });
    // Another job may have been put on the bench meanwhile.
    const here = useJobStore.getState().job?.id === before.id;
    if (here) useJobStore.setState({ job: before });
    history().resume();
    if (here && after) useJobStore.setState({ job: fitting(after, before) });
  };
}

/** Whether something is held in hand. */
export const isInHand = (): boolean => useDragged.getState().job !== null;

/** Shows a job of the gesture that is going on; without one, what is shown is what was edited. */
export function showDragged(job: Job): void {
  if (useDragged.getState().job) useJobStore.setState({ job });
}

/** A value as it was before something was taken in hand, until it is let go of: for what need not follow a drag. */
export function useAtRest<T>(value: T): T {
  const inHand = useDragged((s) => s.job !== null);
  const [before, setBefore] = useState(value);
  if (!inHand && before !== value) setBefore(value);
  return inHand ? before : value;
}

export const undo = (): void => step(history().undo, history().redo, () => actsDone().past.length);
export const redo = (): void => step(history().redo, history().undo, () => actsDone().future.length);

/** One act back or forth, not while something is in the hand. What came in from elsewhere may leave no way there. */
function step(go: () => void, goBack: () => void, left: () => number): void {
  const { job } = useJobStore.getState();
  if (isInHand() || !job) return;
  endAct();
  let there = job;
  // An act that another tab has done as well since leaves nothing to be undone.
  while (left() > 0 && sameStored(there, job)) {
    go();
    there = useJobStore.getState().job!;
  }
  const fits = there === job ? job : madeToFit(there);
  if (fits && sameStored(fits, there)) return;
  if (fits) return inPlace({ job: fits });
  goBack();
  say({
    kind: 'error',
    key: 'unfit',
    title: 'There is no way back past that.',
    description: 'What another tab has changed since does not go with how the job was. The job is as it was.',
  });
}

export function setDraft(field: string, text: string | null): void {
  useJobStore.setState(({ drafts }) => {
    if ((drafts[field] ?? null) === text) return {};
    const rest = without(drafts, field);
    return { drafts: text === null ? rest : { ...rest, [field]: text } };
  });
}
