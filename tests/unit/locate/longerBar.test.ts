import fc from 'fast-check';
import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { analyseLocate, findLocate } from '@/core/locate/analyse';
import { mostSideways, rollCentreRange } from '@/core/locate/travel/travelCurve';
import { locateInput } from '@/core/locate/types';
import { locateVerdicts } from '@/core/locate/verdicts/verdicts';
import { lateralBarOf } from '@/core/rig/roles';
import { orNone } from '@/core/rig/read';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

/** How far the axle goes aside, what is said of it, and which way of making it less was found; null of a car without a bar. */
function length(job: Job) {
  const input = locateInput(job, { left: 0, right: 0 });
  const result = orNone(() => analyseLocate(input));
  if (!result?.cures?.lateral) return null;
  const verdict = locateVerdicts(input, result, job.tape).sideways.find(({ id }) => id === 'length')!;
  return { most: mostSideways(result.driven, result.ride.y), verdict, found: result.cures.lateral.length };
}

/** How much higher or lower than drawn a frame end stands, mm: a bar that was never level, or was. */
const tilt = fc.oneof(fc.constant(0), fc.double({ min: -120, max: 120, noNaN: true }));

test('a bar too short is made as long as keeps the axle within what is allowed: by one end, by both, or it is said that none fits', () => {
  const kinds = new Set<string>();
  assertUntil(
    fc.property(plausibleCar, fc.double({ min: 0.1, max: 0.95, noNaN: true }), tilt, (plain, share, rise) => {
      const bar = lateralBarOf(plain.rig);
      if (!bar) return;
      const tilted = withMounts(plain, [
        { member: bar.id, end: 'chassis', axis: 2, mm: bar.chassis[2] + rise },
      ]);
      const shiftLimit = share * (length(tilted)?.most ?? NaN);
      if (!Number.isFinite(shiftLimit)) return;
      const job = { ...tilted, locate: { ...tilted.locate, shiftLimit } };
      const before = length(job);
      if (!before?.found) return;
      kinds.add(before.found.kind);
      const { rig, tape } = job;
      const line = tape === 'mm' ? 1 : tape === 'in16' ? 25.4 / 16 : 25.4 / 32;
      const tyres = rig.track / 2 - rig.tires!.width / 2;
      for (const { text, changes } of before.verdict.remedies) {
        if (!changes) {
          expect(text).toContain('Even with both ends out at the tyres');
          // No bar between the tyres does it: by the arc of one from wall to wall.
          const { bump, droop } = locateInput(job, { left: 0, right: 0 });
          const z = Math.max(bump, droop);
          const widest = 2 * tyres;
          if (rig.end === 'rear')
            expect(widest - Math.sqrt(widest ** 2 - z ** 2)).toBeGreaterThan(0.5 * shiftLimit);
          continue;
        }
        const after = withMounts(job, changes);
        expect(length(after)!.most).toBeLessThanOrEqual(shiftLimit + 0.05);
        const moved = lateralBarOf(after.rig)!;
        for (const y of [moved.chassis[1], moved.axle[1]])
          if (changes.some(({ axis, mm }) => axis === 1 && mm === y)) {
            expect(Math.abs(y)).toBeLessThan(tyres);
            expect(Math.abs(y / line - Math.round(y / line)) < 1e-6 || Math.abs(y) > tyres - 60).toBe(true);
          }
      }
    }),
    { numRuns: 80, endOnFailure: true },
    () => ['bothOut', 'level', 'longer', 'tooShort'].every((kind) => kinds.has(kind)),
  );
});

/** What is left of a bar's length, as a share. */
const share = fc.double({ min: 0.3, max: 0.6, noNaN: true });

test('where the roll centre moves more than the travel, it moves less with the frame end farther out', () => {
  let seen = 0;
  assertUntil(
    fc.property(plausibleCar, share, fc.double({ min: 30, max: 150, noNaN: true }), (long, left, out) => {
      const whole = lateralBarOf(long.rig);
      if (!whole) return;
      const mm = whole.axle[1] + left * (whole.chassis[1] - whole.axle[1]);
      const car = withMounts(long, [{ member: whole.id, end: 'chassis', axis: 1, mm }]);
      const range = (job: Job) => {
        const input = locateInput(job, { left: 0, right: 0 });
        const result = findLocate(input);
        const said = locateVerdicts(input, result, job.tape).sideways;
        return { mm: rollCentreRange(result.driven), told: said.find(({ id }) => id === 'migration') };
      };
      const bar = lateralBarOf(car.rig);
      const before = bar && orNone(() => range(car));
      if (!before?.told) return;
      seen++;
      expect(before.told.remedies[0]!.text).toContain('The frame end farther out');
      const y = bar!.chassis[1] + Math.sign(bar!.chassis[1] - bar!.axle[1]) * out;
      const after = withMounts(car, [{ member: bar!.id, end: 'chassis', axis: 1, mm: y }]);
      expect(range(after).mm).toBeLessThan(before.mm);
    }),
    { numRuns: 60, endOnFailure: true },
    () => seen > 5,
  );
});
