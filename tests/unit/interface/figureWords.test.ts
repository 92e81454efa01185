import fc from 'fast-check';
import { FIGURES } from '@/core/choose/figures';
import { WANTED } from '@/core/choose/wanted';
import type { Tape } from '@/core/units/tape';
import { sayFigure, sayRange } from '@/ui/choose/figureWords';

test('a range is said as finely as tells its ends apart, and no finer', () => {
  expect(sayRange('rollSteer', { low: -0.0243, high: -0.0158, designed: -0.02 }, 'mm')).toEqual({
    low: '−0.024',
    high: '−0.016',
    designed: '−0.020',
  });
  expect(sayRange('turns', { low: 11.4, high: 11.5, designed: 11.46 }, 'mm').designed).toBe('11.5°');
  expect(sayRange('rollCentre', { low: 380.4, high: 381.2, designed: 380.4 }, 'in16')).toEqual({
    low: '14 31/32 in',
    high: '15 in',
    designed: '14 31/32 in',
  });
});

test('ends that are told apart as they are usually said stay so', () => {
  const value = fc.double({ min: -500, max: 500, noNaN: true });
  fc.assert(
    fc.property(fc.constantFrom(...FIGURES), value, value, (figure, low, high) => {
      const usual = [low, high].map((v) => sayFigure(figure, v, 'mm'));
      fc.pre(usual[0] !== usual[1]);
      const said = sayRange(figure, { low, high, designed: low }, 'mm');
      expect([said.low, said.high]).toEqual(usual);
    }),
  );
});

test('what is rounded to nothing has no sign, and what is less than nothing keeps it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...WANTED),
      fc.constantFrom<Tape>('in16', 'mm'),
      fc.double({ min: 1e-12, max: 40, noNaN: true }),
      (figure, tape, size) => {
        const [plus, minus] = [size, -size].map((v) => sayFigure(figure, v, tape)) as [string, string];
        expect(minus).toBe(/[1-9]/.test(plus) ? `−${plus}` : plus);
      },
    ),
  );
  expect(sayFigure('barRise', -1e-13, 'in16')).toBe('0 in');
  expect(sayFigure('barRise', -25.4, 'in16')).toBe('−1 in');
});
