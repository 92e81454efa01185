import fc from 'fast-check';
import { add, inv, matrix, multiply, subtract, transpose } from 'mathjs';
import { adjust, estimateOf, type Observation } from '@/core/survey/leastSquares';
import { asFound } from '@/core/record/asFound';
import { networkOf } from '@/core/survey/network';
import { placementBy } from '@/core/survey/placement';
import { estimate, propagate } from '@/core/survey/uncertainty';
import { found } from '@/core/survey/readings';
import { resultUncertainty } from '@/core/locate/resultUncertainty';
import { assemble } from '@/core/kinematics/mechanism';
import { restFor } from '@/core/place/stands';
import { perTurn } from '@/core/ride/turns/adjusters';
import { onGround, toeAngle } from '@/core/ride/onGround';
import { readings } from '../support/car';
import { chance } from '../support/chance';
import { mountsOf, withMount } from '@/core/rig/mounts';
import { newJob } from '@/core/job/newJob';
import { withMounts } from '@/core/job/edits/mounts';
import { applyReadings } from '@/core/job/applyReadings';

const INCH = 25.4;
const plain = (key: string, value: number, of: Observation['of']): Observation => ({ key, value, u: 1, of });

describe('least squares', () => {
  // Wolf and Ghilani, Adjustment Computations, ch. 11, first worked example (from memory):
  // x + y = 3.0, 2x − y = 1.5, x − y = 0.2 give x = 1.514, y = 1.443.
  test('three equations in two unknowns', () => {
    const { parameters, redundancy } = adjust(
      [0, 0],
      [
        plain('a', 3.0, ([x, y]) => x! + y!),
        plain('b', 1.5, ([x, y]) => 2 * x! - y!),
        plain('c', 0.2, ([x, y]) => x! - y!),
      ],
    );
    expect(parameters[0]).toBeCloseTo(1.514, 3);
    expect(parameters[1]).toBeCloseTo(1.443, 3);
    expect(redundancy).toBe(1);
  });

  // The same book, ch. 12, the differential levelling net of seven lines between two bench marks (from memory):
  // A = 105.141, B = 104.483, C = 106.188.
  test('a net of levels', () => {
    const { parameters } = adjust(
      [105, 104, 106],
      [
        plain('1', 5.1, ([a]) => a! - 100),
        plain('2', 2.34, ([a]) => 107.5 - a!),
        plain('3', -1.25, ([, , c]) => c! - 107.5),
        plain('4', -6.13, ([, , c]) => 100 - c!),
        plain('5', -0.68, ([a, b]) => b! - a!),
        plain('6', -3.0, ([, b]) => b! - 107.5),
        plain('7', 1.7, ([, b, c]) => c! - b!),
      ],
    );
    expect(parameters.map((v) => v.toFixed(3))).toEqual(['105.141', '104.483', '106.188']);
  });

  // A general-purpose library (mathjs) by another way: a rectangle of six distances with its place held by fixing three
  // coordinates, ordinary Gauss–Newton, covariance (AᵀPA)⁻¹; Pellik leaves the place free and uses the pseudo-inverse.
  test('fit, residuals and covariance of a rectangle against mathjs', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -30, max: 30 }), { minLength: 11, maxLength: 11 }), (noise) => {
        const corners = [
          [0, 0],
          [0, 950 + noise[0]! / 3],
          [1040 + noise[1]!, 960 + noise[2]!],
          [1035 + noise[3]!, 5 + noise[4]!],
        ];
        const pairs = [
          [0, 1],
          [1, 2],
          [2, 3],
          [3, 0],
          [0, 2],
          [1, 3],
        ];
        const us = [0.8, 1.1, 0.9, 1, 1.4, 1.2];
        const far = (x: number[], [i, j]: number[]) =>
          Math.hypot(x[2 * i!]! - x[2 * j!]!, x[2 * i! + 1]! - x[2 * j! + 1]!);
        const truth = corners.flat();
        const lengths = pairs.map((p, k) => far(truth, p) + noise[5 + k]! / 15);
        const free = adjust(
          truth,
          pairs.map((p, k) => ({ key: String(k), value: lengths[k]!, u: us[k]!, of: (x) => far(x, p) })),
        );
        const held = heldFit(truth, pairs, lengths, us, far);
        free.residuals.forEach((r, k) => expect(r.fitted).toBeCloseTo(held.fitted[k]!, 5));
        pairs.forEach((p, k) => {
          const { u } = estimateOf(free, (x) => far(x, p));
          expect(u).toBeCloseTo(held.spread[k]!, 4);
        });
      }),
      { numRuns: 25 },
    );
  });

  test('what the others say of a reading is what a fit without it says', () => {
    const of = [
      ([x, y]: number[]) => x! + y!,
      ([x, y]: number[]) => 2 * x! - y!,
      ([x]: number[]) => x!,
      ([x, y]: number[]) => x! - 3 * y!,
    ];
    fc.assert(
      fc.property(
        fc.array(fc.float({ min: -5, max: 5, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (values) => {
          const all = values.map((value, i) => ({ key: String(i), value, u: 0.5 + i, of: of[i]! }));
          const { residuals } = adjust([0, 0], all);
          residuals.forEach((r, i) => {
            const rest = adjust(
              [0, 0],
              all.filter((_, k) => k !== i),
            );
            const alone = estimateOf(rest, of[i]!);
            expect(r.others!.value).toBeCloseTo(alone.value, 5);
            expect(r.others!.u).toBeCloseTo(alone.u, 5);
          });
        },
      ),
      { numRuns: 40 },
    );
  });
});

/** The same fit with corner 0 and the direction to corner 1 held. */
function heldFit(
  truth: number[],
  pairs: number[][],
  lengths: number[],
  us: number[],
  far: (x: number[], p: number[]) => number,
) {
  const open = [3, 4, 5, 6, 7];
  let x = [...truth];
  const slope = (p: number[], k: number) => {
    const h = 1e-4;
    return (far(x.with(k, x[k]! + h), p) - far(x.with(k, x[k]! - h), p)) / (2 * h);
  };
  const design = () => matrix(pairs.map((p) => open.map((k) => slope(p, k))));
  const weights = matrix(us.map((u, i) => us.map((_, j) => (i === j ? 1 / u ** 2 : 0))));
  const normal = (A: ReturnType<typeof design>) => multiply(multiply(transpose(A), weights), A);
  for (let step = 0; step < 8; step++) {
    const A = design();
    const short = subtract(matrix(lengths), matrix(pairs.map((p) => far(x, p))));
    const change = multiply(inv(normal(A)), multiply(multiply(transpose(A), weights), short));
    x = add(
      matrix(x),
      matrix(x.map((_, k) => (open.includes(k) ? change.get([open.indexOf(k)]) : 0))),
    ).toArray() as number[];
  }
  const A = design();
  const spread = multiply(multiply(A, inv(normal(A))), transpose(A));
  return {
    fitted: pairs.map((p) => far(x, p)),
    spread: pairs.map((_, k) => Math.sqrt(spread.get([k, k]) as number)),
  };
}

describe('uncertainty', () => {
  // JCGM 100:2008 (GUM) 4.2.3 and 4.3.7: standard deviation of a mean, and a rectangular limit a as a/√3.
  test('many readings: spread over √n, with the tool’s limit over √3', () => {
    const values = Array.from({ length: 400 }, (_, i) => 100 + (i % 2 ? 2 : -2));
    expect(estimate(values, 'tape').u).toBeCloseTo(Math.hypot(2 / 20, INCH / 32 / Math.sqrt(3)), 2);
  });

  const random = chance(20260502);
  const RUNS = 15_000;
  const spreadOf = (draw: () => number) => {
    const values = Array.from({ length: RUNS }, draw);
    const mean = values.reduce((a, b) => a + b, 0) / RUNS;
    return Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / (RUNS - 1));
  };

  // JCGM 101:2008: propagation of distributions by a Monte Carlo method, here with normal inputs.
  test('rake, twist and offset against Monte Carlo', () => {
    const car = {
      'rideHeight.left': 430,
      'rideHeight.right': 425,
      'frontHeight.left': 400,
      'frontHeight.right': 401,
      'wheelbase.left': 2850,
      'wheelbase.right': 2847,
      frameWidth: 950,
      'gapFrame.left': 130,
      'gapFrame.right': 126,
      track: 1450,
    };
    const given = readings(car);
    const keys = Object.keys(car);
    const u = Object.fromEntries(
      keys.map((key) => {
        const [name, side] = key.split('.');
        return [key, found(given, name as 'track', side as 'left')!.u];
      }),
    );
    const value = (values: Record<string, number>, id: string) =>
      asFound(readings(values), null, 'cab', 'rear').find((f) => f.id === id)!;
    // Formulas written out again, so that a slip in the product does not repeat itself here.
    const deg = 180 / Math.PI;
    const written: Record<string, (v: Record<string, number>) => number> = {
      offset: (v) => (v['gapFrame.left']! - v['gapFrame.right']!) / 2,
      rake: (v) =>
        deg *
        Math.atan(
          (v['rideHeight.left']! +
            v['rideHeight.right']! -
            v['frontHeight.left']! -
            v['frontHeight.right']!) /
            2 /
            v['wheelbase.left']!,
        ),
      twist: (v) =>
        deg * Math.atan((v['rideHeight.left']! - v['rideHeight.right']!) / v.frameWidth!) -
        deg * Math.atan((v['frontHeight.left']! - v['frontHeight.right']!) / v.frameWidth!),
      squareWheels: (v) => deg * Math.atan((v['wheelbase.right']! - v['wheelbase.left']!) / v.track!),
    };
    for (const [id, formula] of Object.entries(written)) {
      const said = value(car, id);
      expect(said.value).toBeCloseTo(formula(car), 9);
      const sampled = spreadOf(() =>
        formula(
          Object.fromEntries(keys.map((key) => [key, car[key as 'track'] + u[key]! * random.normal()])),
        ),
      );
      expect(said.u / sampled).toBeGreaterThan(0.97);
      expect(said.u / sampled).toBeLessThan(1.03);
    }
  });

  test('roll centre height against Monte Carlo through the pose solver', () => {
    const job = applyReadings({
      ...withMounts(newJob('check', 'Check', 'mm'), [
        { member: 'panhard', end: 'chassis', axis: 2, mm: 380 },
      ]),
      readings: readings({ 'tireRadius.left': 330, 'tireRadius.right': 332, track: 1450 }),
    });
    const said = resultUncertainty(job).rollCentre!;
    const u = estimate([0], 'tape').u;
    const radius = found(job.readings, 'tireRadius', 'left')!.u / Math.SQRT2;
    const samples = Array.from({ length: 3000 }, () => {
      let rig = { ...job.rig, tireRadius: job.rig.tireRadius + radius * random.normal() };
      for (const member of job.rig.members)
        for (const { key, point } of mountsOf(job.rig, member.id))
          for (const axis of [0, 1, 2] as const)
            rig = withMount(rig, {
              member: member.id,
              end: key,
              axis,
              mm: point[axis] + u * random.normal(),
            });
      return assemble(rig).ride.rollCentreHeight!;
    });
    const mean = samples.reduce((a, b) => a + b, 0) / samples.length;
    const sampled = Math.sqrt(samples.reduce((a, b) => a + (b - mean) ** 2, 0) / (samples.length - 1));
    expect(said / sampled).toBeGreaterThan(0.94);
    expect(said / sampled).toBeLessThan(1.06);
  });

  test('a product has relative uncertainties in quadrature (JCGM 100:2008, 5.1.6)', () => {
    const { u } = propagate(
      [
        { value: 20, u: 0.02 },
        { value: 30, u: 0.06 },
      ],
      ([a, b]) => a! * b!,
    )!;
    expect(u / 600).toBeCloseTo(Math.hypot(0.001, 0.002), 9);
  });
});

// Common practice, no published source.
describe('arithmetic of the floor', () => {
  test('26 in tyre, frame held 16 in up, 2 3/4 in tube: centre 29, rest 27 5/8, strips 2 3/4', () => {
    const rest = restFor((26 / 2) * INCH, 16 * INCH, 0, 2.75 * INCH);
    expect(rest.centre / INCH).toBeCloseTo(29, 12);
    expect(rest.top / INCH).toBeCloseTo(27.625, 12);
    expect(rest.strips / INCH).toBeCloseTo(2.75, 12);
  });

  test('T-square marks at 38 1/2 and 41 1/2: the middle at 40, the tube 3 in thick', () => {
    const sides = (key: string, mm: number) => ({ [`${key}.left`]: mm, [`${key}.right`]: mm });
    const read = {
      ...sides('cab.front', 38.5 * INCH),
      ...sides('cab.rear', 41.5 * INCH),
      ...sides('cab.diagonal', Math.hypot(40, 36) * INCH),
      'cab.across': 36 * INCH,
      marksAcross: 36 * INCH,
    };
    const network = networkOf({ readings: readings(read), method: 't-square', end: 'rear' });
    const adjustment = adjust(network.start, network.observations);
    const placed = placementBy('cab', network, adjustment, 57 * INCH)!;
    expect(placed.middle.left.value / INCH).toBeCloseTo(40, 6);
    const tube = network.names.get('tubeDiameter')!;
    expect(adjustment.parameters[tube]! / INCH).toBeCloseTo(3, 6);
  });

  test('57 1/4 behind and 57 1/8 in front: toe-in 1/8, or 0.28 degrees across 26 in tyres', () => {
    const job = newJob('toe', 'Toe', 'in16');
    const read = { 'toe.rear': 57.25 * INCH, 'toe.front': 57.125 * INCH };
    const { toe } = onGround({ ...job, ride: { ...job.ride, read } });
    expect(toe!.value / INCH).toBeCloseTo(1 / 8, 9);
    expect(toeAngle(toe!.value, 26 * INCH)).toBeCloseTo(0.275, 3);
  });

  // ASME B1.1: 16 threads an inch; one turn of a tube moves both ends.
  test('3/4-16 at both ends: one turn is 1/8 in; one end alone 1/16', () => {
    const thread = { frame: '3/4-16', axle: '3/4-16' } as const;
    expect(perTurn({ style: 'tube', ...thread })! / INCH).toBeCloseTo(1 / 8, 12);
    expect(perTurn({ style: 'end', ...thread })! / INCH).toBeCloseTo(1 / 16, 12);
    expect(perTurn({ style: 'fixed', ...thread })).toBeNull();
  });
});
