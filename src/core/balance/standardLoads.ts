import { endsOf, sprungMassMoment } from './loadTransfer';
import { endOf } from './rollStiffness';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { smallMotions } from '@/core/kinematics/smallMotions';
import { InputError, orRefusal } from '@/core/rig/read';
import { solveLoad, type LoadAnswer, type LoadCase } from '@/core/statics/equilibrium';
import { standardCases, type CaseInput } from '@/core/statics/standardCases';

/** A load and what carries it; null where nothing can. */
export type SolvedLoad = { load: LoadCase; answer: LoadAnswer | null };

/** What the standard cases are made of beside the rig. */
export type StandardLoads = Pick<CaseInput, 'use' | 'cornerG' | 'axleRatio'>;

/** Forces of the standard cases and of the builder's own, N, at ride height; null answers where nothing carries a case. */
export const solveStandardLoads = (mechanism: Mechanism, of: StandardLoads): SolvedLoad[] =>
  loadCases(mechanism, of).map((load) => ({ load, answer: solveLoad(mechanism, load) }));

/** The standard cases of a car, and the builder's own. */
export function loadCases(mechanism: Mechanism, of: StandardLoads): LoadCase[] {
  const { rig } = mechanism;
  const torqueShare = torqueShareOf(mechanism);
  return [...standardCases({ rig, ...of, torqueShare }), ...(rig.loads ?? [])];
}

/** What of the shaft's torque the other end takes through the body, which the driven tyres see; undefined where stiffness is not known. */
function torqueShareOf(mechanism: Mechanism): number | undefined {
  const { rig, ride } = mechanism;
  if (!rig.springs && !rig.swayBars) return undefined;
  const end = orRefusal(() => endOf(rig, ride, smallMotions(mechanism)));
  if (end instanceof InputError) return undefined;
  const ends = endsOf(rig, { rollStiffness: end.rollStiffness, rollCentre: ride.rollCentreHeight });
  if (!ends) return undefined;
  const other = rig.end === 'rear' ? ends.front : ends.rear;
  const left =
    ends.front.rollStiffness + ends.rear.rollStiffness - sprungMassMoment(ends.front, ends.rear, ends.height);
  return left > 0 ? other.rollStiffness / left : undefined;
}
