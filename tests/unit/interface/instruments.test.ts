import fc from 'fast-check';
import { GET } from '../../../app/api/instruments/route';
import { parseLength } from '@/core/units/parse';
import { formatValue, parseValue, roundUp, sayValue } from '@/core/units/values';
import {
  CHANNELS,
  GAUGES,
  parseLine,
  unitOf,
  writeLine,
  type Channel,
  type Sample,
} from '@/instruments/protocol';
import { dropsAt, practiceValue, standInLine, type Aim } from '@/instruments/standIns';
import { steadyValue } from '@/instruments/steady';
import {
  sayStep,
  withDecimals,
  withDigit,
  withFraction,
  withoutLast,
  withStep,
} from '@/ui/fields/pad/padKeys';

describe('lines of a gauge', () => {
  const sample = fc
    .record({
      gauge: fc.constantFrom(...GAUGES),
      channel: fc.constantFrom(...CHANNELS),
      value: fc.integer({ min: -3500, max: 3500 }).map((n) => n / 10),
      battery: fc.integer({ min: 0, max: 100 }),
      n: fc.nat(),
    })
    // A torque is sent in newton metres to a hundredth.
    .map((s) => (s.channel === 'torque' ? { ...s, value: 1000 * s.value } : s));

  test('what is written is read back', () => {
    fc.assert(
      fc.property(sample, (s: Sample) => {
        expect(parseLine(writeLine(s))).toEqual({
          ok: true,
          sample: { ...s, value: expect.closeTo(s.value, 9) },
        });
      }),
    );
  });

  test('anything else is refused with a word, and never thrown over', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string({ minLength: 300 }),
          sample.map((s) => writeLine(s).replace('=', '= ')),
        ),
        (text) => {
          const line = parseLine(text);
          expect(line.ok || line.message.length > 0).toBe(true);
        },
      ),
    );
    const refused = (text: string) => (parseLine(text) as { message: string }).message;
    expect(refused('laser length=2deg battery=80 n=1')).toContain('mm');
    expect(refused('laser length=99999mm battery=80 n=1')).toContain('range');
    expect(refused('wand length=9mm battery=80 n=1')).toContain('gauge');
    expect(refused('laser length=9mm battery=800 n=1')).toContain('battery');
  });
});

describe('a torque wrench', () => {
  const pulls = (wanted: number, name: string, steps: number): number[] =>
    Array.from({ length: steps }, (_, step) => {
      const line = standInLine({ unit: 'torque', channel: 'torque', truth: wanted, name }, 'good', step)!;
      const parsed = parseLine(line);
      return parsed.ok ? parsed.sample.value : NaN;
    });

  test('is taken where it clicked, once it is let go, and never while it is pulled', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10_000, max: 400_000 }), fc.string({ maxLength: 8 }), (wanted, name) => {
        const values = pulls(wanted, name, 32);
        const taken = values.map((_, i) => steadyValue(values.slice(0, i + 1), 'torque'));
        const first = taken.findIndex((v) => v !== null);
        expect(first).toBeGreaterThan(values.indexOf(Math.max(...values)) - 1);
        expect(Math.abs(taken[first]! - wanted) / wanted).toBeLessThan(0.03);
      }),
      { numRuns: 50 },
    );
  });

  test('a hand laid on it is no click', () => {
    expect(steadyValue([0, 500, 1500, 0, 0], 'torque')).toBeNull();
    expect(steadyValue([], 'torque')).toBeNull();
  });
});

describe('stand-ins', () => {
  const aim = (name: string, unit: Aim['unit'] = 'length'): Aim => ({
    unit,
    channel: ({ length: 'length', angle: 'angle', weight: 'rear-left', torque: 'torque' } as const)[
      unit
    ] as Channel,
    truth: unit === 'angle' ? -2.5 : 420,
    name,
  });
  const run = (a: Aim, mood: 'good' | 'moody', steps: number) =>
    Array.from({ length: steps }, (_, step) => standInLine(a, mood, step)).map((line) => {
      if (line === null) return null;
      const parsed = parseLine(line);
      return parsed.ok ? parsed.sample : null;
    });

  test.each(['length', 'angle', 'weight'] as const)(
    '%s: moves, then holds still near what is there',
    (unit) => {
      const values = run(aim('car/place', unit), 'good', 60).map((s) => s!.value);
      expect(steadyValue(values.slice(0, 10), unit)).toBeNull();
      const taken = steadyValue(values, unit)!;
      const { truth } = aim('', unit);
      expect(Math.abs(taken - truth)).toBeLessThan({ length: 0.5, angle: 0.1, weight: 1 }[unit]);
      expect(unitOf(run(aim('x', unit), 'good', 1)[0]!.channel)).toBe(unit);
    },
  );

  test('a moody lot drops its link at some places, comes back, and runs low', () => {
    const names = Array.from({ length: 60 }, (_, i) => `car/${i}`);
    const dropping = names.filter(dropsAt);
    expect(dropping.length).toBeGreaterThan(5);
    expect(dropping.length).toBeLessThan(30);
    const lines = run(aim(dropping[0]!), 'moody', 80);
    expect(lines.filter((s) => s === null)).toHaveLength(40);
    expect(lines.at(-1)).not.toBeNull();
    expect(run(aim(dropping[0]!), 'good', 80)).not.toContain(null);
    expect(run(aim('a', 'angle'), 'moody', 1)[0]?.battery ?? 9).toBeLessThan(15);
  });

  test('a car of nobody’s is near the usual, never the same left and right', () => {
    const [l, r] = ['left', 'right'].map((side) => practiceValue(`job/tireRadius.${side}`, 330, 'length'));
    expect(Math.abs(l! - 330)).toBeLessThan(3);
    expect(l).not.toBe(r);
  });

  test('the stream is one line an event, of the demo car; a bad question is answered with what is wrong', async () => {
    const ask = (query: string) =>
      GET(new Request(`http://localhost/api/instruments?${query}`, { headers: { host: 'localhost' } }));
    const answer = ask('job=demo-marigold&aim=reading/track&unit=length&mood=good');
    expect(answer.headers.get('content-type')).toContain('text/event-stream');
    const reader = answer.body!.getReader();
    const { value } = await reader.read();
    await reader.cancel();
    const [, line] = /^data: (.*)\n\n$/.exec(new TextDecoder().decode(value))!;
    const parsed = parseLine(line!);
    expect(parsed.ok && Math.abs(parsed.sample.value - 1451.8)).toBeLessThan(12);
    const bad = ask('job=a&aim=b&unit=furlong&mood=good');
    expect(bad.status).toBe(400);
    expect(await bad.json()).toMatchObject({ error: { path: 'unit' } });
  });
});

describe('the pad', () => {
  test('digits, fractions and lines make what the tape would read', () => {
    const type = (keys: string[], text = '') =>
      keys.reduce((t, k) => (k.includes('/') ? withFraction(t, k) : withDigit(t, k)), text);
    expect(type(['2', '8', '1/2'])).toBe('28 1/2');
    expect(type(['1/2', '2', '8'])).toBe('28 1/2');
    expect(withStep('28 1/2', 1, 'length', 'in16')).toBe('28 9/16');
    expect(withStep('28 15/16', 1, 'length', 'in16')).toBe('29');
    expect(withStep('29', -1, 'length', 'in32')).toBe('28 31/32');
    expect(withStep('', -1, 'length', 'in16')).toBe('');
    // What is typed otherwise is still that length.
    expect(withStep('3/4 in', 1, 'length', 'in16')).toBe('13/16');
    expect(withStep('28.5', -1, 'length', 'in16')).toBe('28 7/16');
    expect(withStep(`2' 4"`, 1, 'length', 'in16')).toBe('28 1/16');
    expect(withStep('28 1/', 1, 'length', 'in16')).toBe('28 1/');
    expect(withStep('1/16', -1, 'length', 'in16')).toBe('0');
    expect(withStep('0', -1, 'length', 'in16', true)).toBe('-1/16');
    expect(withStep('724', 1, 'length', 'mm')).toBe('725');
    expect(withStep('2.3', -1, 'angle', 'in16')).toBe('2.2');
    expect(withStep('0', -1, 'angle', 'in16')).toBe('0');
    expect(withStep('840', 1, 'weight', 'in16')).toBe('841');
    expect([sayStep('length', 'in32'), sayStep('length', 'mm'), sayStep('angle', 'mm')]).toEqual([
      '1/32',
      '1',
      '0.1',
    ]);
    expect(withDecimals('-2', '.25')).toBe('-2.25');
    expect(withDecimals('', '.5')).toBe('0.5');
    expect(['28 1/2', '28', '2'].map(withoutLast)).toEqual(['28', '2', '']);
    expect(withDigit('28.5', '.')).toBe('28.5');
  });

  test('a line more and a line less is where it was, and is always a length', () => {
    fc.assert(
      fc.property(fc.nat(60), fc.nat(15), fc.constantFrom('in16', 'in32'), (whole, sixteenths, tape) => {
        const text = withFraction(String(whole), `${sixteenths}/16`).replace(/ 0\/16$/, '');
        const there = withStep(text, 1, 'length', tape);
        const back = withStep(there, -1, 'length', tape);
        const mm = (t: string) => (parseLength(t, tape) as { mm: number }).mm;
        expect(mm(back)).toBeCloseTo(mm(text), 9);
        expect(mm(there) - mm(text)).toBeCloseTo(tape === 'in16' ? 25.4 / 16 : 25.4 / 32, 9);
      }),
    );
  });
});

test('angles and weights are typed as they are spoken', () => {
  const value = (text: string, unit: 'angle' | 'weight', tape: 'in16' | 'mm' = 'in16') => {
    const parsed = parseValue(text, unit, tape);
    return parsed.ok ? parsed.value : parsed.message;
  };
  expect(value('-2.5°', 'angle')).toBe(-2.5);
  expect(value('3/16 in 48', 'angle')).toBeCloseTo((Math.atan(0.1875 / 48) * 180) / Math.PI, 9);
  expect(value("-3/16 in 4'", 'angle')).toBeCloseTo((-Math.atan(0.1875 / 48) * 180) / Math.PI, 9);
  expect(value('steep', 'angle')).toContain('3/16 in 48');
  expect(value('840', 'weight')).toBeCloseTo(381.018, 2);
  expect(value('381kg', 'weight')).toBe(381);
  expect(value('381', 'weight', 'mm')).toBe(381);
  expect(value('heavy', 'weight')).toContain('number');
  expect(sayValue(381.02, 'weight', 'in16')).toBe('840 lb');
  expect(formatValue(-0.254, 'angle', 'mm')).toBe('-0.25');
  // Rounded up to what can be read, but not for a hair over it.
  expect(roundUp(25.4 / 16, 'length', 'in16')).toBeCloseTo(25.4 / 16, 9);
  expect(roundUp(1.7, 'length', 'in16')).toBeCloseTo((3 / 32) * 25.4, 9);
});
