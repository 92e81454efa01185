import fc from 'fast-check';
import { det, lusolve, mean as meanOf, median as medianOf, matrix, multiply, sort } from 'mathjs';
import { BandMatrix } from '@/core/numerics/bandedMatrix';
import { solveInPlace } from '@/core/numerics/gaussianElimination';
import { bisect, falsePosition, minimumOn } from '@/core/numerics/rootFinding';
import { max, mean, median, min } from '@/core/numerics/statistics';
import { perDegree, perRadian, toDegrees, toRadians, wrapped } from '@/core/geometry/angle';
import { cross, distance, dot, plus, unit, withCoordinate, type Point } from '@/core/geometry/vector';

const number = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
const square = (n: number) =>
  fc.array(fc.array(number(10), { minLength: n, maxLength: n }), { minLength: n, maxLength: n });

// npm mathjs: determinants and LU solution.
describe('elimination', () => {
  const systems = fc
    .integer({ min: 1, max: 9 })
    .chain((n) => fc.record({ A: square(n), b: fc.array(number(100), { minLength: n, maxLength: n }) }));

  test('solves what a general library solves', () => {
    fc.assert(
      fc.property(systems, ({ A, b }) => {
        const n = b.length;
        if (Math.abs(det(matrix(A))) < 1e-3) return;
        const x = Float64Array.from(b);
        expect(solveInPlace(Float64Array.from(A.flat()), x, n, 1)).not.toBe(0);
        const theirs = (lusolve(A, b) as number[][]).map(([v]) => v!);
        // By what is left over, which does not suffer from a poor condition.
        const left = (v: number[]) =>
          Math.max(...A.map((row, i) => Math.abs(row.reduce((sum, a, k) => sum + a * v[k]!, 0) - b[i]!)));
        expect(left([...x])).toBeLessThanOrEqual(10 * left(theirs) + 1e-8 * (1 + max([...x].map(Math.abs))));
      }),
      { numRuns: 200 },
    );
  });

  test('tells the sign of the determinant, and none for a singular matrix', () => {
    fc.assert(
      fc.property(systems, ({ A, b }) => {
        const n = b.length;
        const theirs = det(matrix(A));
        if (Math.abs(theirs) < 1e-3) return;
        expect(solveInPlace(Float64Array.from(A.flat()), Float64Array.from(b), n, 1)).toBe(Math.sign(theirs));
      }),
      { numRuns: 200 },
    );
    const singular = Float64Array.from([1, 2, 2, 4]);
    expect(solveInPlace(singular, Float64Array.from([1, 1]), 2, 1)).toBe(0);
  });

  test('several right-hand sides are solved as each by itself', () => {
    fc.assert(
      fc.property(square(4), square(4), (A, B) => {
        if (Math.abs(det(matrix(A))) < 1e-2) return;
        const together = Float64Array.from(B.flat());
        solveInPlace(Float64Array.from(A.flat()), together, 4, 4);
        for (let m = 0; m < 4; m++) {
          const one = Float64Array.from(B.map((row) => row[m]!));
          solveInPlace(Float64Array.from(A.flat()), one, 4, 1);
          one.forEach((v, i) => expect(together[i * 4 + m]).toBeCloseTo(v, 8));
        }
      }),
    );
  });
});

describe('a banded factor', () => {
  /** Symmetric and positive: each diagonal outweighs its row. */
  const banded = fc
    .record({
      n: fc.integer({ min: 2, max: 14 }),
      width: fc.integer({ min: 1, max: 5 }),
      seed: fc.array(number(1), { minLength: 70, maxLength: 70 }),
    })
    .map(({ n, width, seed }) => {
      const A = Array.from({ length: n }, () => Array<number>(n).fill(0));
      let k = 0;
      for (let i = 0; i < n; i++)
        for (let j = i; j < Math.min(n, i + width); j++) {
          const v = j === i ? 2 * width + 1 : seed[k++ % seed.length]!;
          A[i]![j] = v;
          A[j]![i] = v;
        }
      return { n, width, A };
    });

  const banding = ({ n, width, A }: { n: number; width: number; A: number[][] }): BandMatrix => {
    const band = new BandMatrix(n, width);
    A.forEach((row, i) => row.forEach((v, j) => v !== 0 && band.add(i, j, v)));
    return band;
  };

  // npm mathjs: LU solution of the full matrix.
  test('solves as the full matrix does', () => {
    fc.assert(
      fc.property(banded, fc.array(number(50), { minLength: 14, maxLength: 14 }), (made, load) => {
        const b = load.slice(0, made.n);
        const ours = Float64Array.from(b);
        banding(made).solve(ours);
        const theirs = (lusolve(made.A, b) as number[][]).map(([v]) => v!);
        ours.forEach((v, i) => expect(v).toBeCloseTo(theirs[i]!, 9));
        (multiply(made.A, [...ours]) as number[]).forEach((v, i) => expect(v).toBeCloseTo(b[i]!, 8));
      }),
    );
  });

  test('an unknown that is held is nothing, and the others are as without it', () => {
    fc.assert(
      fc.property(banded, fc.nat(13), (made, pick) => {
        const k = pick % made.n;
        const ours = Float64Array.from({ length: made.n }, (_, i) => i + 1);
        const band = banding(made);
        band.hold(k, ours);
        band.solve(ours);
        expect(ours[k]).toBe(0);
        if (made.n === 1) return;
        const keep = made.A.map((_, i) => i).filter((i) => i !== k);
        const less = keep.map((i) => keep.map((j) => made.A[i]![j]!));
        const theirs = (
          lusolve(
            less,
            keep.map((i) => i + 1),
          ) as number[][]
        ).map(([v]) => v!);
        keep.forEach((i, at) => expect(ours[i]).toBeCloseTo(theirs[at]!, 9));
      }),
    );
  });

  test('an entry and its mirror are one, whichever is added', () => {
    const upper = new BandMatrix(3, 2);
    const either = new BandMatrix(3, 2);
    for (const [i, j, v] of [
      [0, 0, 4],
      [1, 1, 5],
      [2, 2, 6],
      [0, 1, 1],
      [1, 2, 2],
    ] as const) {
      upper.add(i, j, v);
      either.addEither(j, i, v);
    }
    const [a, b] = [Float64Array.of(1, 2, 3), Float64Array.of(1, 2, 3)];
    upper.solve(a);
    either.solve(b);
    expect([...a]).toEqual([...b]);
  });
});

describe('finding where', () => {
  test('an answer turns: bisection comes as near as its halvings allow, on the side that holds', () => {
    fc.assert(
      fc.property(number(100), fc.integer({ min: 5, max: 40 }), (edge, halvings) => {
        const found = bisect((x) => x >= edge, edge - 37, edge + 41, halvings);
        expect(found).toBeGreaterThanOrEqual(edge);
        expect(found - edge).toBeLessThanOrEqual(78 / 2 ** halvings + 1e-9);
        const other = bisect((x) => x <= edge, edge + 41, edge - 37, halvings);
        expect(other).toBeLessThanOrEqual(edge);
      }),
    );
  });

  test('a function comes to nothing: cubics, steep and flat, ends that are infinite', () => {
    fc.assert(
      fc.property(
        number(50),
        fc.double({ min: 0.01, max: 20, noNaN: true }),
        fc.boolean(),
        (root, steep, endless) => {
          const f = (x: number) =>
            endless && x < root - 20 ? Infinity : -steep * ((x - root) ** 3 / 900 + (x - root));
          const found = falsePosition(f, root - 30, root + 25, 1e-4);
          // The answer is one that is not above nothing.
          expect(f(found)).toBeLessThanOrEqual(1e-9);
          expect(Math.abs(found - root)).toBeLessThan(0.02 + 2e-3 / steep);
        },
      ),
    );
  });

  test('a valley is least: by golden section, wherever its floor lies, at an end too', () => {
    fc.assert(
      fc.property(number(10), fc.double({ min: 1.2, max: 4, noNaN: true }), (floor, power) => {
        const f = (x: number) => Math.abs(x - floor) ** power;
        const found = minimumOn(f, -8, 8);
        expect(Math.abs(found - Math.min(8, Math.max(-8, floor)))).toBeLessThan(16 * 0.6181 ** 16);
      }),
    );
  });
});

// npm mathjs.
test('mean, median, least and most', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -1e6, max: 1e6 }), { minLength: 1, maxLength: 40 }), (many) => {
      const list = many.map((n) => n / 1000);
      expect(mean(list)).toBeCloseTo(meanOf(list) as number, 9);
      expect(median(list)).toBeCloseTo(medianOf(list) as number, 9);
      const sorted = sort(list, 'asc') as number[];
      expect([min(list), max(list)]).toEqual([sorted[0], sorted.at(-1)]);
    }),
  );
  expect([max([]), min([])]).toEqual([-Infinity, Infinity]);
});

test('degrees and radians, and what is told for one of each', () => {
  fc.assert(
    fc.property(number(1000), (v) => {
      expect(toRadians(toDegrees(v))).toBeCloseTo(v, 9);
      expect(perDegree(perRadian(v))).toBeCloseTo(v, 9);
      // What is told for a radian is more than what is told for a degree.
      expect(Math.abs(perRadian(v))).toBeGreaterThanOrEqual(Math.abs(v));
      const around = wrapped(v);
      expect(Math.abs(around)).toBeLessThanOrEqual(Math.PI + 1e-12);
      expect(Math.cos(around)).toBeCloseTo(Math.cos(v), 9);
      expect(Math.sin(around)).toBeCloseTo(Math.sin(v), 9);
    }),
  );
});

test('vectors: a product square to both, a unit of one, a coordinate put elsewhere', () => {
  const points = fc.tuple(number(500), number(500), number(500)) as fc.Arbitrary<Point>;
  fc.assert(
    fc.property(points, points, (a, b) => {
      const c = cross(a, b);
      expect(Math.abs(dot(c, a))).toBeLessThan(1e-6 * (1 + dot(a, a)) * (1 + Math.abs(dot(b, b))));
      expect(distance(a, b)).toBeCloseTo(distance(b, a), 12);
      expect(distance(a, b)).toBeLessThanOrEqual(distance(a, plus(a, b)) + distance(plus(a, b), b) + 1e-9);
      if (distance(a, [0, 0, 0]) > 1e-3) expect(dot(unit(a), unit(a))).toBeCloseTo(1, 12);
      for (const axis of [0, 1, 2] as const) {
        const moved = withCoordinate(a, axis, 7);
        expect(moved[axis]).toBe(7);
        expect(moved.filter((_, k) => k !== axis)).toEqual(a.filter((_, k) => k !== axis));
      }
    }),
  );
});
