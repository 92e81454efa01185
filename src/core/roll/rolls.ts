import type { Attitude } from '@/core/kinematics/attitude';
import type { MovingRig } from '@/core/kinematics/answer';
import { isReached, type Pose } from '@/core/kinematics/pose';
import { InputError } from '@/core/rig/read';

export type RolledPose = Attitude & { energy: number };

/** The axle rolled a little to either side at constant mean heave, and lifted and dropped a little without roll. */
export type Rolls = { left: Pose; right: Pose; up: Pose; down: Pose };

/** Lift of each wheel, mm: small enough for slopes, large enough for their digits. */
const STEP = 0.5;

/** @throws InputError where the members do not reach even that far */
export function rollsOf({ at }: MovingRig): Rolls {
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
export function perRadian({ left, right }: Rolls, of: (pose: RolledPose) => number): number {
  return (of(left) - of(right)) / (((left.rollDeg - right.rollDeg) * Math.PI) / 180);
}

/** Change of something for a mm of lift of both wheels. */
export const perLift = ({ up, down }: Rolls, of: (pose: RolledPose) => number): number =>
  (of(up) - of(down)) / (up.z - down.z);

/** What over-held members add to the roll stiffness, N·mm/rad: the energy they store is ½Kφ². */
export function bindStiffness({ left, right }: Rolls, ride: Pose): number {
  const stored = (left.energy + right.energy) / 2 - ride.energy;
  const roll = ((left.rollDeg - right.rollDeg) / 2) * (Math.PI / 180);
  return Math.max(0, (2 * stored) / roll ** 2);
}
