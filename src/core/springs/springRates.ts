import { changePerLift, changePerRadian, type SmallMotions } from '@/core/kinematics/smallMotions';
import { axleToChassis, type Attitude } from '@/core/kinematics/attitude';
import type { Rig, Spring } from '@/core/rig/schema';
import { distance } from '@/core/geometry/vector';

import { perDegree } from '@/core/geometry/angle';

export type SpringAnswer = {
  id: string;
  /** mm of spring for a mm of both wheels */
  motionRatio: number;
  /** N for a mm of both wheels, as this spring alone carries them */
  wheelRate: number;
  /** N·mm for a degree of roll */
  rollRate: number;
};

/** What each spring does at the wheels: rate × (change of its length for a change of the axle)², by the principle of virtual work. */
export function springAnswer({ tireRadius }: Rig, spring: Spring, small: SmallMotions): SpringAnswer {
  const length = (pose: Attitude) => distance(spring.chassis, axleToChassis(pose, tireRadius)(spring.axle));
  const lift = changePerLift(small, length);
  const roll = changePerRadian(small, length);
  return {
    id: spring.id,
    motionRatio: Math.abs(lift),
    wheelRate: spring.rate * lift ** 2,
    rollRate: perDegree(spring.rate * roll ** 2),
  };
}
