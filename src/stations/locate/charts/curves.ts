import { extent, ticks } from 'd3';
import type { CurveValues } from '@/core/locate/types';
import { formatLength, sayLength } from '@/core/units/length';
import { division, type Tape } from '@/core/units/tape';

type Unit = 'length' | '%' | '°';

/** What can be drawn over the travel, how its figures read, and what a larger and a smaller value mean. */
export type Curve = {
  name: string;
  key: keyof CurveValues;
  /** −1 where the builder's way of counting is the other way round */
  sign: 1 | -1;
  unit: Unit;
  to: readonly [string, string];
  note: string;
};
const curve = (
  name: string,
  key: keyof CurveValues,
  unit: Unit,
  to: readonly [string, string],
  note = '',
  sign: 1 | -1 = 1,
): Curve => ({ name, key, unit, to, note, sign });

export const CURVES = {
  shift: curve('Axle sideways', 'y', 'length', ['left', 'right']),
  roll: curve('Roll centre', 'rollCentreHeight', 'length', ['up', 'down'], 'Height off the floor.'),
  antiSquat: curve('Anti-squat', 'antiSquat', '%', ['plants', 'squats']),
  rollSteer: curve(
    'Roll steer',
    'rollSteer',
    '°',
    ['steadying', 'loosening'],
    'Degrees of steer for a degree of roll.',
  ),
  steer: curve('Steer', 'steerDeg', '°', ['left', 'right'], 'Turn of the axle, seen from above.'),
  pinion: curve(
    'Pinion',
    'pitchDeg',
    '°',
    ['nose up', 'nose down'],
    'Turned from where it is at ride height.',
    -1,
  ),
  caster: curve('Caster', 'pitchDeg', '°', ['more', 'less'], 'Turned from where it is at ride height.', -1),
  bumpSteer: curve(
    'Bump steer',
    'wheelSteer',
    '°',
    ['left', 'right'],
    'Turn of the road wheels with the steering held; what the axle itself turns is in it.',
  ),
  plunge: curve('Slip yoke', 'plunge', 'length', ['out', 'in'], 'From where it is at ride height.'),
  frontJoint: curve(
    'Joint at transmission',
    'frontJoint',
    '°',
    ['more', 'less'],
    'Angle between shaft and transmission.',
  ),
  rearJoint: curve('Joint at pinion', 'rearJoint', '°', ['more', 'less'], 'Angle between shaft and pinion.'),
} as const satisfies Record<string, Curve>;
export type CurveName = keyof typeof CURVES;

/** A curve's value at a point, as the builder counts it. */
export function valueOf({ key, sign }: Curve, values: CurveValues): number | null {
  const value = values[key];
  return value === null ? null : sign * value;
}

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
  return unit === '%' ? `${Math.round(value)} %` : `${Number(value.toFixed(2))}${unit}`;
}

/** A value of a curve in words, with its way. */
export function sayCurveValue(
  value: number | null | undefined,
  { unit, to, key }: Curve,
  tape: Tape,
): string {
  if (value === undefined || value === null) return 'out of reach';
  if (key === 'rollCentreHeight') return sayLength(value, tape);
  if (unit !== 'length') return lineLabel(value, unit, tape);
  return `${sayLength(Math.abs(value), tape)} ${value >= 0 ? to[0] : to[1]}`;
}
