import fc from 'fast-check';
import { applyReadings } from '@/core/job/applyReadings';
import { bestBar } from '@/core/locate/remedies/bestBar';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { newJob } from '@/core/job/newJob';
import { reachVerdict } from '@/core/locate/verdicts/lateralVerdicts';
import { locateVerdicts } from '@/core/locate/verdicts/verdicts';
import { roomVerdicts } from '@/core/locate/verdicts/roomVerdicts';
import { sayTravel } from '@/core/locate/verdicts/words';
import { mostSideways, reachedPoints, rollCentreRange } from '@/core/locate/travel/travelCurve';
import { locateInput, type LocateResult } from '@/core/locate/types';
import { LIMITS } from '@/core/materials/limits';
import type { LayoutId } from '@/core/rig/layouts';
import { kindOf } from '@/core/rig/members/members';
import type { MountKey } from '@/core/rig/members/kind';
import type { MountChange } from '@/core/rig/mounts';
import type { Obstacle } from '@/core/rig/schema';
import type { Tape } from '@/core/units/tape';
import { readings } from '../../support/car';
import { located } from '../../support/locate';

const fresh = (layout: LayoutId = 'three-link-panhard') => withLayout(newJob('check', 'Check', 'mm'), layout);
const at = (end: MountKey, axis: 0 | 1 | 2, mm: number): MountChange => ({
  member: 'panhard',
  end,
  axis,
  mm,
});

/** The bar of a job with its frame end on the other side, or the whole bar ahead of the axle: a car turned round. */
function turned(job: Job, how: { mirrored: boolean; ahead: boolean }): Job {
  const { chassis, axle } = workBar(job)!;
  const changes = (['chassis', 'axle'] as const).flatMap((end) => {
    const [x, y] = end === 'chassis' ? chassis : axle;
    return [...(how.mirrored ? [at(end, 1, -y)] : []), ...(how.ahead ? [at(end, 0, -x)] : [])];
  });
  return withMounts({ ...job, laidOut: true, locate: { ...job.locate, shiftLimit: 6 } }, changes);
}
/** Layouts whose axle turns little as it goes, and such whose axle turns much. */
const carried = fc.constantFrom<LayoutId>(
  'three-link-panhard',
  'torque-arm-panhard',
  'ladder-bars-panhard',
  'truck-arms-panhard',
  'front-radius-arms',
);
const ways = fc.record({ mirrored: fc.boolean(), ahead: fc.boolean() });
const said = (job: Job, id: string) => located(job).verdicts.sideways.find((v) => v.id === id);
const stateOf = (job: Job, id: string) => said(job, id)?.state;

describe('a bar across the car, on whichever hand and on whichever side of the axle', () => {
  test('the best bar moves the axle as the solver has it, level at ride height or in the middle of the travel', () => {
    const travels = fc.record({
      bump: fc.integer({ min: 40, max: 110 }),
      droop: fc.integer({ min: 40, max: 110 }),
    });
    fc.assert(
      fc.property(carried, ways, travels, (layout, how, { bump, droop }) => {
        const job = applyReadings({ ...turned(fresh(layout), how), readings: readings({ bump, droop }) });
        const best = bestBar(locateInput(job, { left: 0, right: 0 }))!;
        const { chassis, axle } = workBar(job)!;
        const side = Math.sign(chassis[1]);
        const moves = (high: number) => {
          const across = Math.sqrt(best.length ** 2 - high ** 2) / 2;
          const built = withMounts(job, [
            at('chassis', 1, side * across),
            at('axle', 1, -side * across),
            at('chassis', 0, axle[0]),
            at('chassis', 2, axle[2] + high),
          ]);
          const { driven, ride } = located(built).result;
          return mostSideways(driven, ride.y);
        };
        expect(Math.abs(moves(0) - best.level)).toBeLessThan(0.02 * best.level);
        expect(Math.abs(moves((bump - droop) / 2) - best.middle)).toBeLessThan(0.02 * best.level);
      }),
      { numRuns: 30, endOnFailure: true },
    );
  });

  test('of a car without a bar the best is told by the arc; none where it would not reach', () => {
    const travels = fc.record({
      bump: fc.integer({ min: 40, max: 110 }),
      droop: fc.integer({ min: 40, max: 110 }),
    });
    fc.assert(
      fc.property(travels, ({ bump, droop }) => {
        const job = applyReadings({
          ...fresh('triangulated-four-link'),
          readings: readings({ bump, droop }),
        });
        const input = locateInput(job, { left: 0, right: 0 });
        const { length, level, middle } = bestBar(input)!;
        expect(length).toBeCloseTo(input.rig.track - input.tireWidth! - 2 * LIMITS.clearance.tyre, 9);
        const most = Math.max(bump, droop);
        expect(level).toBeCloseTo(length * (1 - Math.cos(Math.asin(most / length))), 9);
        expect(middle).toBeLessThanOrEqual(level + 1e-9);
        expect(bestBar({ ...input, rig: { ...input.rig, track: input.tireWidth! + 60 } })).toBeNull();
      }),
    );
  });

  test('a tilt that suits the middle of the travel is said to, one that does not is not', () => {
    const job = applyReadings({ ...fresh(), readings: readings({ bump: 100, droop: 50 }) });
    const { axle } = workBar(job)!;
    const tilted = (mm: number) => said(withMounts(job, [at('chassis', 2, axle[2] + mm)]), 'level')!;
    const [one, other] = [tilted(25), tilted(-25)];
    expect(
      [one, other].filter(({ reason }) => reason.includes('suits the middle of your travel')),
    ).toHaveLength(1);
    expect([one.state, other.state]).toEqual(['look', 'look']);
    const suits = one.reason.includes('suits') ? 25 : -25;
    const middle = (mm: number) =>
      said(
        { ...withMounts(job, [at('chassis', 2, axle[2] + mm)]), locate: { ...job.locate, school: 'middle' } },
        'level',
      )!.state;
    expect([middle(suits), middle(-suits)]).toEqual(['ok', 'look']);
  });

  test('out of level is told by the higher end; either remedy levels it', () => {
    fc.assert(
      fc.property(ways, fc.integer({ min: 5, max: 90 }), fc.boolean(), (how, by, frameHigh) => {
        const job = turned(fresh(), how);
        const bar = workBar(job)!;
        const tilted = withMounts(job, [at('chassis', 2, bar.axle[2] + (frameHigh ? by : -by))]);
        const level = said(tilted, 'level')!;
        expect(level.state).toBe(by > LIMITS.lateralBar.levelStop ? 'stop' : 'look');
        expect(level.title).toContain(`high at the ${frameHigh ? 'frame' : 'axle'} end`);
        expect(level.remedies.map((r) => r.text.split(' ')[0])).toEqual(
          frameHigh ? ['Lower', 'Raise'] : ['Raise', 'Lower'],
        );
        for (const { changes } of level.remedies)
          expect(stateOf(withMounts(tilted, changes!), 'level')).toBe('ok');
      }),
      { numRuns: 30 },
    );
  });

  test('out of parallel is told by how far, and which way the frame end lies; either remedy sets it right', () => {
    fc.assert(
      fc.property(ways, fc.integer({ min: 8, max: 60 }), fc.boolean(), (how, by, forward) => {
        const job = turned(fresh(), how);
        const { axle, chassis } = workBar(job)!;
        // Not across the axle: that is another fault.
        const x = chassis[0] + (forward ? by : -by);
        if (x * axle[0] <= 0) return;
        const skewed = withMounts(job, [at('chassis', 0, axle[0] + (forward ? by : -by))]);
        const plan = said(skewed, 'plan')!;
        expect(plan.state).toBe(by > LIMITS.lateralBar.parallelStop ? 'stop' : 'look');
        expect(plan.reason).toContain(`farther ${forward ? 'forward' : 'back'}`);
        expect(plan.remedies[0]!.text).toMatch(forward ? /frame end .* back$/ : /frame end .* forward$/);
        for (const { changes } of plan.remedies)
          expect(stateOf(withMounts(skewed, changes!), 'plan')).toBe('ok');
      }),
      { numRuns: 30 },
    );
  });

  test('too short for the travel: levelled and lengthened as it says, it keeps within what is allowed', () => {
    fc.assert(
      fc.property(
        ways,
        fc.integer({ min: 20, max: 260 }),
        fc.constantFrom<Tape>('mm', 'in16'),
        (how, reach, tape) => {
          const job = { ...turned(fresh(), how), tape };
          const frame = Math.sign(workBar(job)!.chassis[1]) * reach;
          const short = withMounts(job, [at('chassis', 1, frame)]);
          const length = said(short, 'length')!;
          if (length.state === 'ok') return;
          const [remedy] = length.remedies;
          if (!remedy!.changes) {
            expect(remedy!.text).toMatch(/too short/);
            return;
          }
          const mended = withMounts(short, remedy!.changes);
          expect(stateOf(mended, 'length')).toBe('ok');
          expect(mostSideways(located(mended).result.curve, 0)).toBeLessThanOrEqual(6 + 1e-6);
          expect(stateOf(mended, 'tyre')).toBeUndefined();
        },
      ),
      { numRuns: 25 },
    );
  });

  test('an end in the tyre is brought in to where it clears, on its own side', () => {
    fc.assert(
      fc.property(
        ways,
        fc.constantFrom('chassis' as const, 'axle' as const),
        fc.integer({ min: 0, max: 120 }),
        (how, end, deep) => {
          const job = turned(fresh(), how);
          const { input } = located(job);
          const wall = input.rig.track / 2 - input.tireWidth! / 2;
          const out = Math.sign(workBar(job)![end][1]) * (wall + deep - 20);
          const inside = withMounts(job, [at(end, 1, out)]);
          const tyre = said(inside, 'tyre')!;
          expect(tyre.state).toBe('stop');
          expect(tyre.title).toContain(end === 'chassis' ? 'Frame end' : 'Axle end');
          const mended = withMounts(inside, tyre.remedies[0]!.changes!);
          expect(stateOf(mended, 'tyre')).toBeUndefined();
          expect(Math.sign(workBar(mended)![end][1])).toBe(Math.sign(out));
        },
      ),
      { numRuns: 25 },
    );
  });

  test('too near to the axle’s own housing it goes away from it, to whichever side that is, and clears', () => {
    for (const how of [
      { mirrored: false, ahead: false },
      { mirrored: true, ahead: false },
      { mirrored: false, ahead: true },
    ]) {
      const job = turned(fresh(), how);
      const way = how.ahead ? 1 : -1;
      const near = withMounts(
        job,
        (['chassis', 'axle'] as const).map((end) => at(end, 0, way * 120)),
      );
      const clearance = said(near, 'clearance')!;
      expect([how, clearance.state]).not.toEqual([how, 'ok']);
      expect(clearance.remedies[0]!.text).toContain(way > 0 ? 'ahead of' : 'behind');
      expect(stateOf(withMounts(near, clearance.remedies[0]!.changes!), 'clearance')).toBe('ok');
    }
  });

  test('a bar that does not cross, or crosses the axle, is told so and put right', () => {
    for (const mirrored of [false, true]) {
      const job = turned(fresh(), { mirrored, ahead: false });
      const { axle } = workBar(job)!;
      const oneSide = withMounts(job, [at('chassis', 1, 0.4 * axle[1])]);
      const crossed = said(oneSide, 'crossed')!;
      expect(crossed.title).toContain(axle[1] > 0 ? 'left' : 'right');
      expect(stateOf(withMounts(oneSide, crossed.remedies[0]!.changes!), 'crossed')).toBeUndefined();
      const through = withMounts(job, [at('chassis', 0, -axle[0])]);
      expect(said(through, 'crossed')!.title).toContain('one ahead of the axle, one behind');
      expect(
        stateOf(withMounts(through, said(through, 'crossed')!.remedies[0]!.changes!), 'crossed'),
      ).toBeUndefined();
    }
  });

  test('without a tyre measured nothing is said of tyres', () => {
    const job = withMounts(fresh(), [at('axle', 1, -5000 / 7)]);
    expect(stateOf(job, 'tyre')).toBe('stop');
    const { input, result } = located(job);
    const blind = locateVerdicts({ ...input, tireWidth: null }, result, 'mm').sideways.map((v) => v.id);
    expect(blind).not.toContain('tyre');
    expect(blind).toEqual(expect.arrayContaining(['level', 'length', 'plan']));
  });
});

describe('what holds it sideways without a bar across', () => {
  test('a crank whose arms or links are unlike, or out of level, is told by its numbers', () => {
    const job = fresh('three-link-watts');
    expect(stateOf(job, 'crank')).toBe('ok');
    const crank = job.rig.members.find((m) => m.id === 'watts')!;
    const mount = (key: MountKey) =>
      kindOf(crank)
        .mounts(crank)
        .find((m) => m.key === key)!.point;
    const change = (end: MountKey, axis: 0 | 1 | 2, by: number) =>
      withMounts({ ...job, laidOut: true }, [{ member: 'watts', end, axis, mm: mount(end)[axis] + by }]);
    expect(said(change('ends.top', 1, 12), 'crank')!.reason).toMatch(/two links differ by 1[12]/);
    expect(said(change('ends.bottom', 2, 9), 'crank')!.reason).toMatch(/9 mm out of level/);
    expect(said(change('crank.top', 2, 10), 'crank')!.reason).toMatch(/two arms differ by/);
  });

  test('links that lean too little against each other are told of, by the angle they make', () => {
    const job = fresh('triangulated-four-link');
    expect(stateOf(job, 'spread')).toBe('ok');
    const changes = (['left', 'right'] as const).flatMap((side): MountChange[] => {
      const upper = job.rig.members.find((m) => m.id === `upper-${side}`)!;
      const [frame, axle] = kindOf(upper).mounts(upper);
      // Half of the lean taken out.
      const y = axle!.point[1] + 0.4 * (frame!.point[1] - axle!.point[1]);
      return [{ member: upper.id, end: 'chassis', axis: 1, mm: y }];
    });
    const narrow = said(withMounts({ ...job, laidOut: true }, changes), 'spread')!;
    expect(narrow.state).toBe('look');
    expect(narrow.title).toMatch(/upper links lean only \d+(\.\d)?°/);
  });

  test('straight up and down is fine; more than twice what is allowed is a stop', () => {
    const job = fresh('three-link-watts');
    expect(stateOf(job, 'shift')).toBe('ok');
    const tight = { ...job, locate: { ...job.locate, shiftLimit: 1e-6 } };
    expect(stateOf(tight, 'shift')).toBe('stop');
  });
});

describe('points that the axle reaches', () => {
  const curve: LocateResult['curve'] = [-2, -1, 0, 1, 2].map((lift) =>
    lift === 2
      ? { lift, limitingMember: 'panhard' }
      : {
          lift,
          instantCentre: null,
          y: lift,
          rollCentreHeight: 300 + 2 * lift,
          antiSquat: null,
          rollSteer: null,
          pitchDeg: 0,
          steerDeg: 0,
          wheelSteer: null,
          plunge: null,
          frontJoint: null,
          rearJoint: null,
        },
  );

  test('where one is not reached, no sideways movement is a limit, and the member and the place are told', () => {
    expect(reachedPoints(curve)).toHaveLength(4);
    expect(mostSideways(curve, 0)).toBe(Infinity);
    expect(mostSideways(curve.slice(0, 4), 0)).toBe(2);
    expect(rollCentreRange(curve)).toBe(6);
    expect(rollCentreRange([])).toBe(0);
    const reach = reachVerdict(located(fresh()).input, curve, 'mm')!;
    expect(reach).toMatchObject({ state: 'stop', where: 'panhard' });
    expect(reach.reason).toContain('panhard bar runs out 2 mm above ride height');
    expect(reachVerdict(located(fresh()).input, curve.slice(0, 4), 'mm')).toBeNull();
  });

  test('places in the travel in a builder’s words', () => {
    const travel = { bump: 75, droop: 100 };
    for (const [left, right, words] of [
      [0, 0, 'at ride height'],
      [75, 75, 'at full bump'],
      [-100, -100, 'at full droop'],
      [40, 40, '40 mm up from ride height'],
      [-30, -30, '30 mm down from ride height'],
      [60, -60, 'with the left wheel up'],
      [-20, 10, 'with the right wheel up'],
    ] as const)
      expect(sayTravel({ left, right }, travel, 'mm')).toBe(words);
    expect(sayTravel({ left: 25.4, right: 25.4 }, travel, 'in16')).toBe('1 in up from ride height');
  });
});

describe('room', () => {
  const ball = (id: string, z: number, radius = 40): Obstacle => ({
    id,
    on: 'chassis',
    shape: 'sphere',
    centre: [0, 0, z],
    radius,
  });
  const withThings = (things: Obstacle[]): Job => {
    const job = fresh();
    return { ...job, laidOut: true, rig: { ...job.rig, obstacles: [...job.rig.obstacles!, ...things] } };
  };
  const tight = (things: Obstacle[]) =>
    located(withThings(things)).verdicts.room.filter((v) => v.id === 'clearance');

  test('what is far enough is said once, as the closest; what is not, each by itself, the worst few of many', () => {
    expect(tight([]).every((v) => v.state === 'ok')).toBe(true);
    expect(tight([])).toHaveLength(1);
    const above = located(fresh()).input.rig.tireRadius + 60;
    const things = Array.from({ length: 7 }, (_, i) => ball(`thing ${i}`, above + 100 + 5 * i));
    const found = tight(things);
    expect(found.length).toBeGreaterThan(1);
    expect(found.length).toBeLessThanOrEqual(4);
    for (const v of found) {
      expect(v.state).not.toBe('ok');
      expect(v.remedies.length).toBeGreaterThan(0);
      expect(v.title).toMatch(/thing \d/);
      expect(v.title).toContain('at full bump');
    }
  });

  test('a yoke that is not measured is not judged: it is said that it was not', () => {
    const { input, result } = located(fresh());
    const slip = (room: typeof input.room, shaft = result.links.shaft!) =>
      roomVerdicts({ ...input, room }, { ...result, links: { ...result.links, shaft } }, 'mm').filter((v) =>
        v.id.startsWith('slip'),
      );
    const long = { ...result.links.shaft!, in: 20, out: 9 };
    expect(slip({}, long)).toMatchObject([
      { id: 'slip', state: 'look', title: expect.stringContaining('not measured') },
    ]);
    expect(slip({ in: 40 }, long)[0]!.state).toBe('look');
    expect(slip({ in: 40, out: 40 }, long)).toMatchObject([{ id: 'slip', state: 'ok' }]);
    expect(slip({ in: 10, out: 40 }, long)).toMatchObject([{ id: 'slip-in', state: 'stop' }]);
    expect(slip({ in: 40, out: 12 }, long)).toMatchObject([{ id: 'slip-out', state: 'look' }]);
    expect(slip({ in: 1, out: 1 }, long).map((v) => v.id)).toEqual(['slip-in', 'slip-out']);
    // So little movement that any yoke has room for it.
    expect(slip({}, { ...long, in: 1, out: 1 })).toMatchObject([{ state: 'ok' }]);
  });

  test('joints of the shaft: together, apart, steep, and steep only in the travel', () => {
    const { input, result } = located(fresh());
    const states = (front: number, rear: number, most: number) => {
      const shaft = { ...result.links.shaft!, front, rear, most, mostAt: { left: 75, right: 75 } };
      const verdicts = roomVerdicts(input, { ...result, links: { ...result.links, shaft } }, 'mm');
      return ['shaft-angles', 'shaft-travel'].map((id) => verdicts.find((v) => v.id === id)!.state);
    };
    const { match, atRide, inTravel } = LIMITS.driveshaft;
    expect(states(2, 2, 5)).toEqual(['ok', 'ok']);
    expect(states(2, 2 + match, 5)).toEqual(['ok', 'ok']);
    expect(states(1, 1.1 + match, 5)).toEqual(['look', 'ok']);
    expect(states(atRide + 0.1, atRide + 0.1, inTravel)).toEqual(['look', 'ok']);
    expect(states(2, 2, inTravel + 0.1)).toEqual(['ok', 'look']);
  });
});
