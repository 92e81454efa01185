import { LIMITS } from '@/core/materials/limits';
import { wantedRise } from '@/core/rig/lateralBar';
import { lateralBarOf, withLink } from '@/core/rig/roles';
import { sidewaysOverTravel } from '@/core/locate/schools';
import { whileDriven, type LocateInput } from '@/core/locate/types';

/**
 * The longest bar across the car that fits between its tyres, mm, and how far it moves the axle sideways over the travel it is driven
 * over, mm: level at ride height, and level in the middle of that travel.
 */
export type BestBar = { length: number; level: number; middle: number };

/**
 * The longest bar that fits, solved where the bar of the car is, for an axle that turns as it goes carries its end farther than the wheels or
 * less far; of a car without one, by the arc of its end, L − √(L² − z²). Null where none fits, or the travel is more than it can follow.
 */
export function bestBar(input: LocateInput): BestBar | null {
  const { rig, tireWidth } = input;
  const { bump, droop } = whileDriven(input);
  const length = rig.track - (tireWidth ?? 0) - 2 * LIMITS.clearance.tyre;
  if (length <= Math.max(bump, droop)) return null;
  const moved = solved(input, length) ?? byArc(length, bump, droop);
  const best = { length, level: moved(0), middle: moved(wantedRise('middle', bump, droop)) };
  return Number.isFinite(best.level) && Number.isFinite(best.middle) ? best : null;
}

/** How far an axle goes sideways, mm, by how much higher the frame end of its bar stands than the other, mm. */
type Moved = (rise: number) => number;

/** As the solver has it, with the bar of the car that long and parallel to the axle; null without one. */
function solved(input: LocateInput, length: number): Moved | null {
  const { rig, bump, droop } = whileDriven(input);
  const bar = lateralBarOf(rig);
  if (!bar) return null;
  const [x, y, z] = bar.axle;
  const out = ((Math.sign(y) || 1) * length) / 2;
  return (rise) =>
    sidewaysOverTravel(
      withLink(rig, bar.id, (m) => ({ ...m, axle: [x, out, z], chassis: [x, -out, z + rise] })),
      bump,
      droop,
    ).most;
}

/** Its end goes up and down with the wheels; movement counts from where it stands at ride height. */
function byArc(length: number, bump: number, droop: number): Moved {
  const arc = (z: number) => length - Math.sqrt(length ** 2 - z ** 2);
  return (rise) => Math.max(...[bump, -droop, rise].map((z) => Math.abs(arc(z - rise) - arc(rise))));
}
