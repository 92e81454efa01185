import fc from 'fast-check';
import { formatLength, readTape, shownLength } from '@/core/units/length';
import { parseLength } from '@/core/units/parse';
import { division, snap, TAPES, type Tape } from '@/core/units/tape';
import { sayTurns } from '@/core/units/turns';

const mm = (text: string, tape: Tape = 'in16') => {
  const parsed = parseLength(text, tape);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.mm;
};

test.each([
  ['28 1/2', 723.9],
  ['28-1/2', 723.9],
  ['28 - 1/2', 723.9],
  [' 28.5 ', 723.9],
  ['28.5"', 723.9],
  ['28 ½', 723.9],
  ['28½', 723.9],
  ['2\' 4 1/2"', 723.9],
  ['2ft 4 1/2 in', 723.9],
  ['2’4½”', 723.9],
  ["2'", 609.6],
  ['724mm', 724],
  ['72.4 cm', 724],
  ['.5', 12.7],
  ['1/16', 1.5875],
  ['-1/8', -3.175],
  ['28,5', 723.9],
])('reads %s', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9));

test('a bare number is in the unit of the tape', () => {
  expect(mm('724', 'mm')).toBe(724);
  expect(mm('28 1/2"', 'mm')).toBeCloseTo(723.9, 9);
});

test.each([
  '',
  'abc',
  '28 1/',
  '28 1/0',
  '28 1',
  '1/2/3',
  '12 furlongs',
  '--3',
  "2' 3' 4",
  '1e5',
  '<b>',
  '9'.repeat(60),
])('refuses %j with words about it', (text) => {
  const parsed = parseLength(text, 'in16');
  expect(parsed.ok).toBe(false);
  if (!parsed.ok) expect(parsed.message.length).toBeGreaterThan(10);
});

test('what is shown reads back as the nearest line of the tape, and lines of the tape are exact', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -3000, max: 3000, noNaN: true }),
      fc.constantFrom(...TAPES),
      (length, tape) => {
        const back = mm(formatLength(length, tape), tape);
        expect(Math.abs(back - length)).toBeLessThanOrEqual(
          (tape === 'mm' ? 0.05 : division(tape) / 2) + 1e-3,
        );
        const line = snap(length, tape);
        expect(mm(formatLength(line, tape), tape)).toBeCloseTo(line, 6);
      },
    ),
  );
});

test('fractions are in lowest terms and whole inches have none', () => {
  expect(readTape(25.4 * 3.5, 'in16')).toEqual({
    negative: false,
    whole: '3',
    top: '1',
    bottom: '2',
    unit: 'in',
  });
  expect(readTape(-25.4 / 8, 'in32')).toEqual({
    negative: true,
    whole: '',
    top: '1',
    bottom: '8',
    unit: 'in',
  });
  expect(formatLength(25.4 * 4, 'in16')).toBe('4');
});

test('a field keeps what was typed until the value or the tape no longer fits it', () => {
  expect(shownLength(723.9, '28-1/2', 'in16')).toBe('28-1/2');
  expect(shownLength(724.1, '28-1/2', 'in16')).toBe('28 1/2');
  expect(shownLength(723.9, '28-1/2', 'mm')).toBe('723.9');
  expect(shownLength(724, '724mm', 'in16')).toBe('28 1/2');
});

test.each([
  [1.5, '1 1/2 turns'],
  [-0.25, '1/4 turn'],
  [1, '1 turn'],
  [2, '2 turns'],
  [0.01, 'less than 1/16 turn'],
  [1.13, '1 1/8 turns'],
])('%d is %s', (turns, words) => expect(sayTurns(turns)).toBe(words));
