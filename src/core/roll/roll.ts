import type { MovingRig } from '@/core/kinematics/answer';
import type { Rig } from '@/core/rig/schema';
import { balanceOf, endsOf, type Balance } from './balance';
import { bindStiffness, rollsOf } from './rolls';
import { springAnswer, type SpringAnswer } from './springs';
import { swayBar, type SwayBarAnswer } from './swayBar';

export type RollAnswer = { springs?: SpringAnswer[]; swayBars?: SwayBarAnswer[]; balance?: Balance };

const DEGREES = 180 / Math.PI;

/**
 * What holds the car up in roll, as far as a rig states it: springs and sway bars of the built end at ride height, and with
 * the other end and the masses the balance of the car in a steady corner.
 *
 * @throws InputError for a bar that cannot be held or moved
 */
export function rollOf(rig: Rig, moving: MovingRig): RollAnswer {
  if (!rig.springs && !rig.swayBars) return {};
  const rolls = rollsOf(moving);
  const springs = rig.springs?.map((spring) => springAnswer(rig, spring, rolls));
  const swayBars = rig.swayBars?.map((bar, i) => swayBar(rig, bar, rolls, `swayBars[${i}]`));
  const perDegree = [...(springs ?? []), ...(swayBars ?? [])].reduce(
    (sum, { rollRate }) => sum + rollRate,
    0,
  );
  const rollStiffness = perDegree * DEGREES + bindStiffness(rolls, moving.ride);
  const ends = endsOf(rig, { rollStiffness, rollCentre: moving.ride.rollCentreHeight });
  const balance = ends && balanceOf(ends.front, ends.rear, ends.height);
  return { ...(springs && { springs }), ...(swayBars && { swayBars }), ...(balance && { balance }) };
}
