import { LIMITS } from '@/core/materials/limits';
import { G } from '@/core/units/gravity';
import { sprungWeight } from '@/core/rig/sprungWeight';
import type { Mechanism } from '@/core/kinematics/mechanism';
import { axleToChassis } from '@/core/kinematics/attitude';
import { isReached, type Pose } from '@/core/kinematics/pose';
import type { Rig } from '@/core/rig/schema';
import { SIDES } from '@/core/geometry/side';
import { distance, type Point } from '@/core/geometry/vector';
import { max, mean, min } from '@/core/numerics/statistics';
import { airAt, airFilled, areaAt, type AirState } from './airSpring';
import {
  rateOf,
  shockStand,
  shockStands,
  standsOf,
  type Coil,
  type ShockDesign,
  type SpringDesign,
  type StopDesign,
} from './springDesign';
import { stopForce } from './bumpStop';

const STEPS = 24;
const LEAST_RATIO = 0.05;

/** Springs, shocks and stops with both wheels lifted alike, of which an axle that goes sideways makes one side shorter; mm, N, N/mm. */
export type RideRow = {
  lift: number;
  /** of the shorter spring, eye to eye or seat to seat; 0 for a leaf, which has none */
  length: number;
  /** in a spring, as both are on average */
  force: number;
  /** at the tyre, spring and stop together, and how much more for a mm */
  load: number;
  rate: number;
  shock: number | null;
  pressure: number | null;
};

export type RideAnswer = {
  /** what a wheel of this end carries of the sprung weight, N */
  standing: number;
  /** mm of spring for a mm of both wheels */
  ratio: number;
  /** at one wheel, as both rise, N/mm */
  wheelRate: number;
  /** of the sprung mass on this end, Hz */
  frequency: number;
  /** what the spring pushes with at ride height as it is stated, N; null where nothing is stated that says so */
  pushes: number | null;
  /** how much higher than its ride height the car then stands, mm */
  standsHigh: number | null;
  /** the free length that makes a coil stand right, mm; the pressure that makes an air spring stand right, N/mm² */
  wanted: { free: number | null; pressure: number | null };
  rows: RideRow[];
  /** travel from ride height at a hard bump; null where the travel is not enough */
  hardBump: number | null;
  /** an air spring held at other heights by its valve */
  heights: (AirState & { lift: number; frequency: number })[];
};

export type RideInput = {
  rig: Rig;
  springs: SpringDesign;
  shock: ShockDesign | null;
  stop: StopDesign | null;
  bump: number;
  droop: number;
};

/**
 * The springs over the travel of both wheels together. What a spring gives at the wheel is its force times how much it
 * shortens for a mm of the wheels (virtual work); its rate there is the slope of that, so that a spring whose leverage changes
 * is told as it is.
 *
 * @returns null without the car's masses, or where the members do not move
 */
export function rideOf(input: RideInput, moving: Mechanism): RideAnswer | null {
  const carriedHere = sprungWeight(input.rig);
  if (carriedHere === null) return null;
  const standing = carriedHere / 2;
  const { springs, bump, droop } = input;
  const span = (lift: number) => spanAt(input, moving, lift);
  const small = 1;
  const [up, at, down] = [span(small), span(0), span(-small)];
  if (!up || !at || !down) return null;
  const ratio = (down.length - up.length) / (2 * small);
  // A spring that lies flat, or stands upside down, carries nothing.
  if (!(ratio > LEAST_RATIO)) return null;
  const carried = standing / ratio;
  const law = forceLaw(springs, at.length, carried);
  const stop = (lift: number) => (input.stop ? stopForce(input.stop, lift) : 0);
  const pace = (bump + droop) / STEPS;
  // One place more at either end, so that slopes are had everywhere.
  const spans = Array.from({ length: STEPS + 3 }, (_, i) => span(-droop + pace * (i - 1)));
  const rows = Array.from({ length: STEPS + 1 }, (_, i) => i).flatMap((i): RideRow[] => {
    const [below, here, above] = [spans[i], spans[i + 1], spans[i + 2]];
    if (!here || !above || !below) return [];
    const lift = -droop + pace * i;
    const states = here.lengths.map(law);
    const lever = (k: number) => (below.lengths[k]! - above.lengths[k]!) / (2 * pace);
    const { pressure } = states[0]!;
    return [
      {
        lift,
        length: springs.kind === 'leaf' ? 0 : min(here.lengths),
        force: mean(states.map(({ force }) => force)),
        load: mean(states.map(({ force }, k) => force * lever(k))) + stop(lift),
        rate:
          rateOver(law, above, here, below, pace) + (stop(lift + small) - stop(lift - small)) / (2 * small),
        shock: here.shock,
        pressure: pressure === null ? null : mean(states.map((state) => state.pressure!)),
      },
    ];
  });
  const wheelRate = rateOver(law, up, at, down, small);
  const mass = standing / G;
  const hertz = (rate: number) => Math.sqrt(Math.max(0, rate * 1000) / mass) / (2 * Math.PI);
  const pushes = pushOf(springs, at.length);
  return {
    standing,
    ratio,
    wheelRate,
    frequency: hertz(wheelRate),
    pushes,
    standsHigh: pushes === null || !(wheelRate > 0) ? null : ((pushes - carried) * ratio) / wheelRate,
    wanted: {
      free: springs.kind === 'coil' ? at.length + carried / springs.rate : null,
      pressure: springs.kind === 'air' ? carried / springs.area : null,
    },
    rows,
    hardBump: liftUnder(rows, LIMITS.springs.hardBump * standing),
    heights: springs.kind === 'air' ? heightsOf(springs, standing) : [],
  };

  function heightsOf(bag: Extract<SpringDesign, { kind: 'air' }>, load: number): RideAnswer['heights'] {
    return [-0.75 * droop, -0.4 * droop, 0, 0.4 * bump, 0.75 * bump].flatMap((lift) => {
      const [above, here, below] = [span(lift + small), span(lift), span(lift - small)];
      if (!above || !here || !below) return [];
      const levers = here.lengths.map((_, k) => (below.lengths[k]! - above.lengths[k]!) / (2 * small));
      if (!levers.every((lever) => lever > LEAST_RATIO)) return [];
      // The axle up in its travel is the car let down: the bags are squeezed, and filled from one line to carry it by their leverage there.
      const squeezes = here.lengths.map((length, k) => at!.lengths[k]! - length);
      const pressure = load / mean(squeezes.map((squeezed, k) => areaAt(bag, squeezed) * levers[k]!));
      const states = squeezes.map((squeezed) => airFilled(bag, squeezed, pressure));
      const rates = states.map(({ rate, force }, k) => {
        const turning =
          -(force * (below.lengths[k]! + above.lengths[k]! - 2 * here.lengths[k]!)) / small ** 2;
        return rate * levers[k]! ** 2 + turning;
      });
      const [force, rate] = [mean(states.map((of) => of.force)), mean(states.map((of) => of.rate))];
      return [{ lift, pressure, force, rate, frequency: hertz(mean(rates)) }];
    });
  }
}

type Law = (length: number) => { force: number; pressure: number | null };
type Span = { lengths: number[]; length: number; shock: number | null };

/**
 * At one tyre, both springs on average: what a spring gives more for a mm, and what its force gives more as its leverage changes
 * (virtual work).
 */
function rateOver(law: Law, up: Span, at: Span, down: Span, step: number): number {
  return mean(
    at.lengths.map((here, k) => {
      const [above, below] = [up.lengths[k]!, down.lengths[k]!];
      const ratio = (below - above) / (2 * step);
      const slope = ((law(above).force - law(below).force) / (2 * step)) * ratio;
      const turning = -(law(here).force * (below + above - 2 * here)) / step ** 2;
      return slope + turning;
    }),
  );
}

/** How long both springs are and what that is on average, and the shock that is nearer its end, with both wheels lifted; null where the members do not reach. */
function spanAt(input: RideInput, { at }: Mechanism, lift: number): Span | null {
  const pose = at({ left: lift, right: lift });
  if (!isReached(pose)) return null;
  const { rig, springs } = input;
  const lengths = SIDES.map((side) => apartIn(pose, rig)(standsOf(springs, side, rig.tireRadius)));
  return { lengths, length: mean(lengths), shock: shockIn(input, pose, lift) };
}

const apartIn = (pose: Pose, { tireRadius }: Rig) => {
  const place = axleToChassis(pose, tireRadius);
  return ([frame, axle]: [Point, Point]) => distance(frame, place(axle));
};

/** How long the shock is that is nearer its end: above ride height the shorter, below it the longer; null where there is none, or it is not known where it stands. */
function shockIn({ rig, springs, shock }: ShockInput, pose: Pose, lift: number): number | null {
  const stands = shock && shockStand(shock, springs);
  if (!stands) return null;
  const lengths = SIDES.map((side) => apartIn(pose, rig)(shockStands(stands, side)));
  return lift > 0 ? min(lengths) : max(lengths);
}

export type ShockInput = Omit<RideInput, 'springs'> & { springs: SpringDesign | null };

/**
 * Length of the shock that is nearer its end, mm, with both wheels lifted alike: geometry, whatever the car weighs. Empty where it has
 * none, or none that is placed.
 */
export function shockOverTravel(input: ShockInput, { at }: Mechanism): { lift: number; length: number }[] {
  const { bump, droop } = input;
  return Array.from({ length: STEPS + 1 }, (_, i) => -droop + ((bump + droop) * i) / STEPS).flatMap(
    (lift) => {
      const pose = at({ left: lift, right: lift });
      const length = isReached(pose) ? shockIn(input, pose, lift) : null;
      return length === null ? [] : [{ lift, length }];
    },
  );
}

/** Force and pressure of a spring by its length, so that it carries its load at ride height. */
function forceLaw(springs: SpringDesign, rest: number, carried: number): Law {
  if (springs.kind === 'air') {
    const filled = { ...springs, pressure: carried / springs.area };
    return (length) => airAt(filled, rest - length);
  }
  const rate = rateOf(springs);
  // A coil only pushes; a leaf is bolted to its eyes and pulls as well.
  const least = springs.kind === 'coil' ? 0 : -Infinity;
  return (length) => ({ force: Math.max(least, carried + rate * (rest - length)), pressure: null });
}

/** What the spring pushes with at ride height by its own stated length or pressure. */
function pushOf(springs: SpringDesign, rest: number): number | null {
  if (springs.kind === 'air') return springs.pressure * springs.area;
  return springs.kind === 'coil' && springs.free !== null
    ? springs.rate * Math.max(0, springs.free - rest)
    : null;
}

function liftUnder(rows: RideRow[], load: number): number | null {
  for (let i = 1; i < rows.length; i++) {
    const [a, b] = [rows[i - 1]!, rows[i]!];
    if (b.lift > 0 && b.load >= load) {
      const share = b.load === a.load ? 1 : (load - a.load) / (b.load - a.load);
      return Math.max(0, a.lift + Math.max(0, share) * (b.lift - a.lift));
    }
  }
  return null;
}

/**
 * The coil that makes an end bounce as often as is wanted, and the free length with which it stands: the rate at the tyre goes
 * with the square of the frequency; what the changing leverage gives of it does not come from the rate, and stays.
 */
export function springFor({ rate }: Coil, ride: RideAnswer, hertz: number): { rate: number; free: number } {
  const { standing, ratio, wheelRate, wanted } = ride;
  const leverage = wheelRate - rate * ratio ** 2;
  const needed = ((2 * Math.PI * hertz) ** 2 * (standing / G)) / 1000;
  const found = Math.max(0.1, (needed - leverage) / ratio ** 2);
  const carried = standing / ratio;
  return { rate: found, free: wanted.free! - carried / rate + carried / found };
}
