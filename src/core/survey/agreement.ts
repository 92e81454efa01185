import { adjust, type Adjustment, type Residual } from './leastSquares';
import { networkOf, type SurveyedCar } from './network';
import { placementBy, type Placement } from './placement';
import { DATUM_NAMES } from './quantities/datums';
import { measured } from './readings';

/** A reading that the others contradict; `alike` are those it cannot be told apart from. */
export type Contradiction = { residual: Residual; alike: string[] };

/** How readings fit together: numbers and names of places alone. */
export type Agreement = {
  /** readings more than are needed, without the wrong ones */
  redundancy: number;
  /** every reading that is not wrong: as read, as fitted, as the others make it */
  residuals: Residual[];
  /** where the axle stands by each datum that it is tied to */
  placements: Placement[];
  /** one wrong reading after another, each found with those before it left out */
  wrong: Contradiction[];
  /** readings that nothing else checks */
  unchecked: string[];
};

/** Standardized residuals beyond this come from chance once in a thousand (Baarda 1968, from memory). */
const CRITICAL = 3.29;
const MOST_WRONG = 4;
/** Residuals that go together like this are of readings that check only each other. */
const ALIKE = 0.98;

/**
 * Fits everything that was read, and finds the readings that the rest contradicts: the worst is left out and the rest fitted
 * again until what is left agrees (data snooping).
 *
 * @returns null while nothing is redundant
 */
export function agreementOf(car: SurveyedCar): Agreement | null {
  const network = networkOf(car);
  let observations = network.observations;
  if (observations.length === 0) return null;
  let adjustment = adjust(network.start, observations);
  if (adjustment.redundancy === 0) return null;
  const unchecked = adjustment.residuals.filter((r) => r.others === null).map((r) => r.key);
  const wrong: Contradiction[] = [];
  while (wrong.length < MOST_WRONG) {
    const worst = worstOf(adjustment);
    if (worst === null) break;
    wrong.push({ residual: adjustment.residuals[worst]!, alike: alikeTo(adjustment, worst) });
    observations = observations.filter((_, i) => i !== worst);
    adjustment = adjust(network.start, observations);
  }
  const track = measured(car.readings, 'track').value;
  return {
    redundancy: adjustment.redundancy,
    residuals: adjustment.residuals,
    placements: DATUM_NAMES.flatMap((datum) => placementBy(datum, network, adjustment, track) ?? []),
    wrong,
    unchecked,
  };
}

function worstOf({ residuals }: Adjustment): number | null {
  const sizes = residuals.map((r) => Math.abs(r.standardized));
  const most = Math.max(...sizes);
  return most > CRITICAL ? sizes.indexOf(most) : null;
}

const alikeTo = ({ residuals, correlation }: Adjustment, worst: number): string[] =>
  residuals
    .filter((r, i) => i !== worst && r.others !== null && Math.abs(correlation(i, worst)) > ALIKE)
    .map((r) => r.key);
