import { carry } from '@/core/kinematics/attitude';
import type { Rig, Spring } from '@/core/rig/schema';
import { distance } from '@/core/vector';
import { perLift, perRadian, type RolledPose, type Rolls } from './rolls';

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
export function springAnswer({ tireRadius }: Rig, spring: Spring, rolls: Rolls): SpringAnswer {
  const length = (pose: RolledPose) => distance(spring.chassis, carry(pose, tireRadius)(spring.axle));
  const lift = perLift(rolls, length);
  const roll = perRadian(rolls, length);
  return {
    id: spring.id,
    motionRatio: Math.abs(lift),
    wheelRate: spring.rate * lift ** 2,
    rollRate: spring.rate * roll ** 2 * (Math.PI / 180),
  };
}
