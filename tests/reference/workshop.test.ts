import { jobCut } from '@/core/cut/jobCut';
import { madeMass } from '@/core/cut/weight';
import { makeBar, type BarSpec } from '@/core/fabricate/adjustableBar';
import { lengthPerTurn, THREADS } from '@/core/materials/threads';
import { segmentToBox, segmentToSegment } from '@/core/geometry/closestApproach';
import { boxOf, segmentsOf } from '@/core/geometry/shapes';
import fc from 'fast-check';
import type { Point } from '@/core/geometry/vector';
import { newJob } from '@/core/job/newJob';
import { withMounts } from '@/core/job/edits/mounts';
import { settingOf } from '@/core/ride/alignment';

const INCH = 25.4;

describe('threads', () => {
  // ASME B1.1, UNF series, from memory.
  test.each([
    ['1/2-20', 0.5, 20],
    ['5/8-18', 0.625, 18],
    ['3/4-16', 0.75, 16],
    ['7/8-14', 0.875, 14],
  ] as const)('%s', (name, diameter, perInch) => {
    expect(THREADS[name].diameter / INCH).toBeCloseTo(diameter, 12);
    expect(INCH / THREADS[name].pitch).toBeCloseTo(perInch, 12);
  });

  // A turnbuckle moves both ends: common practice, no published source.
  test('3/4-16 at both ends: one turn is 1/8 in', () => {
    expect(lengthPerTurn('3/4-16') / INCH).toBeCloseTo(1 / 8, 12);
  });
});

describe('tube length', () => {
  const end = { toShoulder: 2.5 * INCH, showing: 0.25 * INCH, shank: 2.25 * INCH, bung: 2 * INCH };
  const spec: BarSpec = {
    thread: '3/4-16',
    ends: { frame: end, axle: end },
    engagementRule: 1.5 * INCH,
    tube: { od: 1.25 * INCH, wall: 0.12 * INCH },
  };

  // Common practice, no published source: 40 1/2 eye to eye with 2 3/4 at each end leaves 35 of tube.
  test('40 1/2 eye to eye, 2 3/4 at each end: 35', () => {
    expect(makeBar(40.5 * INCH, spec).tubeLength / INCH).toBeCloseTo(35, 9);
  });

  // Common practice, no published source: 1/4 in showing at each end leaves 1/2 in of shortening.
  test('1/4 showing at each end leaves 1/2 of shortening', () => {
    expect(makeBar(40.5 * INCH, spec).shorten.mm / INCH).toBeCloseTo(0.5, 9);
    expect(makeBar(40.5 * INCH, spec).shorten.turns).toBeCloseTo(4, 9);
  });

  // Common practice, no published source: a straight 1 1/4 x .120 tube bar with its rod ends weighs about 6 lb; the ends
  // are about 2 lb of that, so 35 in of tube is about 4 lb.
  test('35 in of 1 1/4 x .120 tube weighs about 4 lb', () => {
    expect(makeBar(40.5 * INCH, spec).tubeMass / 0.45359237).toBeCloseTo(4.2, 1);
  });

  test('and with its rod ends about 6 lb', () => {
    const job = withMounts(newJob('check', 'Check', 'in16'), [
      { member: 'panhard', end: 'chassis', axis: 2, mm: 350 },
      { member: 'panhard', end: 'axle', axis: 2, mm: 350 },
      { member: 'panhard', end: 'chassis', axis: 1, mm: 20 * INCH },
      { member: 'panhard', end: 'axle', axis: 1, mm: -20 * INCH },
    ]);
    const cut = jobCut(job);
    const bar = cut.bars.find(({ id }) => id === 'panhard')!;
    expect(bar.blank / INCH).toBeCloseTo(35, 0);
    expect(Math.round(madeMass(job, cut, bar) / 0.45359237)).toBe(6);
  });
});

describe('centring on the ground', () => {
  // Common practice, no published source: with a level bar across the car, the axle moves as much as the bar grows, and the
  // offset is half of the difference of the gaps.
  test('gaps of 5 1/2 and 5 1/8 with 3/4-16 threads: 3/16 over, 1 1/2 turns', () => {
    let job = newJob('check', 'Check', 'in16');
    job = withMounts(
      job,
      (['chassis', 'axle'] as const).map((e) => ({ member: 'panhard', end: e, axis: 2, mm: 350 })),
    );
    const gaps = { left: 5.5 * INCH, right: 5.125 * INCH };
    const found = settingOf({ ...job, ride: { ...job.ride, gaps } })!;
    expect(found.now.offset! / INCH).toBeCloseTo(3 / 16, 9);
    // The frame end is on the left: a longer bar pushes the axle right.
    expect(found.steps[0]!.bars[0]!.turns).toBeCloseTo(1.5, 1);
  });
});

describe('distances', () => {
  // Dense sampling of both bodies: slow, and wrong by less than its step.
  const point = fc.tuple(
    ...[0, 1, 2].map(() => fc.integer({ min: -100, max: 100 })),
  ) as unknown as fc.Arbitrary<Point>;
  const along = (a: Point, b: Point, t: number) => a.map((v, k) => v + t * (b[k]! - v)) as Point;
  const steps = Array.from({ length: 101 }, (_, i) => i / 100);

  test('between segments', () => {
    fc.assert(
      fc.property(point, point, point, point, (a, b, c, d) => {
        const sampled = Math.min(
          ...steps.flatMap((s) =>
            steps.map((t) => Math.hypot(...along(a, b, s).map((v, k) => v - along(c, d, t)[k]!))),
          ),
        );
        const exact = segmentToSegment(segmentsOf([a, b]), 0, segmentsOf([c, d]), 0);
        expect(exact).toBeLessThanOrEqual(sampled + 1e-9);
        expect(sampled - exact).toBeLessThan(4);
      }),
      { numRuns: 40 },
    );
  });

  test('from a segment to a box', () => {
    fc.assert(
      fc.property(point, point, point, point, (a, b, c, d) => {
        const low = c.map((v, k) => Math.min(v, d[k]!)) as Point;
        const high = c.map((v, k) => Math.max(v, d[k]!)) as Point;
        const sampled = Math.min(
          ...steps.map((t) =>
            Math.hypot(...along(a, b, t).map((v, k) => Math.max(low[k]! - v, 0, v - high[k]!))),
          ),
        );
        const exact = segmentToBox(segmentsOf([a, b]), 0, boxOf(low, high));
        expect(exact).toBeLessThanOrEqual(sampled + 1e-6);
        expect(sampled - exact).toBeLessThan(4);
      }),
    );
  });
});
