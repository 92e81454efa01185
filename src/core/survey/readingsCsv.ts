import Papa from 'papaparse';
import * as z from 'zod/mini';
import { InputError } from '@/core/rig/read';
import { READING_KEYS, spotAt, spotName } from '@/core/survey/quantities/quantities';
import { MOST_READINGS, type Reading, type Readings } from './readings';
import { TOOL_NAMES } from '@/core/survey/quantities/tools';
import { typedFor, UNIT_SIGNS } from './typed';

/** Columns of a readings file, in order; docs/file-formats.md says what each holds. */
const COLUMNS = ['key', 'what', 'value', 'unit', 'typed', 'tool', 'struck', 'at'] as const;
type Column = (typeof COLUMNS)[number];

const MOST_ROWS = 20_000;

/** What a spreadsheet would run; a negative number is none. It goes out behind an apostrophe, and comes in without it. */
const FORMULA = /^[=@\t\r]|^[+-](?![\d.,\s/]*$)/;
const ESCAPED = /^'(?=[=@+\-\t\r])/;

/** All readings as comma-separated text, one a line, with every digit of its value. */
export function readingsToCsv(readings: Readings): string {
  const rows = READING_KEYS.flatMap((key) =>
    (readings[key] ?? []).map((r) => ({
      key,
      what: spotName(spotAt(key)!),
      value: String(r.value),
      unit: UNIT_SIGNS[spotAt(key)!.quantity.unit],
      typed: r.typed,
      tool: r.by ?? '',
      struck: r.struck ? 'yes' : '',
      at: r.at,
    })),
  );
  return (
    Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\n', escapeFormulae: FORMULA }) + '\n'
  );
}

/** What is wrong with a row: where it stands in the file, and what was expected there. */
type BadRow = { line: number; column: Column | ''; message: string };

export type CsvReadings = { readings: Readings; count: number; bad: BadRow[] };

const rowSchema = z.object({
  key: z.string().check(z.refine((key) => spotAt(key) !== undefined, 'no place of that name is measured')),
  value: z.pipe(
    z.string().check(z.regex(/^-?\d+(\.\d+)?(e-?\d+)?$/i, 'expected a number')),
    z.transform(Number),
  ),
  unit: z.enum(['mm', 'deg', 'kg'], 'expected mm, deg or kg'),
  typed: z.string().check(z.maxLength(40, 'longer than 40 letters')),
  tool: z.union([z.literal(''), z.enum(TOOL_NAMES)], `expected one of ${TOOL_NAMES.join(', ')}, or nothing`),
  struck: z.enum(['yes', ''], 'expected yes or nothing'),
  at: z.iso.datetime('expected a date like 2026-03-14T09:05:47.000Z'),
});

/**
 * Reads a file of readings. Good rows are read whatever the others are; each bad one is named by line and column.
 *
 * @param text the file; its first line must name the columns `key` and `value`, the others may be missing
 */
export function readingsFromCsv(text: string, now: string): CsvReadings {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const columns = meta.fields ?? [];
  const missing = (['key', 'value'] as const).filter((name) => !columns.includes(name));
  if (missing.length)
    return {
      readings: {},
      count: 0,
      bad: [{ line: 1, column: missing[0]!, message: `the first line must name a column “${missing[0]}”` }],
    };
  const readings: Record<string, Reading[]> = {};
  const bad: BadRow[] = [];
  let count = 0;
  const lines = lineNumbers(text);
  data.slice(0, MOST_ROWS).forEach((row, i) => {
    const outcome = readRow(row, now);
    if ('message' in outcome) bad.push({ line: lines[i + 1] ?? i + 2, ...outcome });
    else {
      const list = (readings[outcome.key] ??= []);
      if (list.length >= MOST_READINGS) {
        bad.push({
          line: lines[i + 1] ?? i + 2,
          column: 'key',
          message: `more than ${MOST_READINGS} readings at one place`,
        });
        return;
      }
      list.push(outcome.reading);
      count++;
    }
  });
  if (data.length > MOST_ROWS)
    bad.push({
      line: MOST_ROWS + 2,
      column: '',
      message: `more than ${MOST_ROWS} rows: the rest was not read`,
    });
  return { readings, count, bad };
}

function readRow(
  row: Record<string, string>,
  now: string,
): { key: string; reading: Reading } | Omit<BadRow, 'line'> {
  const trimmed = Object.fromEntries(
    Object.entries(row).map(([k, v]) => [
      k,
      String(v ?? '')
        .trim()
        .replace(ESCAPED, ''),
    ]),
  );
  const unitOf = spotAt(trimmed.key ?? '')?.quantity.unit ?? 'length';
  const parsed = rowSchema.safeParse({
    key: trimmed.key ?? '',
    value: trimmed.value ?? '',
    unit: trimmed.unit || UNIT_SIGNS[unitOf],
    typed: trimmed.typed || trimmed.value,
    tool: trimmed.tool ?? '',
    struck: trimmed.struck ?? '',
    at: trimmed.at || now,
  });
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    return { column: issue!.path[0] as Column, message: issue!.message };
  }
  const { key, value, unit, typed, tool, struck, at } = parsed.data;
  const { quantity } = spotAt(key)!;
  if (unit !== UNIT_SIGNS[quantity.unit])
    return { column: 'unit', message: `${quantity.label} is in ${UNIT_SIGNS[quantity.unit]}` };
  if (!(value >= quantity.least && value <= quantity.most))
    return { column: 'value', message: `expected between ${quantity.least} and ${quantity.most} ${unit}` };
  return {
    key,
    reading: {
      value,
      typed: typedFor(typed, value, quantity.unit),
      at,
      ...(struck && { struck: true }),
      ...(tool && { by: tool }),
    },
  };
}

/** The line each row begins at: a quoted cell may run over several. */
function lineNumbers(text: string): number[] {
  const starts: number[] = [];
  let line = 1;
  let quoted = false;
  let fresh = true;
  for (const c of text.replace(/\r\n?/g, '\n')) {
    if (fresh && c !== '\n') starts.push(line);
    fresh = false;
    if (c === '"') quoted = !quoted;
    if (c === '\n') {
      line++;
      fresh = !quoted;
    }
  }
  return starts;
}

/**
 * Readings brought in beside those on record; one of the same place, moment and text takes the place of the old.
 *
 * @throws InputError where that makes more than a place can hold
 */
export function mergedReadings(old: Readings, brought: Readings): Readings {
  const merged: Readings = { ...old };
  for (const [key, list] of Object.entries(brought)) {
    const same = (a: Reading, b: Reading) => a.at === b.at && a.typed === b.typed;
    const kept = (old[key] ?? []).filter((r) => !list!.some((b) => same(r, b)));
    const together = [...kept, ...list!].sort((a, b) => a.at.localeCompare(b.at));
    if (together.length > MOST_READINGS)
      throw new InputError(
        `readings.${key}`,
        `${spotName(spotAt(key)!)} would have ${together.length} readings, and ${MOST_READINGS} are the most that one place holds`,
      );
    merged[key] = together;
  }
  return merged;
}
