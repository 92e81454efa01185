import { expose } from 'comlink';
import { analyseLocate } from '@/core/locate/analyse';
import type { Job } from '@/core/job/schema';
import { trustOf, type Trust } from '@/core/locate/trust';
import { travelMap, type TravelMap } from '@/core/locate/map';
import type { CurveValues, LocateInput, LocateResult } from '@/core/locate/types';
import { analyseRoll, type RollPart, type RollResult } from '@/core/roll/analyse';
import type { BarDesign } from '@/core/roll/barDesign';
import type { WhatIf } from '@/core/roll/levers';
import { findBars, type Found, type Wanted } from '@/core/roll/search';
import { geometryOf, type RollInput } from '@/core/roll/setUp';
import { InputError } from '@/core/rig/read';

export type RollOutcome = { ok: true; result: RollResult } | { ok: false; message: string };

export type LocateOutcome = { ok: true; result: LocateResult } | { ok: false; message: string };

/** Runs until the compiler has settled: without them, the first drag of a session lags. */
const WARMING_RUNS = 60;
let cold = true;

const api = {
  /** The same as `analyseLocate`, with bad geometry as a value: an error's class does not survive the crossing. */
  analyse(input: LocateInput): LocateOutcome {
    try {
      const result = analyseLocate(input);
      if (cold) warm(input, WARMING_RUNS);
      cold = false;
      return { ok: true, result };
    } catch (error) {
      if (error instanceof InputError) return { ok: false, message: error.expected };
      throw error;
    }
  },
  /** Springs, sway bar and balance; a bar that cannot be held or moved as what is wrong with it. */
  roll(input: RollInput, part: RollPart, whatIf: WhatIf): RollOutcome {
    try {
      return { ok: true, result: analyseRoll(input, part, whatIf) };
    } catch (error) {
      if (error instanceof InputError) return { ok: false, message: error.expected };
      throw error;
    }
  },
  /** Bars of stock sizes that do what is wanted. */
  findBars: (input: RollInput & { bar: BarDesign }, wanted: Wanted): Found =>
    findBars(input, wanted, geometryOf(input.rig)),
  /** How far the results at ride height can be trusted. */
  trust: (job: Job): Trust => trustOf(job),
  /** A quantity over heave and roll; null for a geometry that cannot be moved. */
  map(input: LocateInput, key: keyof CurveValues): TravelMap | null {
    try {
      return travelMap(input, key);
    } catch (error) {
      if (error instanceof InputError) return null;
      throw error;
    }
  },
};
export type LocateApi = typeof api;

/** One run after another, each a task of its own, so that what is asked meanwhile waits for one run at most. */
function warm(input: LocateInput, runs: number): void {
  if (runs === 0) return;
  setTimeout(() => {
    analyseLocate(input);
    warm(input, runs - 1);
  });
}

expose(api);
