import { writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { problemOf } from './opening';
import { db, type Occasion, type SnapshotRow } from './db';

/** Earlier states kept of one job; the oldest go first. */
const MOST = 60;

/** Earlier states of a job, the latest first. */
export const snapshotsOf = (jobId: string): Promise<SnapshotRow[]> =>
  db.snapshots.where({ jobId }).reverse().sortBy('at');

/** Keeps the state of a job, unless it is the one that was kept last. */
export function keepSnapshot(job: Job, why: Occasion): Promise<void> {
  return keepText(job.id, writeJob(job), why);
}

/**
 * Keeps the text of a job's file, which may be of an older version. Where there is no room for it nothing is kept: that must
 * not keep the job itself from being opened.
 */
export function keepText(jobId: string, text: string, why: Occasion): Promise<void> {
  return kept(jobId, text, why).catch((error: unknown) => {
    if (problemOf(error) !== 'full') throw error;
  });
}

async function kept(jobId: string, text: string, why: Occasion): Promise<void> {
  await db.transaction('rw', db.snapshots, async () => {
    const states = await db.snapshots.where({ jobId }).sortBy('at');
    if (states.at(-1)?.text === text) return;
    await db.snapshots.add({ jobId, at: new Date().toISOString(), why, text });
    const tooMany = states.slice(0, Math.max(0, states.length + 1 - MOST));
    await db.snapshots.bulkDelete(tooMany.map((row) => row.id!));
  });
}
