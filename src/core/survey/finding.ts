import type { SurveyUnit } from './quantities/quantity';

/** One line of the report: a number, how far to trust it, and the words for its two ways. */
export type Finding = {
  id: string;
  label: string;
  value: number;
  u: number;
  unit: SurveyUnit;
  ways?: readonly [string, string];
  /** what it rests on, in a few words */
  by: string;
};
