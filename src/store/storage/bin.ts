import { db, putJob, type BinRow, type JobRow, type PhotoRow } from './db';
import { faultOf } from './gate';
import { freshId } from './ids';

/** How long what was thrown away is kept, days. */
export const BIN_DAYS = 30;
const DAY = 24 * 60 * 60 * 1000;

/** What was thrown away and is still there, the latest first. */
export const binned = (): Promise<BinRow[]> => db.bin.reverse().toArray();

const dated = (now: number) => ({
  at: new Date(now).toISOString(),
  until: new Date(now + BIN_DAYS * DAY).toISOString(),
});

/** Throws a job away; its photos and earlier states stay where they are as long as it lies in the bin. @returns its number there */
export function binJob(id: string, now = Date.now()): Promise<number | undefined> {
  return db.transaction('rw', db.jobs, db.shelf, db.bin, async () => {
    const row = await db.jobs.get(id);
    const line = await db.shelf.get(id);
    await db.shelf.delete(id);
    await db.jobs.delete(id);
    if (!row) return undefined;
    return db.bin.add({ kind: 'job', jobId: id, name: line?.name ?? '', ...dated(now), row });
  });
}

export function binPhoto(id: number, now = Date.now()): Promise<number | undefined> {
  return db.transaction('rw', db.photos, db.bin, async () => {
    const row = await db.photos.get(id);
    await db.photos.delete(id);
    return row && db.bin.add({ kind: 'photo', jobId: row.jobId, name: row.item, ...dated(now), row });
  });
}

/**
 * Takes something back out of the bin. A job whose place on the shelf has been taken meanwhile gets a place of its own.
 *
 * @returns the job that it is, or belongs to; undefined where it is no longer there
 */
export function takeBack(binId: number): Promise<string | undefined> {
  return db.transaction('rw', db.jobs, db.shelf, db.photos, db.bin, async () => {
    const thrown = await db.bin.get(binId);
    if (!thrown) return undefined;
    await db.bin.delete(binId);
    if (thrown.kind === 'job') return backOnShelf(thrown.row);
    await db.photos.put(thrown.row);
    return thrown.jobId;
  });
}

async function backOnShelf(row: JobRow): Promise<string> {
  const taken = (await db.jobs.get(row.id)) !== undefined;
  const placed = taken ? { ...row, id: freshId() } : row;
  if (taken) placed.job = { ...row.job, id: placed.id };
  if (taken) await copyPhotos(row.id, placed.id);
  await putJob({ ...placed, updatedAt: new Date().toISOString() }, faultOf(placed.job));
  return placed.id;
}

/** Gives a job the photos of another as well. */
export async function copyPhotos(from: string, to: string): Promise<void> {
  const photos = await db.photos.where({ jobId: from }).toArray();
  await db.photos.bulkAdd(photos.map(({ item, at, image }): PhotoRow => ({ jobId: to, item, at, image })));
}

/** Takes out of the bin what has lain there past its date, for good. Nothing else is ever swept. */
export async function sweepBin(now = Date.now()): Promise<void> {
  const past = await db.bin.where('until').below(new Date(now).toISOString()).toArray();
  for (const row of past) await throwOut(row);
}

/** Throws something out of the bin for good, with all that belonged to it alone. */
export function throwOut({ id, kind, jobId }: BinRow): Promise<void> {
  return db.transaction('rw', db.jobs, db.bin, db.photos, db.snapshots, db.acts, async () => {
    await db.bin.delete(id!);
    if (kind === 'photo' || (await db.jobs.get(jobId)) !== undefined) return;
    const again = await db.bin.filter((other) => other.kind === 'job' && other.jobId === jobId).count();
    if (again > 0) return;
    await db.photos.where({ jobId }).delete();
    await db.snapshots.where({ jobId }).delete();
    await db.acts.where({ jobId }).delete();
  });
}
