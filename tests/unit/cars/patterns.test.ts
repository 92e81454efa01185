import fc from 'fast-check';
import { applyReadings } from '@/core/job/applyReadings';
import { withLayout } from '@/core/job/edits/members/layout';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { lockOf, travelOf } from '@/core/job/jobValues';
import { newJob } from '@/core/job/newJob';
import { LIMITS } from '@/core/materials/limits';
import { LAYOUT_IDS, type LayoutId } from '@/core/rig/layouts';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { barThatFits, springsThatFit } from '@/core/roll/placing';
import { usualShock } from '@/core/springs/springDesign';
import { tooNear } from '@/core/swaybar/packaging';
import { usualBar, usualBladeBar, usualStripBar } from '@/core/swaybar/swayBarDesign';
import { located } from '../../support/locate';

/** Ordinary cars: from small ones on narrow tyres to trucks on wide ones. */
const sizes = fc.record({
  tireRadius: fc.integer({ min: 290, max: 400 }),
  track: fc.integer({ min: 1330, max: 1750 }),
  tireWidth: fc.integer({ min: 165, max: 265 }),
});
const at = '2026-01-01T00:00:00.000Z';
const reading = (value: number) => [{ value, typed: String(value), at }];

function carOf(layout: LayoutId, { tireRadius, track, tireWidth }: Record<string, number>): Job {
  const job = withLayout(newJob('pattern', 'Pattern', 'mm'), layout);
  return applyReadings({
    ...job,
    readings: {
      'tireRadius.left': reading(tireRadius!),
      'tireRadius.right': reading(tireRadius!),
      track: reading(track!),
      tireWidth: reading(tireWidth!),
    },
  });
}
const carFor = (job: Job) => ({ ...job.roll, rig: job.rig, ...travelOf(job), lock: lockOf(job) });

describe.each(LAYOUT_IDS)('%s, as it is laid out', (layout) => {
  test('stands clear, in reach and unbound on any ordinary car', () => {
    fc.assert(
      fc.property(sizes, (size) => {
        const { result, verdicts } = located(carOf(layout, size));
        const tight = result.gaps.filter((gap) => gap.distance < LIMITS.clearance.least - 1e-6);
        expect(tight.map(({ a, b }) => `${a} / ${b}`)).toEqual([]);
        const said = [...verdicts.sideways, ...verdicts.lengthwise, ...verdicts.room];
        expect(said.filter((v) => v.state === 'stop').map((v) => v.id)).toEqual([]);
        expect(result.curve.some((p) => p.limitingMember !== undefined)).toBe(false);
      }),
      { numRuns: 12 },
    );
  });

  test('takes the first springs and the first sway bar clear of everything, the bar elastic and followed by its links', () => {
    fc.assert(
      fc.property(
        sizes,
        fc.constantFrom('coil' as const, 'air' as const),
        fc.constantFrom(usualBar, usualBladeBar, usualStripBar),
        (size, kind, make) => {
          const bare = withRoll(carOf(layout, size), { shock: usualShock });
          const sprung = withRoll(bare, { springs: springsThatFit(carFor(bare), kind) });
          const tight = located(sprung).result.gaps.filter(
            (gap) => gap.distance < LIMITS.clearance.least - 1e-6,
          );
          expect(tight.map(({ a, b }) => `${a} / ${b}`)).toEqual([]);
          const barred = withRoll(sprung, { bar: barThatFits(carFor(sprung), make(sprung.rig)) });
          const { bar } = analyseRoll(rollInput(barred, { left: 0, right: 0 }), 'bar');
          expect(
            tooNear({ rig: barred.rig, bar: barred.roll.bar }, bar!.gaps).map((g) => `${g.part} / ${g.body}`),
          ).toEqual([]);
          expect(bar!.links!.lost).toEqual([]);
          for (const { most, allowed } of bar!.links!.cocked) expect(most).toBeLessThanOrEqual(allowed);
          // Spring steel hardened and drawn: some 1,200 N/mm² before it takes a set (handbooks, from memory).
          for (const row of bar!.rows) expect(row.stress).toBeLessThan(1200);
        },
      ),
      { numRuns: 6 },
    );
  });
});
