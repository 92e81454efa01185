import { liveQuery } from 'dexie';
import { writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { InputError } from '@/core/rig/read';
import { bringIn, isInHand, useDragged, useJobStore } from '../jobStore';
import { keepActs, keepActsAtRest } from './acts';
import { db, jobRow, putJob, type JobRow } from './db';
import { gated } from './gate';
import { TAB } from './ids';
import { forgetMine, note, type Work } from './journal';
import { mergedJob, mergedWork, sameStored, sharing, type Version } from '../merging/merge';
import { sayClash } from '../merging/sayClash';
import { problemOf } from './opening';
import { keepText } from './snapshots';

/** Long enough to keep the disk out of a drag, ms. */
const REST = 50;
/** How long after a failed write the next is tried, and at most after many, ms. */
const FIRST_RETRY = 1000;
const LAST_RETRY = 30_000;

const rest = () => new Promise((done) => setTimeout(done, REST));
const today = () => new Date().toDateString();

/** Removed in another tab while it lies on the bench of this one. */
class Removed extends Error {}

type Saver = { settle: () => Promise<boolean>; abandon: () => void };
let saver: Saver | null = null;

/** Waits until what was last changed is stored. @returns whether it is */
export const settle = (): Promise<boolean> => saver?.settle() ?? Promise.resolve(true);

/** Lets go of what could not be stored: the builder has it as a file. */
export const abandon = (): void => saver?.abandon();

/**
 * Writes the job on the bench to the browser's database whenever it or a half-typed field changes, and follows what another
 * tab writes of the same job. Where both have changed something, both changes are kept.
 *
 * The first change is written at once; while more keep coming, at most one write runs at a time, and the last always gets
 * written. What is not written yet is noted where it outlives the page. A write that fails is tried again, ever more rarely.
 *
 * @returns a function that stops it
 */
export function startAutosave(): () => void {
  let running = true;
  let writing: Promise<void> | null = null;
  let putting = Promise.resolve(true);
  let dirty = false;
  /** what store and bench last agreed on: what either has changed since is told from it */
  let base: Work | null = null;
  /** when this tab last changed something */
  let changedAt = '';
  /** what another tab has written while something was in the hand */
  let waiting: { theirs: Version; stored: Work } | null = null;
  /** whether the job has been seen in the database, so that it can be missed there */
  let seen = false;
  let keptOn = today();
  let follow: { unsubscribe: () => void } | null = null;
  /** ends the pause after a failed write: what is typed then is tried at once */
  let wake = () => {};

  const pause = (ms: number) =>
    new Promise<void>((done) => {
      wake = done;
      setTimeout(done, ms);
    });

  function changed(): void {
    dirty = true;
    changedAt = new Date().toISOString();
    const { job, drafts, saving } = useJobStore.getState();
    if (job && base) note(base, { job, drafts }, changedAt);
    if (saving.kind !== 'saving' && saving.kind !== 'failed')
      useJobStore.setState({ saving: { kind: 'saving' } });
    if (saving.kind === 'failed') wake();
    writing ??= write().finally(() => (writing = null));
  }

  async function write(): Promise<void> {
    let retry = FIRST_RETRY;
    while (dirty && running) {
      // A drag is written when the hand lets go.
      if (isInHand()) await rest();
      else if (await put()) {
        retry = FIRST_RETRY;
        await rest();
      } else {
        await pause(retry);
        retry = Math.min(2 * retry, LAST_RETRY);
      }
    }
  }

  /** Stores what is on the bench, after what is being stored. @returns whether it is */
  function put(): Promise<boolean> {
    dirty = false;
    putting = putting.then(putNow);
    return putting;
  }

  async function putNow(): Promise<boolean> {
    const onBench = useJobStore.getState().job;
    if (!onBench) return true;
    try {
      await keepDay(onBench.id);
      // What waited for the hand to let go has come in meanwhile.
      const { job, drafts } = useJobStore.getState();
      if (job?.id !== onBench.id) return true;
      const mine = { job, drafts, at: changedAt, by: TAB };
      // What comes in while this is on its way to the disk moves the base on: what was changed here is told from this one.
      const from = base;
      const { theirs, stored } = await db.transaction('rw', db.jobs, db.shelf, async () => {
        const row = await db.jobs.get(job.id);
        if (seen && !row) throw new Removed();
        const theirs = row?.by !== undefined && row.by !== TAB ? versionOf(row) : null;
        const stored = theirs && from ? mergedWork(from, mine, theirs).work : { job, drafts };
        const at = theirs && theirs.at > mine.at ? theirs.at : mine.at;
        if (!theirs || !sameWork(stored, theirs))
          await putJob({ ...jobRow(stored.job, stored.drafts, at), by: TAB });
        return { theirs, stored };
      });
      // Another job may have come to the bench meanwhile.
      if (useJobStore.getState().job?.id !== job.id) return true;
      seen = true;
      if (theirs) adopt(theirs, stored);
      else if (base === from) base = stored;
      // Saved is only said when nothing has come since.
      if (!dirty) {
        forgetMine(job.id);
        useJobStore.setState({ saving: { kind: 'saved' } });
        keepActsAtRest();
      }
      return true;
    } catch (error) {
      dirty = true;
      useJobStore.setState({ saving: { kind: 'failed', message: explain(error) } });
      return false;
    }
  }

  /** A tab may stay open for days: the first change of a day keeps what stood before it. */
  async function keepDay(id: string): Promise<void> {
    if (keptOn === today()) return;
    const stored = await db.jobs.get(id);
    if (stored) await keepText(id, writeJob(stored.job), 'day');
    keptOn = today();
  }

  /**
   * Brings in what another tab has written, beside what was changed here meanwhile; while something is in the hand, once it is
   * let go of. What is `stored` by then is what both have agreed on.
   */
  function adopt(theirs: Version, stored: Work): void {
    if (isInHand()) {
      waiting = { theirs, stored };
      return;
    }
    const { job, drafts } = useJobStore.getState();
    if (!job || !base || theirs.job.id !== job.id) return;
    const from = base;
    const { work, otherWay } = mergedWork(from, { job, drafts, at: changedAt, by: TAB }, theirs);
    base = stored;
    bringIn(work, (state) => mergedJob(from.job, state, theirs.job).value);
    if (otherWay) void sayClash(work, otherWay);
  }

  function follows(row: JobRow): void {
    try {
      const theirs = versionOf(row);
      adopt(theirs, theirs);
    } catch (error) {
      // A tab of another age may write what this one cannot read: this one stays as it is, and says so when it would store.
      if (!(error instanceof InputError)) throw error;
    }
  }

  function letGo(): void {
    const inStore = waiting;
    waiting = null;
    if (inStore) adopt(inStore.theirs, inStore.stored);
  }

  /** Listens to what other tabs write of the job on the bench. */
  function followOthers(id: string): void {
    follow?.unsubscribe();
    follow = liveQuery(() => db.jobs.get(id)).subscribe({
      next: (row) => {
        if (row) seen = true;
        // Own changes on their way to the disk are merged there.
        if (row?.by && row.by !== TAB && !dirty && !same(row)) follows(row);
      },
      error: () => follow?.unsubscribe(),
    });
  }

  /** What is stored, its parts the same objects as here where they are alike; what cannot be read leaves this tab as it is. */
  function versionOf({ job, drafts, updatedAt, by = '' }: JobRow): Version {
    return { job: sharing(base?.job, gated(job)), drafts: sharing(base?.drafts, drafts), at: updatedAt, by };
  }

  const same = (row: JobRow): boolean => base !== null && sameWork(row, base);

  function takeUp({ job, drafts }: { job: Job | null; drafts: Work['drafts'] }): void {
    base = job && { job, drafts };
    changedAt = '';
    waiting = null;
    seen = false;
    keptOn = today();
    if (job) followOthers(job.id);
  }

  saver = {
    settle: async () => {
      await putting;
      const stored = !dirty || (await put());
      await keepActs();
      return stored;
    },
    abandon: () => {
      dirty = false;
      useJobStore.setState({ saving: { kind: 'saved' } });
    },
  };
  const page = typeof window === 'undefined' ? null : window;
  const flush = () => {
    if (dirty) void put();
    void keepActs();
  };
  const hold = (e: BeforeUnloadEvent) => {
    if (useJobStore.getState().saving.kind === 'failed') e.preventDefault();
  };
  page?.addEventListener('pagehide', flush);
  page?.addEventListener('beforeunload', hold);
  takeUp(useJobStore.getState());

  const stop = useJobStore.subscribe((now, before) => {
    // A gesture is one change: it is written when the hand lets go.
    if (useDragged.getState().job) return;
    if (now.job === before.job && now.drafts === before.drafts) return;
    if (now.job?.id !== before.job?.id || before.job === null) takeUp(now);
    else if (now.job !== base?.job || now.drafts !== base?.drafts) changed();
  });
  // What the hand made of the job is set right after it lets go.
  const stopWaiting = useDragged.subscribe(({ job }) => {
    if (!job && waiting) queueMicrotask(letGo);
  });
  return () => {
    running = false;
    saver = null;
    stop();
    stopWaiting();
    follow?.unsubscribe();
    page?.removeEventListener('pagehide', flush);
    page?.removeEventListener('beforeunload', hold);
  };
}

const sameWork = (a: Work, b: Work): boolean => sameStored([a.job, a.drafts], [b.job, b.drafts]);

function explain(error: unknown): string {
  if (error instanceof InputError)
    return 'Another tab, of another Pellik, has written this job in a way that this one cannot read. Export it, then reload.';
  if (error instanceof Removed)
    return 'This job was taken off the shelf in another tab; it lies in the bin. Export it, or take it back out there.';
  return problemOf(error) === 'full'
    ? 'This browser’s storage is full. Export the job to a file now, then free some space. It is tried again.'
    : 'This browser would not store the job. Export it to a file now, so that nothing is lost. It is tried again.';
}
