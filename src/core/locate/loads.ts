import type { Mechanism } from '@/core/kinematics/mechanism';
import { solveLoad } from '@/core/statics/equilibrium';
import { standardCases } from '@/core/statics/standardCases';
import type { LocateInput, LocateResult } from './types';

/** Forces of the standard cases and of the builder's own, N, at ride height; null answers where nothing carries a case. */
export function solveStandardLoads(
  { rig, use, loads }: LocateInput,
  mechanism: Mechanism,
): LocateResult['loads'] {
  const cases = [...standardCases({ rig, use, ...loads }), ...(rig.loads ?? [])];
  return cases.map((load) => ({ load, answer: solveLoad(mechanism, load) }));
}
