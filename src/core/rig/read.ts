import * as z from 'zod/mini';
import en from 'zod/v4/locales/en.js';
import { rigSchema, type Rig } from './schema';

// The small edition of the library brings no words of its own.
z.config(en());

/** The largest file Pellik reads, in bytes. */
export const LARGEST_FILE = 32 * 1024 * 1024;

/** Bad input: where in the file, and what was expected there. */
export class InputError extends Error {
  constructor(
    readonly path: string,
    readonly expected: string,
  ) {
    super(path ? `${path}: ${expected}` : expected);
    this.name = 'InputError';
  }
}

/**
 * Reads and validates the text of a rig file.
 *
 * @throws InputError with the path of the first bad value and what was expected of it
 */
export function readRig(text: string): Rig {
  return validate(rigSchema, parseJson(text));
}

/** @throws InputError when the text is too large or not JSON */
export function parseJson(text: string): unknown {
  // A UTF-16 unit is at most three bytes; only a long text is worth encoding to measure it.
  if (text.length * 3 > LARGEST_FILE && new TextEncoder().encode(text).length > LARGEST_FILE) {
    throw new InputError('', 'larger than 32 MB, the most that is read');
  }
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    throw new InputError('', `not JSON (${(error as Error).message.replace(/\s+/g, ' ')})`);
  }
}

/**
 * Holds a value against a schema.
 *
 * @throws InputError naming the first offending path
 */
export function validate<T>(schema: z.ZodMiniType<T>, value: unknown): T {
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const { issues } = result.error;
  // A misspelt key also shows up as a missing one: name the spelling, which is the cause.
  const issue = issues.find((i) => i.code === 'unrecognized_keys') ?? issues[0]!;
  if (issue.code === 'unrecognized_keys') {
    throw new InputError(
      formatPath([...issue.path, issue.keys[0]!]),
      'unknown key; remove it or check its spelling',
    );
  }
  throw new InputError(formatPath(issue.path), expectation(issue));
}

/** What came of some work; null where its input was refused. */
export function orNone<T>(work: () => T): T | null {
  const done = orRefusal(work);
  return done instanceof InputError ? null : done;
}

/** What is asked for, or why it was refused: what is wrong in another way is thrown on. */
export function orRefusal<T>(ask: () => T): T | InputError {
  try {
    return ask();
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
}

/** What was expected, in words: the library writes limits as a programmer does. */
function expectation(issue: z.core.$ZodIssue): string {
  if (issue.code === 'too_big')
    return `expected ${issue.inclusive ? 'at most' : 'less than'} ${amount(issue, issue.maximum)}`;
  if (issue.code === 'too_small')
    return `expected ${issue.inclusive ? 'at least' : 'more than'} ${amount(issue, issue.minimum)}`;
  const message = issue.message
    .replace(/^Invalid input: /, '')
    .replace(/\bint\b/, 'a whole number')
    .replace(/, received undefined$/, ', but it is missing');
  return lowerFirst(message);
}

const UNITS: Record<string, string> = { string: ' characters', array: ' entries' };
const amount = ({ origin }: { origin: string }, limit: number | bigint) => `${limit}${UNITS[origin] ?? ''}`;

function formatPath(path: PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) => text + (typeof key === 'number' ? `[${key}]` : `${text ? '.' : ''}${String(key)}`),
    '',
  );
}

const lowerFirst = (s: string) => s.charAt(0).toLowerCase() + s.slice(1);
