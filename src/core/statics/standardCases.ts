import { G } from '@/core/units/gravity';
import type { Rig } from '@/core/rig/schema';
import type { LoadCase } from './equilibrium';
import type { Point } from '@/core/geometry/vector';
import type { Use } from '@/core/materials/uses';

/** Grip of the tyres that each use is reckoned with (common practice, no published source). */
const GRIP: Record<Use, number> = { street: 0.9, autocross: 1.2, drag: 1.6, offroad: 0.8, tow: 0.8 };

/** Loads of the dynamic cases, in static loads of one wheel: a pothole at speed (common practice, from memory). */
const POTHOLE = { up: 3, back: 2 };

/** What cases start from until the builder says otherwise: a brisk corner on street tyres, a middling axle ratio. */
export const USUAL_CASES = { cornerG: 0.8, axleRatio: 3.5 };

/** Share of a torque that each end takes while nothing is known of its roll stiffness. */
const SHARED_ALIKE = 0.5;

/** Where springs stand until they are measured: this share of the track to each side, level with the axle. */
const SPRING_SHARE = 0.3;

export type CaseInput = {
  rig: Rig;
  use: Use;
  /** sideways acceleration of the steady corner, g */
  cornerG: number;
  /** turns of the driveshaft for one of the wheels */
  axleRatio: number;
  /** share of the shaft's torque that its own end's springs and bars do not give back, and that the driven tyres see */
  torqueShare?: number;
};

/**
 * The loads that a live axle is usually judged by, made from the car's masses: what the ground gives the two tyres less what
 * the axle's own weight and its own mass times acceleration take of it. At the launch the shaft's torque presses one driven tyre
 * down by what the other end takes of it (Gillespie ch. 2, from memory). Weight moved lengthwise: m·a·h/L (Gillespie ch. 1,
 * from memory), until an end stands on nothing: a wheelie carries what the car weighs and no more. Weight moved sideways is
 * shared between the ends by what stands on them, which holds where their roll stiffness is shared alike.
 *
 * @returns no cases while masses, wheelbase or height of the centre of gravity are missing
 */
export function standardCases({
  rig,
  use,
  cornerG,
  axleRatio,
  torqueShare = SHARED_ALIKE,
}: CaseInput): LoadCase[] {
  const { masses, wheelbase, cgHeight, tireRadius, track, end } = rig;
  if (!masses || wheelbase === undefined || cgHeight === undefined) return [];
  const rear = end === 'rear';
  const weight = masses.total * G;
  const here = weight * (rear ? 1 - masses.frontFraction : masses.frontFraction);
  const ownMass = rear ? masses.unsprungRear : masses.unsprungFront;
  const own = ownMass * G;
  const grip = GRIP[use];
  const lever = cgHeight / wheelbase;

  const springs = springSeats(rig);
  const load = (name: string, left: Point, right: Point, shaftTorque = 0): LoadCase => {
    const net = ([x, y, z]: Point): Point => [x, y, z - own / 2];
    return { name, wheel: { left: net(left), right: net(right) }, springs, shaftTorque };
  };
  const alike = (name: string, x: number, z: number): LoadCase =>
    load(name, [x / 2, 0, z / 2], [x / 2, 0, z / 2]);

  const pull = launchPull(grip, here, weight, lever);
  // Both ends brake by their grip, until the rear wheels lift.
  const rearStands = weight * (1 - masses.frontFraction);
  const decel = Math.min(grip, rearStands / (weight * lever));
  const braking = here + (rear ? -1 : 1) * decel * weight * lever;
  const moved = (cornerG * here * cgHeight) / track;
  const inside = Math.max(0, here / 2 - moved);
  // In a left turn the ground pushes the tyres to the left, by what stands on each.
  const corner = (z: number): Point => [0, cornerG * z, z];
  const still: Point = [0, 0, here / 2];

  return [
    ...(rear ? [withInertia(launch(), [(-ownMass * pull) / masses.total, 0, 0])] : []),
    withInertia(alike('Hard braking', -decel * braking, braking), [own * decel, 0, 0]),
    withInertia(load(`Left turn at ${cornerG} g`, corner(inside), corner(here - inside)), [
      0,
      -own * cornerG,
      0,
    ]),
    load('Pothole, left wheel', [(-POTHOLE.back * here) / 2, 0, (POTHOLE.up * here) / 2], still),
    load('All on the left wheel', [0, 0, here], [0, 0, 0]),
  ];

  /** An engine turns its shaft so that the left tyre is pressed down and the right one let up; no tyre weighs less than nothing. */
  function launch(): LoadCase {
    const torque = (pull * tireRadius) / axleRatio;
    const stands = here + pull * lever;
    const over = Math.min(stands / 2, (torqueShare * torque) / track);
    return load('Hard launch', [pull / 2, 0, stands / 2 + over], [pull / 2, 0, stands / 2 - over], -torque);
  }
}

/** What the driven end pulls with, N: it gains what it pulls with, F = μ(W + F·h/L), until it carries the whole car. */
function launchPull(grip: number, here: number, weight: number, lever: number): number {
  const wheelie = (weight - here) / lever;
  return grip * lever < 1 ? Math.min((grip * here) / (1 - grip * lever), wheelie) : wheelie;
}

const withInertia = (load: LoadCase, inertia: Point): LoadCase => ({ ...load, inertia });

function springSeats({ springs, members, track, tireRadius }: Rig): LoadCase['springs'] {
  const leaves = members.filter((m) => m.type === 'leaf');
  const seats = [...(springs ?? []).map((s) => s.axle), ...leaves.map((m) => m.seat)];
  const seat = (sign: 1 | -1): Point =>
    seats.find((p) => sign * p[1] > 0) ?? [0, sign * SPRING_SHARE * track, tireRadius];
  return { left: seat(1), right: seat(-1) };
}
