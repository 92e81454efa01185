import { liveQuery } from 'dexie';
import { readJob, writeJob } from '@/core/job/file';
import { db, type Drafts, type JobRow } from './db';
import { useDragged, useJobStore } from './jobStore';
import { merged, sameStored } from './merge';
import type { Job } from '@/core/job/jobSchema';

/** Long enough to keep the disk out of a drag, short enough that a pulled plug costs nothing. */
const REST_MS = 150;

/** This tab of the browser, so that it knows its own writing. */
const TAB = crypto.randomUUID();

/** What store and bench last agreed on: what either has changed since is told from it. */
type Base = { job: Job; drafts: Drafts };

/**
 * Writes the job on the bench to the browser's database whenever it or a half-typed field changes, and follows what another
 * tab writes of the same job. Where both have changed something, both changes are kept.
 *
 * The first change is written at once; while more keep coming, at most one write runs at a time, and the last always gets
 * written, also when the page is being closed. @returns a function that stops it
 */
export function startAutosave(): () => void {
  let writing = false;
  let dirty = false;
  let base: Base | null = null;
  let follow: { unsubscribe: () => void } | null = null;

  async function write(): Promise<void> {
    dirty = true;
    if (useJobStore.getState().saving.kind !== 'saving') useJobStore.setState({ saving: { kind: 'saving' } });
    if (writing) return;
    writing = true;
    while (dirty) {
      dirty = false;
      await put();
      await new Promise((rest) => setTimeout(rest, REST_MS));
    }
    writing = false;
  }

  async function put(): Promise<void> {
    const { job, drafts } = useJobStore.getState();
    if (!job) return;
    try {
      const theirs = await db.transaction('rw', db.jobs, async () => {
        const stored = await db.jobs.get(job.id);
        const others = stored?.by !== undefined && stored.by !== TAB ? stored : null;
        await db.jobs.put(
          rowOf(others && base ? mergedWith(base, { job, drafts }, others) : { job, drafts }),
        );
        return others;
      });
      if (theirs) adopt(theirs);
      else base = { job, drafts };
      // Saved is only said when nothing has come since.
      if (!dirty) useJobStore.setState({ saving: { kind: 'saved' } });
    } catch (error) {
      useJobStore.setState({ saving: { kind: 'failed', message: explain(error) } });
    }
  }

  /** Brings in what another tab has written, beside what was changed here meanwhile. */
  function adopt(row: JobRow): void {
    const { job, drafts } = useJobStore.getState();
    if (!job || !base || row.id !== job.id) return;
    const theirs = { job: gated(row.job), drafts: row.drafts };
    const both = mergedWith(base, { job, drafts }, theirs);
    base = theirs;
    useJobStore.setState({ ...both, saving: { kind: 'followed' } });
  }

  /** Listens to what other tabs write of the job on the bench. */
  function followOthers(id: string): void {
    follow?.unsubscribe();
    follow = liveQuery(() => db.jobs.get(id)).subscribe({
      next: (row) => {
        // Own changes on their way to the disk are merged there.
        if (row?.by && row.by !== TAB && !dirty && !same(row)) adopt(row);
      },
      error: () => follow?.unsubscribe(),
    });
  }

  const same = (row: JobRow): boolean =>
    base !== null && sameStored([row.job, row.drafts], [base.job, base.drafts]);

  function takeUp({ job, drafts }: { job: Job | null; drafts: Drafts }): void {
    base = job && { job, drafts };
    if (job) followOthers(job.id);
  }

  const flush = () => {
    if (dirty) void put();
  };
  const page = typeof window === 'undefined' ? null : window;
  page?.addEventListener('pagehide', flush);
  takeUp(useJobStore.getState());

  const stop = useJobStore.subscribe((now, before) => {
    // A gesture is one change: it is written when the hand lets go.
    if (useDragged.getState().job) return;
    if (now.job === before.job && now.drafts === before.drafts) return;
    if (now.job?.id !== before.job?.id || before.job === null) takeUp(now);
    else if (now.job !== base?.job || now.drafts !== base?.drafts) void write();
  });
  return () => {
    stop();
    follow?.unsubscribe();
    page?.removeEventListener('pagehide', flush);
  };
}

const mergedWith = (base: Base, mine: Base, theirs: Base): Base => ({
  job: merged(base.job, mine.job, theirs.job),
  drafts: merged(base.drafts, mine.drafts, theirs.drafts),
});

const rowOf = ({ job, drafts }: Base): JobRow => ({
  id: job.id,
  name: job.name,
  car: job.car,
  updatedAt: new Date().toISOString(),
  by: TAB,
  job,
  drafts,
});

/** What another tab wrote passes the same gate as a file: it may be of an older Pellik. */
const gated = (job: Job): Job => readJob(writeJob(job));

function explain(error: unknown): string {
  const { name = '', message = '', inner } = error as { name?: string; message?: string; inner?: Error };
  if (/quota/i.test(`${name} ${message} ${inner?.name ?? ''}`))
    return 'This browser’s storage is full. Export the job to a file now, then free some space.';
  return 'This browser would not store the job. Export it to a file now, so that nothing is lost.';
}
