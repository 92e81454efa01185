import { create } from 'zustand';
import type { ComesOut } from '@/core/clearance/comesOut';
import type { PlateSheets } from '@/core/cut/sheets';
import type { BuiltOff } from '@/core/built/asBuilt';
import type { Offer } from '@/core/choose/candidates/offers';
import type { BookPhoto } from '@/core/book/book';
import type { Attached } from '@/core/fabricate/paper/document';
import type { FaultCheck } from '@/core/drive/faultFinder';
import type { Suggested } from '@/core/drive/suggestions';
import type { Job } from '@/core/job/jobSchema';
import type { DrivenSetUp, Feel, Phase, Symptom } from '@/core/job/slices/work/drive';
import type { HoleTable } from '@/core/locate/made/holeTable';
import { ownObstacles } from '@/core/job/jobValues';
import { isSameSurvey, surveyedCar } from '@/core/record/jobRecord';
import { rollInput } from '@/core/roll/input';
import type { CsvReadings } from '@/core/survey/readingsCsv';
import type { Agreement } from '@/core/survey/agreement';
import type { SurveyedCar } from '@/core/survey/network';
import type { Found, Wanted } from '@/core/swaybar/stockSearch';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { newestOnly } from '../newestOnly';
import type { LinkMember } from '@/core/rig/members/link';
import type { Outcome } from '../outcome';
import type { SearchApi } from './search.worker';
import { NoAnswer, supervised } from '../supervised';

/** Longer than any search takes on a slow device, ms. */
const PATIENCE = 90_000;

const askSearch = supervised<SearchApi>(
  () => new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }),
  PATIENCE,
);

/** What is answered, or in words that nothing was. */
async function orSaid<T>(answer: Promise<Outcome<T>>, message: string): Promise<Outcome<T>> {
  try {
    return await answer;
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    return { ok: false, message };
  }
}

/** Bars of stock sizes that do what is wanted. */
export function searchBars(job: Job & { roll: { bar: BarDesign } }, wanted: Wanted): Promise<Outcome<Found>> {
  const input = { ...rollInput(job, { left: 0, right: 0 }), bar: job.roll.bar };
  return orSaid(
    askSearch((api) => api.findBars(input, wanted)),
    'the search gave no answer, and was stopped. Reload the page and look again',
  );
}

/** The flat parts of a job laid on sheets of plate. */
export const askSheets = (job: Job): Promise<Outcome<PlateSheets[]>> =>
  orSaid(
    askSearch((api) => api.sheets(job)),
    'the plates could not be laid out just now; try it again',
  );

/** Every choice of holes of a car; null where it has none, or too many to list. */
export const askHoles = (job: Job): Promise<Outcome<HoleTable | null>> =>
  orSaid(
    askSearch((api) => api.holes(job)),
    'the choices could not be worked through just now; try it again',
  );

/** How the car is set up, with its own numbers. */
export const askSetUp = (job: Job): Promise<Outcome<DrivenSetUp>> =>
  orSaid(
    askSearch((api) => api.setUp(job)),
    'the car’s numbers could not be worked out just now; try it again',
  );

/** What answers a feel. */
export const askSuggestions = (job: Job, phase: Phase, feel: Feel): Promise<Outcome<Suggested>> =>
  orSaid(
    askSearch((api) => api.suggestions(job, phase, feel)),
    'the changes could not be tried just now; try it again',
  );

/** What to look at for a symptom. */
export const askFaults = (job: Job, symptom: Symptom): Promise<Outcome<FaultCheck[]>> =>
  orSaid(
    askSearch((api) => api.faults(job, symptom)),
    'the list could not be made just now; try it again',
  );

/** Other ways that a car could be built, and of which job they are. */
export async function askOffers(job: Job): Promise<Outcome<{ of: Job; offers: Offer[] }>> {
  const answer = await orSaid(
    askSearch((api) => api.offers(job)),
    'other ways could not be drawn just now; try it again',
  );
  return answer.ok ? { ok: true, result: { of: job, offers: answer.result } } : answer;
}

/** Whether it matters how a link was built; null where nothing of it was measured. */
export const askBuilt = (job: Job, link: LinkMember): Promise<Outcome<BuiltOff | null>> =>
  orSaid(
    askSearch((api) => api.built(job, link)),
    'what it changes could not be worked out just now; try it again',
  );

/** The build book of a job; null where it could not be made. */
export async function askBook(
  job: Job,
  photos: BookPhoto[],
  attached: Attached,
  day: string,
): Promise<Uint8Array | null> {
  try {
    return await askSearch((api) => api.book(job, photos, attached, day));
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    return null;
  }
}

/** Reads a table of readings, apart from the page, which a large one would hold up. */
export const readTable = (text: string): Promise<Outcome<CsvReadings>> =>
  orSaid(
    askSearch((api) => api.readings(text, new Date().toISOString())),
    'the table could not be read just now; reload the page and bring it in again',
  );

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
  const outcome = await askSearch((api) => api.agreement(car));
  // What could not be fitted is not known to agree.
  useAgreement.setState(outcome.ok ? { car, agreement: outcome.result } : { car: null, agreement: null });
});

/** What still comes out of the car, as last worked out. */
export const useComesOut = create<{ of: ComesOut[] | null }>()(() => ({ of: null }));

/** Asks that of a job: too much for what follows the hand. */
export const askComesOut = newestOnly<Job>(async ({ rig }) => {
  const drawn = ownObstacles(rig).map(({ id }) => id);
  const outcome = await orSaid(
    askSearch((api) => api.comesOut(rig, drawn)),
    'no answer',
  );
  useComesOut.setState({ of: outcome.ok ? outcome.result : null });
});
