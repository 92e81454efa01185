import fc from 'fast-check';
import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { analyseLocate } from '@/core/locate/analyse';
import { mostSideways, rollCentreRange } from '@/core/locate/travelCurve';
import { locateInput } from '@/core/locate/types';
import { locateVerdicts } from '@/core/locate/verdicts/verdicts';
import { lateralBarOf } from '@/core/rig/roles';
import { orNone } from '@/core/rig/read';
import { plausibleCar } from '../../support/plausible';

/** How far the axle goes aside, what is said of it, and which way of making it less was found; null of a car without a bar. */
function length(job: Job) {
  const input = locateInput(job, { left: 0, right: 0 });
  const result = orNone(() => analyseLocate(input));
  if (!result?.remedies) return null;
  const verdict = locateVerdicts(input, result, job.tape).sideways.find(({ id }) => id === 'length')!;
  return { most: mostSideways(result.driven, result.ride.y), verdict, found: result.remedies.length };
}

test('a bar too short is made as long as keeps the axle within what is allowed: by one end, by both, or it is said that none fits', () => {
  const kinds = new Set<string>();
  fc.assert(
    fc.property(plausibleCar, fc.double({ min: 0.4, max: 8, noNaN: true }), (plain, shiftLimit) => {
      const job = { ...plain, locate: { ...plain.locate, shiftLimit } };
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
        const bar = lateralBarOf(after.rig)!;
        for (const y of [bar.chassis[1], bar.axle[1]])
          if (changes.some(({ axis, mm }) => axis === 1 && mm === y)) {
            expect(Math.abs(y)).toBeLessThan(tyres);
            expect(Math.abs(y / line - Math.round(y / line)) < 1e-6 || Math.abs(y) > tyres - 60).toBe(true);
          }
      }
    }),
    { numRuns: 80, endOnFailure: true },
  );
  expect([...kinds].sort()).toEqual(['bothOut', 'level', 'longer', 'tooShort']);
});

test('where the roll centre moves more than the travel, it moves less with the frame end farther out', () => {
  let seen = 0;
  fc.assert(
    fc.property(plausibleCar, fc.double({ min: 30, max: 150, noNaN: true }), (car, out) => {
      const range = (job: Job) => {
        const input = locateInput(job, { left: 0, right: 0 });
        const { driven } = analyseLocate(input);
        const said = locateVerdicts(input, analyseLocate(input), job.tape).sideways;
        return { mm: rollCentreRange(driven), told: said.find(({ id }) => id === 'migration') };
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
    { numRuns: 80, endOnFailure: true },
  );
  expect(seen).toBeGreaterThan(0);
});
