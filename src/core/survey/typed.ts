import type { SurveyUnit } from '@/core/survey/quantities/quantity';
import { parseValue } from '@/core/units/values';
import { spotAt } from '@/core/survey/quantities/quantities';
import type { Readings } from './readings';

/** The unit of a value in a file. */
export const UNIT_SIGNS: Record<SurveyUnit, string> = { length: 'mm', angle: 'deg', weight: 'kg' };

/** How far what was typed may be from the value that it goes with, and still be that value as it was read off. */
const READ_OFF: Record<SurveyUnit, number> = { length: 0.8, angle: 0.06, weight: 0.6 };

/** What was typed, where it says the value; else the value. Its side may have been said in a word or two. */
export function typedFor(typed: string, value: number, unit: SurveyUnit): string {
  const bare = typed.replace(/(\s+[a-z]+){1,2}$/i, '');
  const says = (['in16', 'mm'] as const).some((tape) =>
    [typed, bare].some((text) => {
      const read = parseValue(text, unit, tape);
      return read.ok && Math.abs(Math.abs(read.value) - Math.abs(value)) <= READ_OFF[unit];
    }),
  );
  return says ? typed : `${value}${unit === 'angle' ? '' : ` ${UNIT_SIGNS[unit]}`}`;
}

/** Readings whose texts say their values, as a file from elsewhere need not: what is shown is what is reckoned with. */
export const withTrueTexts = (readings: Readings): Readings =>
  Object.fromEntries(
    Object.entries(readings).map(([key, list]) => [
      key,
      list?.map((r) => ({ ...r, typed: typedFor(r.typed, r.value, spotAt(key)!.quantity.unit) })),
    ]),
  );
