import { assemble } from '@/core/kinematics/mechanism';
import { antiSquatOf, isReached } from '@/core/kinematics/pose';
import { LIMITS } from '@/core/materials/limits';
import { inputOf, isGuess } from '@/core/provenance/inputs';
import { describeBar } from '@/core/rig/lateralBar';
import { measured } from '@/core/survey/readings';
import type { QuantityKey } from '@/core/survey/quantities/quantities';
import { estimate, propagateAll, type Estimate } from '@/core/survey/uncertainty';
import { InputError } from '@/core/rig/read';
import { weighedHeight } from './weighedHeight';
import type { Rig } from '@/core/rig/schema';
import { SIDES } from '@/core/geometry/side';
import { PANHARD } from '@/core/rig/roles';
import { linksOf } from '@/core/rig/members/members';
import { type MountChange, mountsOf, withMount } from '@/core/rig/mounts';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';

/** Standard uncertainties of results, each in its own unit (mm, %, degrees); null where a result has none. */
export type ResultUncertainty = Record<ResultKey, number | null>;
export type ResultKey =
  | 'rollCentre'
  | 'antiSquat'
  | 'rollSteer'
  | 'crossing'
  | 'eyeToEye'
  | 'tilt'
  | 'crossesAt'
  | 'shift-bump'
  | 'shift-droop';

type Values = Record<ResultKey, number | null>;

/** The results of a rig that are given with their uncertainty. */
function resultsOf(rig: Rig, bump: number, droop: number): Values {
  const moving = assemble(rig);
  const { ride } = moving;
  const member = linksOf(rig).find((m) => m.id === PANHARD);
  const bar = member && describeBar(member);
  const shift = (lift: number): number | null => {
    const pose = moving.at({ left: lift, right: lift });
    return isReached(pose) ? pose.y : null;
  };
  return {
    rollCentre: ride.rollCentreHeight,
    antiSquat: antiSquatOf(rig, ride),
    rollSteer: ride.rollSteer,
    crossing: ride.instantCentre?.[0] ?? null,
    eyeToEye: bar?.eyeToEye ?? null,
    tilt: bar?.tiltDeg ?? null,
    crossesAt: bar?.crossesAt ?? null,
    'shift-bump': shift(bump),
    'shift-droop': shift(-droop),
  };
}

/** Something that results hang on, with its standard uncertainty; and a rig with another value of it. */
export type UncertainInput = Estimate & { name: string; set: (rig: Rig, value: number) => Rig };
type Input = Omit<UncertainInput, 'name'>;

/**
 * Standard uncertainty of the results at ride height: what was read of the car (tyre radius, track, wheelbase) with its
 * uncertainty, the height of the centre of gravity as it was come by, and every mount as near as a tape sets it, carried through the
 * pose solver (law of propagation, JCGM 100:2008, 5.1.2). Sizes that were not read count for nothing: there is nothing to trust in a
 * stand-in.
 */
export function resultUncertainty(job: Job): ResultUncertainty {
  const inputs = [...carInputs(job), ...mountInputs(job.rig)];
  const { bump, droop } = travelOf(job);
  const keys = Object.keys(resultsOf(job.rig, bump, droop)) as ResultKey[];
  const spread = propagateAll(inputs, (values) => {
    const rig = inputs.reduce(
      (r, input, i) => (values[i] === input.value ? r : input.set(r, values[i]!)),
      job.rig,
    );
    try {
      const results = resultsOf(rig, bump, droop);
      return keys.map((key) => results[key]);
    } catch (error) {
      if (error instanceof InputError) return keys.map(() => null);
      throw error;
    }
  });
  return Object.fromEntries(keys.map((key, i) => [key, spread[i]?.u ?? null])) as ResultUncertainty;
}

/** What was read of the car as a whole, and how high its centre of gravity is, as far as either is known. */
export const carInputs = (job: Job): UncertainInput[] => [...sizeInputs(job), ...gravityInput(job)];

const NAMES = { tireRadius: 'tyre radius', track: 'track', wheelbase: 'wheelbase' };

function sizeInputs({ readings, rig }: Job): UncertainInput[] {
  const input = (key: QuantityKey, name: 'tireRadius' | 'track' | 'wheelbase'): UncertainInput[] => {
    const read = [...SIDES, undefined]
      .map((side) => measured(readings, key, side))
      .filter((m) => m.count > 0);
    if (read.length === 0) return [];
    // A mean of two sides has half of their uncertainties put together.
    const u = Math.hypot(...read.map((m) => m.u)) / read.length;
    return [{ name: NAMES[name], value: rig[name] ?? 0, u, set: (r, value) => ({ ...r, [name]: value }) }];
  };
  return [
    ...input('tireRadius', 'tireRadius'),
    ...input('track', 'track'),
    ...input('wheelbase', 'wheelbase'),
  ];
}

/** The height of the centre of gravity: by two weighings as its scales and tape let it, else as far as it was typed or guessed. */
function gravityInput(job: Job): UncertainInput[] {
  const { cgHeight } = job.rig;
  if (cgHeight === undefined) return [];
  const weighed = weighedHeight(job);
  const { guessed, typed } = LIMITS.gravityHeight;
  // Honest limits, as of a tool (GUM 4.3.7).
  const limit = isGuess(inputOf(job, 'cgHeight')) ? guessed : typed;
  const byScales = weighed !== null && Math.abs(weighed.value - cgHeight) < 1;
  const u = byScales ? weighed.u : limit / Math.sqrt(3);
  return [
    {
      name: 'height of the centre of gravity',
      value: cgHeight,
      u,
      set: (r, value) => ({ ...r, cgHeight: value }),
    },
  ];
}

function mountInputs(rig: Rig): Input[] {
  const { u } = estimate([0], 'tape');
  return rig.members.flatMap((member) =>
    mountsOf(rig, member.id).flatMap(({ key, point }) =>
      ([0, 1, 2] as const).map((axis): Input => {
        const at: Omit<MountChange, 'mm'> = { member: member.id, end: key, axis };
        return { value: point[axis], u, set: (r, mm) => withMount(r, { ...at, mm }) };
      }),
    ),
  );
}
