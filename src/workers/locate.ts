import { create } from 'zustand';
import type { Job } from '@/core/job/jobSchema';
import type { ResultUncertainty } from '@/core/locate/resultUncertainty';
import type { TravelMap } from '@/core/locate/travelMap';
import { locateInput, type CurveValues, type LocateInput, type LocateResult } from '@/core/locate/types';
import { locateVerdicts, type LocateVerdicts } from '@/core/locate/verdicts/verdicts';
import type { Travel } from '@/core/rig/schema';
import { newestOnly } from './newestOnly';
import { physicsWorker } from './physicsWorker';

/** `result` outlives a geometry that cannot be solved, so that the bay keeps its drawing. */
type LocateState = {
  job: Job | null;
  input: LocateInput | null;
  result: LocateResult | null;
  verdicts: LocateVerdicts;
  problem: string | null;
};
const UNSAID: LocateVerdicts = { sideways: [], lengthwise: [], room: [] };

/** What Locate last worked out, of which job, and the words for it. */
export const useLocate = create<LocateState>()(() => ({
  job: null,
  input: null,
  result: null,
  verdicts: UNSAID,
  problem: null,
}));

/** Asks for the analysis of a job with the axle where the rocker stands. What would be answered alike is not asked again. */
export const askLocate = newestOnly<{ job: Job; rocker: Travel }>(async ({ job, rocker }) => {
  const input = locateInput(job, rocker);
  const before = useLocate.getState();
  if (before.input && asksAlike(input, before.input)) {
    // The same numbers may be told in another tape.
    const same = before.job?.tape === job.tape || !before.result;
    const verdicts = same ? before.verdicts : locateVerdicts(input, before.result!, job.tape);
    useLocate.setState({ job, verdicts });
    return;
  }
  const outcome = await physicsWorker().locate(input);
  if (!outcome.ok) {
    useLocate.setState({ job, input, problem: outcome.message });
    return;
  }
  const { result } = outcome;
  useLocate.setState({
    job,
    input,
    result,
    verdicts: locateVerdicts(input, result, job.tape),
    problem: null,
  });
});

/** Whether what Locate last answered holds for a job too, as when only its sway bar has moved. */
export function answerHoldsFor(job: Job): boolean {
  const { input } = useLocate.getState();
  return input !== null && asksAlike(locateInput(job, input.rocker), input);
}

/** What Locate is asked of a rig: springs and sway bars are not among it. */
const askedOf = ({ rig, ...rest }: LocateInput) => [
  rig.members,
  rig.driveshaft,
  rig.steering,
  rig.obstacles,
  rig.loads,
  rig.masses,
  rest.joints,
];

/** The parts of a job are the same objects for as long as nobody changes them; the rest is small. */
function asksAlike(a: LocateInput, b: LocateInput): boolean {
  if (a === b) return true;
  const [before, after] = [askedOf(a), askedOf(b)];
  if (before.some((part, i) => part !== after[i])) return false;
  const seats = ({ rig }: LocateInput) => rig.springs?.map((s) => s.axle);
  const small = (input: LocateInput) => {
    const { tireRadius, track, wheelbase, cgHeight, end } = input.rig;
    const sizes = { tireRadius, track, wheelbase, cgHeight, end };
    return JSON.stringify({ ...input, joints: null, rig: { ...sizes, seats: seats(input) } });
  };
  return small(a) === small(b);
}

/** How far the results of a job can be trusted, and of which job that was worked out. */
export const useUncertainty = create<{ job: Job | null; of: ResultUncertainty | null }>()(() => ({
  job: null,
  of: null,
}));

export const askUncertainty = newestOnly<Job>(async (job) => {
  const outcome = await physicsWorker().uncertainty(job);
  useUncertainty.setState({ job, of: outcome.ok ? outcome.result : null });
});

/** The map last worked out, and of what. */
export const useTravelMap = create<{ map: TravelMap | null; key: keyof CurveValues | null }>()(() => ({
  map: null,
  key: null,
}));

/** Asks for a quantity over heave and roll. */
export const askTravelMap = newestOnly<{ job: Job; key: keyof CurveValues }>(async ({ job, key }) => {
  const outcome = await physicsWorker().map(locateInput(job, { left: 0, right: 0 }), key);
  useTravelMap.setState({ map: outcome.ok ? outcome.result : null, key });
});
