import { isReached } from '@/core/kinematics/pose';
import { InputError } from '@/core/rig/read';
import type { Point, Rig, Travel } from '@/core/rig/schema';
import { stowedFeet, swayBarOf, type BarDesign, type BuiltBar, type Dip } from './barDesign';
import { linksOver, type LinkAnswer } from './links';
import { turningOf, type Turning } from './motion';
import { barRoom, CLEAR, shaftRoom, strutsOf, type Gap, type RoomInput } from './room';
import type { Geometry, RollInput } from './setUp';
import { barTwisted, eyeTravels, swayBar, type SwayBarAnswer, type Twisted } from './swayBar';
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
  /** at the farthest roll: what each end link and each bushing's bracket carries up or down, N */
  carried: { link: number; bushing: number } | null;
  /** with the links on; and stowed, where the bar can be: the nearest first */
  gaps: Gap[];
  stowed: { gaps: Gap[]; reaches: boolean } | null;
  rows: RollRow[];
  /** the least dip or hump that takes a straight bar clear of the driveshaft it is too near to */
  clearing: Dip | null;
};

/** All that is told of a bar by itself. @throws InputError where it cannot be held or moved */
export function barResult(input: RollInput, design: BarDesign, geometry: Geometry): BarResult {
  const { rig, bump, droop, tireWidth } = input;
  const { moving, rolls } = geometry;
  const built = swayBarOf(design);
  const twisted = barTwisted(built, 'swayBars[0]');
  const answer = swayBar(rig, built, rolls, 'swayBars[0]', twisted);
  const places = placesOf(moving, bump, droop);
  const turning = turningOf(built);
  const room = { rig, struts: strutsOf(input, rig.tireRadius), tireWidth, housing: design.housing };
  const { rate } = answer;
  const rows = turning ? rollRows(input, design, turning, geometry, twisted) : [];
  return {
    ...answer,
    now: design.hooked ? barAt(input, built, rate, geometry, input.rocker) : null,
    links: turning && linksOver(rig, design, turning, places),
    gaps: turning ? barRoom({ ...room, stowed: null }, turning, places) : [],
    stowed: turning && stowedIn(room, design, turning, places),
    clearing: turning && design.dips.length === 0 ? clearingDip(rig, design, turning, places) : null,
    carried: carriedBy(built, rows),
    rows,
  };
}

/** The links pull one eye up and the other down; the bushings hold against that couple on their narrower stand. */
function carriedBy({ centreline, bushings }: BuiltBar, rows: RollRow[]): BarResult['carried'] {
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
  const stowed = stowedFeet(design);
  if (!stowed) return null;
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
  { rate, stress }: Twisted,
): RollRow[] {
  const { rig, bump, droop } = input;
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
