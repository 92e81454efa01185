import Fraction from 'fraction.js';
import { division, MM_PER_INCH, type Tape } from '@/core/units/tape';

/** A half-typed length taken apart: `28 1/2` is whole `28`, fraction `1/2`. */
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

/** One line of the tape more or less. */
export function withLine(text: string, by: 1 | -1, tape: Tape): string {
  const parts = partsOf(text);
  const perInch = Math.round(MM_PER_INCH / division(tape));
  const now = parts.fraction ? new Fraction(parts.fraction) : new Fraction(0);
  const next = now.add(new Fraction(by, perInch));
  if (next.compare(0) < 0 || next.compare(1) >= 0) {
    const whole = Number(parts.whole || 0) + by;
    if (whole < 0) return text;
    const rest = by > 0 ? next.sub(1) : next.add(1);
    return join({ ...parts, whole: String(whole), fraction: rest.n === BigInt(0) ? '' : rest.toFraction() });
  }
  return join({ ...parts, fraction: next.n === BigInt(0) ? '' : next.toFraction() });
}

/** Takes off the fraction first, then the last digit. */
export function withoutLast(text: string): string {
  const parts = partsOf(text);
  if (parts.fraction) return join({ ...parts, fraction: '' });
  return join({ ...parts, whole: parts.whole.slice(0, -1) });
}

export const withSign = (text: string): string => (text.startsWith('-') ? text.slice(1) : `-${text}`);
