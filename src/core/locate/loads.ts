import { endsOf, sprungMassMoment } from '@/core/balance/loadTransfer';
import { endOf } from '@/core/balance/rollStiffness';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { smallMotions } from '@/core/kinematics/smallMotions';
import { InputError, orRefusal } from '@/core/rig/read';
import { solveLoad } from '@/core/statics/equilibrium';
import { standardCases } from '@/core/statics/standardCases';
import type { LocateInput, LocateResult } from './types';

/** Forces of the standard cases and of the builder's own, N, at ride height; null answers where nothing carries a case. */
export function solveStandardLoads(
  { rig, use, loads }: LocateInput,
  mechanism: Mechanism,
): LocateResult['loads'] {
  const torqueShare = torqueShareOf(mechanism);
  const cases = [...standardCases({ rig, use, ...loads, torqueShare }), ...(rig.loads ?? [])];
  return cases.map((load) => ({ load, answer: solveLoad(mechanism, load) }));
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
