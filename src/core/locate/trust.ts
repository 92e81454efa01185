import { setInMotion } from '@/core/kinematics/answer';
import type { Pose } from '@/core/kinematics/pose';
import type { Job } from '@/core/job/schema';
import { measured } from '@/core/measure/readings';
import { SIDES, type QuantityKey } from '@/core/measure/quantities';
import { estimate, propagateAll, type Estimate } from '@/core/measure/uncertainty';
import { InputError } from '@/core/rig/read';
import { mountsOf, withMount, type MountChange } from '@/core/rig/members';
import type { Rig } from '@/core/rig/schema';

/** How far results can be trusted, standard uncertainties in their own units (mm, %, degrees). */
export type Trust = Record<TrustedKey, number | null>;
export type TrustedKey = 'rollCentre' | 'antiSquat' | 'rollSteer' | 'crossing';

const RESULTS: Record<TrustedKey, (pose: Pose) => number | null> = {
  rollCentre: (pose) => pose.rollCentreHeight,
  antiSquat: (pose) => pose.antiSquatPct ?? null,
  rollSteer: (pose) => pose.rollSteer,
  crossing: (pose) => pose.instantCentre?.[0] ?? null,
};

type Input = Estimate & { set: (rig: Rig, value: number) => Rig };

/**
 * How far the results at ride height can be trusted: what was read of the car (tyre radius, track, wheelbase) with its
 * uncertainty, and every mount as near as a tape sets it, carried through the pose solver (law of propagation, JCGM 100:2008,
 * 5.1.2). Sizes that were not read count for nothing: there is nothing to trust in a stand-in.
 */
export function trustOf(job: Job): Trust {
  const inputs = [...sizeInputs(job), ...mountInputs(job.rig)];
  const keys = Object.keys(RESULTS) as TrustedKey[];
  const spread = propagateAll(inputs, (values) => {
    const rig = inputs.reduce(
      (r, input, i) => (values[i] === input.value ? r : input.set(r, values[i]!)),
      job.rig,
    );
    try {
      const { ride } = setInMotion(rig);
      return keys.map((key) => RESULTS[key](ride));
    } catch (error) {
      if (error instanceof InputError) return keys.map(() => null);
      throw error;
    }
  });
  return Object.fromEntries(keys.map((key, i) => [key, spread[i]?.u ?? null])) as Trust;
}

function sizeInputs({ readings, rig }: Job): Input[] {
  const input = (key: QuantityKey, name: 'tireRadius' | 'track' | 'wheelbase'): Input[] => {
    const read = [...SIDES, undefined]
      .map((side) => measured(readings, key, side))
      .filter((m) => m.count > 0);
    if (read.length === 0) return [];
    // A mean of two sides has half of their uncertainties put together.
    const u = Math.hypot(...read.map((m) => m.u)) / read.length;
    return [{ value: rig[name] ?? 0, u, set: (r, value) => ({ ...r, [name]: value }) }];
  };
  return [
    ...input('tireRadius', 'tireRadius'),
    ...input('track', 'track'),
    ...input('wheelbase', 'wheelbase'),
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
