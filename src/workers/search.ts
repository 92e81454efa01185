import { wrap, type Remote } from 'comlink';
import { create } from 'zustand';
import type { Job } from '@/core/job/jobSchema';
import { isSameSurvey, surveyedCar } from '@/core/record/jobRecord';
import { rollInput } from '@/core/roll/input';
import type { Agreement } from '@/core/survey/agreement';
import type { SurveyedCar } from '@/core/survey/network';
import type { Found, Wanted } from '@/core/swaybar/stockSearch';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { newestOnly } from './newestOnly';
import type { Outcome } from './outcome';
import type { SearchApi } from './search.worker';

let worker: Remote<SearchApi> | null = null;

const theWorker = (): Remote<SearchApi> =>
  (worker ??= wrap<SearchApi>(
    new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** Bars of stock sizes that do what is wanted. */
export function searchBars(job: Job & { roll: { bar: BarDesign } }, wanted: Wanted): Promise<Outcome<Found>> {
  const input = { ...rollInput(job, { left: 0, right: 0 }), bar: job.roll.bar };
  return theWorker().findBars(input, wanted);
}

/** How the readings of a car fit together, as last worked out, and of which readings; null while nothing is redundant. */
const useAgreement = create<{ car: SurveyedCar | null; agreement: Agreement | null }>()(() => ({
  car: null,
  agreement: null,
}));

/** How the readings of the job on the bench fit together: null while nothing is redundant, undefined while it is being worked out. */
export function useJobAgreement(job: Job): Agreement | null | undefined {
  const { car, agreement } = useAgreement();
  return car && isSameSurvey(car, surveyedCar(job)) ? agreement : undefined;
}

/** Asks how the readings of a job fit together; what was answered already is not asked again. */
export const askAgreement = newestOnly<Job>(async (job) => {
  const car = surveyedCar(job);
  const { car: last } = useAgreement.getState();
  if (last && isSameSurvey(last, car)) return;
  const outcome = await theWorker().agreement(car);
  // What could not be fitted is not known to agree.
  useAgreement.setState(outcome.ok ? { car, agreement: outcome.result } : { car: null, agreement: null });
});
