import fc from 'fast-check';
import { rollStiffnessForNeutral } from '@/core/balance/neutralSteer';
import { cornerOf, type Car } from '@/core/balance/steadyCorner';
import { LIMITS } from '@/core/materials/limits';
import { ends } from '../../support/masses';
import { assertUntil } from '../../support/until';

const cars = fc.record({ front: ends, rear: ends, height: fc.integer({ min: 450, max: 700 }) });

test('so much more stiffness makes it even; where none is said to, neither the softest nor the hardest does', () => {
  const seen = new Set<string>();
  assertUntil(
    fc.property(
      cars,
      fc.constantFrom('front' as const, 'rear' as const),
      fc.double({ min: 0.35, max: 0.65, noNaN: true }),
      fc.double({ min: 0.3, max: 1.4, noNaN: true }),
      (car: Car, at, frontWeight, g) => {
        const by = rollStiffnessForNeutral(car, at, frontWeight, g);
        const shareWith = (rollStiffness: number) =>
          cornerOf({ ...car, [at]: { ...car[at], rollStiffness } }, g)?.frontShare ?? null;
        const wanted = frontWeight + LIMITS.balance.neutral;
        const extremes = [0, 1e10].map(shareWith);
        if (by === null) {
          seen.add('unknown');
          expect(extremes).toContain(null);
          return;
        }
        if (Number.isFinite(by)) {
          seen.add('found');
          expect(car[at].rollStiffness + by).toBeGreaterThanOrEqual(0);
          expect(shareWith(car[at].rollStiffness + by)!).toBeCloseTo(wanted, 3);
          return;
        }
        seen.add(by > 0 ? 'more' : 'less');
        const tooHigh = extremes.map((share) => share! > wanted);
        expect(tooHigh[0]).toBe(tooHigh[1]);
        // More in front raises the front's share; more behind lowers it.
        expect(tooHigh[0]).toBe((at === 'rear') === by > 0);
      },
    ),
    { numRuns: 400 },
    () => seen.has('found') && (seen.has('more') || seen.has('less')),
  );
});
