import { wrap, type Remote } from 'comlink';
import { create } from 'zustand';
import type { LocateInput, LocateResult } from '@/core/locate/types';
import type { LocateApi } from './locate.worker';

type AnalysisState = { input: LocateInput | null; result: LocateResult | null; problem: string | null };

/** What the worker last made of the job. `result` outlives a geometry that cannot be solved, so that the bay keeps its drawing. */
export const useAnalysis = create<AnalysisState>()(() => ({ input: null, result: null, problem: null }));

let worker: Remote<LocateApi> | null = null;
let busy = false;
let waiting: LocateInput | null = null;

/** Asks for an analysis. While one runs, only the newest request waits: a drag never queues up behind itself. */
export async function analyse(input: LocateInput): Promise<void> {
  if (busy) {
    waiting = input;
    return;
  }
  busy = true;
  worker ??= wrap<LocateApi>(new Worker(new URL('./locate.worker.ts', import.meta.url), { type: 'module' }));
  try {
    for (let next: LocateInput | null = input; next; next = take()) {
      const outcome = await worker.analyse(next);
      if (outcome.ok) useAnalysis.setState({ input: next, result: outcome.result, problem: null });
      else useAnalysis.setState({ problem: outcome.message });
    }
  } finally {
    busy = false;
  }
}

function take(): LocateInput | null {
  const next = waiting;
  waiting = null;
  return next;
}
