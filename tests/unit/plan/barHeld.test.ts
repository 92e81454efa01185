import fc from 'fast-check';
import { jobCut } from '@/core/cut/jobCut';
import { shoppingList } from '@/core/cut/lists';
import { dueOf } from '@/core/drive/rechecks';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { barHeldIn } from '@/core/job/made/sway/barHeld';
import { type BarHeld, sleeveFor } from '@/core/swaybar/throughFrame';
import { railsOf } from '@/core/job/bodies/frameRails';
import { planNow } from '@/core/plan/standing';
import { tasksOf } from '@/core/plan/plan';
import { frameChecks } from '@/core/roll/checks/frame';
import { usualBar, usualBladeBar, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { heldPoints, SWAY_BAR } from '@/core/weld/held';
import { torqueSheet } from '@/core/weld/torqueSheet';
import { demoJobs } from '@/store/demo';
import { driven } from '../../support/driven';

/** A demo car with a bar of either make, on straps, in a tube of its own, or at the height of its rails through both. */
const fitted = fc
  .tuple(
    fc.constantFrom(...demoJobs()),
    fc.constantFrom(usualBar, usualBladeBar),
    fc.constantFrom<BarHeld>('straps', 'sleeves', 'tube'),
    fc.boolean(),
  )
  .map(([job, usual, held, inRails]) => {
    const bar = { ...usual(job.rig), mountedOn: 'chassis' as const };
    const rails = railsOf(job);
    const through = (rails[0]?.underside ?? 0) + (rails[0]?.height ?? 0) / 2;
    const under = Math.min(bar.height, (rails[0]?.underside ?? 1000) - 100);
    const wide = 2 * Math.max(0, ...rails.map(({ outside }) => Math.abs(outside))) + 60;
    const isIn = held === 'sleeves' || (held === 'tube' && inRails);
    const design: BarDesign = {
      ...bar,
      ...{ middle: Math.max(bar.middle, wide), eyes: Math.max(bar.eyes, wide) },
      height: isIn ? through : under,
      housing: held === 'tube' ? bar.od + 12 : null,
    };
    return { job: withRoll(job, { bar: design }), held, hasRails: rails.length > 0, isIn };
  });

const textOf = (job: Job) =>
  tasksOf(job)
    .map(({ title, how }) => `${title} ${how}`)
    .join('\n');

describe('what a sway bar turns in', () => {
  test('straps are cut, bought, drilled for, tightened and looked at again where it is held by straps, and nowhere else', () => {
    fc.assert(
      fc.property(fitted, ({ job, held, hasRails }) => {
        fc.pre(hasRails);
        expect(barHeldIn(job)).toBe(held);
        const cut = jobCut(job);
        const lines = torqueSheet(job).map(({ id }) => id);
        const said = [
          cut.flats.some(({ id }) => id === 'sway-bar-strap'),
          cut.wraps.some(({ id }) => id === 'sway-bar-drill-sheet'),
          shoppingList(job, cut).some(({ what }) => what.includes('sway bar’s straps')),
          lines.includes('swayBar/straps'),
          /sway bar[^\n]*straps/i.test(textOf(job)),
          dueOf(driven(job)).some(({ title }) => title.includes('straps and end links')),
        ];
        expect(said).toEqual(said.map(() => held === 'straps'));
        expect(lines).toContain('swayBar/links');
      }),
      { numRuns: 40 },
    );
  });

  test('a tube is cut as long as from bushing to bushing, sleeves as a rail is wide; both are welded, in an order that can be done', () => {
    fc.assert(
      fc.property(fitted, ({ job, held, hasRails, isIn }) => {
        fc.pre(hasRails && held !== 'straps');
        const bar = job.roll.bar!;
        const pieces = jobCut(job).pieces.filter(({ of }) => of === 'sway-bar');
        expect(pieces.map(({ id }) => id)).toEqual([held === 'tube' ? 'sway-bar-tube' : 'sway-bar-sleeve']);
        if (held === 'tube') {
          expect(pieces[0]).toMatchObject({
            length: bar.bushings,
            quantity: 1,
            section: { od: bar.housing },
          });
          expect(heldPoints(job, SWAY_BAR)[0]!.name).toBe('Left end of its tube');
        }
        const plan = planNow(job);
        expect(plan.ok).toBe(true);
        const order = plan.ok ? plan.steps.map(({ task }) => task.id) : [];
        const at = (id: string) => order.indexOf(id);
        expect(at('fit/sway/sleeves/weld')).toBeGreaterThan(-1);
        expect(at('fit/sway/holes') >= 0).toBe(isIn);
        // What is bent goes into it on the bench; what is straight, once it has been welded.
        const intoTube = at(bar.made === 'arms' || held === 'tube' ? 'fit/sway/in' : 'fit/sway/sleeves/weld');
        const last = held === 'tube' || bar.made === 'arms' ? at('fit/sway/sleeves/weld') : at('fit/sway/in');
        expect(intoTube).toBeGreaterThan(last);
        expect(at('fit/sway/sleeves') >= 0).toBe(bar.made === 'one-piece');
        if (bar.made === 'one-piece')
          expect(at('fit/sway/sleeves')).toBeLessThan(at('fit/sway/sleeves/weld'));
        expect(at('bolt/sway')).toBeGreaterThan(at('fit/sway/sleeves/weld'));
      }),
      { numRuns: 40 },
    );
  });

  test('whether a bar goes into its tube is said by its own bends', () => {
    const wide = fc.double({ min: 1, max: 400, noNaN: true });
    fc.assert(
      fc.property(fitted, wide, ({ job, held }, more) => {
        fc.pre(held === 'tube');
        const bar = { ...job.roll.bar!, housing: job.roll.bar!.od + more };
        const [said] = frameChecks(bar, railsOf(job), job.tape);
        const least = sleeveFor(bar, bar.bushings);
        expect(said!.state).toBe(bar.made === 'arms' ? 'ok' : 'look');
        if (bar.made === 'one-piece')
          expect(/does not go into a whole tube/.test(said!.title)).toBe(
            least === null || least >= bar.housing,
          );
      }),
    );
  });
});
