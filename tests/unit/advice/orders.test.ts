import fc from 'fast-check';
import { ordersOf } from '@/core/advice/orders';
import type { Job } from '@/core/job/jobSchema';
import { LIMITS } from '@/core/materials/limits';
import { orNone } from '@/core/rig/read';
import { stepOf } from '@/core/ride/turns/adjusters';
import { settingOf, type Setting } from '@/core/ride/alignment';
import { proposedPinion, wantedPinion } from '@/core/ride/targets';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** A car on the ground as it was read: off the middle, mm; left wheel ahead, mm; pinion, degrees. */
const onGround = (job: Job, offset: number, ahead: number, pinion: number): Job => {
  const [left, right] = job.rig.end === 'rear' ? [0, ahead] : [ahead, 0];
  return {
    ...job,
    ride: {
      ...job.ride,
      gaps: { left: 120 + offset, right: 120 - offset },
      read: { 'ahead.left': 2700 + left, 'ahead.right': 2700 + right, pinion },
    },
  };
};

const found = (job: Job): Setting | null => orNone(() => settingOf(job));

const car = fc.tuple(plausibleCar, between(-15, 15), between(-12, 12), between(-4, 4));

test('nobody is ordered towards an angle that nobody has asked for', () => {
  fc.assert(
    fc.property(car, ([job, offset, ahead, pinion]) => {
      const read = onGround(job, offset, ahead, pinion);
      expect(wantedPinion(read)).toBeNull();
      expect(ordersOf(read).filter(({ what }) => /pinion|caster|toe/.test(what))).toEqual([]);
      expect(found(read)?.pinionSet ?? true).toBe(true);
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('what is within tolerance is not ordered', () => {
  fc.assert(
    fc.property(car, fc.array(between(-0.95, 0.95), { minLength: 3, maxLength: 3 }), ([job], share) => {
      const { square, pinion } = LIMITS.onGround;
      const wanted = 2;
      const read = onGround(
        job,
        share[0]! * job.ride.tolerance,
        share[1]! * square,
        wanted + share[2]! * pinion,
      );
      expect(ordersOf({ ...read, ride: { ...read.ride, wanted: { pinion: wanted } } })).toEqual([]);
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('carried out, the orders leave the car within tolerance, and nothing more to do', () => {
  let carried = 0;
  assertUntil(
    fc.property(car, between(-3, 3), ([job, offset, ahead, pinion], wanted) => {
      const read = onGround(job, offset, ahead, pinion);
      const asked = { ...read, ride: { ...read.ride, wanted: { pinion: wanted } } };
      const setting = found(asked);
      const bars = setting?.steps.flatMap((s) => s.bars) ?? [];
      // An arm that is shifted or shimmed has no turns to be counted.
      if (!setting || bars.length === 0 || bars.some(({ turns }) => turns === null)) return;
      carried++;
      const { after } = setting.steps.at(-1)!;
      const step = Math.max(...bars.map(({ adjuster }) => stepOf(adjuster)));
      // What the turns were rounded by is what may be left: less than half a step each.
      const slack = step * 3.5;
      expect(Math.abs(after.offset!)).toBeLessThan(job.ride.tolerance + slack);
      expect(Math.abs(after.ahead!)).toBeLessThan(LIMITS.onGround.square + slack);
      const first = bars[0]!.id;
      const turned = new Map<string, number>();
      for (const bar of bars) turned.set(bar.id, (turned.get(bar.id) ?? 0) + bar.turns!);
      expect(turned.has(first)).toBe(true);
      const then = found({
        ...onGround(asked, after.offset!, after.ahead!, after.pinion!),
        ride: {
          ...onGround(asked, after.offset!, after.ahead!, after.pinion!).ride,
          wanted: { pinion: wanted },
        },
      });
      expect(then?.steps ?? []).toEqual([]);
    }),
    { numRuns: 60, endOnFailure: true },
    () => carried > 2,
  );
});

test('a proposed pinion is parallel to the transmission but for what power winds up, and only where that was read', () => {
  fc.assert(
    fc.property(plausibleCar, between(-6, 6), (job, deg) => {
      expect(proposedPinion(job)).toBeNull();
      if (job.rig.end === 'front' || !job.rig.driveshaft) return;
      const told: Job = {
        ...job,
        typed: { ...job.typed, 'driveshaft/transmissionAngleDeg': String(deg) },
        rig: { ...job.rig, driveshaft: { ...job.rig.driveshaft, transmissionAngleDeg: deg } },
      };
      const { value, windUp } = proposedPinion(told)!;
      expect(value - deg).toBeCloseTo(windUp, 9);
      expect(windUp).toBeGreaterThan(0);
    }),
    { numRuns: 30, endOnFailure: true },
  );
});
