import { wrap, type Remote } from 'comlink';
import { create } from 'zustand';
import { locateInput } from '@/core/job/job';
import type { Job } from '@/core/job/schema';
import type { LocateResult } from '@/core/locate/types';
import type { Travel } from '@/core/rig/schema';
import type { LocateApi } from './locate.worker';

type AnalysisState = { job: Job | null; result: LocateResult | null; problem: string | null };

/** What the worker last made of which job. `result` outlives a geometry that cannot be solved, so that the bay keeps its drawing. */
export const useAnalysis = create<AnalysisState>()(() => ({ job: null, result: null, problem: null }));

type Request = { job: Job; rocker: Travel };

let worker: Remote<LocateApi> | null = null;
let busy = false;
let waiting: Request | null = null;

/** Asks for an analysis of a job with the axle where the rocker stands. While one runs, only the newest request waits: a drag never queues up behind itself. */
export async function analyse(job: Job, rocker: Travel): Promise<void> {
  if (busy) {
    waiting = { job, rocker };
    return;
  }
  busy = true;
  worker ??= wrap<LocateApi>(new Worker(new URL('./locate.worker.ts', import.meta.url), { type: 'module' }));
  try {
    for (let next: Request | null = { job, rocker }; next; next = take()) {
      const outcome = await worker.analyse(locateInput(next.job, next.rocker));
      if (outcome.ok) useAnalysis.setState({ job: next.job, result: outcome.result, problem: null });
      else useAnalysis.setState({ job: next.job, problem: outcome.message });
    }
  } finally {
    busy = false;
  }
}

function take(): Request | null {
  const next = waiting;
  waiting = null;
  return next;
}
