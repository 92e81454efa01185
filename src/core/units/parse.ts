import Fraction from 'fraction.js';
import { hasThousands, spelledOut } from './number';
import { MM_PER_INCH, type Tape } from './tape';

export type Parsed = { ok: true; mm: number } | { ok: false; message: string };

const MM_PER_UNIT: Record<string, number> = { mm: 1, cm: 10, m: 1000, in: MM_PER_INCH, '"': MM_PER_INCH };

// A whole part, then a fraction set off by a blank or a dash; or a decimal; or a bare fraction.
const NUMBER = String.raw`(?:(\d+)(?:\s+|\s*-\s*)(\d+)\/(\d+)|(\d+)\/(\d+)|(\d*\.?\d+|\d+\.))`;
const FEET_AND_INCHES = new RegExp(String.raw`^(\d+)\s*(?:'|ft)\s*(?:-\s*)?(?:${NUMBER}\s*(?:"|in)?)?$`);
const PLAIN = new RegExp(String.raw`^${NUMBER}\s*(mm|cm|m|in|")?$`);

const LONGEST_TEXT = 40;
const fail = (message: string): Parsed => ({ ok: false, message });

/**
 * Reads a length as a fabricator writes it.
 *
 * Takes `28 1/2`, `28-1/2`, `1/2`, `28.5`, `2' 4 1/2"`, `724mm`, `72.4 cm`, `28 ½`, with a leading minus if wanted.
 * A number without a unit is in the tape's own unit.
 *
 * @param text what was typed
 * @param tape the tape in use; settles the unit of a bare number
 * @returns the length in mm, or a message that says what is wrong and shows the cure
 */
export function parseLength(text: string, tape: Tape): Parsed {
  if (text.length > LONGEST_TEXT) return fail('Too long for a length. Type something like 28 1/2.');
  let s = spelledOut(text)
    .toLowerCase()
    .replace(/[’′]/g, "'")
    .replace(/[”″]|''/g, '"')
    .replace(/inch(es)?\b/, 'in')
    .trim();
  if (hasThousands(s.replace(/[^\d,.]/g, '')))
    return fail(`“${text.trim()}” reads two ways. Type ${s.replaceAll(',', '')} or ${s.replace(',', '.')}.`);
  s = s.replace(/,/g, '.');
  if (s === '') return fail('Nothing typed yet. Type something like 28 1/2.');
  const sign = s.startsWith('-') ? -1 : 1;
  s = s.replace(/^[-+]\s*/, '');

  const feet = FEET_AND_INCHES.exec(s);
  if (feet) {
    const inches = feet.slice(2).some(Boolean) ? toFraction(feet.slice(2, 8)) : new Fraction(0);
    if (inches === null) return fail('A fraction cannot have 0 underneath.');
    return finish(sign, inches.add(new Fraction(feet[1]!).mul(12)), MM_PER_INCH);
  }
  const plain = PLAIN.exec(s);
  if (plain) {
    const value = toFraction(plain.slice(1, 7));
    if (value === null) return fail('A fraction cannot have 0 underneath.');
    return finish(sign, value, MM_PER_UNIT[plain[7] ?? (tape === 'mm' ? 'mm' : 'in')]!);
  }
  return fail(explain(s));
}

function toFraction(groups: (string | undefined)[]): Fraction | null {
  const [whole, top, bottom, bareTop, bareBottom, decimal] = groups;
  if (decimal !== undefined) return new Fraction(decimal.replace(/\.$/, ''));
  const under = Number(bottom ?? bareBottom);
  if (under === 0) return null;
  return new Fraction(whole ?? 0).add(new Fraction(Number(top ?? bareTop), under));
}

function finish(sign: number, value: Fraction, mmPerUnit: number): Parsed {
  // Fraction arithmetic is exact; the single rounding is here.
  const mm = sign * value.valueOf() * mmPerUnit;
  return Number.isFinite(mm) ? { ok: true, mm } : fail('That number is too large.');
}

function explain(s: string): string {
  if (/^\d+\s+\d+$/.test(s))
    return `“${s}” is two numbers. A fraction needs its slash: ${s.replace(/\s+(\d+)$/, ' $1/16')}.`;
  if (/\/\s*("|in)?$/.test(s)) return `“${s}” stops at the slash. Add the bottom number, like 1/2.`;
  if (/[a-z]/.test(s)) return `“${s}” is not a length. Use a number with in, ft or mm, like 28 1/2 or 724mm.`;
  return `“${s}” is not a length. Type something like 28 1/2, 28.5 or 724mm.`;
}
