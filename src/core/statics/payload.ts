import type { Rig } from '@/core/rig/schema';

/** A load in or on a car: kg; where its middle is, ahead of the axle that is built and above the ground, mm. */
export type Load = { mass: number; ahead: number; height: number };

/** The car with its load: kg, its share on the front wheels, the height of its centre of gravity, mm; and how much of the load this axle carries, kg. */
export type Laden = { total: number; frontFraction: number; cgHeight: number; here: number };

/**
 * The car with a load, by moments about its axles (statics of any textbook). Behind the rear axle, or ahead of the front one, a load
 * puts more than itself on that axle and takes some off the other.
 *
 * @returns null where masses, wheelbase or height of the centre of gravity are not stated
 */
export function ladenWith(
  { masses, wheelbase, cgHeight, end }: Pick<Rig, 'masses' | 'wheelbase' | 'cgHeight' | 'end'>,
  { mass, ahead, height }: Load,
): Laden | null {
  if (!masses || wheelbase === undefined || cgHeight === undefined) return null;
  // How much of it the front axle carries, whichever axle it is measured from.
  const front = (mass * (end === 'rear' ? ahead : wheelbase + ahead)) / wheelbase;
  const total = masses.total + mass;
  return {
    total,
    frontFraction: (masses.total * masses.frontFraction + front) / total,
    cgHeight: (masses.total * cgHeight + mass * height) / total,
    here: end === 'rear' ? mass - front : front,
  };
}
