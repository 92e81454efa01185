import { expose } from 'comlink';
import type { Job } from '@/core/job/jobSchema';
import { findLocate } from '@/core/locate/analyse';
import { heightsAnswer, type HeightsAsked } from '@/core/locate/heights';
import { resultUncertainty } from '@/core/locate/resultUncertainty';
import { bestBar } from '@/core/locate/remedies/bestBar';
import { travelMap } from '@/core/locate/travel/travelMap';
import type { CurveValues, LocateInput, LocateResult } from '@/core/locate/types';
import { assemble } from '@/core/kinematics/mechanism';
import type { SweptPose } from '@/core/kinematics/pose';
import { proveJob } from '@/core/prove/prove';
import type { Rig, Travel } from '@/core/rig/schema';
import { analyseRoll, type RollPart } from '@/core/roll/analyse';
import type { RollInput } from '@/core/roll/input';
import type { WhatIf } from '@/core/roll/levers';
import { outcomeOf, type Outcome } from './outcome';

/** Runs until the compiler has settled: without them, the first drag of a visit lags. */
const WARMING_RUNS = 60;
let cold = true;

/** What follows the hand: geometry, springs and bars, answered at every movement of a drag. Numbers, ids and codes; no words. */
const api = {
  locate: (input: LocateInput): Outcome<LocateResult> =>
    outcomeOf(() => {
      const result = findLocate(input);
      if (cold) warm(input, WARMING_RUNS);
      cold = false;
      return result;
    }),
  /** The axle where the rocker has it. */
  pose: (rig: Rig, rocker: Travel): Outcome<SweptPose> => outcomeOf(() => assemble(rig).at(rocker)),
  /** Springs, sway bar and balance. */
  roll: (input: RollInput, part: RollPart, whatIf: WhatIf) =>
    outcomeOf(() => analyseRoll(input, part, whatIf)),
  /** Whether bars and brackets hold. */
  prove: (job: Job) => outcomeOf(() => proveJob(job)),
  /** How far the results at ride height can be trusted. */
  uncertainty: (job: Job) => outcomeOf(() => resultUncertainty(job)),
  /** What the longest bar across could do. */
  bestBar: (input: LocateInput) => outcomeOf(() => bestBar(input)),
  /** The car at other heights: settled, loaded, with its frame moved. */
  heights: (job: Job, asked: HeightsAsked) => outcomeOf(() => heightsAnswer(job, asked)),
  /** A quantity over heave and roll. */
  map: (input: LocateInput, key: keyof CurveValues) => outcomeOf(() => travelMap(input, key)),
};
export type PhysicsApi = typeof api;

/** One run after another, each a task of its own, so that what is asked meanwhile waits for one run at most. */
function warm(input: LocateInput, runs: number): void {
  if (runs === 0) return;
  setTimeout(() => {
    findLocate(input);
    warm(input, runs - 1);
  });
}

expose(api);
