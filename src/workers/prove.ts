import { create } from 'zustand';
import type { Job } from '@/core/job/jobSchema';
import type { Proof } from '@/core/prove/types';
import { newestOnly } from './newestOnly';
import { askPhysics } from './physicsWorker';

type ProveState = { job: Job | null; proof: Proof | null; problem: string | null };

/** What was last proved, and of which job. */
export const useProof = create<ProveState>()(() => ({ job: null, proof: null, problem: null }));

/** Proves a job; not again what was just proved. */
export const askProof = newestOnly<Job>(async (job) => {
  if (useProof.getState().job === job) return;
  const outcome = await askPhysics((api) => api.prove(job));
  useProof.setState(
    outcome.ok
      ? { job, proof: outcome.result, problem: null }
      : { job, proof: null, problem: outcome.message },
  );
});
