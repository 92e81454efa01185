import { readJob, writeJob } from '@/core/job/file';
import { InputError, LARGEST_FILE } from '@/core/rig/read';
import type { Tape } from '@/core/units/tape';
import { db, type JobRow } from './db';
import { setPreferences } from './preferences';
import { sweepPhotos } from './photos';
import { putOnBench, useJobStore } from './jobStore';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';

const freshId = (): string => `job-${crypto.randomUUID().slice(0, 13)}`;

const row = (job: Job): JobRow => ({
  id: job.id,
  name: job.name,
  car: job.car,
  updatedAt: new Date().toISOString(),
  job,
  drafts: {},
});

/** Jobs on the shelf, the last touched first. */
export const listJobs = (): Promise<JobRow[]> => db.jobs.orderBy('updatedAt').reverse().toArray();

/** An empty shelf gets the demo jobs, so that there is a car to look at: the first of them as if touched last. */
export async function stockShelf(): Promise<void> {
  void sweepPhotos();
  if ((await db.jobs.count()) > 0) return;
  const { demoJobs } = await import('./demo');
  const now = Date.now();
  await db.jobs.bulkPut(
    demoJobs().map((job, i) => ({ ...row(job), updatedAt: new Date(now - i).toISOString() })),
  );
}

/** Puts a job on the bench. What is stored passes the same gate as a file. @returns whether there is such a job */
export async function openJob(id: string): Promise<boolean> {
  const stored = await db.jobs.get(id);
  if (!stored) return false;
  putOnBench(readJob(writeJob(stored.job)), stored.drafts);
  // Measuring goes on at the first thing not read.
  setPreferences({ readingAt: null });
  return true;
}

export async function startJob(name: string, tape: Tape): Promise<string> {
  const job = newJob(freshId(), name, tape);
  await db.jobs.put(row(job));
  return job.id;
}

export async function copyJob(id: string): Promise<string | null> {
  const stored = await db.jobs.get(id);
  if (!stored) return null;
  const job = { ...stored.job, id: freshId(), name: `${stored.job.name}, copy` };
  await db.jobs.put(row(job));
  return job.id;
}

/** Takes a job off the shelf; the row is given back so that it can be put back. */
export async function removeJob(id: string): Promise<JobRow | undefined> {
  const stored = await db.jobs.get(id);
  await db.jobs.delete(id);
  return stored;
}

export const restoreJob = (stored: JobRow): Promise<string> => db.jobs.put(stored);

/**
 * Takes in a job file. A job of the same id already on the shelf is left alone: the newcomer gets an id of its own.
 *
 * @throws InputError when the file is damaged or too large; nothing is changed then
 */
export async function importJob(file: Blob): Promise<string> {
  if (file.size > LARGEST_FILE) throw new InputError('', 'larger than 32 MB, the most that is read');
  const job = readJob(await file.text());
  const taken = (await db.jobs.get(job.id)) !== undefined;
  const placed = taken ? { ...job, id: freshId(), name: `${job.name}, imported` } : job;
  await db.jobs.put(row(placed));
  return placed.id;
}

/** The job on the bench as the text of a file. */
export const exportText = (): string => writeJob(useJobStore.getState().job!);
