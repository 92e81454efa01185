import Fraction from 'fraction.js';
import { formatLength } from '@/core/units/length';
import { parseNumber } from '@/core/units/number';
import { parseLength } from '@/core/units/parse';
import { division, MM_PER_INCH, type Tape } from '@/core/units/tape';
import type { ReadingUnit } from '@/core/units/values';

/** A half-typed value taken apart: `28 1/2` is whole `28`, fraction `1/2`. */
type Parts = { sign: string; whole: string; fraction: string };

const PARTS = /^(-?)(\d*\.?\d*)(?:\s*(\d+\/\d+))?$/;

function partsOf(text: string): Parts {
  const match = PARTS.exec(text.trim());
  // A bare fraction has no whole part.
  const bare = /^(-?)(\d+\/\d+)$/.exec(text.trim());
  if (bare) return { sign: bare[1]!, whole: '', fraction: bare[2]! };
  return match
    ? { sign: match[1]!, whole: match[2]!, fraction: match[3] ?? '' }
    : { sign: '', whole: '', fraction: '' };
}

const join = ({ sign, whole, fraction }: Parts): string => sign + [whole, fraction].filter(Boolean).join(' ');

const MOST_DIGITS = 6;

/** A digit or a point, set before the fraction if there is one already. */
export function withDigit(text: string, key: string): string {
  const parts = partsOf(text);
  if (key === '.' && parts.whole.includes('.')) return text;
  return join({ ...parts, whole: (parts.whole + key).slice(0, MOST_DIGITS) });
}

export const withFraction = (text: string, fraction: string): string => {
  const parts = partsOf(text);
  return join({ ...parts, whole: parts.whole.replace(/\..*$/, ''), fraction });
};

/** A number with that part of a whole behind its point: `.25`. */
export const withDecimals = (text: string, decimals: string): string => {
  const { sign, whole } = partsOf(text);
  return sign + (whole.replace(/\..*$/, '') || '0') + decimals;
};

/**
 * One line of the tape more or less, a tenth of a degree, one of anything else. Less than nothing only where that can be; what is
 * no such value stays as it is.
 */
export function withStep(text: string, by: 1 | -1, unit: ReadingUnit, tape: Tape, signed = false): string {
  const now = text.trim() === '' ? 0 : numberIn(text, unit, tape);
  const step = unit === 'length' ? division(tape) : unit === 'angle' ? 0.1 : 1;
  if (now === null) return text;
  const next = now + by * step;
  if (next < -1e-9 && !signed) return text;
  return unit === 'length' ? formatLength(next, tape) : String(Number(next.toFixed(3)));
}

function numberIn(text: string, unit: ReadingUnit, tape: Tape): number | null {
  if (unit !== 'length') return parseNumber(text);
  const parsed = parseLength(text, tape);
  return parsed.ok ? parsed.mm : null;
}

/** What one step is, as it stands on its key. */
export const sayStep = (unit: ReadingUnit, tape: Tape): string =>
  unit === 'angle'
    ? '0.1'
    : unit === 'length' && tape !== 'mm'
      ? new Fraction(1, Math.round(MM_PER_INCH / division(tape))).toFraction()
      : '1';

/** Takes off the fraction first, then the last digit. */
export function withoutLast(text: string): string {
  const parts = partsOf(text);
  if (parts.fraction) return join({ ...parts, fraction: '' });
  return join({ ...parts, whole: parts.whole.slice(0, -1) });
}

export const withSign = (text: string): string => (text.startsWith('-') ? text.slice(1) : `-${text}`);
