import { mean } from '@/core/numerics/statistics';
import { TOOLS, type ToolName } from '@/core/survey/quantities/tools';

/** Coverage factor for about 95 % (GUM 6.3.3). */
export const COVERAGE = 2;

/** How many readings the tool's known repeatability is worth beside the readings themselves. */
const KNOWN_WORTH = 3;

/** A value with its standard uncertainty, in the unit of the value. */
export type Estimate = { value: number; u: number };

/**
 * Mean of repeated readings with its standard uncertainty, by the GUM (JCGM 100:2008): type A from the spread, pooled with
 * the tool's known repeatability since two or three readings say little of it (4.2.4), type B from the tool's limit of error,
 * taken as rectangular (4.3.7), combined in quadrature (5.1.2).
 *
 * @param values one reading or more, mm, degrees or kg as the tool reads
 */
export function estimate(values: number[], tool: ToolName): Estimate {
  const n = values.length;
  const value = mean(values);
  const { limit, repeat } = TOOLS[tool];
  const squares = values.reduce((sum, v) => sum + (v - value) ** 2, 0);
  const variance = (KNOWN_WORTH * repeat ** 2 + squares) / (KNOWN_WORTH + n - 1);
  return { value, u: Math.sqrt(variance / n + limit ** 2 / 3) };
}

/**
 * Standard uncertainties of results computed from independent inputs: the law of propagation of uncertainty (JCGM 100:2008,
 * 5.1.2), each sensitivity taken numerically over ±u of its input (5.1.3, note 2).
 *
 * @param inputs values with standard uncertainties
 * @param f results from values in the same order; null for one that has none there
 * @returns for each result, null where it has no value at or near the inputs
 */
export function propagateAll(
  inputs: Estimate[],
  f: (values: number[]) => (number | null)[],
): (Estimate | null)[] {
  const values = inputs.map((x) => x.value);
  const at = f(values);
  const variance: (number | null)[] = at.map((v) => (v === null ? null : 0));
  inputs.forEach(({ u }, i) => {
    if (u === 0) return;
    const up = f(values.with(i, values[i]! + u));
    const down = f(values.with(i, values[i]! - u));
    variance.forEach((sum, k) => {
      const [a, b] = [up[k] ?? null, down[k] ?? null];
      variance[k] = sum === null || a === null || b === null ? null : sum + ((a - b) / 2) ** 2;
    });
  });
  return at.map((value, k) =>
    value === null || variance[k] === null ? null : { value, u: Math.sqrt(variance[k]!) },
  );
}

/** The same for one result. */
export const propagate = (inputs: Estimate[], f: (values: number[]) => number | null): Estimate | null =>
  propagateAll(inputs, (values) => [f(values)])[0]!;
