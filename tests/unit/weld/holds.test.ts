import fc from 'fast-check';
import { advanceBracket, jobConditions, weldStripe } from '@/core/bench/holdPoint';
import { jobFault } from '@/core/job/file';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { assemble } from '@/core/kinematics/mechanism';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { distance } from '@/core/geometry/vector';
import { LIMITS } from '@/core/materials/limits';
import { isLink, linksOf } from '@/core/rig/members/members';
import { withMount } from '@/core/rig/mounts';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { fastening } from '@/core/weld/fastening';
import { heldIds, heldName, heldPoints, SWAY_BAR } from '@/core/weld/held';
import { isVerified, jointState, release, STATES } from '@/core/weld/holdPoint';
import { measuredKey, stripeKey, type Condition } from '@/core/weld/conditions/condition';
import { placeTolerance } from '@/core/weld/placeTolerance';
import { MM_PER_INCH } from '@/core/units/tape';
import { plausibleCar } from '../../support/plausible';

const NOW = '2026-05-02T09:00:00.000Z';
const onItsWeight = (job: Job): Job => ({ ...job, place: { ...job.place, holding: 'weight' } });
const withBar = (job: Job): Job => withRoll(job, { bar: usualBar(job.rig) });
const laid = (layout: (typeof LAYOUT_IDS)[number]): Job =>
  withBar(onItsWeight(withLayout(newJob('holds', 'Holds', 'in16'), layout)));

const others = (job: Job): string[] =>
  heldIds(job).filter((id) => !job.rig.members.some((m) => m.id === id && isLink(m)));
const conditionsOf = (job: Job, member: string) => jobConditions(job, null, [], member);
const measured = (job: Job, member: string, values: Record<string, number | boolean>): Job => ({
  ...job,
  weld: {
    ...job.weld,
    measured: {
      ...job.weld.measured,
      ...Object.fromEntries(Object.entries(values).map(([key, v]) => [measuredKey(member, key), v])),
    },
  },
});

/** Where every point of a member is as it is designed, as a builder would read it. */
const asDesigned = (job: Job, member: string): Record<string, number> =>
  Object.fromEntries(
    heldPoints(job, member).flatMap(({ bracket, at }) =>
      at
        ? [
            [`place.${bracket}.up`, at[2]],
            [`place.${bracket}.out`, Math.abs(at[1])],
            [`place.${bracket}.along`, Math.abs(at[0])],
          ]
        : [],
    ),
  );

/** Everything of a member measured as it is designed, answered with yes, and striped. */
function allChecked(job: Job, member: string): Job {
  const read = measured(job, member, {
    ...asDesigned(job, member),
    clearance: 40,
    'centred.left': 100,
    'centred.right': 100,
    'centredAgain.left': 100,
    'centredAgain.right': 100,
  });
  const yes = measured(
    read,
    member,
    Object.fromEntries(conditionsOf(read, member).flatMap((c) => (c.confirm ? [[c.id, true]] : []))),
  );
  const stripes = Object.fromEntries(
    conditionsOf(yes, member).map((c) => [stripeKey(member, c.id), { at: NOW, basis: c.basis }]),
  );
  return { ...yes, stripes: { ...yes.stripes, ...stripes } };
}
const places = (all: Condition[]) => all.filter(({ id }) => id.startsWith('place.'));

describe('hold points of arms, cranks, leaf springs and the sway bar', () => {
  test.each(LAYOUT_IDS)('%s: everything that holds the axle has its own', (layout) => {
    const job = laid(layout);
    expect(heldIds(job)).toEqual(expect.arrayContaining([...job.rig.members.map((m) => m.id), SWAY_BAR]));
    for (const member of heldIds(job)) {
      const points = heldPoints(job, member);
      expect(points.length).toBeGreaterThanOrEqual(2);
      expect(new Set(points.map(({ bracket }) => bracket)).size).toBe(points.length);
      for (const { bracket } of points) expect(heldName(job, member, bracket)).toMatch(/^[a-z].*, [a-z]/);
      const open = release(conditionsOf(job, member), 'tack');
      expect(open.released).toBe(false);
    }
  });

  test.each(LAYOUT_IDS)(
    '%s: measured as designed, answered and striped, they are let go; and once they are done, so is the stripe',
    (layout) => {
      let job = laid(layout);
      for (const member of others(job)) {
        const checked = allChecked(job, member);
        expect(
          conditionsOf(checked, member)
            .filter((c) => !isVerified(c))
            .map(({ id, problem }) => [id, problem]),
        ).toEqual([]);
        job = checked;
        for (const { bracket } of heldPoints(job, member)) {
          const states = STATES[fastening(job, { member, bracket })];
          for (const to of states.slice(1)) {
            const outcome = advanceBracket(job, null, [], { member, bracket }, NOW);
            if (!outcome.ok) throw new Error(`held: ${outcome.open.map(({ label }) => label).join()}`);
            job = outcome.job;
            expect(jointState(job, { member, bracket })).toBe(to);
          }
        }
      }
      expect(jobFault(job)).toBeNull();
      expect(weldStripe(job).kind).toBe('whole');
    },
  );

  test('a point that is moved in the design breaks the stripes of that member alone', () => {
    const job = allChecked(allChecked(laid('ladder-bars-panhard'), 'ladder-left'), 'ladder-right');
    const [x] = heldPoints(job, 'ladder-left')[0]!.at!;
    const moved = withMounts(job, [{ member: 'ladder-left', end: 'chassis', axis: 0, mm: x + 20 }]);
    const broken = (member: string) =>
      conditionsOf(moved, member).flatMap((c) => (c.stripe.kind === 'broken' ? [c.id] : []));
    expect(broken('ladder-left')).toEqual(expect.arrayContaining(['place.frame', 'clearance']));
    expect(broken('ladder-right')).toEqual([]);
    expect(weldStripe(moved).kind).toBe('broken');
  });

  test('off by more than it may be, a point does not hold, and which way is said; by less, it does', () => {
    const axes = [
      ['up', /too (high|low)/],
      ['out', /too far (out|in)/],
      ['along', /too (far away|near)/],
    ] as const;
    fc.assert(
      fc.property(
        plausibleCar,
        fc.nat(),
        fc.constantFrom(...axes),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (car, n, [axis, said], share) => {
          const job = withBar(onItsWeight(car));
          const ids = others(job);
          const member = ids[n % ids.length]!;
          const read = measured(job, member, asDesigned(job, member));
          const all = places(conditionsOf(read, member));
          expect(all.every(({ holds }) => holds === true)).toBe(true);
          const one = heldPoints(job, member).find(({ at }) => at)!;
          const key = `place.${one.bracket}.${axis}`;
          const off = share * MM_PER_INCH;
          const value = asDesigned(job, member)[key]! + off;
          const found = places(conditionsOf(measured(read, member, { [key]: value }), member)).find(
            ({ id }) => id === `place.${one.bracket}`,
          )!;
          // Nothing is let off by more than a quarter inch, nor held for less than a sixteenth.
          if (Math.abs(off) > MM_PER_INCH / 4 + 1e-3) expect(found.holds).toBe(false);
          if (Math.abs(off) < MM_PER_INCH / 16 - 1e-3) expect(found.holds).toBe(true);
          if (found.holds === false) {
            const [, way] = said.exec(found.problem!)!;
            expect(['high', 'out', 'far away'].includes(way!)).toBe(off > 0);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  test('on its rests a height is only asked for once it is known how far the car is raised', () => {
    const job = laid('truck-arms-panhard');
    const onRests: Job = { ...job, place: { ...job.place, holding: 'rests', held: {} } };
    const [, member] = others(onRests);
    const fields = (of: Job) =>
      places(conditionsOf(of, member!)).flatMap((c) => c.fields.map(({ key }) => key));
    expect(fields(job)).toContain('place.frame.up');
    expect(fields(onRests)).toEqual(['place.frame.out', 'place.frame.along']);
  });
});

describe('how far off a mount may be', () => {
  test('what it lets off moves the car no farther than is said, by the solver', () => {
    fc.assert(
      fc.property(
        plausibleCar,
        fc.nat(),
        fc.constantFrom(0 as const, 1 as const, 2 as const),
        (job, n, axis) => {
          const all = job.rig.members.flatMap(({ id }) =>
            heldPoints(job, id).flatMap(({ mount, at }) =>
              mount && at ? [{ member: id, end: mount, at }] : [],
            ),
          );
          const { member, end, at } = all[n % all.length]!;
          const { mm, costs } = placeTolerance(job, { member, end, axis }, at[axis]);
          expect(mm).toBeGreaterThanOrEqual(MM_PER_INCH / 16 - 1e-9);
          expect(mm).toBeLessThanOrEqual(MM_PER_INCH / 4 + 1e-9);
          // The least a tape can set is let off whatever it costs.
          if (mm <= MM_PER_INCH / 16 + 1e-9) return;
          const ride = (by: number) =>
            assemble(withMount(job.rig, { member, end, axis, mm: at[axis] + by })).ride;
          const [was, is] = [ride(0), ride(mm)];
          const moved = (a: number | null | undefined, b: number | null | undefined) =>
            a == null || b == null ? 0 : Math.abs(a - b);
          expect(moved(was.rollCentreHeight, is.rollCentreHeight)).toBeLessThan(
            1.15 * (MM_PER_INCH / 4) + 0.05,
          );
          if (job.rig.end === 'rear') expect(moved(was.antiSquatPct, is.antiSquatPct)).toBeLessThan(1.25 * 3);
          expect(moved(was.rollSteer, is.rollSteer)).toBeLessThan(1.15 * 0.01 + 1e-4);
          expect(costs === null || mm < MM_PER_INCH / 4).toBe(true);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('hold points of bars', () => {
  const conditionOf = (job: Job, member: string, id: string) =>
    conditionsOf(job, member).find((one) => one.id === id);
  const line = MM_PER_INCH / 16;

  test('a length within what is said beside it holds, past it not; it is an eighth, or nearer where this car feels it, and says in what', () => {
    fc.assert(
      fc.property(plausibleCar, fc.nat(), fc.double({ min: -6, max: 6, noNaN: true }), (car, n, off) => {
        const job = { ...onItsWeight(car), tape: 'in16' as const };
        const links = linksOf(job.rig);
        fc.pre(links.length > 0);
        const bar = links[n % links.length]!;
        const run = [0, 1, 2].map((axis) => Math.abs(bar.axle[axis as 0] - bar.chassis[axis as 0]));
        const axis = run.indexOf(Math.max(...run)) as 0;
        const own = placeTolerance(job, { member: bar.id, end: 'chassis', axis }, bar.chassis[axis]);
        const nearer = own.mm < LIMITS.weld.eyeToEye;
        const may = nearer ? own.mm : LIMITS.weld.eyeToEye;
        const designed = distance(bar.chassis, bar.axle);
        const found = conditionOf(measured(job, bar.id, { eyeToEye: designed + off }), bar.id, 'eyeToEye')!;
        fc.pre(Math.abs(Math.abs(off) - may) > 0.05);
        expect(found.designed).toContain(`± ${may < 1.5 * line ? '1/16' : '1/8'} in`);
        expect(found.holds).toBe(Math.abs(off) < may);
        if (!found.holds) {
          expect(found.problem).toContain(off > 0 ? 'longer' : 'shorter');
          expect(/which tells in/.test(found.problem!)).toBe(nearer && own.costs !== null);
        }
      }),
      { numRuns: 80 },
    );
  });

  test('a bar across the car whose roll centre takes more than its frame end moves is set nearer than an eighth', () => {
    // Both eyes on one side of the middle: a bar that is continued to the middle magnifies what its end is off by.
    const job = laid('three-link-panhard');
    const short = withMounts(job, [
      { member: 'panhard', end: 'chassis', axis: 1, mm: 500 },
      { member: 'panhard', end: 'axle', axis: 1, mm: 400 },
    ]);
    expect(conditionOf(job, 'panhard', 'level')!.designed).toContain('± 1/8 in');
    const near = conditionOf(short, 'panhard', 'level')!;
    expect(near.designed).toContain('± 1/16 in');
    const high = measured(short, 'panhard', { 'level.frame': 400, 'level.axle': 398 });
    const held = conditionOf(high, 'panhard', 'level')!;
    expect([held.holds, held.problem]).toEqual([
      false,
      expect.stringContaining('which tells in roll centre'),
    ]);
  });
});
