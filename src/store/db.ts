import Dexie, { type Table } from 'dexie';
import type { Job } from '@/core/job/schema';

/** Text typed into fields and not taken over yet, by field: kept so that nothing typed is lost. */
export type Drafts = Record<string, string>;

export type JobRow = { id: string; name: string; car: string; updatedAt: string; job: Job; drafts: Drafts };

/** The browser's own database. A change of shape gets a new version with its upgrade; old ones stay listed. */
class PellikDatabase extends Dexie {
  jobs!: Table<JobRow, string>;

  constructor() {
    super('pellik');
    this.version(1).stores({ jobs: 'id, updatedAt' });
  }
}

export const db = new PellikDatabase();
