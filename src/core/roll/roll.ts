import type { MovingRig } from '@/core/kinematics/answer';
import type { Pose } from '@/core/kinematics/pose';
import type { Rig } from '@/core/rig/schema';
import { balanceOf, endsOf, type Balance } from './balance';
import type { BuiltBar } from './barDesign';
import { bindStiffness, rollsOf, type Rolls } from './rolls';
import { springAnswer, type SpringAnswer } from './springs';
import { swayBar, type SwayBarAnswer } from './swayBar';

export type RollAnswer = { springs?: SpringAnswer[]; swayBars?: SwayBarAnswer[]; balance?: Balance };

const DEGREES = 180 / Math.PI;

/** What is made of a rig's springs and bars by themselves, and the stiffness of its end against roll, N·mm/rad. */
export type EndAnswer = Pick<RollAnswer, 'springs' | 'swayBars'> & {
  rollStiffness: number;
  /** what springs and bars alone give of it, N·mm for a degree */
  sprungRate: number;
};

/**
 * What springs and bars of the built end do at ride height.
 *
 * @throws InputError for a bar that cannot be held or moved
 */
export function endOf(
  rig: Rig,
  ride: Pose,
  rolls: Rolls,
  bars: BuiltBar[] | undefined = rig.swayBars,
): EndAnswer {
  const springs = rig.springs?.map((spring) => springAnswer(rig, spring, rolls));
  const swayBars = bars?.map((bar, i) => swayBar(rig, bar, rolls, `swayBars[${i}]`));
  const perDegree = [...(springs ?? []), ...(swayBars ?? [])].reduce(
    (sum, { rollRate }) => sum + rollRate,
    0,
  );
  return {
    springs,
    swayBars,
    sprungRate: perDegree,
    rollStiffness: perDegree * DEGREES + bindStiffness(rolls, ride),
  };
}

/**
 * What holds the car up in roll, as far as a rig states it: springs and sway bars of the built end at ride height, and with
 * the other end and the masses the balance of the car in a steady corner.
 *
 * @throws InputError for a bar that cannot be held or moved
 */
export function rollOf(rig: Rig, moving: MovingRig): RollAnswer {
  if (!rig.springs && !rig.swayBars) return {};
  const { springs, swayBars, rollStiffness } = endOf(rig, moving.ride, rollsOf(moving));
  const ends = endsOf(rig, { rollStiffness, rollCentre: moving.ride.rollCentreHeight });
  const balance = ends && balanceOf(ends.front, ends.rear, ends.height);
  return { ...(springs && { springs }), ...(swayBars && { swayBars }), ...(balance && { balance }) };
}
