import { clearUntil } from '@/core/clearance/closestOverTravel';
import { assemble } from '@/core/kinematics/mechanism';
import { LIMITS } from '@/core/materials/limits';
import { lateralBarOf } from '@/core/rig/roles';
import { lateralRemedies } from './lateralRemedies';
import { isSteered } from '@/core/locate/steering/steered';
import { steeringRemedy } from '@/core/locate/steering/steeringRemedy';
import { mostSideways } from '@/core/locate/travel/travelCurve';
import {
  FOLLOWED,
  flopsOf,
  isTight,
  whileDriven,
  type LocateCures,
  type LocateInput,
  type LocateResult,
} from '@/core/locate/types';

/** What would mend what was found of a geometry, solved with each change; dearer than the findings, and asked for at rest. */
export function curesOf(
  input: LocateInput,
  { gaps, driven, ride, links }: Omit<LocateResult, 'cures'>,
): LocateCures {
  const { rig } = input;
  const mechanism = assemble(rig);
  const driving = whileDriven(input);
  const bar = lateralBarOf(rig);
  const closest = gaps.find((g) => g.a === bar?.id || g.b === bar?.id);
  const looking = { margin: LIMITS.clearance.least, flops: flopsOf(input) };
  return {
    lateral: bar && lateralRemedies(driving, mechanism, bar, mostSideways(driven, ride.y), closest),
    steering: links.steering && isSteered(links.steering.wheels) ? steeringRemedy(driving) : null,
    until: gaps
      .slice(0, FOLLOWED)
      .filter(isTight)
      .map((gap) => ({ a: gap.a, b: gap.b, ...clearUntil(rig, mechanism, gap, input, looking) })),
  };
}
