import { expose } from 'comlink';
import type { Brief } from '@/core/choose/brief';
import { compareCandidates } from '@/core/choose/candidates/compare';
import { findMounts } from '@/core/choose/findMounts';
import { spreadOf, type Closeness } from '@/core/choose/spread';
import type { Job } from '@/core/job/jobSchema';
import { outcomeOf } from '../outcome';

/** Says how far it is, 0 to 1; what is said is not waited for. */
type Told = (share: number) => void;

/** Long searches, each in a worker that can be stopped at once by ending it. */
const api = {
  find: (job: Job, brief: Brief, told: Told) =>
    outcomeOf(() => findMounts(job, brief, (share) => void told(share))),
  spread: (job: Job, closeness: Closeness, builds: number, seed: number, told: Told) =>
    outcomeOf(() => spreadOf(job, closeness, { builds, seed }, (done) => void told(done / builds))),
  compare: (job: Job, told: Told) => outcomeOf(() => compareCandidates(job, (share) => void told(share))),
};
export type ChooseApi = typeof api;

expose(api);
