import { wrap, type Remote } from 'comlink';
import { create } from 'zustand';
import { locateInput, rollInput } from '@/core/job/job';
import type { Job } from '@/core/job/schema';
import type { Trust } from '@/core/locate/trust';
import type { RollPart, RollResult } from '@/core/roll/analyse';
import type { BarDesign } from '@/core/roll/barDesign';
import type { WhatIf } from '@/core/roll/levers';
import type { Found, Wanted } from '@/core/roll/search';
import type { TravelMap } from '@/core/locate/map';
import type { CurveValues, LocateInput, LocateResult } from '@/core/locate/types';
import type { Travel } from '@/core/rig/schema';
import type { LocateApi, Outcome } from './locate.worker';

type AnalysisState = { job: Job | null; result: LocateResult | null; problem: string | null };

/** What the worker last made of which job. `result` outlives a geometry that cannot be solved, so that the bay keeps its drawing. */
export const useAnalysis = create<AnalysisState>()(() => ({ job: null, result: null, problem: null }));

let worker: Remote<LocateApi> | null = null;

function theWorker(): Remote<LocateApi> {
  worker ??= wrap<LocateApi>(new Worker(new URL('./locate.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}

/** Does the newest of what it is asked, one at a time: while one runs, only the last asked for waits, so that a drag never queues up behind itself. */
function newestOnly<T>(work: (wanted: T) => Promise<void>): (wanted: T) => Promise<void> {
  let busy = false;
  let waiting: T | null = null;
  return async (wanted) => {
    if (busy) {
      waiting = wanted;
      return;
    }
    busy = true;
    try {
      for (let next: T | null = wanted; next !== null;) {
        waiting = null;
        await work(next);
        next = waiting;
      }
    } finally {
      busy = false;
    }
  };
}

let answered: LocateInput | null = null;

/** Asks for an analysis of a job with the axle where the rocker stands. What would be answered alike, as when only the sway bar moves, is not asked again. */
export const analyse = newestOnly<{ job: Job; rocker: Travel }>(async ({ job, rocker }) => {
  const input = locateInput(job, rocker);
  if (answered && asksAlike(input, answered)) {
    useAnalysis.setState({ job });
    return;
  }
  const outcome = await theWorker().analyse(input);
  answered = input;
  if (outcome.ok) useAnalysis.setState({ job, result: outcome.result, problem: null });
  else useAnalysis.setState({ job, problem: outcome.message });
});

/** The rig and the joints are the same objects for as long as nobody changes them; the rest is small. */
function asksAlike(a: LocateInput, b: LocateInput): boolean {
  if (a.rig !== b.rig || a.joints !== b.joints) return false;
  const small = (input: LocateInput) => JSON.stringify({ ...input, rig: null, joints: null });
  return small(a) === small(b);
}

/** How far the results of a job can be trusted, and of which job that was worked out. */
export const useTrust = create<{ job: Job | null; trust: Trust | null }>()(() => ({
  job: null,
  trust: null,
}));

/** Asks how far the results of a job can be trusted. */
export const askForTrust = newestOnly<Job>(async (job) => {
  const outcome = await theWorker().trust(job);
  useTrust.setState({ job, trust: outcome.ok ? outcome.result : null });
});

type RollState = { job: Job | null; part: RollPart; result: RollResult | null; problem: string | null };

/** Springs, bar and balance as last worked out, and of which job and part that was asked. */
export const useRoll = create<RollState>()(() => ({ job: null, part: 'bar', result: null, problem: null }));

type RollQuestion = { job: Job; rocker: Travel; part: RollPart; whatIf: WhatIf };

/** Asks what springs and bar do, with the axle where the rocker stands, and with what is being thought about. */
export const askForRoll = newestOnly<RollQuestion>(async ({ job, rocker, part, whatIf }) => {
  const outcome = await theWorker().roll(rollInput(job, rocker), part, whatIf);
  if (outcome.ok) useRoll.setState({ job, part, result: outcome.result, problem: null });
  else useRoll.setState({ job, part, problem: outcome.message });
});

/** Bars of stock sizes that do what is wanted. */
export async function searchBars(
  job: Job & { roll: { bar: BarDesign } },
  wanted: Wanted,
): Promise<Outcome<Found>> {
  const input = { ...rollInput(job, { left: 0, right: 0 }), bar: job.roll.bar };
  return theWorker().findBars(input, wanted);
}

/** The map last worked out, and of what. */
export const useMap = create<{ map: TravelMap | null; key: keyof CurveValues | null }>()(() => ({
  map: null,
  key: null,
}));

/** Asks for a quantity over heave and roll. */
export const askForMap = newestOnly<{ job: Job; key: keyof CurveValues }>(async ({ job, key }) => {
  const outcome = await theWorker().map(locateInput(job, { left: 0, right: 0 }), key);
  useMap.setState({ map: outcome.ok ? outcome.result : null, key });
});
