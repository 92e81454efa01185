import { cornerOf, type Car } from './corner';

/** The front carries about this much more of the transfer than of the weight on a car that is neither tight nor loose (common practice). */
export const NEUTRAL = 0.05;

const HALVINGS = 40;
/** Stiffer than any car, N·mm/rad. */
const STIFFEST = 1e10;

/**
 * How much more stiffness against roll at one end makes the car neither tight nor loose in a corner of some g, N·mm/rad; negative: so much less.
 * The front's share falls as the rear is stiffened and rises as the front is, so halving finds it.
 *
 * @returns null where no stiffness there does it
 */
export function evenBy(car: Car, at: 'front' | 'rear', frontWeight: number, g: number): number | null {
  const share = (rollStiffness: number): number | null =>
    cornerOf({ ...car, [at]: { ...car[at], rollStiffness } }, g)?.frontShare ?? null;
  const wanted = frontWeight + NEUTRAL;
  // Past the even place: the front too stiff, or the rear.
  const beyond = (found: number | null) =>
    found !== null && (at === 'front' ? found > wanted : found < wanted);
  if (!beyond(share(STIFFEST))) return null;
  let [low, high] = [0, STIFFEST];
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2;
    if (beyond(share(middle))) high = middle;
    else low = middle;
  }
  return high - car[at].rollStiffness;
}
