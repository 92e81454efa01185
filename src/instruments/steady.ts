import { mean, max, min } from '@/core/numerics/statistics';
import type { ReadingUnit } from '@/core/units/values';

/** What comes to rest; a wrench is pulled until it clicks instead. */
type Settling = Exclude<ReadingUnit, 'torque'>;

/** So many lines in a row, and so near together, make a steady reading: mm, degrees, kg from end to end. */
const WINDOW = 10;
const WITHIN: Record<Settling, number> = { length: 2, angle: 0.3, weight: 2.5 };
/** The second half of the window may differ from the first by so much: more is still settling. */
const DRIFT: Record<Settling, number> = { length: 0.4, angle: 0.06, weight: 0.6 };

/** The mean of a gauge's last readings once they hold still, or where a wrench last clicked; null while they move. */
export function steadyValue(values: number[], unit: ReadingUnit): number | null {
  if (unit === 'torque') return clicked(values);
  if (values.length < WINDOW) return null;
  const last = values.slice(-WINDOW);
  if (max(last) - min(last) > WITHIN[unit]) return null;
  const half = WINDOW / 2;
  const drift = mean(last.slice(half)) - mean(last.slice(0, half));
  return Math.abs(drift) <= DRIFT[unit] ? mean(last) : null;
}

/** What a wrench that has clicked had come to, N·mm: once it has fallen to less than half of that; null while it is pulled. */
function clicked(values: number[]): number | null {
  const peak = values.length ? max(values) : 0;
  return peak > LEAST_PULL && values.at(-1)! < peak / 2 ? peak : null;
}

/** Less than that is a hand on the wrench, N·mm. */
const LEAST_PULL = 2000;

export const KEPT = 3 * WINDOW;
