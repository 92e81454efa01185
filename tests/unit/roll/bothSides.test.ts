import fc from 'fast-check';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { axleToChassis } from '@/core/kinematics/attitude';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached, type Pose } from '@/core/kinematics/pose';
import { distance } from '@/core/geometry/vector';
import { orNone } from '@/core/rig/read';
import { analyseRoll, type RollResult } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { usualShock } from '@/core/springs/springDesign';
import { mirrored } from '../../support/mirrored';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const apart = {
  frame: { out: 330, ahead: 90, height: 620 },
  axle: { out: 430, ahead: 60, height: 300 },
};

/** A car with a shock of its own on each side, leaning in. */
const shocked = (car: Job): Job => withRoll(car, { shock: { ...usualShock, apart } });

const ride = (job: Job): RollResult => analyseRoll(rollInput(job, { left: 0, right: 0 }), 'springs');

test('a car and its mirror image ride alike, though the axle goes sideways and makes one side’s spring shorter', () => {
  fc.assert(
    fc.property(plausibleCar, (car) => {
      const here = orNone(() => ride(shocked(car)));
      if (!here?.ride) return;
      const other = ride(mirrored(shocked(car)));
      expect(other.ride!.rows).toHaveLength(here.ride.rows.length);
      here.ride.rows.forEach((row, i) => {
        const same = other.ride!.rows[i]!;
        expect(same.length).toBeCloseTo(row.length, 2);
        // As near as the lengths are: links that fight each other are settled to some thousandths of a millimetre.
        expect(Math.abs(same.load - row.load)).toBeLessThan(0.05 + 2e-4 * Math.abs(row.load));
      });
      here.shock.forEach(({ length }, i) => expect(other.shock[i]!.length).toBeCloseTo(length, 2));
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('of two shocks that one is told that is nearer its end: the shorter going up, the longer going down', () => {
  let unlike = 0;
  assertUntil(
    fc.property(plausibleCar, (car) => {
      const job = shocked(car);
      const moving = orNone(() => assemble(job.rig));
      if (!moving) return;
      for (const { lift, length } of ride(job).shock) {
        const pose = moving.at({ left: lift, right: lift });
        if (!isReached(pose)) continue;
        const place = axleToChassis(pose as Pose, job.rig.tireRadius);
        const [left, right] = ([1, -1] as const).map((side) =>
          distance(
            [apart.frame.ahead, side * apart.frame.out, apart.frame.height],
            place([apart.axle.ahead, side * apart.axle.out, apart.axle.height]),
          ),
        ) as [number, number];
        if (Math.abs(left - right) > 0.1) unlike++;
        expect(length).toBeCloseTo(lift > 0 ? Math.min(left, right) : Math.max(left, right), 6);
      }
    }),
    { numRuns: 40, endOnFailure: true },
    () => unlike > 10,
  );
});
