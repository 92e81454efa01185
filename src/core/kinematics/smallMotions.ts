import { toRadians } from '@/core/geometry/angle';
import { InputError } from '@/core/rig/read';
import type { Rig } from '@/core/rig/schema';
import type { Attitude } from './attitude';
import { assemble, type Mechanism } from './mechanism';
import { isReached, type Pose } from './pose';

/** The axle rolled a little to either side at constant mean heave, and lifted and dropped a little without roll. */
export type SmallMotions = { left: Pose; right: Pose; up: Pose; down: Pose };

/** A rig's members in motion: what does not change while only springs and bars do. */
export type Motion = { members: Rig['members']; mechanism: Mechanism; small: SmallMotions };

/** Lift of each wheel, mm: small enough for slopes, large enough for their digits. */
const STEP = 0.5;

/** @throws InputError where the members cannot be assembled, or do not reach even a small motion */
export function motionOf(rig: Rig): Motion {
  const mechanism = assemble(rig);
  return { members: rig.members, mechanism, small: smallMotions(mechanism) };
}

/** @throws InputError where the members do not reach even that far */
export function smallMotions({ at }: Mechanism): SmallMotions {
  const pose = (left: number, right: number): Pose => {
    const found = at({ left, right });
    if (isReached(found)) return found;
    throw new InputError('members', `stand at a dead centre: ${found.unreachable.message}`);
  };
  return {
    left: pose(STEP, -STEP),
    right: pose(-STEP, STEP),
    up: pose(STEP, STEP),
    down: pose(-STEP, -STEP),
  };
}

/** Change of something for a radian of roll of the axle, left end up. */
export const changePerRadian = ({ left, right }: SmallMotions, of: (pose: Attitude) => number): number =>
  (of(left) - of(right)) / toRadians(left.rollDeg - right.rollDeg);

/** Change of something for a mm of lift of both wheels. */
export const changePerLift = ({ up, down }: SmallMotions, of: (pose: Attitude) => number): number =>
  (of(up) - of(down)) / (up.z - down.z);

/** Roll stiffness that over-held members add by their bind, N·mm/rad: the energy they store is ½Kφ². */
export function bindStiffness({ left, right }: SmallMotions, ride: Pose): number {
  const stored = (left.energy + right.energy) / 2 - ride.energy;
  const roll = toRadians((left.rollDeg - right.rollDeg) / 2);
  return Math.max(0, (2 * stored) / roll ** 2);
}
