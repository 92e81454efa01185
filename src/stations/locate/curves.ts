import { extent, ticks } from 'd3';
import type { CurveValues } from '@/core/locate/types';
import { formatLength, sayLength } from '@/core/units/format';
import { division, type Tape } from '@/core/units/tape';

type Unit = 'length' | '%' | '°';

/** What can be drawn against travel, how its figures read, and what a larger and a smaller value mean. */
export type Curve = {
  name: string;
  of: (p: CurveValues) => number | null;
  unit: Unit;
  to: readonly [string, string];
  note: string;
};
export const CURVES = {
  shift: { name: 'Axle sideways', of: (p) => p.y, unit: 'length', to: ['left', 'right'], note: '' },
  roll: {
    name: 'Roll centre',
    of: (p) => p.rollCentreHeight,
    unit: 'length',
    to: ['up', 'down'],
    note: 'Height off the floor.',
  },
  antiSquat: { name: 'Anti-squat', of: (p) => p.antiSquat, unit: '%', to: ['plants', 'squats'], note: '' },
  rollSteer: {
    name: 'Roll steer',
    of: (p) => p.rollSteer,
    unit: '°',
    to: ['steadying', 'loosening'],
    note: 'Degrees of steer for a degree of roll.',
  },
  pinion: {
    name: 'Pinion',
    of: (p) => -p.pitchDeg,
    unit: '°',
    to: ['nose up', 'nose down'],
    note: 'Turned from where it is at ride height.',
  },
  bumpSteer: {
    name: 'Bump steer',
    of: (p) => p.bumpSteer,
    unit: '°',
    to: ['left', 'right'],
    note: 'Turn of the wheels with the steering held.',
  },
} as const satisfies Record<string, Curve>;
export type CurveName = keyof typeof CURVES;

/** Least air around a flat curve, in its own unit. */
const AIR = { '%': 4, '°': 0.02 };
/** Steps that a tape has lines for: mm, and inches. */
const TAPE_STEPS = {
  mm: [1, 2, 5, 10, 20, 50, 100],
  inch: [1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4].map((n) => n * 25.4),
};
const MOST_LINES = 5;

/** The curve with a little air above and below. */
export function room(values: number[], unit: Unit, tape: Tape): [number, number] {
  const [low = 0, high = 0] = extent(values) as [number | undefined, number | undefined];
  const air = Math.max((high - low) * 0.12, unit === 'length' ? division(tape) : AIR[unit]);
  return [low - air, high + air];
}

/** Gridlines where a tape has its longer lines; for angles and shares, at round figures. */
export function gridlines([low, high]: [number, number], unit: Unit, tape: Tape): number[] {
  if (unit !== 'length') return ticks(low, high, MOST_LINES);
  const steps = tape === 'mm' ? TAPE_STEPS.mm : TAPE_STEPS.inch;
  const step =
    steps.find((s) => s >= division(tape) - 1e-9 && (high - low) / s <= MOST_LINES) ?? (high - low) / 4;
  const first = Math.ceil(low / step);
  return Array.from({ length: Math.floor(high / step) - first + 1 }, (_, i) => (first + i) * step);
}

/** A gridline's figure; which way it counts is said at the chart's corners. */
export function lineLabel(value: number, unit: Unit, tape: Tape): string {
  if (unit === 'length') return formatLength(Math.abs(value), tape);
  return `${Number(value.toFixed(2))}${unit}`;
}

/** A value of a curve in words, with its way. */
export function sayValue(value: number | undefined, { unit, to }: Curve, tape: Tape): string {
  if (value === undefined) return 'out of reach';
  if (unit !== 'length') return lineLabel(value, unit, tape);
  return `${sayLength(Math.abs(value), tape)} ${value >= 0 ? to[0] : to[1]}`;
}
