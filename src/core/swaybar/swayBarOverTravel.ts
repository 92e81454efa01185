import type { Point } from '@/core/geometry/vector';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { Mechanism } from '@/core/kinematics/mechanism';
import type { Motion } from '@/core/kinematics/smallMotions';
import { cornerPoses, type CornerPose } from '@/core/kinematics/travelCorners';
import { LIMITS } from '@/core/materials/limits';
import { InputError } from '@/core/rig/read';
import type { Rig, SwayBar, Travel } from '@/core/rig/schema';
import { turningBar, type TurningBar } from './armRotation';
import { linksOver, type LinkAnswer } from './endLinks';
import { gapsOverTravel, gapToDriveshaft, type Gap, type Surroundings } from './packaging';
import { stowedFeet, swayBarOf, type BarDesign, type Dip } from './swayBarDesign';
import { barTwisted, eyeTravels, swayBar, type SwayBarAnswer, type Twisted } from './swayBarRate';

/** The bar over the roll of the axle: how far its eyes part, what pulls at each, what it is worked to, how its links stand. */
export type RollRow = {
  rollDeg: number;
  apart: number;
  force: number;
  stress: number;
  bar: number;
  foot: number;
  square: number;
};

export type BarResult = SwayBarAnswer & {
  /** where the rocker stands: how far the eyes are apart, mm, and what pulls at each, N; null where a link cannot follow */
  now: { apart: number; force: number } | null;
  links: LinkAnswer | null;
  /** at the farthest roll: what each end link and each bushing's bracket carries up or down, N */
  carried: { link: number; bushing: number } | null;
  /** with the links on; and stowed, where the bar can be: the nearest first */
  gaps: Gap[];
  stowed: { gaps: Gap[]; reaches: boolean } | null;
  rows: RollRow[];
  /** the least dip or hump that takes a straight bar clear of the driveshaft it is too near to */
  clearing: Dip | null;
};

/** The car that a bar is looked at in: what stands around it, how far the wheels go, and where they stand now. */
export type BarCar = Pick<Surroundings, 'rig'> & {
  bump: number;
  droop: number;
  rocker: Travel;
};

/** A bar of a rig at ride height: as it is built, by itself, and in its car. */
export type BarAtRide = { built: SwayBar; twisted: Twisted; answer: SwayBarAnswer };

/**
 * All that is told of a bar by itself.
 *
 * @param atRide where it has been worked out already
 * @throws InputError where it cannot be held or moved
 */
export function swayBarOverTravel(
  car: BarCar,
  design: BarDesign,
  motion: Motion,
  atRide: BarAtRide | null,
): BarResult {
  const { rig, bump, droop } = car;
  const built = atRide?.built ?? swayBarOf(design);
  const twisted = atRide?.twisted ?? barTwisted(built, 'swayBars[0]');
  const answer = atRide?.answer ?? swayBar(rig, built, motion.small, 'swayBars[0]', twisted);
  const corners = cornerPoses(motion.mechanism, bump, droop);
  const arms = turningBar(built);
  const around = { ...car, housing: design.housing };
  const rows = arms ? rollRows(car, design, arms, motion.mechanism, twisted) : [];
  return {
    ...answer,
    now: design.hooked ? barIn(motion.mechanism.at(car.rocker), rig, built, answer.rate) : null,
    links: arms && linksOver(rig, design, arms, corners),
    gaps: arms ? gapsOverTravel({ ...around, stowed: null }, arms, corners) : [],
    stowed: arms && stowedIn(around, design, arms, corners),
    clearing: arms && design.dips.length === 0 ? clearingDip(rig, design, arms, corners) : null,
    carried: carriedBy(built, rows),
    rows,
  };
}

/** What a bar and its links come nearest to over the corners of the travel, the nearest first; none where a link cannot follow. */
export function swayBarGaps(
  { rig, bump, droop }: Omit<BarCar, 'rocker'>,
  design: BarDesign,
  mechanism: Mechanism,
): Gap[] {
  const arms = turningBar(swayBarOf(design));
  return arms
    ? gapsOverTravel(
        { rig, housing: design.housing, stowed: null },
        arms,
        cornerPoses(mechanism, bump, droop),
      )
    : [];
}

/**
 * What each end link of a bar and each of its bushings' brackets carry at the farthest roll that the travel allows, N; null where no link
 * can follow it.
 *
 * @throws InputError where the bar cannot be held
 */
export function swayBarCarries(
  car: Omit<BarCar, 'rocker'>,
  design: BarDesign,
  mechanism: Mechanism,
): BarResult['carried'] {
  const built = swayBarOf(design);
  const arms = turningBar(built);
  return arms && carriedBy(built, rollRows(car, design, arms, mechanism, barTwisted(built, 'swayBars[0]')));
}

/** The links pull one eye up and the other down; the bushings hold against that couple on their narrower stand. */
function carriedBy({ centreline, bushings }: SwayBar, rows: RollRow[]): BarResult['carried'] {
  if (!rows.length) return null;
  const link = Math.max(...rows.map((row) => row.force));
  const spread = ([, y]: Point, [, z]: Point) => Math.abs(y - z);
  return {
    link,
    bushing: (link * spread(centreline[0]!, centreline.at(-1)!)) / spread(bushings[0], bushings[1]),
  };
}

/** Wide enough for a shaft that swings a little; the builder trims it from there, mm. */
const DIP_WIDTH = 180;
const DEEPER = 12.7;
const DEEPEST = 16;

/** Down first: a bar under a shaft is easier to take out than one over it. */
function clearingDip(rig: Rig, design: BarDesign, arms: TurningBar, corners: CornerPose[]): Dip | null {
  const { least } = LIMITS.clearance;
  const now = gapToDriveshaft(rig, arms, corners);
  if (now === null || now >= least) return null;
  for (let n = 1; n <= DEEPEST; n++)
    for (const way of [1, -1]) {
      const dip = { at: 0, depth: way * n * DEEPER, width: DIP_WIDTH };
      const moved = turningBar(swayBarOf({ ...design, dips: [dip] }));
      if (moved && gapToDriveshaft(rig, moved, corners)! >= least) return dip;
    }
  return null;
}

/** The links' loose ends pinned where they are stowed: whether they reach there, and what the bar then clears. */
function stowedIn(
  around: Omit<Surroundings, 'stowed'>,
  design: BarDesign,
  arms: TurningBar,
  corners: CornerPose[],
): BarResult['stowed'] {
  const stowed = stowedFeet(design);
  if (!stowed) return null;
  const gaps = gapsOverTravel({ ...around, stowed }, arms, corners);
  return { gaps, reaches: gaps.length > 0 };
}

function barIn(
  pose: SweptPose,
  rig: Rig,
  bar: SwayBar,
  rate: number,
): { apart: number; force: number } | null {
  if (!isReached(pose)) return null;
  try {
    const eyes: [Point, Point] = [bar.centreline[0]!, bar.centreline.at(-1)!];
    const [left, right] = eyeTravels(rig, bar, eyes, pose, 'swayBars[0]');
    return { apart: left - right, force: Math.abs(left - right) * rate };
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

const HALF_STEPS = 8;

/** The axle rolled to either side as far as the travel goes, its wheels against each other. */
function rollRows(
  { rig, bump, droop }: Omit<BarCar, 'rocker'>,
  design: BarDesign,
  arms: TurningBar,
  mechanism: Mechanism,
  { rate, stress }: Twisted,
): RollRow[] {
  return Array.from({ length: 2 * HALF_STEPS + 1 }, (_, i) => (i - HALF_STEPS) / HALF_STEPS).flatMap(
    (share): RollRow[] => {
      const travel =
        share >= 0
          ? { left: share * bump, right: -share * droop }
          : { left: share * droop, right: -share * bump };
      const pose = mechanism.at(travel);
      const at = barIn(pose, rig, arms.bar, rate);
      if (!isReached(pose) || !at) return [];
      const { cocked, square, lost } = linksOver(rig, design, arms, [{ corner: 'ride', pose }]);
      if (lost.length) return [];
      return [
        {
          rollDeg: pose.rollDeg,
          ...at,
          stress: stress * Math.abs(at.apart),
          bar: cocked[0]!.most,
          foot: cocked[1]!.most,
          square: square.least,
        },
      ];
    },
  );
}
