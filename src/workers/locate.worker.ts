import { expose } from 'comlink';
import { analyseLocate } from '@/core/locate/analyse';
import type { Job } from '@/core/job/schema';
import { trustOf } from '@/core/locate/trust';
import { travelMap } from '@/core/locate/map';
import type { CurveValues, LocateInput, LocateResult } from '@/core/locate/types';
import { analyseRoll, type RollPart } from '@/core/roll/analyse';
import type { BarDesign } from '@/core/roll/barDesign';
import type { WhatIf } from '@/core/roll/levers';
import { findBars, type Wanted } from '@/core/roll/search';
import { geometryOf, type RollInput } from '@/core/roll/setUp';
import { InputError } from '@/core/rig/read';

/** An answer, or what is wrong with what was asked about: an error's class does not survive the crossing. */
export type Outcome<T> = { ok: true; result: T } | { ok: false; message: string };

/** Runs until the compiler has settled: without them, the first drag of a session lags. */
const WARMING_RUNS = 60;
let cold = true;

const api = {
  analyse: (input: LocateInput): Outcome<LocateResult> =>
    outcomeOf(() => {
      const result = analyseLocate(input);
      if (cold) warm(input, WARMING_RUNS);
      cold = false;
      return result;
    }),
  /** Springs, sway bar and balance. */
  roll: (input: RollInput, part: RollPart, whatIf: WhatIf) =>
    outcomeOf(() => analyseRoll(input, part, whatIf)),
  /** Bars of stock sizes that do what is wanted. */
  findBars: (input: RollInput & { bar: BarDesign }, wanted: Wanted) =>
    outcomeOf(() => findBars(input, wanted, geometryOf(input.rig))),
  /** How far the results at ride height can be trusted. */
  trust: (job: Job) => outcomeOf(() => trustOf(job)),
  /** A quantity over heave and roll. */
  map: (input: LocateInput, key: keyof CurveValues) => outcomeOf(() => travelMap(input, key)),
};
export type LocateApi = typeof api;

function outcomeOf<T>(work: () => T): Outcome<T> {
  try {
    return { ok: true, result: work() };
  } catch (error) {
    if (error instanceof InputError) return { ok: false, message: error.expected };
    console.error(error);
    return {
      ok: false,
      message: `Pellik itself broke on it (${(error as Error).message}). Undo the last change; nothing typed is lost`,
    };
  }
}

/** One run after another, each a task of its own, so that what is asked meanwhile waits for one run at most. */
function warm(input: LocateInput, runs: number): void {
  if (runs === 0) return;
  setTimeout(() => {
    analyseLocate(input);
    warm(input, runs - 1);
  });
}

expose(api);
