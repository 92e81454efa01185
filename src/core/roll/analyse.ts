import { segmentToSegment } from '@/core/clearance/distance';
import { carry } from '@/core/kinematics/attitude';
import { setInMotion, type MovingRig } from '@/core/kinematics/answer';
import { isReached, type Pose } from '@/core/kinematics/pose';
import { PANHARD } from '@/core/layouts/patterns';
import { withoutGaps } from '@/core/locate/withoutGaps';
import { InputError } from '@/core/rig/read';
import type { Point, Rig, Travel } from '@/core/rig/schema';
import { springsOf, swayBarOf, type BarDesign, type SpringDesign } from './design';
import { rollOf, type RollAnswer } from './roll';
import { eyeTravels } from './swayBar';

/** What Roll asks about: the car, how its springs and bar are meant, how far the wheels go. */
export type RollInput = {
  rig: Rig;
  springs: SpringDesign | null;
  bar: BarDesign | null;
  bump: number;
  droop: number;
  rocker: Travel;
};

/** One thing that could be changed, and what it does to the front's share of the load transfer (0 to 1) and the roll (degrees at 1 g). */
export type Lever = { id: string; label: string; share: number; roll: number };

export type RollResult = {
  answer: RollAnswer;
  /** the farthest the axle can roll against the car, degrees */
  mostRoll: number;
  /** the bar where the rocker stands: how far its eyes are apart, mm, and what pulls at each, N */
  now: { apart: number; force: number } | null;
  /** where the bar comes nearest to the driveshaft, and how near, mm; negative where it hits */
  shaftGap: { distance: number; at: string } | null;
  levers: Lever[];
};

/** A driveshaft's tube as it is reckoned with, mm. */
const SHAFT_RADIUS = 38;

/** A rig with springs and bar as they are meant. */
function rigWith({ rig, springs, bar }: Pick<RollInput, 'rig' | 'springs' | 'bar'>): Rig {
  return {
    ...rig,
    springs: springs ? springsOf(springs) : undefined,
    swayBars: bar ? [swayBarOf(bar)] : undefined,
  };
}

/**
 * All that Roll shows of a car.
 *
 * @throws InputError for a bar that cannot be held or moved
 */
export function analyseRoll(input: RollInput): RollResult {
  const { rig, bump, droop, bar } = input;
  const sprung = rigWith(input);
  const moving = setInMotion(withoutGaps(sprung));
  const answer = rollOf(sprung, moving);
  return {
    answer,
    mostRoll: (Math.atan((bump + droop) / rig.track) * 180) / Math.PI,
    now: bar && barNow(sprung, moving, answer, input.rocker),
    shaftGap: bar && shaftGap(sprung, moving, bump, droop),
    levers: effectsOf(input, answer),
  };
}

function barNow(rig: Rig, moving: MovingRig, { swayBars }: RollAnswer, rocker: Travel): RollResult['now'] {
  const pose = moving.at(rocker);
  const bar = rig.swayBars![0]!;
  if (!isReached(pose)) return null;
  try {
    const eyes: [Point, Point] = [bar.centreline[0]!, bar.centreline.at(-1)!];
    const [left, right] = eyeTravels(rig, bar, eyes, pose, 'swayBars[0]');
    return { apart: left - right, force: Math.abs(left - right) * swayBars![0]!.rate };
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** The bar against the driveshaft, which swings with the axle, at the corners of the travel. */
function shaftGap(rig: Rig, moving: MovingRig, bump: number, droop: number): RollResult['shaftGap'] {
  const { driveshaft } = rig;
  const bar = rig.swayBars![0]!;
  if (!driveshaft) return null;
  const places: [string, Travel][] = [
    ['at ride height', { left: 0, right: 0 }],
    ['at full bump', { left: bump, right: bump }],
    ['at full droop', { left: -droop, right: -droop }],
    ['with the left wheel up', { left: bump, right: -droop }],
    ['with the right wheel up', { left: -droop, right: bump }],
  ];
  const gaps = places.flatMap(([at, travel]) => {
    const pose = moving.at(travel);
    return isReached(pose) ? [{ at, distance: gapIn(pose) }] : [];
  });
  return gaps.reduce<RollResult['shaftGap']>((a, b) => (a && a.distance <= b.distance ? a : b), null);

  function gapIn(pose: Pose): number {
    const place = carry(pose, rig.tireRadius);
    const pinion = place(driveshaft!.pinion);
    const line = bar.mountedOn === 'axle' ? bar.centreline.map((p) => place(p)) : bar.centreline;
    const least = line
      .slice(1)
      .reduce(
        (best, p, i) => Math.min(best, segmentToSegment(line[i]!, p, driveshaft!.transmission, pinion)),
        Infinity,
      );
    return least - bar.od / 2 - SHAFT_RADIUS;
  }
}

const INCH = 25.4;
const STIFFER = 1.1;

/** What each change by itself would do: the same balance through every lever, so that the cheapest can be picked. */
function effectsOf(input: RollInput, { balance }: RollAnswer): Lever[] {
  if (!balance) return [];
  const { bar, springs } = input;
  const changed: [id: string, label: string, change: Partial<RollInput> | null][] = [
    ['panhard', 'Bar across the car up 1 in, both ends', raised(input.rig)],
    ['springs', 'Springs 10 % stiffer', springs && { springs: { ...springs, rate: STIFFER * springs.rate } }],
    ['bar', 'Sway bar 1/8 in thicker', bar && { bar: { ...bar, od: bar.od + INCH / 8 } }],
    ['hole', 'Links one hole nearer to the middle', bar && { bar: { ...bar, hole: bar.hole + 1 } }],
    ['none', 'Without the sway bar', bar && { bar: null }],
  ];
  return changed.flatMap(([id, label, change]): Lever[] => {
    if (!change) return [];
    const other = balanceWith({ ...input, ...change });
    return other
      ? [
          {
            id,
            label,
            share: other.frontShare - balance.frontShare,
            roll: other.rollGradientDegPerG - balance.rollGradientDegPerG,
          },
        ]
      : [];
  });
}

function raised(rig: Rig): { rig: Rig } | null {
  if (!rig.members.some((m) => m.id === PANHARD)) return null;
  const up = ([x, y, z]: Point): Point => [x, y, z + INCH];
  const members = rig.members.map((m) =>
    m.id === PANHARD && m.type === 'link' ? { ...m, chassis: up(m.chassis), axle: up(m.axle) } : m,
  );
  return { rig: { ...rig, members } };
}

function balanceWith(input: RollInput): RollAnswer['balance'] {
  const rig = rigWith(input);
  try {
    return rollOf(rig, setInMotion(withoutGaps(rig))).balance;
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}
