import { expose } from 'comlink';
import { analyseLocate } from '@/core/locate/analyse';
import { travelMap, type TravelMap } from '@/core/locate/map';
import type { CurveValues, LocateInput, LocateResult } from '@/core/locate/types';
import { InputError } from '@/core/rig/read';

export type LocateOutcome = { ok: true; result: LocateResult } | { ok: false; message: string };

const api = {
  /** The same as `analyseLocate`, with bad geometry as a value: an error's class does not survive the crossing. */
  analyse(input: LocateInput): LocateOutcome {
    try {
      return { ok: true, result: analyseLocate(input) };
    } catch (error) {
      if (error instanceof InputError) return { ok: false, message: error.expected };
      throw error;
    }
  },
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

expose(api);
