import type { End } from './loadTransfer';
import { toDegrees } from '@/core/geometry/angle';

/** What the driveshaft's torque does to the driven tyres as a car leaves the line. */
export type Launch = {
  /** how much more stands on one driven tyre than on the other, N */
  difference: number;
  /** degrees that the body leans against the torque */
  rollDeg: number;
};

/**
 * The engine turns the axle about the shaft and the body the other way. The body's lean gives back what the springs and bars
 * of the driven end take of it: what is left on the tyres is what the other end takes, T·K_other/(K_front + K_rear) (Gillespie,
 * *Fundamentals of Vehicle Dynamics*, ch. 2, from memory; there without the leaning mass, which makes the body lean a little
 * further).
 *
 * @param torque in the driveshaft, N·mm
 * @param tipping what the leaning mass takes off the stiffness, N·mm/rad
 */
export function launchOf(driven: End, other: End, torque: number, tipping: number): Launch | null {
  const left = driven.rollStiffness + other.rollStiffness - tipping;
  if (!(left > 0)) return null;
  const roll = torque / left;
  return {
    difference: (2 * (torque - driven.rollStiffness * roll)) / driven.track,
    rollDeg: toDegrees(roll),
  };
}

/**
 * How much longer one end link is to be than the other so that a bar's own preload carries the torque of the launch, mm; and
 * what then pulls at each link, N.
 *
 * @param rate N for a mm that the eyes part
 * @param spread eye to eye across, mm
 */
export const preloadFor = (torque: number, rate: number, spread: number) => ({
  longer: torque / (rate * spread),
  pull: torque / spread,
});
