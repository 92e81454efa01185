import { expose } from 'comlink';
import { comesOut } from '@/core/clearance/comesOut';
import { jobCut } from '@/core/cut/jobCut';
import { plateSheets } from '@/core/cut/sheets';
import { buildBook, type BookPhoto } from '@/core/book/book';
import { builtOff } from '@/core/built/asBuilt';
import { offersFor } from '@/core/choose/candidates/offers';
import { faultChecks } from '@/core/drive/faultFinder';
import { setUpNow } from '@/core/drive/setUps';
import { suggestionsFor } from '@/core/drive/suggestions';
import type { Attached } from '@/core/fabricate/paper/document';
import type { Job } from '@/core/job/jobSchema';
import type { Feel, Phase, Symptom } from '@/core/job/slices/work/drive';
import { COVER } from '@/core/job/bodies/bodyNames';
import { motionOf } from '@/core/kinematics/smallMotions';
import { holeTable } from '@/core/locate/made/holeTable';
import type { LinkMember } from '@/core/rig/members/link';
import type { Rig } from '@/core/rig/schema';
import type { RollInput } from '@/core/roll/input';
import { readingsFromCsv } from '@/core/survey/readingsCsv';
import { agreementOf } from '@/core/survey/agreement';
import type { SurveyedCar } from '@/core/survey/network';
import { findBars, type Wanted } from '@/core/swaybar/stockSearch';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { outcomeOf } from '../outcome';

/** What takes its time, apart from what follows the hand. */
const api = {
  /** Bars of stock sizes that do what is wanted. */
  findBars: (input: RollInput & { bar: BarDesign }, wanted: Wanted) =>
    outcomeOf(() => findBars(input, wanted, motionOf(input.rig))),
  /** The readings of a table: a large one takes a while. */
  readings: (text: string, now: string) => outcomeOf(() => readingsFromCsv(text, now)),
  /** What still comes out past everything that is fitted. */
  comesOut: (rig: Rig, drawn: string[]) => outcomeOf(() => comesOut(rig, { drawn, cover: COVER })),
  /** Every choice of holes. */
  holes: (job: Job) => outcomeOf(() => holeTable(job)),
  /** The flat parts of a job laid on sheets of plate. */
  sheets: (job: Job) => outcomeOf(() => plateSheets(job, jobCut(job))),
  /** How a car is set up, with its own numbers. */
  setUp: (job: Job) => outcomeOf(() => setUpNow(job)),
  /** What answers a feel, each tried. */
  suggestions: (job: Job, phase: Phase, feel: Feel) => outcomeOf(() => suggestionsFor(job, phase, feel)),
  /** What to look at for a symptom. */
  faults: (job: Job, symptom: Symptom) => outcomeOf(() => faultChecks(job, symptom)),
  /** Other ways that a car could be built. */
  offers: (job: Job) => outcomeOf(() => offersFor(job)),
  /** Whether it matters how a link was built. */
  built: (job: Job, link: LinkMember) => outcomeOf(() => builtOff(job, link)),
  /** The build book, which photographs make long. */
  book: async (job: Job, photos: BookPhoto[], attached: Attached, day: string) =>
    buildBook(job, photos, attached, day),
  /** How all readings of a car fit together. */
  agreement: (car: SurveyedCar) => outcomeOf(() => agreementOf(car)),
};
export type SearchApi = typeof api;

expose(api);
