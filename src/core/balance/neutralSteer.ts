import { LIMITS } from '@/core/materials/limits';
import { bisect } from '@/core/numerics/rootFinding';
import { cornerOf, type Car } from './steadyCorner';

const HALVINGS = 40;
/** Stiffer than any car, N·mm/rad. */
const STIFFEST = 1e10;

/**
 * How much more stiffness against roll at one end makes the car neither tight nor loose in a corner of some g, N·mm/rad; negative: so much less.
 * The front's share falls as the rear is stiffened and rises as the front is, so halving finds it.
 *
 * @returns ∞ where the stiffest is not enough, −∞ where none at all is still too much; null where the car goes over at either
 */
export function rollStiffnessForNeutral(
  car: Car,
  at: 'front' | 'rear',
  frontWeight: number,
  g: number,
): number | null {
  const share = (rollStiffness: number): number | null =>
    cornerOf({ ...car, [at]: { ...car[at], rollStiffness } }, g)?.frontShare ?? null;
  const wanted = frontWeight + LIMITS.balance.neutral;
  // Past the even place: the front too stiff, or the rear.
  const beyond = (found: number) => (at === 'front' ? found > wanted : found < wanted);
  const [softest, stiffest] = [share(0), share(STIFFEST)];
  if (softest === null || stiffest === null) return null;
  if (!beyond(stiffest)) return Infinity;
  if (beyond(softest)) return -Infinity;
  const isBeyond = (stiffness: number) => {
    const found = share(stiffness);
    return found !== null && beyond(found);
  };
  return bisect(isBeyond, 0, STIFFEST, HALVINGS) - car[at].rollStiffness;
}
