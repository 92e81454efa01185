import Dexie, { type Table } from 'dexie';
import type { Job } from '@/core/job/jobSchema';
import { faultOf } from './gate';

/** Text typed into fields and not taken over yet, by field: kept so that nothing typed is lost. */
export type Drafts = Record<string, string>;

export type JobRow = {
  id: string;
  /** when it was last changed */
  updatedAt: string;
  /** which tab of the browser wrote it last */
  by?: string;
  job: Job;
  drafts: Drafts;
};

/** A job’s line on the shelf: the shelf is read at every change of it, and need not read the jobs themselves. */
export type ShelfRow = {
  id: string;
  name: string;
  car: string;
  updatedAt: string;
  /** why it cannot be opened */
  fault?: string;
};

/** A photo of something on the inspection list, made small enough to keep. */
export type PhotoRow = { id?: number; jobId: string; item: string; at: string; image: Blob };

/** What was thrown away, until a date. */
export type BinRow = {
  id?: number;
  jobId: string;
  name: string;
  /** when it was thrown away, and until when it is kept */
  at: string;
  until: string;
} & ({ kind: 'job'; row: JobRow } | { kind: 'photo'; row: PhotoRow });

/** Why an earlier state of a job was kept. */
export type Occasion = 'visit' | 'day' | 'import' | 'upgrade' | 'return';

/** A job as it was at some time, as the text of its file. */
export type SnapshotRow = { id?: number; jobId: string; at: string; why: Occasion; text: string };

/**
 * What could be undone and done again of a job at one seat of the browser, and the state from which. States share what is
 * alike in them, in memory as on the disk.
 */
export type ActsRow = {
  jobId: string;
  seat: string;
  /** the page that kept them: as if another had, where it is not there */
  tab?: string;
  at: string;
  past: Job[];
  present: Job;
  future: Job[];
};

/** When a job was last taken out as a file, and what it was then changed. */
type ExportRow = { jobId: string; at: string; updatedAt: string };

/** The folder of the builder's choice that jobs are saved into as well. */
export type FolderRow = { id: 1; handle: FileSystemDirectoryHandle; savedAt?: string };

export const DATABASE = 'pellik';
export const DATABASE_VERSION = 3;

/** The browser's own database. A change of shape gets a new version with its upgrade; old ones stay listed. */
class PellikDatabase extends Dexie {
  jobs!: Table<JobRow, string>;
  shelf!: Table<ShelfRow, string>;
  photos!: Table<PhotoRow, number>;
  bin!: Table<BinRow, number>;
  snapshots!: Table<SnapshotRow, number>;
  acts!: Table<ActsRow, [string, string]>;
  exports!: Table<ExportRow, string>;
  folder!: Table<FolderRow, number>;

  constructor() {
    // A write is said to be done once it is on the disk, not once the system has promised to put it there.
    super(DATABASE, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ jobs: 'id, updatedAt' });
    this.version(2).stores({ jobs: 'id, updatedAt', photos: '++id, [jobId+item], jobId' });
    this.version(DATABASE_VERSION)
      .stores({
        jobs: 'id',
        shelf: 'id, updatedAt',
        photos: '++id, [jobId+item], jobId',
        bin: '++id, until',
        snapshots: '++id, jobId',
        acts: '[jobId+seat], jobId',
        exports: 'jobId',
        folder: 'id',
      })
      .upgrade((tx) =>
        tx
          .table<JobRow>('jobs')
          .each((row) => tx.table<ShelfRow>('shelf').put(shelfRowOf(row, faultOf(row.job)))),
      );
  }
}

export const db = new PellikDatabase();

/** The line on the shelf of a job, readable or not. */
function shelfRowOf({ id, updatedAt, job }: JobRow, fault?: string): ShelfRow {
  const { name, car } = (job ?? {}) as Partial<Record<'name' | 'car', unknown>>;
  return { id, name: say(name), car: say(car), updatedAt, ...(fault !== undefined && { fault }) };
}

const say = (text: unknown): string => (typeof text === 'string' ? text : '');

/** A job as it is stored, with what is half typed into it. */
export const jobRow = (job: Job, drafts: Drafts = {}, updatedAt = new Date().toISOString()): JobRow => ({
  id: job.id,
  updatedAt,
  job,
  drafts,
});

/** Writes a job and its line on the shelf, both or neither. */
export const putJob = (row: JobRow, fault?: string): Promise<void> =>
  db.transaction('rw', db.jobs, db.shelf, async () => {
    await db.jobs.put(row);
    await db.shelf.put(shelfRowOf(row, fault));
  });
