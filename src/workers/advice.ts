import { useMemo } from 'react';
import { create } from 'zustand';
import type { Advice } from '@/core/advice/advise';
import { stopsOf, type Open } from '@/core/bench/open';
import type { Job } from '@/core/job/jobSchema';
import type { InputId } from '@/core/provenance/inputs';
import { aboutOf, type Judged } from '@/core/verdict/verdict';
import type { AdviceApi } from './advice.worker';
import { newestOnly } from './newestOnly';
import { NoAnswer, supervised } from './supervised';

/** Longer than all remedies of a car take on a slow device, ms. */
const PATIENCE = 90_000;

const askAdvice = supervised<AdviceApi>(
  () => new Worker(new URL('./advice.worker.ts', import.meta.url), { type: 'module' }),
  PATIENCE,
  false,
);

type Advised = {
  job: Job | null;
  advice: Advice[];
  openJob: Job | null;
  open: Open[];
  /** which guess counts most, by verdict */
  helps: Record<string, InputId>;
};

/** What was advised, as last worked out, and of which job; and what of it does not hold. */
const useAdvised = create<Advised>()(() => ({ job: null, advice: [], openJob: null, open: [], helps: {} }));

/** What of a job does not hold, as last looked at: null of another job, and where that could not be told. */
export const useOpen = (jobId: string): Open[] | null =>
  useAdvised(({ openJob, open }) => (openJob?.id === jobId ? open : null));

/** Asks what is advised about a job; what was answered already is not asked again. */
export const adviseAbout = newestOnly<Job>(async (job) => {
  if (useAdvised.getState().job === job) return;
  try {
    const looked = await askAdvice((api) => api.open(job));
    useAdvised.setState({ openJob: looked.ok ? job : null, open: looked.ok ? looked.result : [] });
    const helps = await askAdvice((api) => api.helps(job));
    useAdvised.setState({ helps: helps.ok ? helps.result : {} });
    const outcome = await askAdvice((api) => api.advise(job));
    useAdvised.setState({ job, advice: outcome.ok ? outcome.result : [] });
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    useAdvised.setState({ job, advice: [] });
  }
});

/** The guess that counts most for a verdict, by its id; undefined where none does, or that is not known yet. */
export const useHelps = (verdict: string): InputId | undefined => useAdvised(({ helps }) => helps[verdict]);

/** What is advised about a verdict of a job; undefined while its remedies are still being tried. */
export function useAdvice(job: Job, station: string, verdict: Judged): Advice | null | undefined {
  return useAdvised(({ job: asked, advice }) =>
    asked === job
      ? (advice.find((one) => one.station === station && one.about === aboutOf(verdict)) ?? null)
      : undefined,
  );
}

/** What is known to stop a member of a job, in words; undefined while the car is still being looked over. */
export function useStopsOf(job: Job, member: string | undefined): string[] | undefined {
  const open = useOpen(job.id);
  return useMemo(() => (open ? stopsOf(job, open, member ?? '') : undefined), [job, open, member]);
}
