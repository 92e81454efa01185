import type { Motion } from '@/core/kinematics/smallMotions';
import { cornerPoses, farthestRoll } from '@/core/kinematics/travelCorners';
import { STEELS } from '@/core/materials/steels';
import { STOCK } from '@/core/materials/stockSizes';
import { bisect } from '@/core/numerics/rootFinding';
import { InputError, orRefusal } from '@/core/rig/read';
import { turningBar } from './armRotation';
import { massOf } from './mass';
import { gapsOverTravel, ownBody, tooNear, type Gap } from './packaging';
import { armInUse, swayBarOf, type BarDesign } from './swayBarDesign';
import type { BarCar } from './swayBarOverTravel';
import { swayBar } from './swayBarRate';

/** What is asked of a bar: stiffness against roll, N·mm for a degree; how short and how long its arms may be, mm. */
export type Wanted = { rollRate: number; least: number; most: number };

/** A bar of stock size that does what is wanted: the design, and what it comes to. */
export type Candidate = {
  design: BarDesign;
  rollRate: number;
  /** at the farthest roll, N/mm² */
  stress: number;
  /** kg, the bar alone */
  mass: number;
  nearest: Gap | null;
};

/** Candidates, the lightest first; and how many sizes fell out, and why. */
export type Found = { candidates: Candidate[] } & Record<Reason, number>;

const HALVINGS = 26;

/**
 * Of every stock size the arm that gives the wanted stiffness: longer arms are softer, so halving finds it. The middle
 * stays where it is; where that does not go, the eyes do, and the middle moves. Kept are those that are worked within what
 * their steel lasts at the farthest roll, and clear everything over the travel.
 */
export function findBars(
  car: BarCar & { bar: BarDesign },
  wanted: Wanted,
  { mechanism, small }: Motion,
): Found {
  const { rig, bar, bump, droop } = car;
  const corners = cornerPoses(mechanism, bump, droop);
  const mostRoll = farthestRoll(rig.track, bump, droop);
  const found: Found = { candidates: [], outOfReach: 0, overworked: 0, inTheWay: 0 };
  const around = { ...car, housing: bar.housing, stowed: null };
  for (const stock of STOCK) {
    const tried = tryStock(stock, 'middle');
    const last = typeof tried === 'string' && tried !== 'outOfReach' ? tryStock(stock, 'eyes') : tried;
    if (typeof last === 'string') found[last]++;
    else found.candidates.push(last);
  }
  found.candidates.sort((a, b) => a.mass - b.mass);
  return found;

  function tryStock(stock: (typeof STOCK)[number], keep: Keeping): Candidate | Reason {
    const withArm = (arm: number): BarDesign => ({ ...armed(bar, arm, keep), ...stock });
    const answerAt = (arm: number) => {
      const tried = orRefusal(() => swayBar(rig, swayBarOf(withArm(arm)), small, 'swayBars[0]'));
      return tried instanceof InputError ? null : tried;
    };
    const arm = armFor(wanted, (a) => answerAt(a)?.rollRate ?? null);
    const answer = arm === null ? null : answerAt(arm);
    if (arm === null || !answer) return 'outOfReach';
    const design = withArm(arm);
    const stress = answer.maxStress * mostRoll;
    if (stress > STEELS[bar.steel].tires) return 'overworked';
    const arms = turningBar(swayBarOf(design));
    const gaps = arms && gapsOverTravel(around, arms, corners);
    if (!gaps || tooNear(car, gaps).length) return 'inTheWay';
    const nearest = gaps.find((gap) => !ownBody(car, gap));
    return { design, rollRate: answer.rollRate, stress, mass: massOf(design), nearest: nearest ?? null };
  }
}

/** What stays where it is as an arm grows: the middle in its bushings, or the eyes over their links. */
type Keeping = 'middle' | 'eyes';

function armed(bar: BarDesign, arm: number, keep: Keeping): BarDesign {
  const way = bar.pointing === 'ahead' ? 1 : -1;
  const tip = bar.ahead + way * armInUse(bar);
  return { ...bar, arm, hole: 0, hooked: true, ahead: keep === 'eyes' ? tip - way * arm : bar.ahead };
}

type Reason = 'outOfReach' | 'overworked' | 'inTheWay';

/** The arm between the least and the most that gives the rate; null where none does. */
function armFor({ rollRate, least, most }: Wanted, rateAt: (arm: number) => number | null): number | null {
  const [stiffest, softest] = [rateAt(least), rateAt(most)];
  if (stiffest === null || softest === null || rollRate > stiffest || rollRate < softest) return null;
  return bisect((arm) => (rateAt(arm) ?? 0) <= rollRate, least, most, HALVINGS);
}
