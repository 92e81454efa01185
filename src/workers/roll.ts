import { create } from 'zustand';
import { shallow } from 'zustand/shallow';
import type { Job } from '@/core/job/jobSchema';
import type { Travel } from '@/core/rig/schema';
import type { RollPart, RollResult } from '@/core/roll/analyse';
import { judgeRoll } from '@/core/bench/judge/roll';
import { rollInput } from '@/core/roll/input';
import type { WhatIf } from '@/core/roll/levers';
import type { Judged } from '@/core/verdict/verdict';
import { newestOnly } from './newestOnly';
import { askPhysics } from './physicsWorker';

type RollState = {
  job: Job | null;
  part: RollPart;
  result: RollResult | null;
  verdicts: Judged[];
  problem: string | null;
};

/** Springs, bar and balance as last worked out, of which job and part that was asked, and the words for it. */
export const useRoll = create<RollState>()(() => ({
  job: null,
  part: 'bar',
  result: null,
  verdicts: [],
  problem: null,
}));

type RollQuestion = { job: Job; rocker: Travel; part: RollPart; whatIf: WhatIf };

let answered: RollQuestion | null = null;

/** Asks what springs and bar do, with the axle where the rocker stands, and with what is being thought about; not again what was just answered. */
export const askRoll = newestOnly<RollQuestion>(async (question) => {
  if (shallow(question, answered)) return;
  const { job, rocker, part, whatIf } = question;
  const input = rollInput(job, rocker);
  const outcome = await askPhysics((api) => api.roll(input, part, whatIf));
  answered = question;
  if (!outcome.ok) {
    useRoll.setState({ job, part, verdicts: [], problem: outcome.message });
    return;
  }
  const { result } = outcome;
  const verdicts = judgeRoll(job, input, part, result);
  useRoll.setState({ job, part, result, verdicts, problem: null });
});
