import fc from 'fast-check';
import { clearances } from '@/core/clearance/clearance';
import { type Attitude, axleToChassis, chassisToAxle } from '@/core/kinematics/attitude';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { overlapDepth, type Support } from '@/core/geometry/overlapDepth';
import { patternRig } from '../../support/layouts';
import { dot, minus, plus, unit, type Point } from '@/core/geometry/vector';

// Dense sampling of the surfaces of two boxes, one of them turned: slow, and never below the true distance.
const box = fc
  .tuple(...[0, 1, 2].map(() => fc.integer({ min: 30, max: 160 })))
  .map(([x, y, z]) => [x!, y!, z!] as Point);
const attitude = fc
  .tuple(...[0, 1, 2].map(() => fc.double({ min: -12, max: 12, noNaN: true })))
  .map(([rollDeg, pitchDeg, steerDeg]): Attitude => ({
    x: 3,
    y: -2,
    z: 350,
    rollDeg: rollDeg!,
    pitchDeg: pitchDeg!,
    steerDeg: steerDeg!,
  }));

const STEPS = 12;
function surface(min: Point, max: Point): Point[] {
  const points: Point[] = [];
  for (let i = 0; i <= STEPS; i++)
    for (let j = 0; j <= STEPS; j++)
      for (const side of [0, 1])
        for (let axis = 0; axis < 3; axis++) {
          const [u, v] = [(axis + 1) % 3, (axis + 2) % 3];
          const p: Point = [0, 0, 0];
          p[axis] = side ? max[axis]! : min[axis]!;
          p[u] = min[u]! + ((max[u]! - min[u]!) * i) / STEPS;
          p[v] = min[v]! + ((max[v]! - min[v]!) * j) / STEPS;
          points.push(p);
        }
  return points;
}

const toBox = (p: Point, min: Point, max: Point) =>
  Math.hypot(...p.map((v, k) => Math.max(min[k]! - v, 0, v - max[k]!)));

test('between a box on a turned axle and one on the chassis', () => {
  fc.assert(
    fc.property(box, box, attitude, (carried, fixed, pose) => {
      const moving = {
        min: [0, 0, 330] as Point,
        max: carried.map((v, k) => v + (k === 2 ? 330 : 0)) as Point,
      };
      const still = {
        min: [200, -40, 300] as Point,
        max: fixed.map((v, k) => v + [200, -40, 300][k]!) as Point,
      };
      const obstacles: Obstacle[] = [
        { id: 'a', on: 'axle', shape: 'box', ...moving },
        { id: 'b', on: 'chassis', shape: 'box', ...still },
      ];
      const rig: Rig = { ...patternRig('three-link-panhard'), obstacles };
      const found = clearances(rig, pose).find((c) => c.a === 'a')!.distance;
      const place = axleToChassis(pose, rig.tireRadius);
      const sampled = Math.min(
        ...surface(moving.min, moving.max).map((p) => toBox(place(p), still.min, still.max)),
      );
      expect(found).toBeLessThanOrEqual(sampled + 1e-6);
      expect(found).toBeGreaterThan(sampled - 14);
    }),
    { numRuns: 60 },
  );
});

// Alternating projections between two convex bodies come to their nearest points (Cheney and Goldstein, Proximity maps for
// convex sets, 1959; from memory): slow, and knows nothing of how the answer is found.
type Convex = (p: Point) => Point;

const between01 = (v: number) => Math.min(1, Math.max(0, v));
const onto: { [S in Obstacle['shape']]: (o: Extract<Obstacle, { shape: S }>) => Convex } = {
  sphere: (o) => (p) => towards(o.centre, p, o.radius),
  capsule: (o) => (p) => {
    const d = minus(o.to, o.from);
    const t = between01(dot(minus(p, o.from), d) / dot(d, d));
    return towards(plus(o.from, d.map((v) => v * t) as Point), p, o.radius);
  },
  box: (o) => (p) => p.map((v, k) => Math.min(o.max[k]!, Math.max(o.min[k]!, v))) as Point,
  cylinder: (o) => (p) => {
    const d = minus(o.to, o.from);
    const e = unit(d);
    const along = dot(minus(p, o.from), e);
    const s = Math.min(Math.hypot(...d), Math.max(0, along));
    const across = minus(minus(p, o.from), e.map((v) => v * along) as Point);
    const rho = Math.hypot(...across);
    const r = rho > 0 ? Math.min(1, o.radius / rho) : 0;
    return plus(plus(o.from, e.map((v) => v * s) as Point), across.map((v) => v * r) as Point);
  },
};

function towards(centre: Point, p: Point, radius: number): Point {
  const d = minus(p, centre);
  const far = Math.hypot(...d);
  return far <= radius ? p : plus(centre, d.map((v) => (v * radius) / far) as Point);
}

const ontoBody = (o: Obstacle): Convex => (onto[o.shape] as (of: Obstacle) => Convex)(o);

const near = (n: number) => fc.double({ min: -n, max: n, noNaN: true });
const at = (x: number, y: number, z: number): fc.Arbitrary<Point> =>
  fc.tuple(near(60), near(60), near(60)).map(([a, b, c]) => [x + a, y + b, z + c]);
const thick = fc.double({ min: 8, max: 90, noNaN: true });

const bodyAt = (id: string, on: 'axle' | 'chassis', [x, y, z]: Point): fc.Arbitrary<Obstacle> =>
  fc.oneof(
    fc
      .record({ centre: at(x, y, z), radius: thick })
      .map((o) => ({ id, on, shape: 'sphere' as const, ...o })),
    fc
      .record({ from: at(x, y, z), to: at(x + 90, y - 40, z + 70), radius: thick })
      .map((o) => ({ id, on, shape: 'capsule' as const, ...o })),
    fc
      .record({ from: at(x, y, z), to: at(x - 30, y + 120, z + 90), radius: thick })
      .map((o) => ({ id, on, shape: 'cylinder' as const, ...o })),
    fc.tuple(at(x, y, z), fc.tuple(thick, thick, thick)).map(([min, size]) => ({
      id,
      on,
      shape: 'box' as const,
      min,
      max: plus(min, size),
    })),
  );

test('between bodies of any two shapes, one of them on a turned axle', () => {
  fc.assert(
    fc.property(
      bodyAt('a', 'axle', [0, 0, 330]),
      bodyAt('b', 'chassis', [330, 150, 420]),
      attitude,
      (carried, still, pose) => {
        const rig: Rig = {
          ...patternRig('three-link-panhard'),
          version: 2,
          obstacles: [carried, still],
        };
        const found = clearances(rig, pose).find((c) => c.a === 'a' && c.b === 'b')!.distance;
        const [out, back] = [axleToChassis(pose, rig.tireRadius), chassisToAxle(pose, rig.tireRadius)];
        const [toA, toB] = [ontoBody(carried), ontoBody(still)];
        let p: Point = [0, 0, 330];
        let q = p;
        for (let n = 0; n < 4000; n++) {
          q = toB(p);
          p = out(toA(back(q)));
        }
        const apart = Math.hypot(...minus(p, q));
        if (apart > 0.5) expect(Math.abs(found - apart)).toBeLessThan(0.05);
        else expect(found).toBeLessThan(0.6);
      },
    ),
    { numRuns: 400 },
  );
});

// By hand: what two bodies reach into each other is the least way out.
test.each<[string, Obstacle, Obstacle, number]>([
  [
    'two boxes',
    { id: 'a', on: 'axle', shape: 'box', min: [0, 0, 300], max: [100, 100, 400] },
    { id: 'b', on: 'chassis', shape: 'box', min: [80, -50, 250], max: [300, 200, 500] },
    -20,
  ],
  [
    'a cylinder’s side in a box',
    { id: 'a', on: 'axle', shape: 'cylinder', from: [0, 0, 330], to: [0, 200, 330], radius: 50 },
    { id: 'b', on: 'chassis', shape: 'box', min: [42, -50, 200], max: [300, 400, 500] },
    -8,
  ],
  [
    'a cylinder’s end in a box',
    { id: 'a', on: 'axle', shape: 'cylinder', from: [0, 0, 330], to: [0, 200, 330], radius: 50 },
    { id: 'b', on: 'chassis', shape: 'box', min: [-300, 195, 0], max: [300, 600, 700] },
    -5,
  ],
  [
    'two cylinders side by side',
    { id: 'a', on: 'axle', shape: 'cylinder', from: [0, 0, 330], to: [0, 200, 330], radius: 50 },
    { id: 'b', on: 'chassis', shape: 'cylinder', from: [90, 0, 330], to: [90, 200, 330], radius: 52 },
    -12,
  ],
])('%s overlap by the least way out', (_name, a, b, depth) => {
  const rig: Rig = { ...patternRig('three-link-panhard'), version: 2, obstacles: [a, b] };
  const level = { x: 0, y: 0, z: 330, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };
  const found = clearances({ ...rig, tireRadius: 330 }, level).find((c) => c.a === 'a' && c.b === 'b')!;
  expect(found.distance).toBeCloseTo(depth, 3);
});

// Which way out is the least: all ways are tried, the best of them turned this way and that.
const shapes = fc.oneof(
  fc.record({
    kind: fc.constant('box' as const),
    low: fc.tuple(...axes(-150, -5)),
    high: fc.tuple(...axes(5, 150)),
  }),
  fc.record({
    kind: fc.constant('cylinder' as const),
    centre: fc.tuple(...axes(-50, 50)),
    axis: fc.oneof(
      fc.constant<Point>([0, 1, 0]),
      fc.tuple(...axes(-1, 1)).filter((p) => Math.hypot(...p) > 0.1),
    ),
    half: fc.double({ min: 5, max: 200, noNaN: true }),
    radius: fc.double({ min: 5, max: 330, noNaN: true }),
  }),
);
function axes(min: number, max: number) {
  const one = fc.double({ min, max, noNaN: true });
  return [one, one, one] as const;
}
type Shape = typeof shapes extends fc.Arbitrary<infer S> ? S : never;

/** How far a shape reaches along a unit direction. */
function reachOf(shape: Shape, d: Point): number {
  if (shape.kind === 'box')
    return d.reduce((sum, v, k) => sum + Math.max(v * shape.low[k]!, v * shape.high[k]!), 0);
  const on = dot(d, unit(shape.axis));
  return (
    dot(d, shape.centre) + shape.half * Math.abs(on) + shape.radius * Math.sqrt(Math.max(0, 1 - on * on))
  );
}

const supportOf =
  (shape: Shape): Support =>
  (x, y, z, out) => {
    const d: Point = [x, y, z];
    let far: Point;
    if (shape.kind === 'box') far = d.map((v, k) => (v < 0 ? shape.low[k]! : shape.high[k]!)) as Point;
    else {
      const e = unit(shape.axis);
      const on = dot(d, e);
      const across = minus(d, e.map((v) => v * on) as Point);
      const size = Math.hypot(...across);
      const r = size > 1e-9 * Math.abs(on) ? shape.radius / size : 0;
      far = shape.centre.map((c, k) => c + Math.sign(on) * shape.half * e[k]! + r * across[k]!) as Point;
    }
    [out[0], out[1], out[2]] = far;
  };

const WAYS = Array.from({ length: 4000 }, (_, i): Point => {
  const z = 1 - (2 * i + 1) / 4000;
  const r = Math.sqrt(1 - z * z);
  const turn = Math.PI * (3 - Math.sqrt(5)) * i;
  return [r * Math.cos(turn), r * Math.sin(turn), z];
});

/** Those ways by the face of a cube that each goes out through. */
const FACES = [0, 1, 2].flatMap((k) =>
  [-1, 1].map((sign) => WAYS.filter((d) => Math.max(...d.map(Math.abs)) === sign * d[k]!)),
);

/** How finely a depth is told, mm: where it is alike all round a body, by as many corners as are looked at. */
const fineAt = (depth: number) => 0.03 + 5e-4 * depth;

test('the least way out of an overlap is no longer than any way tried, and nearly as long as the best of them', () => {
  fc.assert(
    fc.property(shapes, shapes, fc.nat(), (a, b, seed) => {
      const way = (d: Point) => reachOf(a, d) + reachOf(b, d.map((v) => -v) as Point);
      let state = seed;
      // Numerical Recipes' quick generator (from memory), −1 to 1.
      const next = () => {
        state = (1664525 * state + 1013904223) % 2 ** 32;
        return state / 2 ** 31 - 1;
      };
      // A flat end’s way out is a sharp valley that the ways tried straddle: its opposite, the longer, may be
      // nearer to one of them. So each side’s best is turned, not the best of all alone.
      const shortest = FACES.map((face) => {
        let best = face.reduce((p, q) => (way(q) < way(p) ? q : p));
        for (let i = 0, step = 0.03; i < 2000; i++) {
          const turned = unit(best.map((v) => v + step * next()) as Point);
          if (way(turned) < way(best)) best = turned;
          else if (i % 40 === 39) step *= 0.75;
        }
        return way(best);
      });
      const least = Math.max(0, Math.min(...shortest));
      const depth = overlapDepth(supportOf(a), supportOf(b));
      expect(depth).toBeLessThanOrEqual(least + fineAt(least));
      expect(depth).toBeGreaterThan(least - 5);
    }),
    {
      numRuns: 60,
      // Its end lies 10 deep, its other end 15, and the nearest of the ways tried is the other’s.
      examples: [
        [
          { kind: 'box', low: [-5, -10, -5], high: [6.65, 5, 64.5] },
          { kind: 'cylinder', centre: [0, 0, 0], axis: [0, 1, 0], half: 5, radius: 220.65 },
          12,
        ],
      ],
    },
  );
});

test('a body turned by less than can be seen overlaps another as before, though its faces then almost lie in one plane', () => {
  const upright = shapes.filter((shape) => shape.kind === 'cylinder');
  const tilts = fc.double({ min: -9, max: -4, noNaN: true }).map((power) => 10 ** power);
  fc.assert(
    fc.property(upright, shapes, fc.nat({ max: 2 }), fc.boolean(), tilts, (body, other, axis, far, tilt) => {
      const straight: Point = [0, 0, 0];
      straight[axis] = 1;
      const tilted = straight.with((axis + (far ? 2 : 1)) % 3, tilt) as Point;
      const [before, after] = [straight, tilted].map((axis) =>
        overlapDepth(supportOf({ ...body, axis }), supportOf(other)),
      ) as [number, number];
      // No point of it moves farther than its farthest by the tilt.
      const moved = Math.hypot(body.half, body.radius) * tilt;
      expect(Math.abs(after - before)).toBeLessThanOrEqual(moved + fineAt(before));
    }),
    { numRuns: 2000 },
  );
});
