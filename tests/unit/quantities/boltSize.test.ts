import fc from 'fast-check';
import { boltSystem, sayBolt, sayBoltBy } from '@/core/materials/boltSize';
import { BOLTS } from '@/core/materials/stockSizes';

test.each([
  [15.875, '5/8 in'],
  [15.9, '5/8 in'],
  [19.05, '3/4 in'],
  [7.9375, '5/16 in'],
  [25.4, '1 in'],
  [8, 'M8'],
  [16, 'M16'],
  [27, 'M27'],
  [10.5, 'M10.5'],
])('%d mm is asked for as %s', (mm, said) => {
  expect(sayBolt(mm)).toBe(said);
});

test('with its length, in its own unit', () => {
  expect(sayBoltBy(15.875, 69.85)).toBe('5/8 × 2 3/4 in');
  expect(sayBoltBy(16, 70)).toBe('M16 × 70');
});

test('every size of stock is of its own system, also as read off a rule to a tenth of a millimetre', () => {
  for (const system of ['inch', 'mm'] as const)
    fc.assert(
      fc.property(fc.constantFrom(...BOLTS[system]), (mm) => {
        expect(boltSystem(mm)).toBe(system);
        expect(boltSystem(Number(mm.toFixed(1)))).toBe(system);
      }),
    );
});
