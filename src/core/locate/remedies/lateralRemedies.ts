import { closestApproaches, type ClosestApproach } from '@/core/clearance/closestOverTravel';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { LIMITS } from '@/core/materials/limits';
import { falsePosition } from '@/core/numerics/rootFinding';
import { awayFromAxle, meantRise } from '@/core/rig/lateralBar';
import type { LinkMember } from '@/core/rig/members/link';
import { withLink } from '@/core/rig/roles';
import { cornerPoses } from '@/core/kinematics/travelCorners';
import { sidewaysOverTravel } from '@/core/locate/schools';
import { flopsOf, type LateralRemedies, type LocateInput } from '@/core/locate/types';

/** Shares of the way to the tightest place at which a bar that has been moved is looked at again. */
const WAYS = [1, 0.75, 0.5, 0.25];

/** How nearly a place is found, mm: finer than any tape. */
const CLOSE = 0.1;

/**
 * @param mostSideways of the axle over its travel as it is, mm
 * @param closest the tightest place of the bar
 */
export function lateralRemedies(
  input: LocateInput,
  mechanism: Mechanism,
  bar: LinkMember,
  mostSideways: number,
  closest: ClosestApproach | undefined,
): LateralRemedies {
  const tight = closest !== undefined && closest.distance < LIMITS.clearance.least - 1e-6;
  const near = tight ? input.rig.obstacles?.find((o) => o.id === closest.b) : undefined;
  return {
    length: mostSideways <= input.shiftLimit + 1e-6 ? null : lengthRemedy(input, bar),
    // Away from the axle is away from what the axle carries; it may be into anything else.
    away: near?.on === 'axle' ? distanceAway(input, mechanism, closest!, bar) : null,
  };
}

/**
 * Level first, which is free; then the shortest level bar that keeps the axle within the limit, if it fits between the tyres: by its
 * frame end alone, or with that all the way out, by its axle end too.
 */
function lengthRemedy(
  { rig, bump, droop, shiftLimit, school, tireWidth }: LocateInput,
  bar: LinkMember,
): LateralRemedies['length'] {
  const level = bar.axle[2] + meantRise(rig, bar, school, bump, droop).rise;
  const mostWith = (y: number, axle = bar.axle[1]) => {
    const moved = withLink(rig, bar.id, (m) => ({
      ...m,
      chassis: [m.chassis[0], y, level],
      axle: [m.axle[0], axle, m.axle[2]],
    }));
    return sidewaysOverTravel(moved, bump, droop).most;
  };
  if (mostWith(bar.chassis[1]) <= shiftLimit) return { kind: 'level' };
  const outward = -Math.sign(bar.axle[1]) || 1;
  const farthest = outward * (rig.track / 2 - (tireWidth ?? 0) / 2 - LIMITS.clearance.tyre);
  if (mostWith(farthest) > shiftLimit) {
    if (mostWith(farthest, -farthest) > shiftLimit)
      return { kind: 'tooShort', longest: 2 * Math.abs(farthest) };
    const axle = falsePosition((at) => mostWith(farthest, at) - shiftLimit, bar.axle[1], -farthest, CLOSE);
    return { kind: 'bothOut', chassis: farthest, axle, farthest: -farthest };
  }
  const y = falsePosition((at) => mostWith(at) - shiftLimit, bar.chassis[1], farthest, CLOSE);
  return { kind: 'longer', y, farthest };
}

/** How far both ends must move away from the axle, lengthwise, for the bar to clear everything, mm; null where that does not do it. */
function distanceAway(
  input: LocateInput,
  mechanism: Mechanism,
  closest: ClosestApproach,
  bar: LinkMember,
): number | null {
  const { rig, bump, droop } = input;
  const poses = [
    ...cornerPoses(mechanism, bump, droop).map(({ pose }) => pose),
    ...WAYS.map((share) => mechanism.at({ left: share * closest.at.left, right: share * closest.at.right })),
  ];
  const way = awayFromAxle(bar);
  let away = 0;
  let gap = closest.distance;
  // The gap grows by no more than the bar is moved, so these steps come up to the limit and never past it.
  for (let i = 0; i < 30 && gap < LIMITS.clearance.least - 0.01; i++) {
    away += LIMITS.clearance.least - gap;
    const shifted = withLink(rig, bar.id, (m) => ({
      ...m,
      chassis: [m.chassis[0] + way * away, m.chassis[1], m.chassis[2]],
      axle: [m.axle[0] + way * away, m.axle[1], m.axle[2]],
    }));
    const near = closestApproaches(shifted, poses, { flops: flopsOf(input) });
    gap = near.find((g) => g.a === bar.id || g.b === bar.id)!.distance;
  }
  return gap >= LIMITS.clearance.least - 0.05 ? away : null;
}
