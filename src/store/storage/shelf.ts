import { InputError } from '@/core/rig/read';
import { writeJob } from '@/core/job/file';
import { type Job, JOB_VERSION } from '@/core/job/jobSchema';
import type { Symptom } from '@/core/job/slices/work/drive';
import { nameWith } from '@/core/job/names';
import { newJob } from '@/core/job/newJob';
import type { Tape } from '@/core/units/tape';
import { putOnBench } from '../jobStore';
import { setPreferences } from '../preferences';
import { copyPhotos, sweepBin } from './bin';
import { db, jobRow, putJob, type JobRow, type ShelfRow } from './db';
import { faultOf, gated } from './gate';
import { freshId } from './ids';
import { actsOf } from './acts';
import { forget, unstoredOf, type Work } from './journal';
import { mergedWork, sameStored, type Version } from '../merging/merge';
import { sayClash } from '../merging/sayClash';
import { keepSnapshot, keepText } from './snapshots';

/** The lines of the shelf, the last touched first; as many of them as are asked for. */
export const listJobs = (most = Infinity): Promise<ShelfRow[]> =>
  db.shelf.orderBy('updatedAt').reverse().limit(most).toArray();

/** Something that was found to be behind a symptom of another car. */
export type FoundElsewhere = { car: string; cause: string; at: string; note: string };

/** What was found to be behind a symptom on the other cars of the shelf, the last first; of those that this Pellik reads. */
export async function foundElsewhere(symptom: Symptom, jobId: string): Promise<FoundElsewhere[]> {
  const all: FoundElsewhere[] = [];
  await db.jobs.each(({ id, job }) => {
    if (id === jobId || job?.version !== JOB_VERSION) return;
    for (const { symptom: of, found, cause, at, note } of job.drive.checked)
      if (found && of === symptom) all.push({ car: job.name, cause, at, note });
  });
  return all.sort((a, b) => b.at.localeCompare(a.at));
}

/** An empty shelf gets the demo jobs, so that there is a car to look at: the first of them as if touched last. */
export async function stockShelf(): Promise<void> {
  if ((await db.shelf.count()) > 0) return;
  const { demoJobs } = await import('../demo');
  const now = Date.now();
  for (const [i, job] of demoJobs().entries())
    await putJob({ ...jobRow(job), updatedAt: new Date(now - i).toISOString() });
}

/** What is done once a visit: the bin's dates are kept, and what could not be opened is looked at again. */
export async function tidyUp(): Promise<void> {
  await sweepBin();
  await lookAgain();
}

/** What could not be opened once may be by now: it was mended, or Pellik has learnt to read it. */
async function lookAgain(): Promise<void> {
  for (const { id } of await db.shelf.filter(({ fault }) => fault !== undefined).toArray()) {
    const stored = await db.jobs.get(id);
    if (stored) await db.shelf.update(id, { fault: faultOf(stored.job) });
  }
}

/**
 * Puts a job on the bench, with what an earlier page had not stored of it. Its state is kept first, and what is of an older
 * version before it is brought up to this one.
 *
 * @returns whether there is such a job
 * @throws InputError where it cannot be read; the shelf knows it then
 */
export async function openJob(id: string): Promise<boolean> {
  const stored = await db.jobs.get(id);
  if (!stored) return false;
  const older = (stored.job as { version?: unknown } | undefined)?.version !== JOB_VERSION;
  if (older) await keepText(id, writeJob(stored.job), 'upgrade');
  const job = await gatedOrKnown(stored);
  if (!older) await keepSnapshot(job, 'visit');
  const work = withUnstored({ ...stored, job });
  const { past, future } = await actsOf(job, stored.by);
  // What was typed last before a page went is an act as well.
  putOnBench(
    work.job,
    work.drafts,
    sameStored(work.job, job) ? { past, future } : { past: [...past, job], future: [] },
  );
  // Measuring goes on at the first thing not read.
  setPreferences({ readingAt: null });
  return true;
}

async function gatedOrKnown(stored: JobRow): Promise<Job> {
  try {
    return gated(stored.job);
  } catch (error) {
    if (error instanceof InputError) await db.shelf.update(stored.id, { fault: error.message });
    throw error;
  }
}

/** What a page that was closed in the middle of it had noted and not stored, brought in; what cannot be read is left out. */
function withUnstored({ job, drafts, updatedAt, by = '' }: JobRow): Work {
  let all: Version = { job, drafts, at: updatedAt, by };
  for (const note of unstoredOf(job.id)) {
    const { tab, at, base } = note;
    try {
      const mine = { job: gated(note.mine.job), drafts: note.mine.drafts, at, by: tab };
      // What a tab has noted comes after what it has stored, whatever the clock did meanwhile.
      if (all.by === tab && at < all.at) mine.at = all.at;
      const { work, otherWay } = mergedWork(base, all, mine);
      // A tab that went on from what it had stored is at one with itself.
      if (otherWay && all.by !== tab) void sayClash(work, otherWay);
      all = { ...work, at: at > all.at ? at : all.at, by: tab };
      // Where it cannot be stored, the note stays.
      putJob({ ...jobRow(all.job, all.drafts, all.at), by: tab }).then(
        () => forget(note),
        () => {},
      );
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
    }
  }
  return all;
}

export async function startJob(name: string, tape: Tape): Promise<string> {
  const job = newJob(freshId(), name, tape);
  await putJob(jobRow(job));
  return job.id;
}

/** A copy of a job with its photos. */
export async function copyJob(id: string): Promise<string | null> {
  const stored = await db.jobs.get(id);
  if (!stored) return null;
  return putCopy(gated(stored.job), ', copy');
}

/** Puts another state of a job on the shelf, as a job of its own with the same photos. @returns its id */
export async function putCopy(state: Job, after: string): Promise<string> {
  const job = { ...state, id: freshId(), name: nameWith(state.name, after) };
  await db.transaction('rw', db.jobs, db.shelf, db.photos, async () => {
    await putJob(jobRow(job));
    await copyPhotos(state.id, job.id);
  });
  return job.id;
}

/** What is stored of a job, as it lies there, readable or not. */
export async function rawText(id: string): Promise<string> {
  const stored = await db.jobs.get(id);
  return `${JSON.stringify(stored?.job ?? null, null, 2)}\n`;
}
