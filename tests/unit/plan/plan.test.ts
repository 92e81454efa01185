import fc from 'fast-check';
import { withParts } from '@/core/job/edits/parts/parts';
import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { fastenedTo } from '@/core/job/made/bracketRoot';
import { LINK_ENDS } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import { BRACKETS } from '@/core/job/slices/fields';
import { withDone, withOwnStep, withUndone, withWays } from '@/core/plan/edits';
import { bracketStep, linkStep } from '@/core/plan/steps/linkSteps';
import { tasksOf } from '@/core/plan/plan';
import { WAYS_OUT, waysOut } from '@/core/plan/waysOut';
import { nextStep, planNow, progressOf, type Planned } from '@/core/plan/standing';
import type { Task } from '@/core/plan/task';
import { linksOf } from '@/core/rig/members/members';
import { lateralBarOf, leavesOf, lengthwiseLinks } from '@/core/rig/roles';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { advanced } from '@/core/weld/holdPoint';
import { orNone } from '@/core/rig/read';
import { plausibleCar } from '../../support/plausible';

const NOW = '2026-03-01T10:00:00.000Z';

/** A plausible car whose work is gone about in any of the ways that can be said, some of its brackets bolted on. */
const said = fc
  .record({
    car: plausibleCar,
    ways: fc.record({
      car: fc.constantFrom('other' as const, 'same' as const, 'bare' as const),
      make: fc.constantFrom('own' as const, 'kit' as const),
      helper: fc.boolean(),
    }),
    holding: fc.constantFrom('weight' as const, 'rests' as const),
    bolted: fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }),
    bar: fc.boolean(),
  })
  .map(({ car, ways, holding, bolted, bar }): Job => {
    const held: Job = { ...withWays(car, ways), place: { ...car.place, holding } };
    const sway = bar ? withRoll(held, { bar: usualBar(held.rig) }) : held;
    return linksOf(sway.rig).reduce(
      (job, { id }, i) =>
        LINK_ENDS.reduce(
          (j, end, k) =>
            withParts(j, { brackets: { [mountId(id, end)]: { bolted: bolted[(2 * i + k) % 12] } } }),
          job,
        ),
      sway,
    );
  });

/** Whether something carries a car on its tyres before its bars are made: its own bars one by one, or leaf springs hung again. */
const isCarried = ({ rig, plan }: Job): boolean =>
  plan.car === 'same' || (plan.car === 'other' && leavesOf(rig).length > 0);

/** Such a car whose work has an order. */
const worked = said.filter((job) => job.place.holding === 'rests' || isCarried(job));

const stepsOf = (job: Job): Planned[] => {
  const plan = planNow(job);
  if (!plan.ok) throw new Error(`goes round: ${plan.circle.map(({ id }) => id).join(' → ')}`);
  return plan.steps;
};
const ids = (steps: Planned[]): string[] => steps.map(({ task }) => task.id);
const runs = { numRuns: 60, endOnFailure: true };

/** Everything that comes before a step, however far back. */
function ancestors(tasks: Task[], id: string): Set<string> {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const seen = new Set<string>();
  const back = (at: string): void =>
    byId.get(at)?.after.forEach(({ id: before }) => {
      if (!seen.has(before)) {
        seen.add(before);
        back(before);
      }
    });
  back(id);
  return seen;
}

test('every plan has an order, each step after all that it waits for, each named once and placed once', () => {
  fc.assert(
    fc.property(worked, (job) => {
      const steps = stepsOf(job);
      const at = new Map(ids(steps).map((id, i) => [id, i]));
      expect(at.size).toBe(steps.length);
      steps.forEach(({ task }, i) =>
        task.after.forEach(({ id, why }) => {
          expect(at.get(id)).toBeLessThan(i);
          expect(why).not.toBe('');
        }),
      );
      steps.forEach(({ task }) => {
        expect(task.title).toMatch(/^[A-Z]/);
        expect(task.how.length).toBeGreaterThan(10);
        expect(`${task.title} ${task.how} ${task.expect ?? ''}`).not.toMatch(/undefined|NaN|null|\[object/);
      });
    }),
    runs,
  );
});

test('nothing is waited for that no plan has', () => {
  const there = new Set<string>();
  const asked = new Set<string>();
  const kinds = new Map<string, string>();
  const kind = (id: string) =>
    id.replace(
      /^(fit|bolt|ground)\/[^/]+\/(?=.*(carrier|clamp|tack|weld|bar|brace|drill|loose|off|on|torque|stripe|plate)$)/,
      '$1/·/',
    );
  fc.assert(
    fc.property(worked, (job) => {
      tasksOf(job).forEach((task) => {
        there.add(kind(task.id));
        task.after.forEach(({ id }) => {
          asked.add(kind(id));
          kinds.set(kind(id), id);
        });
      });
    }),
    { numRuns: 120, endOnFailure: true },
  );
  expect([...asked].filter((id) => !there.has(id))).toEqual([]);
});

test('the traps of the trade: what comes before what', () => {
  fc.assert(
    fc.property(worked, (job) => {
      const tasks = tasksOf(job);
      const before = (first: string, then: string) => expect(ancestors(tasks, then)).toContain(first);
      const has = (id: string) => tasks.some((task) => task.id === id);
      const across = lateralBarOf(job.rig);
      const fix = (link: string, bracket: (typeof BRACKETS)[number]) =>
        ['tack', 'loose'].map((step) => bracketStep(link, bracket, step)).find(has)!;
      for (const { id } of linksOf(job.rig))
        for (const bracket of BRACKETS) {
          const weld = bracketStep(id, bracket, 'weld');
          before('fit/height', bracketStep(id, bracket, 'clamp'));
          if (!has(weld)) continue;
          // Tacked, cycled, then welded; batteries and fuel first; painted after; mock-ups in while it is hot.
          for (const first of [
            'fit/cycle',
            'fit/battery',
            'fit/fuel',
            'fit/mockup',
            bracketStep(id, bracket, 'tack'),
          ])
            before(first, weld);
          before(weld, 'fit/measured');
          before('fit/measured', 'fit/paint');
          before('fit/paint', `bolt/${id}`);
        }
      if (across) {
        before(bracketStep(across.id, 'axle', 'clamp'), bracketStep(across.id, 'frame', 'clamp'));
        for (const { id } of lengthwiseLinks(job.rig))
          before(fix(id, 'axle'), bracketStep(across.id, 'axle', 'clamp'));
        if (leavesOf(job.rig).length) before('fit/leaves', bracketStep(across.id, 'axle', 'clamp'));
      }
      for (const { id } of lengthwiseLinks(job.rig))
        before(bracketStep(id, 'frame', 'clamp'), bracketStep(id, 'axle', 'clamp'));
      // A crossmember or hoop is fixed before a bracket is set on it; a rail is there.
      for (const link of linksOf(job.rig)) {
        const carrier = linkStep(link.id, 'carrier');
        expect(has(carrier)).toBe(fastenedTo(job, link, 'chassis') === 'undrawn');
        if (has(carrier)) before(carrier, bracketStep(link.id, 'frame', 'clamp'));
        if (has(carrier)) before('fit/battery', carrier);
      }
      // Nothing tight until all is in; set on the ground before it is torqued; locked and lined last; driven after that.
      for (const id of tasks.filter(({ track }) => track === 'bolt').map((t) => t.id))
        if (id !== 'bolt/snug' && id !== 'bolt/all') before(id, 'bolt/all');
      before('ground/down', 'ground/set');
      if (has('ground/jam')) before('ground/set', 'ground/jam');
      for (const { id } of linksOf(job.rig)) {
        before('ground/set', `ground/${id}/torque`);
        before(`ground/${id}/torque`, `ground/${id}/stripe`);
        before(`ground/${id}/stripe`, 'ground/drive');
      }
      if (job.plan.car === 'other') {
        for (const witness of ['apart/shaft', 'apart/steering'])
          if (has(witness)) before(`${witness}/marks`, witness);
        before('apart/record', 'apart/raise');
        before('apart/photos', 'apart/lines');
        before('apart/lines', 'apart/springs');
        before('apart/carry', 'apart/shocks');
        before('apart/shocks', 'apart/springs');
        before('apart/springs', 'apart/bars');
      } else expect(has('apart/bars')).toBe(false);
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('a car stands on its weight where something carries it; else the circle is told, and each way out of it has an order', () => {
  fc.assert(
    fc.property(said, (job) => {
      const onWeight: Job = { ...job, place: { ...job.place, holding: 'weight' } };
      const plan = planNow(onWeight);
      expect(plan.ok).toBe(isCarried(onWeight));
      if (plan.ok) return;
      expect(plan.circle.map(({ id }) => id)).toContain('fit/height');
      const out = waysOut(onWeight);
      expect(out).toEqual(onWeight.plan.car === 'bare' ? ['rests'] : ['same', 'rests']);
      for (const way of out) expect(planNow(WAYS_OUT[way](onWeight)).ok).toBe(true);
    }),
    runs,
  );
  // Until it is said what is under it, a car on its weight keeps what carries it.
  fc.assert(
    fc.property(said, (job) => {
      const unsaid = { ...job, plan: { ...job.plan, car: undefined } };
      expect(planNow({ ...unsaid, place: { ...job.place, holding: 'weight' } }).ok).toBe(true);
    }),
    { numRuns: 15 },
  );
});

test('what is done with the axle in its place comes before it goes out; what is out goes back, and only that', () => {
  fc.assert(
    fc.property(worked, (job) => {
      const tasks = tasksOf(job);
      const step = (id: string) => tasks.find((task) => task.id === id);
      const before = (first: string, then: string) => expect(ancestors(tasks, then)).toContain(first);
      if (step('fit/axle/out') && step('fit/sway/feet')) before('fit/sway/feet', 'fit/axle/out');
      if (step('fit/hung')) before('apart/brackets', 'fit/hung');
      const fixed = tasks.filter(({ id, marked }) => id.startsWith('fit/') && marked && 'member' in marked);
      const welded = fixed.filter(({ marked }) => marked && 'to' in marked && marked.to === 'welded');
      // Cycled with everything in place, and everything measured again once it is fixed for good.
      expect(step('fit/measured') !== undefined).toBe(fixed.length > 0);
      for (const { id } of fixed.filter(({ id }) => /\/(tack|loose)$/.test(id))) before(id, 'fit/cycle');
      for (const { id } of welded) before(id, 'fit/measured');
      expect(step('fit/paint') !== undefined).toBe(welded.length > 0);
      if (step('fit/measured'))
        expect(step('fit/measured')!.title).toMatch(welded.length ? /tacking/ : /bolted up/);
      const isLeaf = leavesOf(job.rig).length > 0;
      if (isLeaf) expect(step('bolt/springs')).toBeUndefined();
      else {
        before('fit/cycle', 'bolt/springs');
        // In one sentence of the plan or another, every spring that goes in has come out.
        if (job.plan.car === 'same')
          expect(step('fit/cycle')!.how).toMatch(/shocks off at the axle and (springs out|bags empty)/i);
      }
      expect(step('bolt/lines')!.how.includes('full lock')).toBe(job.rig.end === 'front');
    }),
    runs,
  );
});

test('a car that keeps its axle has one bar off at a time', () => {
  fc.assert(
    fc.property(worked, (job) => {
      fc.pre(job.plan.car === 'same');
      const order = ids(stepsOf(job));
      const off = linksOf(job.rig).map(({ id }) => [
        order.indexOf(linkStep(id, 'off')),
        order.indexOf(linkStep(id, 'on')),
      ]);
      off.sort(([a], [b]) => a! - b!);
      off.forEach(([, on], i) => {
        if (i + 1 < off.length) expect(on).toBeLessThan(off[i + 1]![0]!);
      });
      expect(order).not.toContain('fit/axle/out');
    }),
    runs,
  );
});

test('done in its order, each step is ready when its turn comes, and the last leaves nothing', () => {
  fc.assert(
    fc.property(worked, (job) => {
      // What is marked elsewhere is marked here as not on this car: only the order is asked about.
      let now = job;
      for (;;) {
        const steps = stepsOf(now);
        const next = steps.find(({ standing, task }) => standing.kind === 'ready' && !task.marked);
        if (!next) break;
        now = withDone(now, next.task, NOW);
      }
      const left = stepsOf(now).filter(({ standing }) => standing.kind === 'ready');
      expect(left.every(({ task }) => task.marked)).toBe(true);
      expect(progressOf(stepsOf(now)).doubt).toBe(0);
    }),
    { numRuns: 8, endOnFailure: true },
  );
});

/** A change of the design that moves the frame end of a link. */
const moved = (job: Job, member: string, by: number): Job => {
  const link = linksOf(job.rig).find(({ id }) => id === member)!;
  return withMounts(job, [{ member, end: 'chassis', axis: 2, mm: link.chassis[2] + by }]);
};

test('a changed design puts the work in doubt that rests on it, and no other; put back, nothing is', () => {
  fc.assert(
    fc.property(worked, fc.nat(20), (job, pick) => {
      const links = linksOf(job.rig);
      fc.pre(links.length > 0);
      const link = links[pick % links.length]!;
      const marked = tasksOf(job).reduce((j, task) => (task.marked ? j : withDone(j, task, NOW)), job);
      const doubted = (j: Job) =>
        stepsOf(j)
          .filter(({ standing }) => standing.kind === 'doubt')
          .map(({ task }) => task.id);
      expect(doubted(marked)).toEqual([]);
      const changed = orNone(() => moved(marked, link.id, 30));
      fc.pre(changed !== null);
      const inDoubt = doubted(changed!);
      expect(inDoubt).toContain(bracketStep(link.id, 'frame', 'clamp'));
      expect(inDoubt).toContain('fit/cycle');
      for (const other of links)
        if (other.id !== link.id) {
          expect(inDoubt).not.toContain(bracketStep(other.id, 'frame', 'clamp'));
          expect(inDoubt).not.toContain(linkStep(other.id, 'bar'));
        }
      expect(doubted(moved(changed!, link.id, -30))).toEqual([]);
    }),
    { numRuns: 25, endOnFailure: true },
  );
});

test('a bracket’s own state marks its step; moved after its weld, the weld is in doubt', () => {
  fc.assert(
    fc.property(worked, (job) => {
      const link = linksOf(job.rig)[0];
      fc.pre(link !== undefined);
      const joint = { member: link!.id, bracket: 'frame' as const };
      const isBolted = tasksOf(job).some(({ id }) => id === bracketStep(link!.id, 'frame', 'drill'));
      const [first, second] = isBolted ? ['drill', 'loose'] : ['tack', 'weld'];
      const on = (j: Job) => {
        const result = advanced(j, joint, [], NOW, '');
        if (!result.ok) throw new Error('held');
        return result.job;
      };
      const stands = (j: Job, step: string) =>
        stepsOf(j).find(({ task }) => task.id === bracketStep(link!.id, 'frame', step))!.standing.kind;
      expect(stands(job, first!)).toBe('waits');
      const once = on(job);
      expect(stands(once, first!)).toBe('done');
      expect(stands(once, second!)).not.toBe('done');
      const twice = on(once);
      expect(stands(twice, second!)).toBe('done');
      const changed = orNone(() => moved(twice, link!.id, 20));
      if (changed) expect(stands(changed, second!)).toBe('doubt');
    }),
    { numRuns: 20, endOnFailure: true },
  );
});

test('a step of the builder’s own comes where it was put; one that cannot be is told with the circle it makes', () => {
  fc.assert(
    fc.property(worked, fc.nat(500), fc.nat(500), (job, a, b) => {
      const order = ids(stepsOf(job));
      const [first, then] = [a % order.length, b % order.length];
      fc.pre(first !== then);
      const own = { id: 'x', title: 'Have it blasted', track: 'fit' as const };
      const put = planNow(withOwnStep(job, { ...own, after: order[first], before: order[then] }));
      const possible = !ancestors(tasksOf(job), order[first]!).has(order[then]!);
      expect(put.ok).toBe(possible);
      if (put.ok) {
        const with1 = ids(put.steps);
        expect(with1.indexOf(order[first]!)).toBeLessThan(with1.indexOf('own/x'));
        expect(with1.indexOf('own/x')).toBeLessThan(with1.indexOf(order[then]!));
      } else {
        const circle = put.circle;
        expect(circle.map(({ id }) => id)).toContain('own/x');
        circle.forEach((task, i) =>
          expect(task.after.map(({ id }) => id)).toContain(
            circle[(i + circle.length - 1) % circle.length]!.id,
          ),
        );
      }
    }),
    runs,
  );
});

test('what was done and is no longer wanted is told, until it is taken back', () => {
  fc.assert(
    fc.property(worked, (plain) => {
      const job = withWays({ ...plain, place: { ...plain.place, holding: 'rests' } }, { car: 'other' });
      const soak = tasksOf(job).find(({ id }) => id === 'apart/soak')!;
      const bare = withWays(withDone(job, soak, NOW, { note: 'twice' }), { car: 'bare' });
      const plan = planNow(bare);
      expect(plan.ok && plan.leftovers.map(({ done }) => done.title)).toEqual([soak.title]);
      const back = planNow(withUndone(bare, soak.id));
      expect(back.ok && back.leftovers).toEqual([]);
      expect(nextStep(stepsOf(bare))?.standing.kind).toBe('ready');
    }),
    { numRuns: 15, endOnFailure: true },
  );
});
