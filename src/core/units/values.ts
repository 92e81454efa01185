import { formatDegrees, formatLength, sayLength } from './length';
import { parseNumber } from './number';
import { parseLength } from './parse';
import { division, finer, type Tape } from './tape';
import { toDegrees } from '@/core/geometry/angle';
import { MASS, TORQUE, type Unit } from '@/core/units/unit';

/** What a quantity is measured in: mm, degrees, kg or N·mm in the core. */
export type ReadingUnit = 'length' | 'angle' | 'weight' | 'torque';

export type ParsedValue = { ok: true; value: number } | { ok: false; message: string };

const RISE_IN_RUN = /^(.+?)\s+(?:in|over|per)\s+(.+)$/i;

/**
 * Reads what was typed for a quantity: a length; an angle in degrees or as a rise in a run (`3/16 in 48`); a weight or a torque in the
 * unit that goes with the tape, or with its own (`840 lb`, `381kg`, `75 lb-ft`, `100 Nm`).
 *
 * @returns mm, degrees, kg or N·mm, or a message that says what is wrong and shows the cure
 */
export function parseValue(text: string, unit: ReadingUnit, tape: Tape): ParsedValue {
  if (unit === 'length') {
    const parsed = parseLength(text, tape);
    return parsed.ok ? { ok: true, value: parsed.mm } : parsed;
  }
  if (unit === 'angle') return parseAngle(text, tape);
  return unit === 'weight'
    ? parseWith(text, tape, MASS, { metric: /\s*kg$/i, imperial: /\s*lbs?$/i }, ['381', '840'])
    : parseWith(
        text,
        tape,
        TORQUE,
        { metric: /\s*n[·.\- ]?m$/i, imperial: /\s*(?:lbs?[·.\- ]?ft|ft[·.\- ]?lbs?)$/i },
        ['100', '75'],
      );
}

function parseAngle(text: string, tape: Tape): ParsedValue {
  const slope = RISE_IN_RUN.exec(text.trim());
  if (slope) {
    const rise = parseLength(slope[1]!, tape);
    const run = parseLength(slope[2]!, tape);
    if (rise.ok && run.ok && run.mm > 0) return { ok: true, value: toDegrees(Math.atan(rise.mm / run.mm)) };
    return { ok: false, message: `“${text}” is no slope. Type the rise in its run, like 3/16 in 48.` };
  }
  const value = parseNumber(text.replace(/°|deg(rees)?$/i, ''));
  if (value === null)
    return { ok: false, message: 'Type degrees, like 2.5, or a rise in its run, like 3/16 in 48.' };
  return { ok: true, value };
}

/** A number in the unit that goes with the tape, or with a unit of its own behind it. */
function parseWith(
  text: string,
  tape: Tape,
  unit: Unit,
  signs: { metric: RegExp; imperial: RegExp },
  [metric, imperial]: [string, string],
): ParsedValue {
  const bare = text.trim();
  const own = [['mm', signs.metric] as const, ['in16', signs.imperial] as const].find(([, sign]) =>
    sign.test(bare),
  );
  const value = parseNumber(own ? bare.replace(own[1], '') : bare);
  if (value === null)
    return { ok: false, message: `Type a number, like ${tape === 'mm' ? metric : imperial}.` };
  return { ok: true, value: unit.read(value, own ? own[0] : tape) };
}

/** A value as one line of plain text, without its unit. */
export function formatValue(value: number, unit: ReadingUnit, tape: Tape): string {
  if (unit === 'length') return formatLength(value, tape);
  if (unit === 'angle') return String(Number(value.toFixed(2)));
  return String(Math.round(unitOf(unit).shown(value, tape)));
}

/** The same with its unit, for sentences. */
export function sayValue(value: number, unit: ReadingUnit, tape: Tape): string {
  if (unit === 'length') return sayLength(value, tape);
  if (unit === 'angle') return formatDegrees(value, 2);
  return `${formatValue(value, unit, tape)} ${unitOf(unit).sign(tape)}`;
}

/** Rounds an expanded uncertainty up to what can be read: a line of a fine tape, a tenth of a degree, a whole pound or kilogram. */
export function roundUp(value: number, unit: ReadingUnit, tape: Tape): number {
  const step =
    unit === 'length'
      ? tape === 'mm'
        ? 0.5
        : division(finer(tape))
      : unit === 'angle'
        ? 0.05
        : unitOf(unit).read(1, tape);
  return Math.max(1, Math.ceil(value / step - 0.05)) * step;
}

/** The unit that stands beside a figure. */
export const unitWord = (unit: ReadingUnit, tape: Tape): string =>
  unit === 'length' ? (tape === 'mm' ? 'mm' : 'in') : unit === 'angle' ? '°' : unitOf(unit).sign(tape);

const unitOf = (unit: 'weight' | 'torque'): Unit => (unit === 'weight' ? MASS : TORQUE);
