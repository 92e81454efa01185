import { expose } from 'comlink';
import type { Brief } from '@/core/choose/brief';
import { comparingCandidates } from '@/core/choose/candidates/compare';
import type { Answer } from '@/core/choose/answer';
import { findingMounts } from '@/core/choose/findMounts';
import { graverAt } from '@/core/choose/whole';
import type { Closeness } from '@/core/choose/builds';
import { spreading, type Chances } from '@/core/choose/spread';
import type { Job } from '@/core/job/jobSchema';
import type { Steps } from '@/core/numerics/steps';
import { outcomeOf, refusalOf, type Outcome } from '../outcome';

/** Says how far it is, 0 to 1; what is said is not waited for. */
type Told = (share: number) => void;

/** So long it works before it listens whether it should rest, ms. */
const AT_A_STRETCH = 30;

let restsUntil = 0;

/** Takes step after step, and rests while something else needs the machine. */
async function answerOf<T>(steps: Steps<T>, told: Told): Promise<Outcome<T>> {
  let since = performance.now();
  try {
    for (;;) {
      const { done, value } = steps.next();
      if (done) return { ok: true, result: value };
      if (performance.now() - since < AT_A_STRETCH) continue;
      told(value);
      do await later(restsUntil - performance.now());
      while (performance.now() < restsUntil);
      since = performance.now();
    }
  } catch (error) {
    return refusalOf(error);
  }
}

const later = (ms: number) => new Promise((go) => setTimeout(go, Math.max(0, ms)));

/** Long searches, each in a worker that can be stopped at once by ending it. */
const api = {
  find: (job: Job, brief: Brief, told: Told) => answerOf(findingMounts(job, brief), told),
  graver: (job: Job, answer: Answer) => outcomeOf(() => graverAt(job, answer)),
  spread: (job: Job, closeness: Closeness, chances: Chances, told: Told) =>
    answerOf(spreading(job, closeness, chances), told),
  compare: (job: Job, told: Told) => answerOf(comparingCandidates(job), told),
  /** Leaves the machine to something else for so long, ms. */
  rest: (ms: number) => {
    restsUntil = performance.now() + ms;
  },
};
export type ChooseApi = typeof api;

expose(api);
