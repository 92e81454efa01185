import { isReached } from '@/core/kinematics/pose';
import { InputError } from '@/core/rig/read';
import type { Point, Rig, Travel } from '@/core/rig/schema';
import { standardCases } from '@/core/statics/standardCases';
import { swayBarOf, type BarDesign, type BuiltBar, type Dip } from './barDesign';
import { liftsAt, type Corner } from './corner';
import type { Balance } from './balance';
import { preloadFor, type Launch } from './launch';
import { changedBy, leversOf, type Lever, type WhatIf } from './levers';
import { linksOver, type LinkAnswer } from './links';
import { turningOf, type Turning } from './motion';
import { rideOf, type RideAnswer } from './ride';
import { barRoom, shaftRoom, strutsOf, type Gap, type RoomInput } from './room';
import { CLEAR } from './search';
import { launchIn, schoolsOf, type School } from './schools';
import {
  farthestRoll,
  geometryOf,
  setUpIfAny,
  setUpOf,
  type Geometry,
  type RollInput,
  type SetUp,
} from './setUp';
import type { SpringAnswer } from './springs';
import { barTwisted, eyeTravels, swayBar, type SwayBarAnswer } from './swayBar';
import { placesOf, type Place } from './travel';

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
  /** with the links on; and stowed, where the bar can be: the nearest first */
  gaps: Gap[];
  stowed: { gaps: Gap[]; reaches: boolean } | null;
  rows: RollRow[];
  /** the least dip or hump that takes a straight bar clear of the driveshaft it is too near to */
  clearing: Dip | null;
};

/** What is asked about, of which the dearer things are worked out; the rest is there every time. */
export const ROLL_PARTS = ['springs', 'bar', 'balance'] as const;
export type RollPart = (typeof ROLL_PARTS)[number];

/** A car in the corner asked about, as it would be. */
export type Leaning = { rollDeg: number; frontShare: number; lifts: { front: number; rear: number } };

export type RollResult = {
  springs: SpringAnswer[];
  balance: Balance | null;
  /** in the corner asked about; null where the car goes over, or not enough is known */
  corner: Corner | null;
  /** the corner in which an inside wheel leaves the ground, g */
  lifts: { front: number; rear: number } | null;
  /** with the sway bar off; null where there is none, or it is off */
  without: Leaning | null;
  /** against roll, N·mm for a degree: what springs and bar give, and what members that are too many for the axle's motions give by their bind */
  stiffness: { sprung: number; bind: number };
  /** the farthest the axle can roll against the car, degrees */
  mostRoll: number;
  /** asked about the springs */
  ride: RideAnswer | null;
  /** asked about the bar */
  bar: BarResult | null;
  /** asked about the balance */
  tuning: Tuning | null;
};

export type Tuning = {
  levers: Lever[];
  schools: School[];
  /** with the changes that are being thought about */
  whatIf: Leaning | null;
  launch: Launch | null;
  /** to carry the launch's torque: how much longer one link, mm, and what then pulls at each, N */
  preload: { longer: number; pull: number } | null;
};

/**
 * What Roll shows of a car.
 *
 * @throws InputError for a bar that cannot be held or moved
 */
export function analyseRoll(input: RollInput, part: RollPart, whatIf: WhatIf = {}): RollResult {
  const { rig, bar } = input;
  const geometry = geometryOf(rig);
  const setUp = setUpOf(input, geometry);
  const { car, end } = setUp;
  return {
    springs: end.springs ?? [],
    balance: car?.balance ?? null,
    corner: car?.corner ?? null,
    lifts: car && liftsAt(car.front, car.rear, car.balance),
    without: bar?.hooked ? lean(setUpIfAny({ ...input, bar: null }, geometry)) : null,
    stiffness: { sprung: end.sprungRate, bind: end.rollStiffness * (Math.PI / 180) - end.sprungRate },
    mostRoll: farthestRoll(input),
    ride:
      part === 'springs' && input.springs
        ? rideOf({ ...input, springs: input.springs }, geometry.moving)
        : null,
    bar: part === 'bar' && bar ? barResult(input, bar, geometry) : null,
    tuning: part === 'balance' ? tuningOf(input, geometry, setUp, whatIf) : null,
  };
}

function tuningOf(input: RollInput, geometry: Geometry, setUp: SetUp, whatIf: WhatIf): Tuning {
  const { bar } = input;
  const torque = launchTorque(input);
  const rate = setUp.end.swayBars?.[0]?.rate;
  return {
    levers: leversOf(input, geometry, setUp),
    schools: schoolsOf(input, geometry, setUp, torque),
    whatIf: Object.values(whatIf).some(Boolean) ? lean(setUpIfAny(changedBy(input, whatIf), geometry)) : null,
    launch: launchIn(input, setUp, torque),
    preload:
      bar && rate !== undefined && torque !== null
        ? preloadFor(torque, rate, bar.eyes + 2 * bar.foot.out)
        : null,
  };
}

const lean = (setUp: SetUp | null): Leaning | null => {
  const car = setUp?.car;
  if (!car?.corner) return null;
  const { rollDeg, frontShare } = car.corner;
  return { rollDeg, frontShare, lifts: liftsAt(car.front, car.rear, car.balance) };
};

/** What turns in the driveshaft at a hard launch, N·mm; null for a front axle, or without the masses. */
function launchTorque({ rig, use, cornerG, axleRatio }: RollInput): number | null {
  const launch = standardCases({ rig, use, cornerG, axleRatio }).find((c) => c.shaftTorque !== 0);
  return launch ? Math.abs(launch.shaftTorque) : null;
}

function barResult(input: RollInput, design: BarDesign, geometry: Geometry): BarResult {
  const { rig, bump, droop, tireWidth } = input;
  const { moving, rolls } = geometry;
  const built = swayBarOf(design);
  const answer = swayBar(rig, built, rolls, 'swayBars[0]');
  const places = placesOf(moving, bump, droop);
  const turning = turningOf(built);
  const room = { rig, struts: strutsOf(input, rig.tireRadius), tireWidth, housing: design.housing };
  const { rate } = answer;
  return {
    ...answer,
    now: design.hooked ? barAt(input, built, rate, geometry, input.rocker) : null,
    links: turning && linksOver(rig, design, turning, places),
    gaps: turning ? barRoom({ ...room, stowed: null }, turning, places) : [],
    stowed: turning && stowedIn(room, design, turning, places),
    clearing: turning && design.dips.length === 0 ? clearingDip(rig, design, turning, places) : null,
    rows: turning ? rollRows(input, design, turning, geometry, rate) : [],
  };
}

/** Wide enough for a shaft that swings a little; the builder trims it from there, mm. */
const DIP_WIDTH = 180;
const DEEPER = 12.7;
const DEEPEST = 16;

/** Down first: a bar under a shaft is easier to take out than one over it. */
function clearingDip(rig: Rig, design: BarDesign, turning: Turning, places: Place[]): Dip | null {
  const now = shaftRoom(rig, turning, places);
  if (now === null || now >= CLEAR) return null;
  for (let n = 1; n <= DEEPEST; n++)
    for (const way of [1, -1]) {
      const dip = { at: 0, depth: way * n * DEEPER, width: DIP_WIDTH };
      const moved = turningOf(swayBarOf({ ...design, dips: [dip] }));
      if (moved && shaftRoom(rig, moved, places)! >= CLEAR) return dip;
    }
  return null;
}

/** The links' loose ends pinned where they are stowed: whether they reach there, and what the bar then clears. */
function stowedIn(
  room: Omit<RoomInput, 'stowed'>,
  design: BarDesign,
  turning: Turning,
  places: Place[],
): BarResult['stowed'] {
  if (!design.stow) return null;
  const { out, ahead, height } = design.stow;
  const stowed: Record<'left' | 'right', Point> = {
    left: [ahead, out, height],
    right: [ahead, -out, height],
  };
  const gaps = barRoom({ ...room, stowed }, turning, places);
  return { gaps, reaches: gaps.length > 0 };
}

function barAt(
  { rig }: RollInput,
  bar: BuiltBar,
  rate: number,
  { moving }: Geometry,
  travel: Travel,
): { apart: number; force: number } | null {
  const pose = moving.at(travel);
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
  input: RollInput,
  design: BarDesign,
  turning: Turning,
  geometry: Geometry,
  rate: number,
): RollRow[] {
  const { rig, bump, droop } = input;
  const { stress } = barTwisted(turning.bar, 'swayBars[0]');
  return Array.from({ length: 2 * HALF_STEPS + 1 }, (_, i) => (i - HALF_STEPS) / HALF_STEPS).flatMap(
    (share): RollRow[] => {
      const travel =
        share >= 0
          ? { left: share * bump, right: -share * droop }
          : { left: share * droop, right: -share * bump };
      const pose = geometry.moving.at(travel);
      const at = barAt(input, turning.bar, rate, geometry, travel);
      if (!isReached(pose) || !at) return [];
      const { cocked, square, lost } = linksOver(rig, design, turning, [{ at: '', pose }]);
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
