import fc from 'fast-check';
import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { tightApproaches } from '@/core/clearance/tightOverTravel';
import { withBodies } from '@/core/job/bodies/bodies';
import { withBends } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { assemble } from '@/core/kinematics/mechanism';
import type { SweptPose } from '@/core/kinematics/pose';
import { flopsOf, locateInput } from '@/core/locate/types';
import { between as betweenPoints } from '@/core/geometry/vector';
import { lateralBarOf } from '@/core/rig/roles';
import type { Obstacle } from '@/core/rig/schema';
import { plausibleCar } from '../../support/plausible';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const places = fc.tuple(between(-700, 700), between(-800, 800), between(120, 800));
const things: fc.Arbitrary<Obstacle[]> = fc
  .array(
    fc.tuple(
      places,
      fc.tuple(between(20, 300), between(20, 300), between(20, 300)),
      fc.constantFrom('chassis', 'axle'),
    ),
    { maxLength: 3 },
  )
  .map((all) =>
    all.map(([min, size, on], i) => ({
      id: `thing ${i}`,
      on: on as 'chassis' | 'axle',
      shape: 'box',
      min,
      max: min.map((v, k) => v + size[k]!) as typeof min,
    })),
  );

/** The bar across bent up in its middle, where there is one. */
function bentUp(job: Job, by: number): Job {
  const bar = lateralBarOf(job.rig);
  if (!bar) return job;
  const [x, y, z] = betweenPoints(bar.chassis, bar.axle, 0.5);
  return withBends(job, bar.id, [[x, y, z + by]]);
}

const cars = fc.tuple(plausibleCar, things, fc.option(between(-80, 120))).map(([car, own, bend]) => {
  const job = bend === null ? car : bentUp(car, bend);
  return withBodies({ ...job, rig: { ...job.rig, obstacles: [...(job.rig.obstacles ?? []), ...own] } });
});

const shares = fc.array(fc.tuple(between(-1, 1), between(-1, 1)), { minLength: 1, maxLength: 8 });

describe('the pairs that get tight over the travel', () => {
  test('are those of all pairs, each as near; and of each group the closest', () => {
    fc.assert(
      fc.property(
        cars,
        shares,
        fc.constantFrom(0, 12.7, 150),
        fc.constantFrom(undefined, 25, -25),
        (job, wheels, within, lock) => {
          const input = locateInput(job, { left: 0, right: 0 });
          const { rig, bump, droop } = input;
          const { at } = assemble(rig);
          const poses = wheels.map(([left, right]): SweptPose => {
            const lift = (share: number) => share * (share > 0 ? bump : droop);
            return at({ left: lift(left), right: lift(right) });
          });
          const group = (a: string, b: string) => (`${a}${b}`.length % 2 ? 'odd' : 'even');
          const looking = { lockDeg: rig.end === 'front' ? lock : undefined, flops: flopsOf(input) };
          const all = closestApproaches(rig, poses, looking);
          const found = tightApproaches(rig, poses, looking, { within, group });
          for (const gap of all.filter(({ distance }) => distance < within)) {
            const same = found.find(({ a, b }) => a === gap.a && b === gap.b);
            // How near two come is told to a hair, and as near at two places of the travel by chance.
            expect(Math.abs(same!.distance - gap.distance)).toBeLessThan(0.05);
          }
          for (const kind of ['odd', 'even']) {
            const closest = all.find(({ a, b }) => group(a, b) === kind);
            const told = found.find(({ a, b }) => group(a, b) === kind);
            expect(told?.distance ?? 0).toBeCloseTo(closest?.distance ?? 0, 1);
            expect(
              found.filter(({ a, b, distance }) => group(a, b) === kind && distance >= within).length,
            ).toBe(closest && closest.distance >= within ? 1 : 0);
          }
        },
      ),
      { numRuns: 150 },
    );
  });
});
