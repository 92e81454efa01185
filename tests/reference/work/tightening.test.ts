import fc from 'fast-check';
import { unit } from 'mathjs';
import { BOLT_GRADES } from '@/core/materials/metals';
import { coarsePitch } from '@/core/materials/threads';
import { preload, tighteningTorque } from '@/core/strength/preload';
import { parseValue } from '@/core/units/values';
import { MM_PER_INCH } from '@/core/units/tape';

const N_PER_LB = 4.4482216152605;

/**
 * Proof loads of coarse bolts, lb (SAE J429, table of proof loads; from memory), and torque for dry threads, K = 0.2, at three
 * quarters of them, lb·ft (the common charts of bolt makers; from memory).
 */
const CHART: [inches: number, grade: 'grade-5' | 'grade-8', proof: number, torque: number][] = [
  [3 / 8, 'grade-5', 6_600, 31],
  [3 / 8, 'grade-8', 9_300, 44],
  [1 / 2, 'grade-5', 12_050, 75],
  [1 / 2, 'grade-8', 17_050, 106],
  [5 / 8, 'grade-5', 19_200, 150],
  [5 / 8, 'grade-8', 27_100, 212],
  [3 / 4, 'grade-5', 28_400, 266],
  [3 / 4, 'grade-8', 40_100, 376],
];

test.each(CHART)('%d in %s: proof load and dry torque as in the charts', (inches, grade, proof, torque) => {
  const d = inches * MM_PER_INCH;
  const force = preload({ diameter: d, pitch: coarsePitch(d) }, BOLT_GRADES[grade].proof);
  expect(Math.abs(force / 0.75 / N_PER_LB - proof) / proof).toBeLessThan(0.01);
  const lbft = tighteningTorque(0.2, d, force) / (N_PER_LB * 12 * MM_PER_INCH);
  expect(Math.abs(lbft - torque) / torque).toBeLessThan(0.015);
});

/** ISO 898-1, proof loads of coarse bolts, N, from memory; its stress area has d − 0.9382·p where the inch standard has d − 0.9743·p: 1 % more. */
test.each([
  [10, 'class-8.8', 33_700],
  [12, 'class-8.8', 48_900],
  [16, 'class-8.8', 91_000],
  [10, 'class-10.9', 48_100],
  [12, 'class-10.9', 70_000],
  [16, 'class-10.9', 130_000],
] as const)('M%d %s: proof load as in the standard', (d, grade, proof) => {
  const force = preload({ diameter: d, pitch: coarsePitch(d) }, BOLT_GRADES[grade].proof) / 0.75;
  expect(Math.abs(force - proof) / proof).toBeLessThan(0.015);
});

test('a torque typed in any unit is what a general library makes of it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 600 }), (n) => {
      const read = (text: string, tape: 'in16' | 'mm') => {
        const parsed = parseValue(text, 'torque', tape);
        return parsed.ok ? parsed.value : NaN;
      };
      const nmm = unit(n, 'lbf').to('N').toNumber('N') * unit(1, 'ft').toNumber('mm');
      for (const text of [`${n} lb-ft`, `${n} lb·ft`, `${n} ft-lb`, `${n}ftlbs`])
        expect(read(text, 'mm')).toBeCloseTo(nmm, 3);
      expect(read(`${n}`, 'in16')).toBeCloseTo(nmm, 3);
      for (const text of [`${n} Nm`, `${n}N·m`, `${n} n-m`])
        expect(read(text, 'in16')).toBeCloseTo(1000 * n, 6);
      expect(read(`${n}`, 'mm')).toBeCloseTo(1000 * n, 6);
    }),
  );
});
