import type { Remote } from 'comlink';
import { dequal } from 'dequal/lite';
import { create } from 'zustand';
import type { Job } from '@/core/job/jobSchema';
import type { HeightsAnswer, HeightsAsked } from '@/core/locate/heights';
import type { BestBar } from '@/core/locate/remedies/bestBar';
import type { ResultUncertainty } from '@/core/locate/resultUncertainty';
import type { TravelMap } from '@/core/locate/travel/travelMap';
import { locateInput, type CurveValues, type LocateInput, type LocateResult } from '@/core/locate/types';
import type { Travel } from '@/core/rig/schema';
import { useJobStore } from '@/store/jobStore';
import { newestOnly } from './newestOnly';
import type { Outcome } from './outcome';
import type { PhysicsApi } from './physics.worker';
import { askPhysics } from './physicsWorker';

/** `result`, and what it was worked out of, outlives a geometry that cannot be solved, so that the bay keeps its drawing. */
type LocateState = {
  job: Job | null;
  /** last answered, with a result or with a problem */
  input: LocateInput | null;
  result: LocateResult | null;
  resultOf: LocateInput | null;
  /** the job whose result it is, by its id */
  resultId: string | null;
  problem: string | null;
};

/** What Locate last worked out, and of which job. */
export const useLocate = create<LocateState>()(() => ({
  job: null,
  input: null,
  result: null,
  resultOf: null,
  resultId: null,
  problem: null,
}));

/** What Locate last worked out of the job on the bench; null until it has: another car's figures are never shown as this one's. */
export function useLocateResult(): LocateResult | null {
  const jobId = useJobStore((s) => s.job?.id);
  return useLocate((s) => (s.resultId === jobId ? s.result : null));
}

/** Asks for the analysis of a job with the axle where the rocker stands. What would be answered alike is not asked again. */
export const askLocate = newestOnly<{ job: Job; rocker: Travel }>(async ({ job, rocker }) => {
  const input = locateInput(job, rocker);
  const before = useLocate.getState();
  if (before.input && asksAlike(input, before.input)) {
    useLocate.setState(before.resultOf === before.input ? { job, resultId: job.id } : { job });
    return;
  }
  const outcome = await askPhysics((api) => answerTo(api, input, before));
  if (outcome.ok)
    useLocate.setState({
      job,
      input,
      result: outcome.result,
      resultOf: input,
      resultId: job.id,
      problem: null,
    });
  else useLocate.setState({ job, input, problem: outcome.message });
});

/** Locate's answer; where only the rocker has moved, what is known but for the pose there. */
async function answerTo(
  api: Remote<PhysicsApi>,
  input: LocateInput,
  { input: asked, result, resultOf }: LocateState,
): Promise<Outcome<LocateResult>> {
  const isKnown = result && asked === resultOf && asksAlike({ ...input, rocker: asked!.rocker }, asked!);
  if (!isKnown) return api.locate(input);
  const pose = await api.pose(input.rig, input.rocker);
  return pose.ok ? { ok: true, result: { ...result, current: pose.result } } : pose;
}

/** Whether what Locate last answered holds for a job too, as when only its sway bar has moved. */
export function answerHoldsFor(job: Job): boolean {
  const { input } = useLocate.getState();
  return input !== null && asksAlike(locateInput(job, input.rocker), input);
}

/** What Locate is asked of a rig: sway bars are not among it. */
const askedOf = ({ rig, ...rest }: LocateInput) => [
  rig.members,
  rig.driveshaft,
  rig.steering,
  rig.obstacles,
  rig.loads,
  rig.masses,
  rig.brakes,
  rest.joints,
];

/** The parts of a job are the same objects for as long as nobody changes them; the rest is small. */
function asksAlike(a: LocateInput, b: LocateInput): boolean {
  if (a === b) return true;
  const [before, after] = [askedOf(a), askedOf(b)];
  if (before.some((part, i) => part !== after[i])) return false;
  // Of springs and shocks where they stand and how thick they are: not how hard.
  const standing = ({ rig }: LocateInput) => [
    rig.springs?.map(({ chassis, axle, od }) => [chassis, axle, od]),
    rig.shocks,
    rig.tires,
    rig.axleTorsion,
  ];
  const small = (input: LocateInput) => {
    const { tireRadius, track, wheelbase, cgHeight, end } = input.rig;
    const sizes = { tireRadius, track, wheelbase, cgHeight, end };
    return { ...input, joints: null, rig: { ...sizes, standing: standing(input) } };
  };
  return dequal(small(a), small(b));
}

/** How far the results of a job can be trusted, and of which job that was worked out. */
export const useUncertainty = create<{ job: Job | null; of: ResultUncertainty | null }>()(() => ({
  job: null,
  of: null,
}));

export const askUncertainty = newestOnly<Job>(async (job) => {
  const outcome = await askPhysics((api) => api.uncertainty(job));
  useUncertainty.setState({ job, of: outcome.ok ? outcome.result : null });
});

/** The car at other heights, as last worked out. */
export const useHeights = create<{ answer: HeightsAnswer | null; problem: string | null }>()(() => ({
  answer: null,
  problem: null,
}));

export const askHeights = newestOnly<{ job: Job; asked: HeightsAsked }>(async ({ job, asked }) => {
  const outcome = await askPhysics((api) => api.heights(job, asked));
  useHeights.setState(
    outcome.ok ? { answer: outcome.result, problem: null } : { answer: null, problem: outcome.message },
  );
});

/** What the longest bar across that fits could do, as last worked out, and of which job, by its id; null where none fits. */
export const useBestBar = create<{ jobId: string | null; best: BestBar | null }>()(() => ({
  jobId: null,
  best: null,
}));

export const askBestBar = newestOnly<Job>(async (job) => {
  const input = locateInput(job, { left: 0, right: 0 });
  const outcome = await askPhysics((api) => api.bestBar(input));
  useBestBar.setState({ jobId: job.id, best: outcome.ok ? outcome.result : null });
});

/** The map last worked out, and of what. */
export const useTravelMap = create<{ map: TravelMap | null; key: keyof CurveValues | null }>()(() => ({
  map: null,
  key: null,
}));

/** Asks for a quantity over heave and roll. */
export const askTravelMap = newestOnly<{ job: Job; key: keyof CurveValues }>(async ({ job, key }) => {
  const outcome = await askPhysics((api) => api.map(locateInput(job, { left: 0, right: 0 }), key));
  useTravelMap.setState({ map: outcome.ok ? outcome.result : null, key });
});
