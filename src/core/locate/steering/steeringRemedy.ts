import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { bumpSteer, wheelSteer } from '@/core/kinematics/bumpSteer';
import { assemble } from '@/core/kinematics/mechanism';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { cornerPoses } from '@/core/kinematics/travelCorners';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { toDegrees } from '@/core/geometry/angle';
import { LIMITS } from '@/core/materials/limits';
import { minimumOn } from '@/core/numerics/rootFinding';
import type { LinkMember } from '@/core/rig/members/link';
import { lateralBarOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { withMount } from '@/core/rig/mounts';
import { snap } from '@/core/units/tape';
import { sidewaysOverTravel } from '../schools';
import { flopsOf, type LocateInput, type MostSteer, type SteeringRemedy } from '../types';

/** How far an end may go up or down and still be the same bracket made taller or shorter, mm: three inches. */
const REACH = 76.2;

/** How far away the steer is looked at first, mm: far enough to see which way it goes. */
const LOOK = 25;

/** A remedy is worth its welding if it leaves less than this share of what there is. */
const WORTH = 0.7;

/**
 * Where one end of the lateral bar would have to stand for bumps to steer the wheels least, its height rounded to a line of the
 * tape. Only what was solved with the change is given: within the limits, or a good deal nearer to them; the axle moving no
 * farther sideways than is allowed, or than it does; and the bar no nearer to anything than it may be, or than it is.
 */
export function steeringRemedy(input: LocateInput): SteeringRemedy | null {
  const { rig } = input;
  const bar = lateralBarOf(rig);
  if (!bar || !rig.steering) return null;
  const now = steered(rig, input);
  const tries = (['chassis', 'axle'] as const).map((end) => bestHeight(input, bar, end, now));
  for (const { end, z, then } of tries.sort((a, b) => excess(a.then) - excess(b.then))) {
    const better = excess(then) < excess(now) && excess(then) <= Math.max(1, WORTH * excess(now));
    if (better && costsNothingElse(input, bar, withEnd(rig, bar, end, z)))
      return { member: bar.id, end, z, wheels: most(then) };
  }
  return null;
}

type End = 'chassis' | 'axle';

const withEnd = (rig: Rig, { id }: LinkMember, end: End, z: number): Rig =>
  withMount(rig, { member: id, end, axis: 2, mm: z });

/**
 * The steer at each pose goes nearly by the height of an end: from two heights the best is foretold, and once more with what was
 * found there. What is given is what was solved at its line of the tape.
 */
function bestHeight(
  input: LocateInput,
  bar: LinkMember,
  end: End,
  now: Steered,
): { end: End; z: number; then: Steered } {
  const { rig, tape } = input;
  const home = bar[end][2];
  const at = (z: number) => steered(withEnd(rig, bar, end, z), input);
  const foretold = (z: number) => {
    const there = at(z);
    const cost = (to: number) => excess(now.map((s, i) => s + ((to - home) / (z - home)) * (there[i]! - s)));
    return minimumOn(cost, Math.max(0, home - REACH), home + REACH);
  };
  const first = foretold(home + LOOK);
  const z = snap(Math.abs(first - home) < 1 ? first : foretold(first), tape);
  return { end, z, then: at(z) };
}

/** What the road wheels are steered at each pose, degrees: both wheels up and down, then one up as the other drops; not finite where axle or drag link cannot follow. */
type Steered = number[];

/** Poses of both wheels together. */
const TOGETHER = 4;

const most = (poses: Steered): MostSteer => ({
  both: Math.max(...poses.slice(0, TOGETHER).map(Math.abs)),
  one: Math.max(...poses.slice(TOGETHER).map(Math.abs)),
});

/** What the wheels are steered at most, against what is allowed: 1 is just allowed; infinite out of reach. */
function excess(poses: Steered): number {
  const { both, one } = most(poses);
  const share = Math.max(both / LIMITS.bumpSteer.both, one / LIMITS.bumpSteer.one);
  return Number.isNaN(share) ? Infinity : share;
}

function steered(rig: Rig, { bump, droop }: Pick<LocateInput, 'bump' | 'droop'>): Steered {
  const solver = new PoseSolver(compileLinkage(rig));
  const travels: [left: number, right: number][] = [
    ...[-droop, -droop / 2, bump / 2, bump].map((lift): [number, number] => [lift, lift]),
    [bump, -droop],
    [-droop, bump],
  ];
  return travels.map(([left, right]) => {
    if (!solver.solve(left, right)) return Infinity;
    const { q, residuals } = solver;
    const attitude = {
      x: q[0]!,
      y: q[1]!,
      z: residuals.z,
      rollDeg: toDegrees(Math.asin(residuals.sinRoll)),
      pitchDeg: toDegrees(q[2]!),
      steerDeg: toDegrees(q[3]!),
    };
    return wheelSteer(attitude.steerDeg, bumpSteer(rig.steering!, attitude, rig.tireRadius)) ?? Infinity;
  });
}

function costsNothingElse(input: LocateInput, bar: LinkMember, changed: Rig): boolean {
  const { rig, bump, droop, shiftLimit } = input;
  const sideways = (of: Rig) => sidewaysOverTravel(of, bump, droop).most;
  if (sideways(changed) > Math.max(shiftLimit, sideways(rig)) + 1e-6) return false;
  const room = (of: Rig) => {
    const poses = cornerPoses(assemble(of), bump, droop).map(({ pose }) => pose);
    const gaps = closestApproaches(of, poses, { flops: flopsOf(input) }).filter(
      ({ a, b }) => a === bar.id || b === bar.id,
    );
    return Math.min(Infinity, ...gaps.map((g) => g.distance));
  };
  return room(changed) >= Math.min(LIMITS.clearance.least, room(rig)) - 1e-6;
}
