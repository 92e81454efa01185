import fc from 'fast-check';
import { withLayout } from '@/core/job/edits/members/layout';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { settingOf } from '@/core/ride/alignment';
import { ARM_TUBE, armWork } from '@/core/ride/armWork';
import { pullOnLeaves } from '@/core/ride/preload';

const car = withLayout(newJob('arm', 'Arm', 'mm'), 'torque-arm-panhard');
const withPinion = (read: number, ride: Partial<Job['ride']> = {}): Job => ({
  ...car,
  ride: { ...car.ride, read: { pinion: read }, wanted: { pinion: 0 }, ...ride },
});
const work = (job: Job) => armWork(job, settingOf(job)!.steps.find((s) => s.task === 'pinion')!.bars[0]!)!;

describe('the pinion at a torque arm', () => {
  test('by two tubes: the upper one longer tips the housing as much as the mount would have', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -4, max: 4, noNaN: true }).filter((d) => Math.abs(d) > 0.3),
        fc.double({ min: 60, max: 250, noNaN: true }),
        (read, apart) => {
          const { mm } = work(withPinion(read, { arm: { by: 'tubes', apart } }));
          // Nose down as read is to come up: the arm, held at its mount, is tipped against the housing by that angle.
          expect(mm / apart).toBeCloseTo(Math.tan((read * Math.PI) / 180), 2);
        },
      ),
    );
  });

  test('as it was made: shims by default, turns of its own threads, a bolt in its slot, or nothing but the mount', () => {
    const shims = work(withPinion(2));
    expect([shims.by, shims.mm > 0]).toEqual(['shims', true]);
    expect(work(withPinion(2, { arm: { by: 'fixed', apart: null } }))).toEqual({ ...shims, by: 'fixed' });
    expect(work(withPinion(2, { arm: { by: 'plate', apart: null } })).mm).toBeNaN();
    expect(work(withPinion(2, { arm: { by: 'plate', apart: 100 } })).mm).toBeGreaterThan(0);
    const tube = { style: 'tube', frame: '3/4-16', axle: '3/4-16' } as const;
    const threaded = work(
      withPinion(2, { arm: { by: 'tubes', apart: 150 }, adjusters: { [ARM_TUBE]: tube } }),
    );
    expect(Math.abs(threaded.turns! - threaded.mm / 3.175)).toBeLessThanOrEqual(0.0625 + 1e-9);
    expect((threaded.turns! * 8) % 1).toBe(0);
  });
});

describe('a bar beside leaf springs', () => {
  const leaf = withLayout(car, 'leaf-panhard');

  test('carries at rest what both leaves push back with, and every turn adds its share', () => {
    const leaves = leaf.rig.members.flatMap((m) => (m.type === 'leaf' ? [m.lateralRate] : []));
    const both = leaves[0]! + leaves[1]!;
    const { force, turn } = pullOnLeaves(leaf, -4)!;
    expect(force).toBeCloseTo(4 * both, 6);
    // Two threads of 16 to the inch.
    expect(turn).toBeCloseTo((both * 2 * 25.4) / 16, 6);
    expect(pullOnLeaves(car, 4)).toBeNull();
    expect(pullOnLeaves(withLayout(car, 'leaf-alone'), 4)).toBeNull();
  });
});
