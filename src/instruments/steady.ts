import { mean, max, min } from '@/core/numerics/statistics';
import type { ReadingUnit } from '@/core/units/values';

/** So many lines in a row, and so near together, make a steady reading: mm, degrees, kg from end to end. */
const WINDOW = 10;
const WITHIN: Record<ReadingUnit, number> = { length: 2, angle: 0.3, weight: 2.5 };
/** The second half of the window may differ from the first by so much: more is still settling. */
const DRIFT: Record<ReadingUnit, number> = { length: 0.4, angle: 0.06, weight: 0.6 };

/** The mean of a gauge's last readings once they hold still; null while they move. */
export function steadyValue(values: number[], unit: ReadingUnit): number | null {
  if (values.length < WINDOW) return null;
  const last = values.slice(-WINDOW);
  if (max(last) - min(last) > WITHIN[unit]) return null;
  const half = WINDOW / 2;
  const drift = mean(last.slice(half)) - mean(last.slice(0, half));
  return Math.abs(drift) <= DRIFT[unit] ? mean(last) : null;
}

export const KEPT = 3 * WINDOW;
