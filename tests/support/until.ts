import fc from 'fast-check';

/** Rounds of a property's runs until it has met enough that it could judge. */
const ROUNDS = 10;

/**
 * Holds a property over random cases, round after round, until `met` says that enough of them had something to judge:
 * how many do is chance, and a property that judged none of them would hold of anything.
 */
export function assertUntil<T>(
  property: fc.IProperty<T>,
  parameters: fc.Parameters<T>,
  met: () => boolean,
): void {
  for (let round = 0; round < ROUNDS; round++) {
    fc.assert(property, parameters);
    if (met()) return;
  }
  throw new Error(`${ROUNDS} rounds of ${parameters.numRuns ?? 100} cases had too little to judge.`);
}
