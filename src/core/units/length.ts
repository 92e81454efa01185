import Fraction from 'fraction.js';
import { division, finer, MM_PER_INCH, type Tape } from './tape';
import { parseLength } from './parse';

/** A length taken apart for display: `-3 5/16` is {negative, whole '3', top '5', bottom '16'}. */
export type TapeReading = {
  negative: boolean;
  whole: string;
  top?: string;
  bottom?: string;
  unit: 'in' | 'mm';
};

/**
 * The nearest line of the tape to a length.
 *
 * @param mm length in mm
 * @param tape the tape in use
 * @returns parts to be set as a stacked fraction; fractions in lowest terms; mm to one decimal
 */
export function readTape(mm: number, tape: Tape): TapeReading {
  if (tape === 'mm') {
    const rounded = Math.round(mm * 10) / 10;
    return { negative: rounded < 0, whole: String(Math.abs(rounded)), unit: 'mm' };
  }
  // Halves between two lines go up, whatever the last digit of the floating point says.
  const lines = Math.round(mm / division(tape) + 1e-6);
  const perInch = Math.round(MM_PER_INCH / division(tape));
  const whole = Math.floor(Math.abs(lines) / perInch);
  const rest = new Fraction(Math.abs(lines) % perInch, perInch);
  const reading: TapeReading = { negative: lines < 0, whole: String(whole), unit: 'in' };
  if (rest.n === BigInt(0)) return reading;
  return { ...reading, whole: whole === 0 ? '' : String(whole), top: String(rest.n), bottom: String(rest.d) };
}

/** A length as one line of plain text, e.g. `28 1/2`, `-1/8`, `724`. */
export function formatLength(mm: number, tape: Tape): string {
  const r = readTape(mm, tape);
  const fraction = r.top ? `${r.top}/${r.bottom}` : '';
  return (r.negative ? '-' : '') + [r.whole, fraction].filter(Boolean).join(' ');
}

/** The same with its unit, for sentences: `28 1/2 in`, `724 mm`. */
export function sayLength(mm: number, tape: Tape): string {
  return `${formatLength(mm, tape)} ${tape === 'mm' ? 'mm' : 'in'}`;
}

/** A length beside a limit that it is past: on a finer tape where both would read alike, else in decimals. */
export function sayPast(mm: number, limit: number, tape: Tape): string {
  const allowed = sayLength(limit, tape);
  const said = [tape, finer(tape)].map((by) => sayLength(mm, by)).find((length) => length !== allowed);
  return said ?? `${formatDecimal(mm, tape)} ${tape === 'mm' ? 'mm' : 'in'}`;
}

/**
 * What a field shows: the builder's own typing while it still stands for the value and suits the tape, else the
 * nearest line of the tape.
 *
 * @param mm the value, mm
 * @param typed what was typed for it, if anything
 */
export function shownLength(mm: number, typed: string | undefined, tape: Tape): string {
  if (typed !== undefined && suitsTape(typed, tape)) {
    const parsed = parseLength(typed, tape);
    if (parsed.ok && Math.abs(parsed.mm - mm) < 1e-6) return typed;
  }
  return formatLength(mm, tape);
}

/** A length as a decimal, for stock that is sold by it: a wall of `0.120` in or `3.05` mm. */
export function formatDecimal(mm: number, tape: Tape): string {
  return tape === 'mm' ? mm.toFixed(2) : (mm / MM_PER_INCH).toFixed(3);
}

function suitsTape(typed: string, tape: Tape): boolean {
  const metric = /\d\s*(mm|cm|m)\s*$/i.test(typed);
  const imperial = /["'”″]|in|ft|\//i.test(typed) && !metric;
  return tape === 'mm' ? !imperial : !metric;
}

/** Most decimals of a number that is said beside a limit. */
const FINEST = 4;

/** A number for people that is held against a limit: to so many decimals, or as finely as tells the two apart; no minus zero. */
export const numberBeside = (value: number, limit: number, decimals: number): string =>
  withoutMinusZero(value.toFixed(decimalsBeside(value, limit, decimals)));

/** So many decimals, or as many more as tell a number from the limit that it is held against. */
export function decimalsBeside(value: number, limit: number, decimals: number): number {
  const alike = value !== limit && value.toFixed(decimals) === limit.toFixed(decimals);
  return alike && decimals < FINEST ? decimalsBeside(value, limit, decimals + 1) : decimals;
}

/** An angle that is held against a limit: to a tenth of a degree, or as finely as tells the two apart. */
export const degreesBeside = (deg: number, limit: number): string => `${numberBeside(deg, limit, 1)}°`;

/** An angle in degrees for people: one decimal, no minus zero. */
export const formatDegrees = (deg: number, decimals = 1): string =>
  `${withoutMinusZero(deg.toFixed(decimals))}°`;

const withoutMinusZero = (text: string): string => (Number(text) === 0 ? text.replace('-', '') : text);
