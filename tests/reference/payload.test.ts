import fc from 'fast-check';
import { ladenWith } from '@/core/statics/payload';
import { MASSES } from '../support/masses';

const wheelbase = 2800;
const loads = fc.record({
  mass: fc.integer({ min: 1, max: 900 }),
  ahead: fc.integer({ min: -1200, max: 3500 }),
  height: fc.integer({ min: 100, max: 1900 }),
});

// Statics of any textbook (from memory): moments about either axle, and of the heights, come to nothing.
describe('a load by moments', () => {
  test.each(['rear', 'front'] as const)('measured from the %s axle', (end) => {
    fc.assert(
      fc.property(loads, (load) => {
        const laden = ladenWith({ masses: MASSES, wheelbase, cgHeight: 540, end }, load)!;
        // From the rear axle, forward.
        const at = end === 'rear' ? load.ahead : wheelbase + load.ahead;
        const front = laden.total * laden.frontFraction;
        const before = MASSES.total * MASSES.frontFraction;
        expect(front * wheelbase).toBeCloseTo(before * wheelbase + load.mass * at, 4);
        const rear = laden.total - front;
        expect(rear * wheelbase).toBeCloseTo(
          (MASSES.total - before) * wheelbase + load.mass * (wheelbase - at),
          4,
        );
        expect(laden.total * laden.cgHeight).toBeCloseTo(MASSES.total * 540 + load.mass * load.height, 4);
        const own = end === 'rear' ? rear - (MASSES.total - before) : front - before;
        expect(laden.here).toBeCloseTo(own, 6);
      }),
    );
  });

  test('right over the axle it is all on it; behind the rear one, more than all', () => {
    const car = { masses: MASSES, wheelbase, cgHeight: 540, end: 'rear' as const };
    expect(ladenWith(car, { mass: 200, ahead: 0, height: 900 })!.here).toBe(200);
    expect(ladenWith(car, { mass: 200, ahead: -700, height: 900 })!.here).toBe(250);
  });
});
