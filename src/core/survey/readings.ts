import { oncePer } from '@/core/numerics/oncePer';
import { mean, median, max, min } from '@/core/numerics/statistics';
import { quantity, readingKey, type QuantityKey } from '@/core/survey/quantities/quantities';
import type { ToolName } from '@/core/survey/quantities/tools';
import { estimate, type Estimate } from './uncertainty';
import type { AxleEnd } from '@/core/rig/schema';
import { toDegrees } from '@/core/geometry/angle';
import { SIDES, type Side } from '@/core/geometry/side';

/**
 * One reading: mm, degrees or kg. Struck readings are kept on record but count for nothing. `by` is there when it was taken
 * with something other than the quantity's usual tool.
 */
export type Reading = { value: number; typed: string; at: string; struck?: boolean; by?: ToolName };
/** The most readings that one place can hold. */
export const MOST_READINGS = 50;

export type Readings = Partial<Record<string, Reading[]>>;

export type Measured = Estimate & {
  /** largest less smallest */
  spread: number;
  count: number;
};

/** Averages what was read of a quantity on one side (or of an unsided one); the stand-in, of no certainty, where nothing was. */
export const measured = (readings: Readings, key: QuantityKey, side?: Side): Measured =>
  MEASURED[side ?? 'unsided'](readings, key);

/** Asked dozens of times at every movement of a drag, of readings that stay as they are. */
const MEASURED = {
  left: oncePer((readings: Readings, key: QuantityKey) => averaged(readings, key, 'left')),
  right: oncePer((readings: Readings, key: QuantityKey) => averaged(readings, key, 'right')),
  unsided: oncePer((readings: Readings, key: QuantityKey) => averaged(readings, key)),
};

function averaged(readings: Readings, key: QuantityKey, side?: Side): Measured {
  const list = counting(readings[readingKey(key, side)]);
  const q = quantity(key);
  if (list.length === 0) return { value: q.standIn, u: 0, spread: 0, count: 0 };
  const values = list.map((r) => r.value);
  // Readings of several tools are as good as the one most of them were taken with: the last.
  const { value, u } = estimate(values, list.at(-1)!.by ?? q.tool);
  return { value, u, spread: max(values) - min(values), count: values.length };
}

/** What was read of a quantity, or null where nothing was. */
export function found(readings: Readings, key: QuantityKey, side?: Side): Measured | null {
  const m = measured(readings, key, side);
  return m.count ? m : null;
}

/** What was read on both sides, or null where one is missing. */
export function bothSides(readings: Readings, key: QuantityKey): { left: Measured; right: Measured } | null {
  const left = found(readings, key, 'left');
  const right = found(readings, key, 'right');
  return left && right && { left, right };
}

/** The one number a sided quantity gives the model: the mean of its two sides, or the one side that was measured. */
export function measuredAcross(readings: Readings, key: QuantityKey): number {
  const sides = SIDES.flatMap((side) => found(readings, key, side) ?? []);
  return sides.length ? mean(sides.map((m) => m.value)) : quantity(key).standIn;
}

/** The reading farthest from the middle one, when there are enough readings to tell and the rest agree far better without it. */
export function oddOneOut(list: Reading[] | undefined): Reading | null {
  const kept = counting(list);
  if (kept.length < 3) return null;
  const middle = median(kept.map((r) => r.value));
  const odd = kept.reduce((a, b) => (Math.abs(b.value - middle) > Math.abs(a.value - middle) ? b : a));
  const rest = kept.filter((r) => r !== odd);
  return spreadOf(rest) < spreadOf(kept) / 2 ? odd : null;
}

const spreadOf = (list: Reading[]): number => {
  const values = list.map((r) => r.value);
  return max(values) - min(values);
};

/**
 * How far the left wheel stands ahead of the right by the two wheelbases, mm. The longer wheelbase is on the side that stands
 * farther from the other axle: behind at the rear, ahead at the front.
 */
export const aheadByWheelbase = (left: number, right: number, end: AxleEnd): number =>
  end === 'rear' ? right - left : left - right;

/**
 * How far the axle is out of square by its wheelbases, degrees: positive when the left wheel stands ahead.
 * atan of the difference of the two over the track.
 */
export function squareness(readings: Readings, end: AxleEnd): number | null {
  const both = bothSides(readings, 'wheelbase');
  if (!both) return null;
  const track = measured(readings, 'track').value;
  return toDegrees(Math.atan(aheadByWheelbase(both.left.value, both.right.value, end) / track));
}

const counting = (list: Reading[] | undefined): Reading[] => (list ?? []).filter((r) => !r.struck);
