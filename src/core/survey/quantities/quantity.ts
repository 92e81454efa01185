import type { ReadingUnit } from '@/core/units/values';

/** What is measured of a car as it stands. */
export type SurveyUnit = Exclude<ReadingUnit, 'torque'>;
import type { ToolName } from './tools';

/** Where the builder is while measuring, in the order that walks round the car once. */
export const MEASURING_PLACES = ['floor', 'left', 'right', 'behind', 'under', 'scales'] as const;
export type MeasuringPlace = (typeof MEASURING_PLACES)[number];

/** What can be read of a car, and how. Readings in the core are mm, degrees and kg. */
export type QuantityFacts = {
  label: string;
  unit: SurveyUnit;
  /** how to take it, in one line */
  how: string;
  /** what it is for */
  why: string;
  tool: ToolName;
  place: MeasuringPlace;
  /** measured on each side of the car */
  sided: boolean;
  /** the model is drawn from it: a stand-in is used until it is measured */
  needed: boolean;
  /** readings outside this are taken for slips */
  least: number;
  most: number;
  /** a plausible value, for drawing and for practice */
  standIn: number;
  /** the words for its two ways, the first positive */
  ways?: readonly [string, string];
};

/** A length read with the tape on each side of the car. */
export const length = (place: MeasuringPlace, least: number, most: number, standIn: number) => ({
  unit: 'length' as const,
  tool: 'tape' as const,
  place,
  sided: true,
  needed: false,
  least,
  most,
  standIn,
});

/** A length read once. */
export const across = (place: MeasuringPlace, least: number, most: number, standIn: number) => ({
  ...length(place, least, most, standIn),
  sided: false,
});

/** An angle read once with the gauge; `ways` are the words for its two directions. */
export const angle = (place: MeasuringPlace, most: number, ways: readonly [string, string]) => ({
  unit: 'angle' as const,
  tool: 'angle-gauge' as const,
  place,
  sided: false,
  needed: false,
  least: -most,
  most,
  standIn: 0,
  ways,
});

export const NOSE = ['down to the front', 'up to the front'] as const;
export const LEAN = ['down to the right', 'up to the right'] as const;
