import type { Corner } from '@/core/balance/steadyCorner';
import { toRadians } from '@/core/geometry/angle';
import { LIMITS } from '@/core/materials/limits';
import type { RollInput } from './input';
import type { RollResult } from './analyse';

/** How a car corners at its limit: its front lets go first, its rear does, or neither. */
export type Handling = 'tight' | 'loose' | 'even';

/** Tight, loose or neither, for a front that carries so much of the weight. */
export function handlingOf(frontShare: number, frontWeight: number): Handling {
  const off = frontShare - frontWeight - LIMITS.balance.neutral;
  return off > LIMITS.balance.band ? 'tight' : off < -LIMITS.balance.band ? 'loose' : 'even';
}

/** The same of a car in the corner asked about; null where it is not known, or is the price of even tyres: loose, on the strip. */
export function handlingIn({ rig, use }: RollInput, { corner }: RollResult): Handling | null {
  const weight = rig.masses?.frontFraction;
  if (!corner || weight === undefined) return null;
  const way = handlingOf(corner.frontShare, weight);
  return use === 'drag' && way === 'loose' ? null : way;
}

/** The words for the end that is built and for the other one. */
export const wordsOfEnds = ({ end }: Pick<RollInput['rig'], 'end'>) =>
  end === 'rear'
    ? { here: 'behind', there: 'in front', other: 'front' }
    : { here: 'in front', there: 'behind', other: 'rear' };

/** Which way a car goes that is stiffened against roll at the end that is built. */
export const stiffened = ({ end }: Pick<RollInput['rig'], 'end'>): Handling =>
  end === 'rear' ? 'loose' : 'tight';

/** Which way it goes that is softened there. */
export const softened = ({ end }: Pick<RollInput['rig'], 'end'>): Handling =>
  end === 'rear' ? 'tight' : 'loose';

/** How far the outside wheel rises against the body in a corner, mm. */
export const outsideRise = (
  { track }: Pick<RollInput['rig'], 'track'>,
  { rollDeg }: Pick<Corner, 'rollDeg'>,
): number => (track / 2) * Math.tan(toRadians(rollDeg));
