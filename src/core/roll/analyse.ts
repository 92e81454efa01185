import { perDegree } from '@/core/geometry/angle';
import { apartAtFeet } from '@/core/swaybar/swayBarDesign';
import { preloadFor, type Launch } from '@/core/balance/launch';
import type { Balance } from '@/core/balance/loadTransfer';
import type { Rig } from '@/core/rig/schema';
import type { EndAnswer } from '@/core/balance/rollStiffness';
import { rollStiffnessForNeutral } from '@/core/balance/neutralSteer';
import { cornerOf, cornersTo, wheelLiftG, touchesAt, type Corner } from '@/core/balance/steadyCorner';
import { redesigned } from '@/core/job/edits/roll';
import { motionOf, type Motion } from '@/core/kinematics/smallMotions';
import { farthestRoll } from '@/core/kinematics/travelCorners';
import type { SpringAnswer } from '@/core/springs/springRates';
import { rideOf, shockOverTravel, type RideAnswer } from '@/core/springs/springTravel';
import { standardCases } from '@/core/statics/standardCases';
import { swayBarOverTravel, type BarAtRide, type BarResult } from '@/core/swaybar/swayBarOverTravel';
import { launchIn, schoolsOf, type School } from './schools';
import { setUpIfAny, setUpOf, type SetUp } from './setUp';
import { type RollInput } from './input';
import { changedBy, type Lever, type WhatIf } from './levers';
import { leversOf } from './whatIf';

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
  wheelLiftG: { front: number; rear: number } | null;
  /** where the car leans onto its bump stop there: from which corner on, g, and the front's share if it did not; null where it does not */
  offStops: { touches: number; frontShare: number } | null;
  /** with the sway bar off; null where there is none, or it is off */
  without: Leaning | null;
  /** how much more of it at this end makes the car even, N·mm for a degree; negative: so much less; not finite where no stiffness here does */
  neutralRollRate: number | null;
  /** against roll, N·mm for a degree: what springs and bar give, and what members that are too many for the axle's motions give by their bind */
  stiffness: { sprung: number; bind: number };
  /** the farthest the axle can roll against the car, degrees */
  mostRoll: number;
  /** asked about the springs */
  ride: RideAnswer | null;
  /** asked about the springs: length of the shock over the travel, mm; empty without one that is placed */
  shock: { lift: number; length: number }[];
  /** asked about the bar */
  bar: BarResult | null;
  /** asked about the balance */
  tuning: Tuning | null;
};

export type Tuning = {
  /** harder and harder, past the one asked about */
  corners: Corner[];
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
  const { rig, bar, bump, droop } = input;
  const motion = motionOf(rig);
  const setUp = setUpOf(input, motion);
  const { car, end } = setUp;
  return {
    springs: end.springs ?? [],
    balance: car?.balance ?? null,
    corner: car?.corner ?? null,
    wheelLiftG: car && wheelLiftG(car),
    offStops: car && offStops(car, input.cornerG),
    without: bar?.hooked ? lean(setUpIfAny(redesigned(input, { bar: null }), motion)) : null,
    neutralRollRate: evenHere(input, car),
    stiffness: { sprung: end.sprungRate, bind: perDegree(end.rollStiffness) - end.sprungRate },
    mostRoll: farthestRoll(rig.track, bump, droop),
    ride:
      part === 'springs' && input.springs
        ? rideOf({ ...input, springs: input.springs }, motion.mechanism)
        : null,
    shock: part === 'springs' ? shockOverTravel(input, motion.mechanism) : [],
    bar: part === 'bar' && bar ? swayBarOverTravel(input, bar, motion, barAtRide(rig, end)) : null,
    tuning: part === 'balance' ? tuningOf(input, motion, setUp, whatIf) : null,
  };
}

/** The bar of the rig, worked out with its end; null where it is unhooked. */
function barAtRide({ swayBars: [built] = [] }: Rig, end: EndAnswer): BarAtRide | null {
  const [twisted, answer] = [end.twisted[0], end.swayBars?.[0]];
  return built && twisted && answer ? { built, twisted, answer } : null;
}

function tuningOf(input: RollInput, motion: Motion, setUp: SetUp, whatIf: WhatIf): Tuning {
  const { bar } = input;
  const torque = launchTorque(input);
  const rate = setUp.end.swayBars?.[0]?.rate;
  return {
    corners: setUp.car ? cornersTo(setUp.car, input.cornerG) : [],
    levers: leversOf(input, motion, setUp),
    schools: schoolsOf(input, motion, setUp, torque),
    whatIf: Object.values(whatIf).some(Boolean) ? lean(setUpIfAny(changedBy(input, whatIf), motion)) : null,
    launch: launchIn(input, setUp, torque),
    preload: bar && rate !== undefined && torque !== null ? preloadFor(torque, rate, apartAtFeet(bar)) : null,
  };
}

function offStops(car: NonNullable<SetUp['car']>, g: number): RollResult['offStops'] {
  if (!car.corner?.stop) return null;
  const off = cornerOf(
    { ...car, front: { ...car.front, stops: undefined }, rear: { ...car.rear, stops: undefined } },
    g,
  );
  return off && { touches: touchesAt(car, g), frontShare: off.frontShare };
}

function evenHere({ rig, cornerG }: RollInput, car: SetUp['car']): number | null {
  const by =
    car && rig.masses ? rollStiffnessForNeutral(car, rig.end, rig.masses.frontFraction, cornerG) : null;
  return by === null ? null : perDegree(by);
}

const lean = (setUp: SetUp | null): Leaning | null => {
  const car = setUp?.car;
  if (!car?.corner) return null;
  const { rollDeg, frontShare } = car.corner;
  return { rollDeg, frontShare, lifts: wheelLiftG(car) };
};

/** What turns in the driveshaft at a hard launch, N·mm; null for a front axle, or without the masses. */
function launchTorque({ rig, use, cornerG, axleRatio }: RollInput): number | null {
  const launch = standardCases({ rig, use, cornerG, axleRatio }).find((c) => c.shaftTorque !== 0);
  return launch ? Math.abs(launch.shaftTorque) : null;
}
