import fc from 'fast-check';
import { lookAt } from '@/core/advice/look';
import type { Job } from '@/core/job/jobSchema';
import { withRoll } from '@/core/job/edits/roll';
import { degreesBeside, numberBeside } from '@/core/units/length';
import { orNone } from '@/core/rig/read';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

/** What a sentence of advice asks for, against roll at either end and of the springs: more (1) or less (−1). */
const ASKS: [what: string, more: 1 | -1, said: RegExp][] = [
  ['springs', 1, /^Stiffer springs|: stiffer springs/],
  ['springs', -1, /^Softer springs/],
  [
    'behind',
    1,
    /(More roll stiffness|Stiffer against roll) behind|^No stiffness in front.*more stiffness behind/,
  ],
  [
    'behind',
    -1,
    /Less roll stiffness (behind|at the rear)|in front.*less stiffness behind|A bar behind would make it worse/,
  ],
  [
    'in front',
    1,
    /more in front|(More roll stiffness|Stiffer against roll) in front|and the front stiffened/,
  ],
  [
    'in front',
    -1,
    /less in front|Less roll stiffness (in front|at the front)|A bar in front would make it worse/,
  ],
];

const asked = (sentence: string) => ASKS.filter(([, , said]) => said.test(sentence));

const otherEndTimes = ({ rig, ...job }: Job, times: number): Job => ({
  ...job,
  rig: { ...rig, otherEnd: { ...rig.otherEnd!, rollRate: times * rig.otherEnd!.rollRate } },
});

test('what is advised of springs, bars and balance never asks for more and for less of the same', () => {
  const heard = new Set<string>();
  assertUntil(
    fc.property(plausibleCar, fc.double({ min: 0.3, max: 4, noNaN: true }), (plain, times) => {
      // The other end as stiff as it may be: cars that push, cars that let their tail go, and even ones.
      const car = otherEndTimes(plain, times);
      const said = orNone(() => lookAt(car))?.said.filter(({ station }) => station === 'roll') ?? [];
      const sentences = said.flatMap(({ verdict: { title, remedies } }) => [
        title,
        ...remedies.map(({ text }) => text),
      ]);
      const all = sentences.flatMap((sentence) =>
        asked(sentence).map(([what, more]) => ({ what, more, sentence })),
      );
      for (const one of all) {
        heard.add(`${one.what} ${one.more}`);
        const against = all.filter(({ what, more }) => what === one.what && more === -one.more);
        expect([one.sentence, ...against.map(({ sentence }) => sentence)]).toEqual([one.sentence]);
      }
      // Stiffer springs at the end that lets go first are told with what they ask of the other end.
      const [end, other] = car.rig.end === 'rear' ? ['behind', 'front'] : ['in front', 'rear'];
      if (all.some(({ what, more }) => what === end && more === -1))
        for (const sentence of sentences.filter(
          (s) => s.startsWith('Stiffer springs') && !s.includes('travel'),
        ))
          expect(sentence).toContain(`the ${other} stiffened`);
    }),
    { numRuns: Number(process.env.ADVICE_RUNS ?? 150), endOnFailure: true },
    () => heard.size === 6,
  );
});

test('of an end whose springs nobody told of, the car’s lean and balance are not judged', () => {
  fc.assert(
    fc.property(plausibleCar, (plain) => {
      const car = withRoll(plain, { springs: null });
      const said = orNone(() => lookAt(car))?.said ?? [];
      const about = said.map(({ verdict }) => verdict.id);
      const judged = /^(balance|rollAngle|inside|barWrong|barNeeded|bindRoll|cornerTravel|launch|frequency)/;
      expect(about.filter((id) => judged.test(id))).toEqual([]);
    }),
    { numRuns: 25, endOnFailure: true },
  );
});

test('a number past its limit is never said as the limit itself', () => {
  const limit = fc.constantFrom(1.4, 3, 4, 15, 22.5, 90);
  fc.assert(
    fc.property(limit, fc.double({ min: 2e-4, max: 5, noNaN: true }), fc.boolean(), (of, by, over) => {
      const value = over ? of + by : of - by;
      const said = numberBeside(value, of, 1);
      expect(Number(said)).not.toBe(of);
      expect(Math.abs(Number(said) - value)).toBeLessThanOrEqual(0.0501);
      expect(said).not.toMatch(/^-0\.?0*$/);
      expect(degreesBeside(value, of)).toBe(`${said}°`);
      expect(degreesBeside(of, of)).toBe(`${of.toFixed(1)}°`);
    }),
    { examples: [[4, 4.000000000000001, false]] },
  );
});
