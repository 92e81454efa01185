import fc from 'fast-check';
import { adjusterOf, perTurn } from '@/core/ride/turns/adjusters';
import { settingOf } from '@/core/ride/alignment';
import { settingBars } from '@/core/ride/alignmentBars';
import { turnEffects } from '@/core/ride/turns/turnEffects';
import type { Job } from '@/core/job/jobSchema';
import { assemble } from '@/core/kinematics/mechanism';
import type { Member } from '@/core/rig/members/members';
import { orNone } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

/** The same car with one bar that much longer in its file. */
const withLonger = (job: Job, id: string, mm: number): Job => ({
  ...job,
  rig: {
    ...job.rig,
    members: job.rig.members.map((m): Member => {
      if (m.id !== id || m.type !== 'link') return m;
      const drawn = Math.hypot(...m.chassis.map((v, k) => v - m.axle[k]!));
      return { ...m, length: (m.length ?? drawn) + mm };
    }),
  },
});

test('a turn does what a bar that is so much longer does, solved as a car of its own', () => {
  let seen = 0;
  assertUntil(
    fc.property(plausibleCar, (job) => {
      const was = orNone(() => assemble(job.rig).ride);
      if (!was) return;
      for (const effect of turnEffects(job)) {
        const { ride: is } = assemble(withLonger(job, effect.id, effect.longer).rig);
        if (!job.rig.members.some((m) => m.id === effect.id && m.type === 'link')) continue;
        seen++;
        expect(effect.left).toBeCloseTo(is.y - was.y, 4);
        expect(effect.forward).toBeCloseTo(is.x - was.x, 4);
        expect(effect.noseDown).toBeCloseTo(is.pitchDeg - was.pitchDeg, 4);
        // The left wheel ahead is the axle turned to the right.
        const turned = Math.tan((is.steerDeg * Math.PI) / 180) - Math.tan((was.steerDeg * Math.PI) / 180);
        expect(effect.ahead).toBeCloseTo(-job.rig.track * turned, 3);
      }
    }),
    { numRuns: 60, endOnFailure: true },
    () => seen > 50,
  );
});

test('every threaded bar that sets something has its line, and no other', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      if (!orNone(() => assemble(job.rig))) return;
      const threaded = settingBars(job.rig).filter(
        (bar) => bar.by === 'length' && perTurn(adjusterOf(job, bar)) !== null,
      );
      expect(turnEffects(job).map(({ id }) => id)).toEqual(threaded.map(({ id }) => id));
      const fixed = Object.fromEntries(
        threaded.map(({ id }) => [
          id,
          { style: 'fixed' as const, frame: job.cut.thread, axle: job.cut.thread },
        ]),
      );
      expect(turnEffects({ ...job, ride: { ...job.ride, adjusters: fixed } })).toEqual([]);
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('the turns that are ordered are those that the table makes up for, on a car that is a little off', () => {
  const marigold = demoJobs().find((job) => job.layout === 'three-link-panhard')!;
  const off = 3;
  const job = {
    ...marigold,
    ride: { ...marigold.ride, tolerance: 0.5, gaps: { left: 120 + off, right: 120 - off }, rounds: [] },
  };
  const [step] = settingOf(job)!.steps.filter(({ task }) => task === 'centre');
  const [bar] = step!.bars;
  const effect = turnEffects(job).find(({ id }) => id === bar!.id)!;
  expect(effect.left * bar!.turns!).toBeCloseTo(-settingOf(job)!.now.offset!, 1);
});
