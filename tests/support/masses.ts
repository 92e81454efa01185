import fc from 'fast-check';
import type { Rig } from '@/core/rig/schema';
import type { End } from '@/core/balance/loadTransfer';

/** A middling car's masses. */
export const MASSES: NonNullable<Rig['masses']> = {
  total: 1500,
  frontFraction: 0.54,
  unsprungFront: 90,
  unsprungRear: 150,
  unsprungHeightFront: 315,
  unsprungHeightRear: 330,
};

/** An end of any car, as far as a corner asks. */
export const ends: fc.Arbitrary<End> = fc.record({
  rollStiffness: fc.integer({ min: 15, max: 90 }).map((n) => n * 1e6),
  rollCentre: fc.integer({ min: -50, max: 400 }),
  track: fc.integer({ min: 1300, max: 1700 }),
  sprung: fc.integer({ min: 4000, max: 9000 }),
  unsprung: fc.integer({ min: 500, max: 2000 }),
  unsprungHeight: fc.integer({ min: 280, max: 380 }),
  stops: fc.option(
    fc.record({
      out: fc.integer({ min: 250, max: 700 }),
      gap: fc.integer({ min: 0, max: 90 }),
      rate: fc.integer({ min: 10, max: 400 }),
      height: fc.integer({ min: 20, max: 120 }),
      holding: fc.integer({ min: 20, max: 160 }),
    }),
    { nil: undefined },
  ),
});
