import fc from 'fast-check';
import { adviseOn } from '@/core/advice/advise';
import { inHoles } from '@/core/advice/holes';
import { lookAt } from '@/core/advice/look';
import type { Job } from '@/core/job/jobSchema';
import { mountsOf } from '@/core/rig/mounts';
import { orNone } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

/** The car with a row of holes on every bracket of its links and arms, each eye in the third from below. */
const holed = (job: Job, pitch: number): Job => ({
  ...job,
  holes: Object.fromEntries(
    job.rig.members.flatMap((m) =>
      mountsOf(job.rig, m.id).map(({ key, point }) => [
        `${m.id}/${key}`,
        { lowest: point[2] - 2 * pitch, pitch, count: 5 },
      ]),
    ),
  ),
});

test('whatever is advised, an eye in a bracket with holes goes to one of them', () => {
  let moved = 0;
  assertUntil(
    fc.property(plausibleCar, fc.constantFrom(12.7, 19.05, 25.4), (plain, pitch) => {
      const job = holed(plain, pitch);
      const look = orNone(() => lookAt(job));
      if (!look) return;
      for (const { offered, priced } of adviseOn(job, look))
        for (const { remedy } of [...offered, ...priced])
          for (const { member, end, axis, mm } of remedy.changes ?? []) {
            if (axis !== 2) continue;
            moved++;
            const { lowest } = job.holes[`${member}/${end}`]!;
            const hole = (mm - lowest) / pitch;
            expect([remedy.text, Math.abs(hole - Math.round(hole)) < 1e-6]).toEqual([remedy.text, true]);
            expect(hole).toBeGreaterThan(-1e-6);
            expect(hole).toBeLessThan(4 + 1e-6);
          }
    }),
    { numRuns: 25, endOnFailure: true },
    () => moved > 5,
  );
});

test('it is said by its hole; what has none goes where it was to go', () => {
  const job = demoJobs().find(({ id }) => id === 'demo-marigold')!;
  const change = (end: 'chassis' | 'axle', mm: number) => ({ member: 'panhard', end, axis: 2 as const, mm });
  const at = 14.875 * 25.4;
  const lower = (by: number) =>
    inHoles(job, { text: `Lower the frame end`, changes: [change('chassis', at - by)] });
  expect(lower(25.4).text).toBe('Lower the frame end to hole 2 of 5, from below (1 in)');
  expect(lower(30)).toEqual(lower(25.4));
  const axle = { text: 'Raise the axle end 1 in', changes: [change('axle', at)] };
  expect(inHoles(job, axle)).toBe(axle);
  const both = {
    text: 'Frame end out',
    changes: [{ ...change('chassis', 460), axis: 1 as const }, change('chassis', at - 30)],
  };
  expect(inHoles(job, both).text).toBe('Frame end out, as near as its holes let it: hole 2 of 5, from below');
});
