import Dexie, { type Table } from 'dexie';
import type { Job } from '@/core/job/jobSchema';

/** Text typed into fields and not taken over yet, by field: kept so that nothing typed is lost. */
export type Drafts = Record<string, string>;

export type JobRow = {
  id: string;
  name: string;
  car: string;
  updatedAt: string;
  /** which tab of the browser wrote it last */
  by?: string;
  job: Job;
  drafts: Drafts;
};

/** A photo of something on the inspection list, made small enough to keep. */
export type PhotoRow = { id?: number; jobId: string; item: string; at: string; image: Blob };

/** The browser's own database. A change of shape gets a new version with its upgrade; old ones stay listed. */
class PellikDatabase extends Dexie {
  jobs!: Table<JobRow, string>;
  photos!: Table<PhotoRow, number>;

  constructor() {
    super('pellik');
    this.version(1).stores({ jobs: 'id, updatedAt' });
    this.version(2).stores({ jobs: 'id, updatedAt', photos: '++id, [jobId+item], jobId' });
  }
}

export const db = new PellikDatabase();
