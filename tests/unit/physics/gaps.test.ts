import fc from 'fast-check';
import { clearances, gapsOf } from '@/core/clearance/clearance';
import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { withBodies } from '@/core/job/bodies/bodies';
import { withBody } from '@/core/job/edits/bodies';
import { withLayout } from '@/core/job/edits/members/layout';
import { withRoll } from '@/core/job/edits/roll';
import { withBends } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { boxToCylinder, cornersOfBox, edgesOf, nowhere } from '@/core/geometry/boxApproach';
import { boxOf, cylinderOf } from '@/core/geometry/shapes';
import { between, cross, dot, minus, plus, unit, type Point } from '@/core/geometry/vector';
import type { Attitude } from '@/core/kinematics/attitude';
import { assemble } from '@/core/kinematics/mechanism';
import { flopsOf, locateInput } from '@/core/locate/types';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { linksOf } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import { lateralBarOf } from '@/core/rig/roles';
import type { Obstacle } from '@/core/rig/schema';
import { usualShock, usualSprings } from '@/core/springs/springDesign';

const job = (layout: (typeof LAYOUT_IDS)[number]): Job => withLayout(newJob('gaps', 'Gaps', 'mm'), layout);
const inTheWay = (of: Job, thing: Obstacle): Job =>
  withBodies({ ...of, rig: { ...of.rig, obstacles: [...of.rig.obstacles!, thing] } });
/** The nearest that two bodies come as both wheels go from droop to bump. */
function gapOf(of: Job, one: string, other: string) {
  const input = locateInput(of, { left: 0, right: 0 });
  const { at } = assemble(input.rig);
  const lifts = [-1, -0.5, 0, 0.5, 1].map((share) => share * (share > 0 ? input.bump : input.droop));
  const poses = lifts.map((lift) => at({ left: lift, right: lift }));
  return closestApproaches(input.rig, poses, { flops: flopsOf(input) }).find(
    ({ a, b }) => (a === one && b === other) || (a === other && b === one),
  );
}

const far = fc.double({ min: -400, max: 400, noNaN: true });
const near = fc.double({ min: 5, max: 300, noNaN: true });
const point = fc.tuple(far, far, far);
const boxes = fc
  .tuple(point, fc.tuple(near, near, near))
  .map(([min, size]) => ({ shape: 'box' as const, min, max: min.map((v, k) => v + size[k]!) as typeof min }));
const cylinders = fc.tuple(point, fc.tuple(near, far, far), near).map(([from, way, radius]) => ({
  shape: 'cylinder' as const,
  from,
  to: from.map((v, k) => v + way[k]!) as typeof from,
  radius,
}));
const solids = fc.oneof(boxes, cylinders);
const small = fc.double({ min: -1, max: 1, noNaN: true });
const steps = fc.array(fc.tuple(small, small, small, small, small), { minLength: 2, maxLength: 12 });

describe('gaps asked pose after pose', () => {
  test('are those of each pose by itself, wherever the last one was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LAYOUT_IDS),
        solids,
        solids,
        fc.constantFrom(undefined, 76),
        steps,
        (layout, one, other, bracket, walk) => {
          const { rig } = withRoll(
            inTheWay(inTheWay(job(layout), { id: 'one', on: 'axle', ...one }), {
              id: 'other',
              on: 'chassis',
              ...other,
            }),
            { springs: usualSprings(job(layout).rig, 'coil'), shock: usualShock },
          );
          const looking = { ...(bracket && { bracket }), deep: true };
          const gaps = gapsOf(rig, looking);
          const pose: Attitude = { x: 0, y: 0, z: rig.tireRadius, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };
          for (const [y, z, roll, pitch, steer] of walk) {
            pose.y += 4 * y;
            pose.z += 30 * z;
            pose.rollDeg += 2 * roll;
            pose.pitchDeg += pitch;
            pose.steerDeg += steer;
            const found = [...gaps.in(pose)];
            const alone = clearances(rig, pose, looking);
            expect(gaps.pairs).toEqual(alone.map(({ a, b }) => ({ a, b })));
            alone.forEach(({ distance }, i) => {
              // How deep two that overlap are is searched for, less finely than how far two are apart.
              const within = distance > 0 ? 2e-3 : 0.05;
              expect(Math.abs(found[i]! - distance)).toBeLessThan(within);
            });
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a cylinder whose end lies along a face of a box', () => {
  test('is as far from it whatever rounding leaves of its axis', () => {
    const [low, high]: [Point, Point] = [
      [-100, -50, -100],
      [100, 50, 100],
    ];
    const box = boxOf(low, high);
    const edges = edgesOf(cornersOfBox(low, high));
    const hair = fc.double({ min: -1e-10, max: 1e-10, noNaN: true });
    fc.assert(
      fc.property(hair, hair, fc.integer({ min: 0, max: 4 }), near, (x, z, bits, radius) => {
        const axis: Point = [x, 1 - (bits * Number.EPSILON) / 2, z];
        const apart = boxToCylinder(box, edges, cylinderOf([0, 400, 0], axis, 80, radius), nowhere());
        expect(apart).toBeCloseTo(270, 6);
      }),
    );
  });
});

describe('what the car itself has there', () => {
  test('a brake, a bracket and a bump stop meet what is drawn through them, and are called as in the trade', () => {
    const car = withRoll(job('three-link-panhard'), {
      springs: usualSprings(job('three-link-panhard').rig, 'coil'),
      stop: { out: 300, gap: 70, rate: 60, height: 60 },
    });
    const { track, tireRadius: r } = car.rig;
    const pipe = inTheWay(car, {
      id: 'pipe',
      on: 'chassis',
      shape: 'capsule',
      from: [0, track / 2 - 130, r + 60],
      to: [0, track / 2 - 130, r + 300],
      radius: 20,
    });
    expect(gapOf(pipe, 'pipe', 'brake-left')!.distance).toBeLessThan(0);
    const [, y, z] = linksOf(car.rig).find((m) => m.id === 'lower-left')!.chassis;
    const bolted = inTheWay(car, {
      id: 'line clip',
      on: 'axle',
      shape: 'sphere',
      centre: [580, y, z + 40],
      radius: 30,
    });
    expect(gapOf(bolted, 'line clip', 'bracket:lower-left/chassis')!.distance).toBeLessThan(0);
    const clip = inTheWay(car, {
      id: 'hose clip',
      on: 'axle',
      shape: 'sphere',
      centre: [0, 300, r + 70],
      radius: 10,
    });
    const hit = gapOf(clip, 'hose clip', 'bump-stop-left')!;
    expect(hit.distance).toBeLessThan(0);
    // A stop is there to be met by the axle.
    expect(gapOf(car, 'axle tube', 'bump-stop-left')).toBeUndefined();
    expect(memberName('bump-stop-left', 'rear')).toBe('left bump stop');
    expect(memberName('bracket:lower-left/chassis', 'rear')).toBe('left lower link’s frame bracket');
    expect(memberName('bracket:panhard/axle', 'front')).toBe('track bar’s axle bracket');
  });

  test('a front axle without a shaft has no differential; its tie rod stands where it was measured', () => {
    const car = job('front-four-link');
    expect(car.rig.obstacles!.map((o) => o.id)).not.toContain('differential cover');
    const { axle } = lateralBarOf(car.rig)!;
    const moved = withBody(
      withBody(car, 'tieRodAhead', axle[0]),
      'tieRodUp',
      axle[2] - car.rig.tireRadius - 20,
    );
    expect(gapOf(car, 'panhard', 'tie-rod')!.distance).toBeGreaterThan(12.7);
    expect(gapOf(moved, 'panhard', 'tie-rod')!.distance).toBeLessThan(0);
  });

  test('brackets are as wide as they were typed', () => {
    const car = job('ladder-bars-panhard');
    const gap = (of: Job) => gapOf(of, 'tire-left', 'bracket:panhard/chassis')!.distance;
    expect(gap(car) - gap(withBody(car, 'bracket', 80))).toBeCloseTo(15, 3);
  });
});

describe('a bent bar that can turn about its eyes', () => {
  // Turned by hand: its bends about the line from eye to eye, before it is looked at as a bar that keeps still.
  const turned = (p: Point, [from, to]: [Point, Point], angle: number): Point => {
    const e = unit(minus(to, from));
    const d = minus(p, from);
    const along = dot(d, e);
    const foot = plus(from, e.map((v) => v * along) as Point);
    const out = minus(p, foot);
    const side = cross(e, out);
    return foot.map((v, k) => v + Math.cos(angle) * out[k]! + Math.sin(angle) * side[k]!) as Point;
  };
  const bend = fc.double({ min: -120, max: 120, noNaN: true });

  test('is as near as in the nearest of all its turns, and no nearer', () => {
    fc.assert(
      fc.property(
        point,
        near,
        fc.array(fc.tuple(bend, bend), { minLength: 1, maxLength: 3 }),
        fc.double({ min: 1, max: 25, noNaN: true }),
        small,
        (centre, radius, bends, flop, roll) => {
          const plain = inTheWay(job('three-link-panhard'), {
            id: 'ball',
            on: 'chassis',
            shape: 'sphere',
            centre: centre.map((v, k) => v + (k === 2 ? 330 : 0)) as Point,
            radius,
          });
          const bar = lateralBarOf(plain.rig)!;
          const path = bends.map(([x, z], i): Point => {
            const on = between(bar.chassis, bar.axle, (i + 1) / (bends.length + 1));
            return [on[0] + x, on[1], on[2] + z];
          });
          const withPath = (by: number) =>
            withBends(
              plain,
              bar.id,
              path.map((p) => turned(p, [bar.chassis, bar.axle], by)),
            ).rig;
          const pose = { x: 0, y: 0, z: plain.rig.tireRadius + 20, rollDeg: roll, pitchDeg: 0, steerDeg: 0 };
          const only = (a: string, b: string) => [a, b].includes(bar.id) && [a, b].includes('ball');
          const swept = clearances(withPath(0), pose, { only, flops: () => flop })[0]!.distance;
          const turns = Array.from({ length: 61 }, (_, i) => (((i - 30) / 30) * flop * Math.PI) / 180);
          const least = Math.min(...turns.map((by) => clearances(withPath(by), pose, { only })[0]!.distance));
          // Between two turns looked at, a degree and a half apart, a bend goes less than this past the straight way.
          expect(Math.abs(swept - least)).toBeLessThan(2.5);
          for (const by of [-1, 0, 1])
            expect(swept).toBeLessThanOrEqual(
              clearances(withPath((by * flop * Math.PI) / 180), pose, { only })[0]!.distance + 1e-6,
            );
        },
      ),
      { numRuns: 60 },
    );
  });
});
