import fc from 'fast-check';
import type { Point } from '@/core/geometry/vector';
import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';
import { travelKept } from '@/core/prove/travelKept';
import { linksOf } from '@/core/rig/members/members';
import { demoJobs } from '@/store/demo';

const marigold = demoJobs().find(({ name }) => name.startsWith('Marigold'))!;
const panhard = linksOf(marigold.rig).find(({ id }) => id === 'panhard')!;
const bump = travelOf(marigold).bump;
const middle = panhard.chassis.map((v, k) => (v + panhard.axle[k]!) / 2) as Point;

/** The panhard bar bent down by so much in its middle, under a plate on the frame so far over where it would be straight. */
function under(gap: number, dip: number): Job {
  const radius = panhard.od! / 2;
  const job: Job = {
    ...marigold,
    rig: {
      ...marigold.rig,
      members: marigold.rig.members.map((m) =>
        m.id === 'panhard' ? { ...panhard, path: { chassis: [[middle[0], middle[1], middle[2] - dip]] } } : m,
      ),
      obstacles: [
        {
          id: 'plate',
          on: 'chassis',
          shape: 'box',
          min: [middle[0] - 30, middle[1] - 20, middle[2] + radius + gap],
          max: [middle[0] + 30, middle[1] + 20, middle[2] + radius + gap + 30],
        },
      ],
    } as Job['rig'],
  };
  return withBodies(job);
}
const kept = (job: Job) =>
  travelKept(
    job,
    linksOf(job.rig).find(({ id }) => id === 'panhard')!,
  )!;

describe('what the bends of a bar buy of travel', () => {
  test('a straight bar buys nothing, and nothing is said of it', () => {
    expect(travelKept(marigold, panhard)).toBeNull();
  });

  test('a plate over it stops the straight bar where its middle comes up to it, the bent one by its dip later', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 12, max: 30, noNaN: true }),
        fc.double({ min: 40, max: 90, noNaN: true }),
        (gap, dip) => {
          const { bent, straight, bump: whole } = kept(under(gap, dip));
          expect(whole).toBe(bump);
          // The axle's end goes up with its wheels, the frame's stays: the middle does some half of it, with one wheel alone less.
          expect(straight).toBeGreaterThan(1.5 * gap);
          expect(straight).toBeLessThan(3 * gap);
          expect(bent).toBe(bump);
        },
      ),
      { numRuns: 12 },
    );
  });

  test('more room never means less travel, and touching as the car stands is none', () => {
    const over = [4, 12, 20, 28, 60].map((gap) => kept(under(gap, 60)).straight);
    expect([...over].sort((a, b) => a - b)).toEqual(over);
    expect(over.at(-1)).toBe(bump);
    expect(kept(under(-10, 60)).straight).toBe(0);
  });

  test('raised by what is lost, the centre of gravity is higher by the sprung share of it', () => {
    const { bent, straight, higherShare } = kept(under(14, 80));
    const { masses, cgHeight } = under(14, 80).rig;
    const { total, unsprungFront, unsprungRear } = masses!;
    const raised = ((total - unsprungFront - unsprungRear) * (cgHeight! + (bent - straight))) / total;
    const rest = ((unsprungFront + unsprungRear) * cgHeight!) / total;
    expect(higherShare! * cgHeight!).toBeCloseTo(raised + rest - cgHeight!, 6);
    const unknown = under(14, 80);
    expect(
      kept({ ...unknown, rig: { ...unknown.rig, masses: undefined } as Job['rig'] }).higherShare,
    ).toBeNull();
  });
});
