import { toDegrees } from '@/core/geometry/angle';
import type { Travel } from '@/core/rig/schema';
import type { Mechanism } from './mechanism';
import { isReached, type Pose } from './pose';

/** The corners of the travel: both wheels, one against the other, one alone. */
const CORNERS = [
  'ride',
  'bump',
  'droop',
  'leftUpRightDown',
  'rightUpLeftDown',
  'leftUp',
  'rightUp',
  'leftDown',
  'rightDown',
] as const;
export type Corner = (typeof CORNERS)[number];
export type CornerPose = { corner: Corner; pose: Pose };

/** Wheel lifts at each corner of a travel from `droop` below ride height to `bump` above it, mm. */
export const travelAt = (corner: Corner, bump: number, droop: number): Travel =>
  ({
    ride: { left: 0, right: 0 },
    bump: { left: bump, right: bump },
    droop: { left: -droop, right: -droop },
    leftUpRightDown: { left: bump, right: -droop },
    rightUpLeftDown: { left: -droop, right: bump },
    leftUp: { left: bump, right: 0 },
    rightUp: { left: 0, right: bump },
    leftDown: { left: -droop, right: 0 },
    rightDown: { left: 0, right: -droop },
  })[corner];

/** The poses at the corners of the travel, ride height first. Where the members do not reach, there is none. */
export const cornerPoses = ({ at }: Mechanism, bump: number, droop: number): CornerPose[] =>
  CORNERS.flatMap((corner) => {
    const pose = at(travelAt(corner, bump, droop));
    return isReached(pose) ? [{ corner, pose }] : [];
  });

/** The farthest that an axle can roll against the car, degrees: one wheel at its bump stop, the other at full droop. */
export const farthestRoll = (track: number, bump: number, droop: number): number =>
  toDegrees(Math.atan((bump + droop) / track));
