import type { MovingRig } from '@/core/kinematics/answer';
import { isReached, type Pose } from '@/core/kinematics/pose';
import type { Travel } from '@/core/rig/schema';

export type Place = { at: string; pose: Pose };

/** The places of the travel that Roll looks at: its corners, and halfway between them. Where the members do not reach, there is none. */
export function placesOf({ at }: MovingRig, bump: number, droop: number): Place[] {
  const [up, down] = [bump, -droop];
  const places: [string, Travel][] = [
    ['at ride height', { left: 0, right: 0 }],
    ['at full bump', { left: up, right: up }],
    ['at full droop', { left: down, right: down }],
    ['with the left wheel up, the right one down', { left: up, right: down }],
    ['with the right wheel up, the left one down', { left: down, right: up }],
    ['with the left wheel up', { left: up, right: 0 }],
    ['with the right wheel up', { left: 0, right: up }],
    ['with the left wheel down', { left: down, right: 0 }],
    ['with the right wheel down', { left: 0, right: down }],
  ];
  return places.flatMap(([name, travel]) => {
    const pose = at(travel);
    return isReached(pose) ? [{ at: name, pose }] : [];
  });
}
