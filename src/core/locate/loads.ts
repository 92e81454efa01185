import type { MovingRig } from '@/core/kinematics/answer';
import { standardCases } from '@/core/statics/standardCases';
import type { LocateInput, LocateResult } from './types';

/** The forces of the standard cases and of the builder's own, at ride height; null answers where nothing carries a case. */
export function solveStandardLoads(
  { rig, springs, use, loads }: LocateInput,
  { under }: MovingRig,
): LocateResult['loads'] {
  const cases = [
    ...standardCases({ rig: springs ? { ...rig, springs } : rig, use, ...loads }),
    ...(rig.loads ?? []),
  ];
  return cases.map((load) => ({ load, answer: under(load) }));
}
