import { gapsOf, type Clearance, type Gaps, type Looking } from './clearance';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { bisect } from '@/core/numerics/rootFinding';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { Rig, Travel } from '@/core/rig/schema';

/**
 * Where in the travel two bodies come nearest, and how near, mm; `lockDeg` where the front wheels are steered there, left positive.
 */
export type ClosestApproach = Clearance & { at: Travel; lockDeg?: number };

/** The last of a bar before its eye is its bracket's business, mm: three inches. */
const BRACKET = 76;
/** How gaps are looked at over the travel. */
export const OVER_TRAVEL = { bracket: BRACKET, deep: true };

/** Gaps that differ by less are alike, mm: of poses in which two bodies run as far into each other the first is told, on either side of the car. */
const ALIKE = 1e-6;

/** Where in a set of poses each pair of things comes nearest; the tightest pair first. */
export const closestApproaches = (
  rig: Rig,
  poses: SweptPose[],
  looking: Pick<Looking, 'lockDeg' | 'flops' | 'only'> = {},
): ClosestApproach[] => closestAmong(gapsOf(rig, { ...looking, ...OVER_TRAVEL }), poses, looking.lockDeg);

/** The same of gaps that are ready to be asked. */
export function closestAmong(gaps: Gaps, poses: SweptPose[], lockDeg?: number): ClosestApproach[] {
  const least = new Float64Array(gaps.pairs.length).fill(Infinity);
  const where = new Int32Array(gaps.pairs.length).fill(-1);
  poses.forEach((pose, k) => {
    if (!isReached(pose)) return;
    const distances = gaps.in(pose);
    for (let i = 0; i < least.length; i++) {
      if (distances[i]! >= least[i]! - ALIKE) continue;
      least[i] = distances[i]!;
      where[i] = k;
    }
  });
  return gaps.pairs
    .flatMap(({ a, b }, i): ClosestApproach[] => {
      const pose = poses[where[i]!];
      if (!pose) return [];
      const at = { left: pose.left, right: pose.right };
      return [{ a, b, distance: least[i]!, at, ...(lockDeg && { lockDeg }) }];
    })
    .sort((a, b) => a.distance - b.distance);
}

/** Places of each wheel from droop to bump, all against all, in which a pair is looked at. */
const SHARES = [-1, -0.5, 0, 0.5, 1];
const STEPS = 24;
/** How finely the end of a travel is found: a 256th of it. */
const HALVINGS = 8;
/** Less of the travel than this is none: nobody drives a car that stops at once. */
const LEAST_WAY = 0.1;

/** Whether something holds wherever both wheels are between droop and bump, each by itself. */
function everywhere(
  { bump, droop }: { bump: number; droop: number },
  holds: (left: number, right: number) => boolean,
): boolean {
  const lifts = SHARES.map((share) => share * (share > 0 ? bump : droop));
  return lifts.every((left) => lifts.every((right) => holds(left, right)));
}

/** How far up the wheels may go with a body clear of all others, mm: the whole bump, or where it would have to end; 0 where it touches something at ride height or below. */
export function clearBump(
  rig: Rig,
  { at }: Mechanism,
  id: string,
  travel: { bump: number; droop: number },
): number {
  const gaps = gapsOf(rig, { bracket: BRACKET, only: (p, q) => p === id || q === id });
  const isClear = (left: number, right: number): boolean => {
    const pose = at({ left, right });
    return !isReached(pose) || gaps.in(pose).every((gap) => gap >= 0);
  };
  const clears = (bump: number): boolean => everywhere({ ...travel, bump }, isClear);
  if (clears(travel.bump)) return travel.bump;
  return clears(0) ? bisect(clears, travel.bump, 0, HALVINGS) : 0;
}

/**
 * How far two bodies stay clear of each other. `touch`: the travel, on the way from ride height to where they come nearest, at which
 * they do. `stop`: the bump or droop, mm, at which the travel would have to end for a margin to be left everywhere in it. Null
 * where there is none.
 */
export type ClearUntil = { touch: Travel | null; stop: { end: 'bump' | 'droop'; mm: number } | null };

/** @param margin that is to be kept, mm; `flops` as the gap was looked at with */
export function clearUntil(
  rig: Rig,
  { at }: Mechanism,
  { a, b, at: worst, lockDeg }: ClosestApproach,
  travel: { bump: number; droop: number },
  { margin, flops }: { margin: number } & Pick<Looking, 'flops'>,
): ClearUntil {
  const only = (p: string, q: string) => p === a && q === b;
  const gaps = gapsOf(rig, { bracket: BRACKET, lockDeg, flops, only });
  const gap = (left: number, right: number): number => {
    const pose = at({ left, right });
    return isReached(pose) ? gaps.in(pose)[0]! : Infinity;
  };
  const onTheWay = (share: number) => gap(share * worst.left, share * worst.right);
  const end = Math.max(worst.left, worst.right) > 0 ? 'bump' : 'droop';
  const clears = (mm: number): boolean =>
    everywhere({ ...travel, [end]: mm }, (left, right) => gap(left, right) >= margin);
  const step = Array.from({ length: STEPS + 1 }, (_, i) => onTheWay(i / STEPS)).findIndex((d) => d < 0);
  const share =
    step > 0 ? bisect((s) => onTheWay(s) >= 0, step / STEPS, (step - 1) / STEPS, 2 * HALVINGS) : 0;
  const stop = clears(0) ? bisect(clears, travel[end], 0, HALVINGS) : 0;
  return {
    touch: share > LEAST_WAY ? { left: share * worst.left, right: share * worst.right } : null,
    stop: stop > LEAST_WAY * travel[end] ? { end, mm: stop } : null,
  };
}
