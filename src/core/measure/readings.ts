import { mean, median, max, min } from './statistics';
import { quantity, readingKey, SIDES, type QuantityKey, type Side } from './quantities';

/** One reading of the tape. Struck readings are kept on record but count for nothing. */
export type Reading = { mm: number; typed: string; at: string; struck?: boolean };
export type Readings = Partial<Record<string, Reading[]>>;

export type Measured = {
  /** mean of the readings that count, or the stand-in when there is none; mm */
  mm: number;
  /** largest less smallest, mm */
  spread: number;
  count: number;
};

/** Averages what was read of a quantity on one side (or of an unsided one). */
export function measured(readings: Readings, key: QuantityKey, side?: Side): Measured {
  const values = counting(readings[readingKey(key, side)]);
  if (values.length === 0) return { mm: quantity(key).standIn, spread: 0, count: 0 };
  return { mm: mean(values), spread: max(values) - min(values), count: values.length };
}

/** The one number a sided quantity gives the model: the mean of its two sides, or the one side that was measured. */
export function measuredAcross(readings: Readings, key: QuantityKey): number {
  const sides = SIDES.map((side) => measured(readings, key, side)).filter((m) => m.count > 0);
  return sides.length ? mean(sides.map((m) => m.mm)) : quantity(key).standIn;
}

/** The reading farthest from the middle one, when there are enough readings to tell. */
export function oddOneOut(list: Reading[] | undefined): Reading | null {
  const kept = (list ?? []).filter((r) => !r.struck);
  if (kept.length < 3) return null;
  const middle = median(kept.map((r) => r.mm));
  return kept.reduce((a, b) => (Math.abs(b.mm - middle) > Math.abs(a.mm - middle) ? b : a));
}

/**
 * How far the axle is out of square, degrees: positive when the left wheel stands ahead.
 * atan of the difference of the two wheelbases over the track.
 */
export function squareness(readings: Readings): number | null {
  const left = measured(readings, 'wheelbase', 'left');
  const right = measured(readings, 'wheelbase', 'right');
  if (!left.count || !right.count) return null;
  return (Math.atan((right.mm - left.mm) / measured(readings, 'track').mm) * 180) / Math.PI;
}

function counting(list: Reading[] | undefined): number[] {
  return (list ?? []).filter((r) => !r.struck).map((r) => r.mm);
}
