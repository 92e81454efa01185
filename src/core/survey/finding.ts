import type { ReadingUnit } from '@/core/units/values';

/** One line of the report: a number, how far to trust it, and the words for its two ways. */
export type Finding = {
  id: string;
  label: string;
  value: number;
  u: number;
  unit: ReadingUnit;
  ways?: readonly [string, string];
  /** what it rests on, in a few words */
  by: string;
};
