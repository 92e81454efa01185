import fc from 'fast-check';
import { formatDecimal } from '@/core/units/length';
import { parseNumber } from '@/core/units/number';
import { parseLength } from '@/core/units/parse';
import type { Tape } from '@/core/units/tape';
import * as units from '@/core/units/unit';
import { parseValue } from '@/core/units/values';
import { counted, splitWay, type Ways } from '@/core/units/ways';

const TAPES: Tape[] = ['in16', 'in32', 'mm'];

describe('a plain number', () => {
  test.each([
    ['2.5', 2.5],
    ['2,5', 2.5],
    ['0,125', 0.125],
    ['1,024', 1024],
    ['12,345,678', 12_345_678],
    ['1,024.5', 1024.5],
    ['1.024', 1.024],
    [' -3 ', -3],
    ['−3', -3],
    ['.5', 0.5],
    ['7.', 7],
    ['5 1/2', 5.5],
    ['5-1/2', 5.5],
    ['3/4', 0.75],
    ['−2 ¼', -2.25],
    ['28½', 28.5],
  ])('%s is %d', (text, number) => {
    expect(parseNumber(text)).toBe(number);
  });

  test.each([
    '',
    ' ',
    '0x20',
    '1e3',
    '1 000',
    '12,34,5',
    'Infinity',
    'NaN',
    '--2',
    '1.2.3',
    '1/0',
    '1/',
    '1 2/3/4',
    '1.5 1/2',
    '1,024 1/2',
    '2 lb',
    '1_000',
  ])('“%s” is none', (text) => {
    expect(parseNumber(text)).toBeNull();
  });

  test('every number that is written out comes back as itself', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.integer({ min: 0, max: 6 }),
        (n, decimals) => {
          const text = n.toFixed(decimals);
          expect(parseNumber(text)).toBe(Number(text));
          const grouped = Number(text).toLocaleString('en-US', { maximumFractionDigits: 3 });
          expect(parseNumber(grouped)).toBeCloseTo(Number(Number(text).toFixed(3)), 9);
        },
      ),
    );
  });
});

test('a number with a fraction is that number, and the length of as many inches', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 400 }),
      fc.integer({ min: 1, max: 63 }),
      fc.constantFrom(2, 4, 8, 16, 32, 64),
      fc.constantFrom(' ', '-', '  '),
      (whole, over, under, between) => {
        const text = `${whole}${between}${over}/${under}`;
        expect(parseNumber(text)).toBe(whole + over / under);
        expect(parseLength(text, 'in16')).toEqual({
          ok: true,
          mm: expect.closeTo((whole + over / under) * 25.4, 9),
        });
      },
    ),
  );
});

describe('a length that reads two ways', () => {
  test.each(TAPES)('1,024 is asked about in %s', (tape) => {
    const read = parseLength('1,024', tape);
    expect(read.ok).toBe(false);
    expect(!read.ok && read.message).toBe('“1,024” reads two ways. Type 1024 or 1.024.');
  });

  test('a decimal comma that cannot be taken for thousands is one', () => {
    expect(parseLength('28,5', 'mm')).toEqual({ ok: true, mm: 28.5 });
    expect(parseLength('0,125', 'in16')).toEqual({ ok: true, mm: 3.175 });
  });

  test('hexadecimal, exponents and the like are no lengths', () => {
    for (const text of ['0x20', '1e3', '0b11', '1/0', 'in', 'Infinity'])
      expect([text, parseLength(text, 'mm').ok]).toEqual([text, false]);
  });
});

describe('units beside ways', () => {
  const IN_OUT: Ways = ['inboard', 'outboard'];
  const LEFT_RIGHT: Ways = ['left', 'right'];
  const reads = (tape: Tape) => (text: string) => parseLength(text, tape).ok;

  test.each([
    ['3/4 in', '3/4 in', null],
    ['3/4 i', '3/4', 1],
    ['3/4 in in', '3/4 in', 1],
    ['3/4 in out', '3/4 in', -1],
    ['20 mm outboard', '20 mm', -1],
    ['20mm', '20mm', null],
    ['2 ft', '2 ft', null],
    ['5 m', '5 m', null],
    ['14 sideways', '14 sideways', null],
  ])('“%s” with the words inboard and outboard', (text, bare, sign) => {
    expect(splitWay(text, IN_OUT, reads('in16'))).toEqual({ bare, sign });
  });

  test('left and right, by word, by letter, in capitals', () => {
    for (const [text, sign] of [
      ['12 left', 1],
      ['12 L', 1],
      ['12r', -1],
      ['12 1/2 RIGHT', -1],
    ] as const)
      expect([text, splitWay(text, LEFT_RIGHT, reads('in16')).sign]).toEqual([text, sign]);
  });

  test.each([
    ['3 tail down', '3', -1],
    ['3° tail up', '3°', 1],
    ['3 down', '3', -1],
    ['3 u', '3', 1],
    // Both say it: which way is not known.
    ['3 tail', '3 tail', null],
    ['3/16 in 48 tail down', '3/16 in 48', -1],
  ])('“%s” with ways of two words', (text, bare, sign) => {
    expect(splitWay(text, ['tail up', 'tail down'], reads('in16'))).toEqual({ bare, sign });
  });

  test('a letter that both words begin with says nothing', () => {
    expect(splitWay('3 a', ['ahead', 'above'], reads('mm'))).toEqual({ bare: '3 a', sign: null });
    expect(splitWay('3 ah', ['ahead', 'above'], reads('mm'))).toEqual({ bare: '3', sign: 1 });
  });

  test('nought counts neither way, and reads back from a file as it was typed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(1, -1),
        fc.double({ noNaN: true, noDefaultInfinity: true }),
        (sign, size) => {
          const value = counted(sign, size);
          expect(Object.is(JSON.parse(JSON.stringify(value)), value)).toBe(true);
          expect(Math.abs(value)).toBe(Math.abs(size));
        },
      ),
    );
    expect([counted(-1, 0), counted(-1, 25.4)]).toEqual([0, -25.4]);
  });

  test('whatever reads by itself is never turned about, with any words', () => {
    const words: Ways[] = [
      IN_OUT,
      LEFT_RIGHT,
      ['forward', 'behind'],
      ['more', 'less'],
      ['centre', 'tyre'],
      ['up', 'down'],
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...words),
        fc.constantFrom(...TAPES),
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.constantFrom('', 'mm', ' mm', 'cm', ' m', 'in', ' in', '"', ' inch', ' inches', "'", ' ft'),
        (ways, tape, mm, unit) => {
          const text = `${mm.toFixed(2)}${unit}`;
          if (!parseLength(text, tape).ok) return;
          expect(splitWay(text, ways, reads(tape))).toEqual({ bare: text, sign: null });
        },
      ),
    );
  });

  test('angles: degrees with a word, a slope with its own “in”', () => {
    const NOSE: Ways = ['down to the front', 'up to the front'];
    const ok = (text: string) => parseValue(text, 'angle', 'in16').ok;
    expect(splitWay('2.5 up', NOSE, ok)).toEqual({ bare: '2.5', sign: -1 });
    expect(splitWay('2.5° d', NOSE, ok)).toEqual({ bare: '2.5°', sign: 1 });
    expect(splitWay('2.5 deg', NOSE, ok)).toEqual({ bare: '2.5 deg', sign: null });
    expect(splitWay('3/16 in 48', NOSE, ok).sign).toBeNull();
    expect(splitWay('3/16 in 48 up', NOSE, ok)).toEqual({ bare: '3/16 in 48', sign: -1 });
  });
});

describe.each(Object.entries(units))('%s', (name, unit) => {
  const value = fc.double({ min: 0.001, max: 1e6, noNaN: true });

  test('what is shown reads back as what it was', () => {
    fc.assert(
      fc.property(value, fc.constantFrom(...TAPES), (v, tape) => {
        expect(unit.read(unit.shown(v, tape), tape) / v).toBeCloseTo(1, 12);
        expect(unit.shown(unit.read(v, tape), tape) / v).toBeCloseTo(1, 12);
      }),
    );
  });

  test('said with its sign, no figure that is not there', () => {
    fc.assert(
      fc.property(value, fc.constantFrom(...TAPES), (v, tape) => {
        const said = unit.say(v, tape);
        expect(said).toMatch(/^-?[\d,]+(\.\d+)? \S/);
        // Never far off what it says, in the unit that it says it in.
        const [figure] = said.split(' ');
        // Where there is little room stresses are in thousands of psi; in a sentence they are in psi.
        const thousands = name === 'STRESS' && tape !== 'mm';
        const inUnit = (thousands ? 1000 : 1) * unit.shown(v, tape);
        const step = thousands ? 251 : Math.max(5, 0.03 * inUnit);
        expect(Math.abs(Number(figure!.replaceAll(',', '')) - inUnit)).toBeLessThanOrEqual(step);
      }),
    );
  });

  test('inches and millimetres have each their own sign, both inch tapes the same', () => {
    expect(unit.sign('in16')).toBe(unit.sign('in32'));
    expect(unit.sign('mm')).not.toBe(unit.sign('in16'));
  });
});

test('a decimal length reads back within its last digit', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 3000, noNaN: true }), fc.constantFrom(...TAPES), (mm, tape) => {
      const back = parseLength(formatDecimal(mm, tape), tape);
      expect(back.ok && Math.abs(back.mm - mm)).toBeLessThan(tape === 'mm' ? 0.051 : 0.02);
    }),
  );
});
