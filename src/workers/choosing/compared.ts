import { create } from 'zustand';
import type { Compared } from '@/core/choose/candidates/compare';
import type { Job } from '@/core/job/jobSchema';
import { startCompare, type Running } from './choose';

type ComparedState = {
  /** the job whose candidates were last worked out, and what they came to; in words why not */
  job: Job | null;
  all: Compared[] | null;
  problem: string | null;
  /** how far it is, 0 to 1, while they are worked out */
  share: number | null;
};

/** What the candidates of the job on the bench come to, as last worked out. */
export const useCompared = create<ComparedState>()(() => ({
  job: null,
  all: null,
  problem: null,
  share: null,
}));

let running: Running<Compared[]> | null = null;

/** Works out every candidate of a job; what is under way of an earlier state of it is stopped. */
export async function askCompared(job: Job): Promise<void> {
  stopComparing();
  useCompared.setState({ share: 0 });
  const mine = startCompare(job, (share) => running === mine && useCompared.setState({ share }));
  running = mine;
  const outcome = await mine.answer;
  if (running !== mine) return;
  running = null;
  if (!outcome) return useCompared.setState({ share: null });
  useCompared.setState(
    outcome.ok
      ? { job, all: outcome.result, problem: null, share: null }
      : { job, all: null, problem: outcome.message, share: null },
  );
}

export function stopComparing(): void {
  running?.stop();
  running = null;
  useCompared.setState({ share: null });
}
