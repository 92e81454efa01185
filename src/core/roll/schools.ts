import { redesigned } from '@/core/job/edits/roll';
import type { Motion } from '@/core/kinematics/smallMotions';
import { sprungMassMoment } from '@/core/balance/loadTransfer';
import { usualBar, usualStripBar } from '@/core/swaybar/swayBarDesign';
import type { Corner } from '@/core/balance/steadyCorner';
import { launchOf, type Launch } from '@/core/balance/launch';
import { setUpIfAny, type SetUp } from './setUp';
import { type RollInput } from './input';
import { stiffened } from '@/core/springs/springDesign';
import { perDegree } from '@/core/geometry/angle';
import type { RollDesign, RollSchool } from '@/core/job/slices/roll';

/** What a way of setting the car up comes to. */
type SchoolNumbers = {
  /** lean in the corner asked about, degrees, and the front's share there */
  rollDeg: number;
  frontShare: number;
  /** the end whose inside wheel is off the ground there */
  lifted: Corner['lifted'];
  /** what one wheel feels of a bump that the other does not, N/mm */
  oneWheel: number;
  /** what both wheels feel, each, against now: 1 is as stiff */
  springs: number;
  /** between the driven tyres at a hard launch, N; null for a front axle or without what it takes to know */
  launch: number | null;
};

/** What a school changes of the car. */
type SchoolChange = Partial<Pick<RollDesign, 'springs' | 'bar' | 'otherBar'>> & { otherRate?: number };
export type School = { id: RollSchool | 'now'; numbers: SchoolNumbers | null; change: SchoolChange | null };

/** How much softer springs the first school runs: a quarter, which a bar gives back against roll alone. */
const SOFTER = 0.75;

/** The schools on this car, after how it is set up now. */
export function schoolsOf(input: RollInput, motion: Motion, now: SetUp, torque: number | null): School[] {
  const numbers = (car: RollInput, setUp: SetUp | null, springs = 1): SchoolNumbers | null =>
    setUp?.car?.corner
      ? {
          rollDeg: setUp.car.corner.rollDeg,
          frontShare: setUp.car.corner.frontShare,
          lifted: setUp.car.corner.lifted,
          oneWheel: oneWheelRate(car, setUp),
          springs,
          launch: launchIn(car, setUp, torque)?.difference ?? null,
        }
      : null;
  const as = (id: RollSchool, change: SchoolChange | null, springs = 1): School => {
    const car = change && changedTo(input, change);
    return { id, change, numbers: car && numbers(car, setUpIfAny(car, motion), springs) };
  };
  return [
    { id: 'now', change: null, numbers: numbers(input, now) },
    as('soft', softened(input, motion, now), SOFTER),
    as('none', { bar: null }),
    // Behind alone: where that is the end that is built.
    ...(input.rig.end === 'rear' ? [as('strip', withoutOtherBar(input))] : []),
  ];
}

function changedTo(input: RollInput, { otherRate, ...change }: SchoolChange): RollInput {
  const { rig } = input;
  const changed = redesigned(input, change);
  if (otherRate === undefined || !rig.otherEnd) return changed;
  return {
    ...changed,
    rig: { ...changed.rig, otherEnd: { ...rig.otherEnd, rollRate: otherRate } },
  };
}

function withoutOtherBar({ rig, bar, otherBar }: RollInput): SchoolChange {
  const strip = bar?.made === 'arms' && bar.housing !== null ? { ...bar, hooked: true } : usualStripBar(rig);
  if (!rig.otherEnd) return { bar: strip, otherBar: 0 };
  return { bar: strip, otherBar: 0, otherRate: Math.max(0, rig.otherEnd.rollRate - otherBar) };
}

/** A quarter off the springs, and a bar thick enough to give the same stiffness against roll: it grows with the fourth power. */
function softened(input: RollInput, motion: Motion, now: SetUp): SchoolChange | null {
  const { springs, rig } = input;
  if (!springs) return null;
  const bar = input.bar ?? usualBar(rig);
  const soft = stiffened(springs, SOFTER);
  const with_ = setUpIfAny(redesigned(input, { springs: soft, bar: { ...bar, hooked: true } }), motion);
  const [made] = with_?.end.swayBars ?? [];
  if (!made || !with_) return null;
  const missing = perDegree(now.end.rollStiffness - with_.end.rollStiffness);
  const times = (made.rollRate + missing) / made.rollRate;
  if (!(times > 0)) return null;
  const thicker = times ** 0.25;
  const wall = bar.wall === null ? null : bar.wall * thicker;
  return { springs: soft, bar: { ...bar, hooked: true, od: bar.od * thicker, wall } };
}

/** One wheel's bump lifts the middle of the axle by half and rolls it by its share of the track: both springs and bar answer. */
function oneWheelRate({ rig }: RollInput, { end }: SetUp): number {
  const both = (end.springs ?? []).reduce((sum, s) => sum + s.wheelRate, 0);
  return both / 4 + end.rollStiffness / rig.track ** 2;
}

/** The launch of this car; null where the axle is not driven, or not enough is known of the car. */
export function launchIn({ rig }: RollInput, { car }: SetUp, torque: number | null): Launch | null {
  if (!car || torque === null || rig.end !== 'rear' || !rig.otherEnd) return null;
  const { front, rear, height } = car;
  return launchOf(rear, front, torque, sprungMassMoment(front, rear, height));
}
