import { fileName, fileStem, readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { nameWith } from '@/core/job/names';
import { InputError, LARGEST_FILE } from '@/core/rig/read';
import { sameStored } from '../merging/merge';
import { useJobStore } from '../jobStore';
import { settle } from '../storage/autosave';
import { db, jobRow, putJob, type PhotoRow } from '../storage/db';
import { gated } from '../storage/gate';
import { freshId } from '../storage/ids';
import { checkedPicture } from '../storage/pictures';
import { keepSnapshot } from '../storage/snapshots';
import type { Packed } from './bundle';
import type { BookPhoto } from '@/core/book/book';

// The zip is loaded when the first is made or read.
const bundle = () => import('./bundle');

/** What goes into the build book of the job on the bench: its photographs, and the job with them as a file. */
export async function forBook(id: string): Promise<{ photos: BookPhoto[]; file: OutFile }> {
  const rows = await photosOfJob(id);
  const photos = await Promise.all(
    rows.map(async ({ item, at, image }) => ({ item, at, jpeg: new Uint8Array(await image.arrayBuffer()) })),
  );
  const { name, blob } = await jobFile(id, true);
  return { photos, file: { name, blob } };
}

export type OutFile = { name: string; blob: Blob };

/** A job as it stands, on the bench or on the shelf. */
async function jobNow(id: string): Promise<Job> {
  const onBench = useJobStore.getState().job;
  if (onBench?.id === id) return onBench;
  return gated((await db.jobs.get(id))!.job);
}

const photosOfJob = async (jobId: string): Promise<PhotoRow[]> => db.photos.where({ jobId }).toArray();

/** A job with its photos as one file: a zip where it has any and they are wanted, else the job file by itself. */
export async function jobFile(id: string, withPhotos: boolean): Promise<OutFile & { photos: number }> {
  const job = await jobNow(id);
  const photos = withPhotos ? await photosOfJob(id) : [];
  if (photos.length === 0)
    return { name: fileName(job), blob: new Blob([writeJob(job)], { type: 'application/json' }), photos: 0 };
  const blob = await (await bundle()).packed([{ job, photos }]);
  return { name: `${fileStem(job.name)}.pellik.zip`, blob, photos: photos.length };
}

/** Every job of the shelf with its photos as one zip; what cannot be read is not in it. */
export async function backupFile(): Promise<OutFile & { jobs: number; unread: string[] }> {
  await settle();
  const all: Packed[] = [];
  const unread: string[] = [];
  for (const { id, name, fault } of await db.shelf.toArray()) {
    if (fault !== undefined) unread.push(name || id);
    else all.push({ job: await jobNow(id), photos: await photosOfJob(id) });
  }
  const blob = await (await bundle()).packed(all);
  for (const { job } of all) await markExported(job);
  const day = new Date().toISOString().slice(0, 10);
  return { name: `pellik-shelf-${day}.pellik.zip`, blob, jobs: all.length, unread };
}

/** Notes that a job went out as a file just now. */
export async function markExported({ id }: Pick<Job, 'id'>): Promise<void> {
  const updatedAt = (await db.shelf.get(id))?.updatedAt ?? '';
  await db.exports.put({ jobId: id, at: new Date().toISOString(), updatedAt });
}

/** Jobs that came in by a file, and how many of it were on the shelf already, just as they are. */
export type Taken = { ids: string[]; already: number };

/**
 * Takes in a job file, or a zip of jobs with their photos. A job of the same id already on the shelf is left alone: the newcomer
 * gets an id of its own, unless it is the same in everything. All of it comes in, or nothing.
 *
 * @throws InputError when the file is damaged or too large; nothing is changed then
 */
export async function takeInFile(file: Blob): Promise<Taken> {
  const all = await jobsIn(file);
  for (const { photos } of all) for (const { item, image } of photos) await checkedPicture(image, item);
  const onBench = useJobStore.getState().job;
  if (onBench) await keepSnapshot(onBench, 'import');
  const taken: Taken = { ids: [], already: 0 };
  await db.transaction('rw', db.jobs, db.shelf, db.photos, async () => {
    for (const one of all) {
      if (all.length > 1 && (await isHere(one))) taken.already++;
      else taken.ids.push(await placed(one));
    }
  });
  return taken;
}

/**
 * The jobs of a job file, of a zip of jobs with their photos, or of a build book that has either in it.
 *
 * @throws InputError when it is damaged or too large
 */
export async function jobsIn(file: Blob): Promise<Packed[]> {
  if ((await file.slice(0, 2).text()) === 'PK') return (await bundle()).unpacked(file);
  if ((await file.slice(0, 5).text()) === '%PDF-') return inBook(file);
  if (file.size > LARGEST_FILE) throw new InputError('', 'larger than 32 MB, the most that is read');
  return [{ job: readJob(await file.text()), photos: [] }];
}

/** The most that is read of a build book, bytes: two hundred photographs, twice over. */
const LARGEST_BOOK = 256 * 2 ** 20;

async function inBook(file: Blob): Promise<Packed[]> {
  if (file.size > LARGEST_BOOK)
    throw new InputError('', 'larger than 256 MB, the most that is read of a book');
  const { attachmentsIn } = await import('@/core/fabricate/paper/attachments');
  const found = await attachmentsIn(new Uint8Array(await file.arrayBuffer())).catch(() => []);
  const job = found.find(({ name }) => /\.pellik\.(json|zip)$/.test(name));
  if (!job) throw new InputError('', 'a build book made by Pellik: this document has no job in it');
  return jobsIn(new Blob([new Uint8Array(job.bytes)]));
}

async function isHere({ job, photos }: Packed): Promise<boolean> {
  const stored = await db.jobs.get(job.id);
  return (
    stored !== undefined &&
    sameStored(stored.job, job) &&
    (await db.photos.where({ jobId: job.id }).count()) >= photos.length
  );
}

async function placed({ job, photos }: Packed): Promise<string> {
  const taken = (await db.jobs.get(job.id)) !== undefined;
  const here = taken ? { ...job, id: freshId(), name: nameWith(job.name, ', imported') } : job;
  await putJob(jobRow(here));
  await db.photos.bulkAdd(photos.map((photo) => ({ ...photo, jobId: here.id })));
  return here.id;
}
