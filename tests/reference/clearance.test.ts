import fc from 'fast-check';
import { clearances } from '@/core/clearance/clearance';
import type { Attitude } from '@/core/kinematics/attitude';
import { axleToChassis } from '@/core/kinematics/attitude';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { patternRig } from '../support/layouts';
import type { Point } from '@/core/geometry/vector';

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
      const found = clearances(rig, pose).find((c) => c.member === 'a')!.distance;
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
