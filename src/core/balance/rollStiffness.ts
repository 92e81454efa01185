import { bindStiffness, smallMotions, type SmallMotions } from '@/core/kinematics/smallMotions';
import type { Mechanism } from '@/core/kinematics/mechanism';
import type { Pose } from '@/core/kinematics/pose';
import type { Rig } from '@/core/rig/schema';
import { balanceOf, endsOf, type Balance } from './loadTransfer';

import { springAnswer, type SpringAnswer } from '@/core/springs/springRates';
import { barTwisted, swayBar, type SwayBarAnswer, type Twisted } from '@/core/swaybar/swayBarRate';
import { perRadian } from '@/core/geometry/angle';

export type RollAnswer = { springs?: SpringAnswer[]; swayBars?: SwayBarAnswer[]; balance?: Balance };

/** What is made of a rig's springs and bars by themselves, and the stiffness of its end against roll, N·mm/rad. */
export type EndAnswer = Pick<RollAnswer, 'springs' | 'swayBars'> & {
  /** each bar by itself */
  twisted: Twisted[];
  rollStiffness: number;
  /** what springs and bars alone give of it, N·mm for a degree */
  sprungRate: number;
};

/**
 * What springs and bars of the built end do at ride height.
 *
 * @throws InputError for a bar that cannot be held or moved
 */
export function endOf(rig: Rig, ride: Pose, small: SmallMotions): EndAnswer {
  const springs = rig.springs?.map((spring) => springAnswer(rig, spring, small));
  const twisted = (rig.swayBars ?? []).map((bar, i) => barTwisted(bar, `swayBars[${i}]`));
  const swayBars = rig.swayBars?.map((bar, i) => swayBar(rig, bar, small, `swayBars[${i}]`, twisted[i]));
  const sprungRate = [...(springs ?? []), ...(swayBars ?? [])].reduce(
    (sum, { rollRate }) => sum + rollRate,
    0,
  );
  return {
    springs,
    swayBars,
    twisted,
    sprungRate,
    rollStiffness: perRadian(sprungRate) + bindStiffness(small, ride),
  };
}

/**
 * What holds the car up in roll, as far as a rig states it: springs and sway bars of the built end at ride height, and with
 * the other end and the masses the balance of the car in a steady corner.
 *
 * @throws InputError for a bar that cannot be held or moved
 */
export function rollAnswer(rig: Rig, moving: Mechanism): RollAnswer {
  if (!rig.springs && !rig.swayBars) return {};
  const { springs, swayBars, rollStiffness } = endOf(rig, moving.ride, smallMotions(moving));
  const ends = endsOf(rig, { rollStiffness, rollCentre: moving.ride.rollCentreHeight });
  const balance = ends && balanceOf(ends.front, ends.rear, ends.height);
  return { ...(springs && { springs }), ...(swayBars && { swayBars }), ...(balance && { balance }) };
}
