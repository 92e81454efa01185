import { jobAgreement } from '../../../support/agreement';
import fc from 'fast-check';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { LAYOUT_IDS, type LayoutId } from '@/core/rig/layouts';
import { resultUncertainty } from '@/core/locate/resultUncertainty';
import { heightsOf, restsOf, schoolsOf } from '@/core/place/heights';
import { removalOrder } from '@/core/place/order';
import { outOfPlace, placeChecks } from '@/core/place/placeChecks';
import { restFor } from '@/core/place/stands';
import { stepOf } from '@/core/ride/turns/adjusters';
import { asSet } from '@/core/ride/asSet';
import { dragLinkMatch } from '@/core/locate/steering/dragLinkMatch';
import { alignmentBars, lengthen, settingBars, TASKS } from '@/core/ride/alignmentBars';
import { disagree, onGround } from '@/core/ride/onGround';
import { preloadOf } from '@/core/ride/preload';
import { demoJobs } from '@/store/demo';
import { oldCar, readings, trueReadings } from '../../../support/car';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { withLayout } from '@/core/job/edits/members/layout';
import { applyReadings } from '@/core/job/applyReadings';
import { drivingHeight, workBar } from '@/core/job/jobValues';
import { jobConditions } from '@/core/bench/holdPoint';
import { settingOf, type BarTurn, type SettingStep } from '@/core/ride/alignment';
import { turnsOf } from '@/core/ride/turns/turns';

const fresh = (layout: LayoutId = 'three-link-panhard') => withLayout(newJob('check', 'Check', 'mm'), layout);
const withRide = (job: Job, ride: Partial<Job['ride']>): Job => ({ ...job, ride: { ...job.ride, ...ride } });

/** A car whose bars are out by so many mm, and what a tape and a gauge would read on it. */
function asBuilt(job: Job, out: Record<(typeof TASKS)[number], number>, wound: Record<string, number>) {
  const linkage = compileLinkage(job.rig);
  const levers = alignmentBars(job.rig);
  for (const task of TASKS) lengthen(linkage, levers[task], out[task]);
  for (const bar of settingBars(job.rig)) lengthen(linkage, [{ ...bar, sign: 1 }], wound[bar.id] ?? 0);
  const solver = new PoseSolver(linkage);
  expect(solver.solve(0, 0)).toBe(true);
  const [, y, pitch, steer] = solver.q;
  const ahead = -job.rig.track * Math.tan(steer!);
  return {
    gaps: { left: 150 + y!, right: 150 - y! },
    read: { 'ahead.left': 2800, 'ahead.right': 2800 + ahead, pinion: (pitch! * 180) / Math.PI },
    wanted: { pinion: 0 },
  };
}

/** What each bar has been wound to when all that was advised is done, mm. */
function woundBy(steps: SettingStep[]): Record<string, number> {
  const wound: Record<string, number> = {};
  for (const bar of steps.flatMap((s) => s.bars)) {
    const each = bar.mm / bar.turns!;
    const turns = Math.round(bar.turns! / stepOf(bar.adjuster)) * stepOf(bar.adjuster);
    wound[bar.id] = (wound[bar.id] ?? 0) + (Number.isFinite(each) ? turns * each : 0);
  }
  return wound;
}

describe('setting on the ground', () => {
  const small = fc.integer({ min: -40, max: 40 }).map((n) => n / 10);

  test.each<LayoutId>([
    'three-link-panhard',
    'parallel-four-link-panhard',
    'triangulated-four-link',
    'three-link-watts',
  ])(
    '%s: one round of the turns advised, all solved together, leaves the car as good as is asked for',
    (layout) => {
      fc.assert(
        fc.property(small, small, small, (square, pinion, centre) => {
          const job = fresh(layout);
          const out = { square, pinion, centre };
          const before = settingOf(withRide(job, asBuilt(job, out, {})))!;
          const tasks = before.steps.map((s) => s.task);
          const off = { square: !before.square, pinion: !before.pinionSet, centre: !before.centred };
          // What is good enough is left alone, unless setting the rest would spoil it.
          expect(tasks).toEqual(expect.arrayContaining(TASKS.filter((task) => off[task])));
          if (TASKS.every((task) => !off[task])) return expect(tasks).toEqual([]);
          const after = asBuilt(job, out, woundBy(before.steps));
          const then = settingOf(withRide(job, after))!;
          expect(then).toMatchObject({ centred: true, square: true, pinionSet: true, steps: [] });
          // What was promised after the last step is what is then read.
          const promised = before.steps.at(-1)!.after;
          expect(Math.abs(promised.offset! - then.now.offset!)).toBeLessThan(0.2);
          expect(Math.abs(promised.pinion! - then.now.pinion!)).toBeLessThan(0.05);
        }),
        { numRuns: 12 },
      );
    },
  );

  test('what is read alone is set alone, by the bars that set it', () => {
    const job = fresh();
    const only = (ride: Partial<Job['ride']>) =>
      settingOf(withRide(job, ride))?.steps.map((s) => s.task) ?? null;
    expect(only({})).toBeNull();
    expect(only({ gaps: { left: 122, right: 120 } })).toEqual([]);
    expect(only({ gaps: { left: 125, right: 120 } })).toEqual(['centre']);
    expect(only({ read: { 'ahead.left': 2805, 'ahead.right': 2800 } })).toEqual(['square']);
    // Nobody has asked for an angle: none is set.
    expect(only({ read: { pinion: -1 } })).toBeNull();
    expect(only({ read: { pinion: -1 }, wanted: { pinion: 1 } })).toEqual(['pinion']);
    // A longer wheelbase on the left: the left wheel stands behind, and its link is made shorter.
    const [step] = settingOf(withRide(job, { read: { 'ahead.left': 2805, 'ahead.right': 2800 } }))!.steps;
    expect(step!.bars.find((b) => b.id === 'lower-left')!.mm).toBeLessThan(0);
  });

  test('one threaded end goes by half turns of its own pitch; a fixed bar is cut or its bracket moved', () => {
    const job = fresh();
    const bar = (style: 'end' | 'fixed'): BarTurn => {
      const adjusters = { panhard: { style, frame: '1/2-20', axle: '3/4-16' } as const };
      return settingOf(withRide(job, { adjusters, gaps: { left: 126, right: 120 } }))!.steps[0]!.bars[0]!;
    };
    const fixed = bar('fixed');
    expect(fixed.turns).toBeNull();
    expect(Math.abs(fixed.mm)).toBeCloseTo(3, 0);
    expect(bar('end').turns! * (25.4 / 20)).toBeCloseTo(fixed.mm, 6);
  });

  test('where no bar sets the pinion, the wedge is told; a torque arm is shimmed', () => {
    const leaf = settingOf(withRide(fresh('leaf-panhard'), { read: { pinion: 1 }, wanted: { pinion: 3 } }))!;
    expect(leaf.wedge).toBeCloseTo(2, 9);
    const arm = settingOf(
      withRide(fresh('torque-arm-panhard'), { read: { pinion: 1 }, wanted: { pinion: 1.5 } }),
    )!;
    expect(arm.steps[0]).toMatchObject({ task: 'pinion', bars: [{ by: 'pin', turns: null }] });
    // Nose down by half a degree: the front of the arm comes down by its length times the angle.
    const pin = arm.steps[0]!.bars[0]!;
    const reach = (
      fresh('torque-arm-panhard').rig.members.find((m) => m.type === 'slider-arm') as { chassis: number[] }
    ).chassis[0]!;
    expect(Math.abs(pin.mm)).toBeCloseTo((reach * 0.5 * Math.PI) / 180, -1);
    expect(pin.mm).toBeLessThan(0);
  });

  test('frame against fenders: said when they differ by more than a tape does, and the one that is believed counts', () => {
    const gaps = { left: 130, right: 120 };
    const job = withRide(fresh(), { gaps, fender: { left: 50, right: 50 } });
    expect(onGround(job).offset!.value).toBe(5);
    expect(disagree(onGround(job))).toBe(true);
    expect(onGround(withRide(job, { believe: 'fender' })).offset!.value).toBe(0);
    expect(disagree(onGround(withRide(job, { fender: { left: 45, right: 55 } })))).toBe(false);
  });

  test('turns add up over the rounds, for pairs by their signs and for others by name', () => {
    const rounds = [
      { at: '2026-05-02T09:00:00.000Z', left: 1, right: 1, turned: 1, others: { 'lower-left': -0.5 } },
      { at: '2026-05-02T09:10:00.000Z', left: 1, right: 1, turned: -0.25 },
    ];
    const job = withRide(fresh('triangulated-four-link'), { rounds });
    const [first, second] = alignmentBars(job.rig).centre;
    expect(turnsOf(job, first!.id)).toBe(0.75);
    expect(turnsOf(job, second!.id)).toBe(-0.75);
    expect(turnsOf(job, 'lower-left')).toBe(-0.5);
    expect(asSet(job).map((l) => l.id)).toContain('length.lower-left');
  });

  test('as set beside design: what holds, what does not yet', () => {
    const ride = {
      gaps: { left: 121, right: 120 },
      read: { pinion: 1, 'toe.front': 1400, 'toe.rear': 1403 },
      wanted: { pinion: 3, toe: 3 },
    };
    const lines = asSet(withRide(fresh(), ride));
    expect(lines.map((l) => [l.id, l.holds])).toEqual([
      ['offset', true],
      ['pinion', false],
      ['toe', true],
    ]);
  });

  test('leaves want a trace of preload, links none; a front axle has its two bars compared', () => {
    expect(preloadOf(fresh())).toBeNull();
    const preload = preloadOf(fresh('leaf-panhard'))!;
    expect(preload.force).toBeGreaterThan(0);
    expect(preload.mm).toBeCloseTo(25.4 / 64, 9);
    expect(dragLinkMatch(fresh().rig)).toBeNull();
    const front = dragLinkMatch(demoJobs().find((j) => j.rig.end === 'front')!.rig)!;
    expect(front.dragLink.length).toBeGreaterThan(300);
  });
});

describe('placing the axle', () => {
  test('frame and axle keep their distance whatever height they are held at', () => {
    const mm = fc.integer({ min: 0, max: 900 });
    fc.assert(
      fc.property(mm, mm, mm, fc.integer({ min: 40, max: 120 }), (radius, held, will, tube) => {
        const rest = restFor(radius, held, will, tube);
        expect(held - rest.centre).toBeCloseTo(will - radius, 9);
        expect(rest.centre - rest.top).toBeCloseTo(tube / 2, 9);
      }),
    );
  });

  const car = (place: Partial<Job['place']>) => {
    const job = applyReadings({
      ...fresh(),
      readings: readings({
        'rideHeight.left': 430,
        'rideHeight.right': 430,
        'tireRadius.left': 330,
        'tireRadius.right': 330,
        tubeDiameter: 76,
        bump: 80,
        droop: 70,
      }),
    });
    return { ...job, place: { ...job.place, ...place } };
  };

  test('by the recorded height and radius, by a wished height, by half of a tyre to come', () => {
    const held = { left: 800, right: 810 };
    const top = (place: Partial<Job['place']>) => restsOf(car({ held, ...place }), 0).right!.top;
    expect(top({})).toBe(330 + 810 - 430 - 38);
    expect(top({ rideHeight: 400 })).toBe(330 + 810 - 400 - 38);
    expect(top({ tireDiameter: 700 })).toBe(350 + 810 - 430 - 38);
    expect(restsOf(car({ held: { left: 800 } }), 0).right).toBeNull();
    expect(drivingHeight(car({}))).toBe(430);
  });

  test('the four heights, and what the schools trade: the same arc, seen from its other end', () => {
    const job = car({ parkedDrop: 50 });
    const heights = heightsOf(job);
    expect(heights.map((h) => h.frame)).toEqual([500, 430, 380, 350]);
    const schools = schoolsOf(job);
    expect(schools.driving!.parked).toBeCloseTo(-schools.parked!.driving, 9);
    expect(
      heightsOf(car({ parkedDrop: 50, school: 'parked' })).find((h) => h.id === 'parked')!.inOpening,
    ).toBeCloseTo(0, 9);
    expect(placeChecks(car({ parkedDrop: 120 })).map((v) => v.id)).toContain('parkedBeyondBump');
    expect(schoolsOf(car({ parkedDrop: 1000 })).driving).toBeNull();
  });

  test('what sits out of its place is told, with which way and how far', () => {
    const held = { left: 800, right: 800 };
    const top = restsOf(car({ held }), 0).left!.top;
    const measured = {
      'rest.left': top + 5,
      'rest.right': top,
      'datum.left': 1000,
      'datum.right': 1010,
      'diagonal.left': 1400,
      'diagonal.right': 1402,
    };
    const found = placeChecks(car({ held, measured }));
    expect(found.map((v) => [v.id, v.state])).toEqual([
      ['frameLevel', 'ok'],
      ['rest-left', 'stop'],
      ['rest-right', 'ok'],
      ['placedSquare', 'stop'],
      ['placedDiagonals', 'ok'],
    ]);
    expect(found[1]!.title).toContain('5 mm too high');
    expect(outOfPlace(car({ held, measured: {} }))).toEqual([]);
    expect(placeChecks(car({ held: { left: 160, right: 160 } })).map((v) => v.id)).toContain('restRoom');
  });

  test('one link at a time, the bar across the car last, and what each lets go', () => {
    const order = removalOrder(fresh().rig);
    expect(order.at(-1)).toMatchObject({ id: 'panhard', frees: expect.stringContaining('sideways') });
    expect(order.find((r) => r.id === 'upper')!.hold).toContain('pinion');
    expect(
      order
        .map((r) => r.id)
        .slice(0, 2)
        .sort(),
    ).toEqual(['lower-left', 'lower-right']);
    expect(removalOrder(fresh('leaf-panhard').rig)[0]!.hold).toContain('spring slack');
  });
});

test.each(LAYOUT_IDS)(
  '%s: everything from stands to ground has an answer, with a car read or not',
  (layout) => {
    const ride = {
      gaps: { left: 122, right: 120 },
      read: { 'ahead.left': 2803, 'ahead.right': 2800, pinion: 1 },
      wanted: { pinion: 2 },
    };
    for (const job of [
      fresh(layout),
      applyReadings({ ...fresh(layout), readings: readings(trueReadings(oldCar([2, -3, 5]))) }),
    ]) {
      const set = settingOf(withRide(job, ride))!;
      for (const step of set.steps) for (const bar of step.bars) expect(Number.isFinite(bar.mm)).toBe(true);
      expect(set.steps.length + Number(set.wedge !== null)).toBeGreaterThan(0);
      expect(removalOrder(job.rig)).toHaveLength(job.rig.members.length);
      for (const height of heightsOf({ ...job, place: { ...job.place, parkedDrop: 40 } }))
        expect(Number.isFinite(height.ahead ?? 0)).toBe(true);
      // Held by its leaves alone, it has no bracket to be held at.
      const conditions = jobConditions(job, jobAgreement(job), []).length;
      if (workBar(job)) expect(conditions).toBeGreaterThan(5);
      else expect(conditions).toBe(0);
      for (const u of Object.values(resultUncertainty(job)))
        expect(u === null || (Number.isFinite(u) && u >= 0)).toBe(true);
      expect(asSet(withRide(job, ride)).length).toBeGreaterThan(1);
    }
  },
);
