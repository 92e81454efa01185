import { expose } from 'comlink';
import { adviseOn } from '@/core/advice/advise';
import { readingsThatHelp } from '@/core/advice/helps';
import { openIn } from '@/core/advice/standing';
import type { Job } from '@/core/job/jobSchema';
import { outcomeOf } from './outcome';

/** What could be done about what wants a look: each remedy is tried on the whole car, apart from what follows the hand. */
const api = {
  /** What of a job does not hold: told at once. */
  open: (job: Job) => outcomeOf(() => openIn(job)),
  /** Which guess counts most for each verdict. */
  helps: (job: Job) => outcomeOf(() => readingsThatHelp(job)),
  advise: (job: Job) => outcomeOf(() => adviseOn(job)),
};
export type AdviceApi = typeof api;

expose(api);
