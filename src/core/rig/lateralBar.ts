import { toDegrees } from '@/core/geometry/angle';
import type { Point } from '@/core/geometry/vector';
import type { LinkMember } from './members/link';
import type { Rig } from './schema';

/** The bar that locates the axle side to side, as a fabricator would describe it. mm, degrees. */
export type LateralBar = {
  id: string;
  eyeToEye: number;
  /** frame end above axle end */
  rise: number;
  /** tilt in the rear view; positive: climbs to the frame */
  tiltDeg: number;
  /** frame end ahead of axle end */
  sweep: number;
  /** height at which it crosses the car's centreline; null when both ends are on one side */
  crossesAt: number | null;
  /** distance behind the axle where it crosses (negative ahead), or of its middle */
  behind: number;
};

export function describeBar({ id, chassis, axle, length }: LinkMember): LateralBar {
  const [dx, dy, dz] = [chassis[0] - axle[0], chassis[1] - axle[1], chassis[2] - axle[2]];
  const crosses = chassis[1] * axle[1] < 0;
  const t = crosses ? axle[1] / (axle[1] - chassis[1]) : 0.5;
  return {
    id,
    // A bar of a length of its own is as long as that, wherever its ends are drawn.
    eyeToEye: length ?? Math.hypot(dx, dy, dz),
    rise: dz,
    tiltDeg: toDegrees(Math.atan2(dz, Math.hypot(dx, dy))),
    sweep: dx,
    crossesAt: crosses ? axle[2] + t * dz : null,
    behind: -(axle[0] + t * dx),
  };
}

/** Where in its travel a lateral bar is set level: at ride height, or in the middle of the travel. */
export const LEVEL_SCHOOLS = ['ride', 'middle'] as const;
export type LevelSchool = (typeof LEVEL_SCHOOLS)[number];

/** How far the frame end stands above the axle end, mm, for the bar to be level where the school wants it. */
export const wantedRise = (school: LevelSchool, bump: number, droop: number): number =>
  school === 'ride' ? 0 : (bump - droop) / 2;

/** How the frame end of a lateral bar is meant to stand above its axle end, mm, and by what: level, or leaning as its drag link does. */
export type MeantRise = { rise: number; by: 'level' | 'dragLink' };

/**
 * A bar is set level where the school wants it; on a steered axle with a drag link that is mounted on the same side it leans as the
 * drag link does, so that bumps steer nothing.
 */
export function meantRise(
  { steering, end }: Pick<Rig, 'steering' | 'end'>,
  bar: LinkMember,
  school: LevelSchool,
  bump: number,
  droop: number,
): MeantRise {
  const level: MeantRise = { rise: wantedRise(school, bump, droop), by: 'level' };
  if (end !== 'front' || !steering) return level;
  const { pitman, knuckle } = steering;
  const plan = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);
  const runsAcross = Math.abs(pitman[1] - knuckle[1]) > 0.5 * plan(pitman, knuckle);
  const sameSide = Math.sign(pitman[1] - knuckle[1]) === Math.sign(bar.chassis[1] - bar.axle[1]);
  if (!runsAcross || !sameSide) return level;
  const slope = (pitman[2] - knuckle[2]) / plan(pitman, knuckle);
  return { rise: slope * plan(bar.chassis, bar.axle), by: 'dragLink' };
}

/** Which way both ends of a bar go to leave the axle: 1 ahead, −1 behind. */
export const awayFromAxle = (bar: LinkMember): 1 | -1 => (bar.axle[0] <= 0 ? -1 : 1);
