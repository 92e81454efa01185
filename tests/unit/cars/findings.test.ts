import { clearances } from '@/core/clearance/clearance';
import { nearestHole } from '@/core/job/made/bracketHoles';
import { axialRate } from '@/core/materials/joints';
import { assemble } from '@/core/kinematics/mechanism';
import { travelMap } from '@/core/locate/travel/travelMap';
import { locateInput } from '@/core/locate/types';
import { findWarnings } from '@/core/locate/warnings';
import { readRig } from '@/core/rig/read';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { located } from '../../support/locate';
import { everyLayout, patternRig } from '../../support/layouts';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { withBends, withJoints, withMounts } from '@/core/job/edits/mounts';
import { withLayout } from '@/core/job/edits/members/layout';
import { workBar } from '@/core/job/jobValues';
import { MEMBER_KITS, kitsToAdd, withoutMembers, withKit, type KitName } from '@/core/job/edits/members/kits';
import { settingOf } from '@/core/ride/alignment';

const bare = newJob('check', 'Check', 'mm');
const analyse = (job: Job) => located(job).result;
const stateOf = (job: Job, id: string) => located(job).said.find((v) => v.id === id)?.state;
const verdictOf = (job: Job, id: string) => located(job).said.find((v) => v.id === id)!;
const SWEEP = [-70, -35, 35, 70].map((lift) => ({ left: lift, right: lift }));

describe('warnings of a rig', () => {
  const codes = (rig: Rig) => findWarnings(readRig(JSON.stringify(rig))).map((w) => w.code);
  const rig = { ...patternRig('three-link-panhard'), sweep: SWEEP };

  test('each has a code, a place, and words that end in what to do', () => {
    for (const [, each] of everyLayout) {
      for (const w of findWarnings({ ...each, sweep: [...SWEEP, { left: 70, right: -70 }] })) {
        expect(w).toEqual({
          code: expect.stringMatching(/^[a-z-]+$/),
          where: expect.any(String),
          message: expect.any(String),
        });
        expect(w.message.split(/[.!?] /).length).toBeGreaterThan(1);
        expect(w.message).not.toMatch(/NaN|undefined|Infinity/);
      }
    }
  });

  test('they look at the whole travel: what clears at rest is found to hit at bump', () => {
    const tank: Obstacle = {
      id: 'tank',
      on: 'chassis',
      shape: 'box',
      min: [-60, 100, 400],
      max: [60, 300, 500],
    };
    const near = {
      ...rig,
      obstacles: [
        tank,
        {
          id: 'tube',
          on: 'axle' as const,
          shape: 'capsule' as const,
          from: [0, 500, 330] as [number, number, number],
          to: [0, -500, 330] as [number, number, number],
          radius: 38,
        },
      ],
    };
    expect(codes({ ...near, sweep: [] })).not.toContain('clearance');
    const hit = findWarnings(near).find((w) => w.code === 'clearance')!;
    expect(hit.message).toMatch(/tube hits the tank at full bump/);
  });

  test('a sloping, skewed bar is told of in both its faults', () => {
    const members = rig.members.map((m) =>
      m.id === 'panhard' && m.type === 'link'
        ? { ...m, chassis: [m.chassis[0] + 60, m.chassis[1], m.chassis[2] + 70] as [number, number, number] }
        : m,
    );
    expect(codes({ ...rig, members })).toEqual(expect.arrayContaining(['level', 'plan']));
    expect(codes(rig)).not.toContain('level');
  });
});

describe('joints', () => {
  test('the softer of two joints rules the stiffness of the bar; two rod ends make the default', () => {
    expect(axialRate({ chassis: 'rod-end', axle: 'rod-end' })).toBe(20_000);
    expect(axialRate({ chassis: 'rod-end', axle: 'rubber' })).toBeLessThan(2500);
    const soft = withJoints(bare, 'lower-left', { axle: 'rubber' }, true);
    const rates = soft.rig.members.map((m) => ('rate' in m ? m.rate : undefined));
    expect(rates.filter((r) => r !== undefined)).toEqual([rates[0], rates[0]]);
  });

  test('square brackets cock the joints of leaning links; turned to the bar they sit square', () => {
    const leaning = withLayout(bare, 'triangulated-four-link');
    expect(stateOf(leaning, 'cocked')).toBeUndefined();
    const square = withJoints(leaning, 'upper-left', { brackets: 'square' }, true);
    expect(stateOf(square, 'cocked')).toBe('stop');
    expect(
      stateOf(withJoints(square, 'upper-left', { chassis: 'rubber', axle: 'rubber' }, true), 'joints'),
    ).toBe('stop');
  });

  test('softer joints ease the bind of links that fight', () => {
    const stiff = withLayout(bare, 'parallel-four-link-panhard');
    const force = (job: Job) => analyse(job).links.bind!.force;
    const soft = withJoints(
      withJoints(stiff, 'lower-left', { chassis: 'rubber' }, true),
      'upper-left',
      { chassis: 'rubber' },
      true,
    );
    expect(force(soft)).toBeLessThan(0.5 * force(stiff));
  });
});

describe('driveshaft', () => {
  test('the slip yoke is held against the room that was measured for it', () => {
    const { in: inward, out } = analyse(bare).links.shaft!;
    const room = (inMm: number, outMm: number): Job => ({
      ...bare,
      shaft: { ...bare.shaft, room: { in: inMm, out: outMm } },
    });
    expect(stateOf(room(inward + 7, out + 7), 'slip')).toBe('ok');
    expect(stateOf(room(inward + 3, out + 7), 'slip-in')).toBe('look');
    expect(stateOf(room(inward - 1, out + 7), 'slip-in')).toBe('stop');
    expect(stateOf(room(inward + 7, out - 1), 'slip-out')).toBe('stop');
  });

  test('yokes that lean apart do not cancel', () => {
    const shaft = { ...bare.rig.driveshaft!, pinionAngleDeg: 2 };
    expect(stateOf(bare, 'shaft-angles')).toBe('ok');
    expect(stateOf({ ...bare, laidOut: true, rig: { ...bare.rig, driveshaft: shaft } }, 'shaft-angles')).toBe(
      'look',
    );
  });
});

test('a map holds the same values as the poses it is made of', () => {
  const input = locateInput(bare, { left: 0, right: 0 });
  const map = travelMap(input, 'rollCentreHeight');
  const { at } = assemble(input.rig);
  for (const [row, column] of [
    [0, 12],
    [12, 0],
    [20, 7],
  ] as const) {
    const [tilt, heave] = [map.rows[row]!, map.columns[column]!];
    const pose = at({ left: heave + tilt, right: heave - tilt });
    expect(map.values[row * map.columns.length + column]).toBeCloseTo(
      'rollCentreHeight' in pose ? pose.rollCentreHeight! : NaN,
      6,
    );
  }
});

describe('parts', () => {
  test('any part can be put on and taken off again, and what is left is as it was', () => {
    for (const part of kitsToAdd(bare.rig)) {
      const grown = withKit({ ...bare, laidOut: true }, part);
      expect(grown.rig.members.length).toBe(bare.rig.members.length + newIds(part, bare).length);
      expect(withoutMembers(grown, newIds(part, bare)).rig.members).toEqual(bare.rig.members);
    }
  });

  test('one layout is made into another by hand, and then moves as that one does', () => {
    const byHand = withKit(withoutMembers(bare, ['panhard']), 'crank');
    const laidOut = withLayout(bare, 'three-link-watts');
    const y = (job: Job) => analyse(job).curve.map((p) => ('y' in p ? p.y : null));
    y(byHand).forEach((v, i) => expect(v).toBeCloseTo(y(laidOut)[i]!, 6));
    expect(analyse(byHand).bar).toBeNull();
    expect(() => analyse(withoutMembers(bare, ['panhard']))).toThrow(/sideways/);
    expect(
      withoutMembers(
        bare,
        bare.rig.members.map((m) => m.id),
      ),
    ).toBe(bare);
  });

  const newIds = (part: KitName, job: Job): string[] =>
    (MEMBER_KITS[part].ids as readonly string[]).filter((id) => !job.rig.members.some((m) => m.id === id));
});

test('an eye with holes goes to the nearest, and no farther than the last', () => {
  const holes = { lowest: 300, pitch: 25, count: 4 };
  expect([290, 311, 314, 352, 900].map((mm) => nearestHole(holes, mm))).toEqual([300, 300, 325, 350, 375]);
});

test.each(['three-link-watts', 'triangulated-four-link'] as const)(
  '%s is centred by two bars turned against each other',
  (layout) => {
    const job = withLayout(bare, layout);
    const found = settingOf({ ...job, ride: { ...job.ride, gaps: { left: 126, right: 120 } } })!;
    const { bars } = found.steps[0]!;
    expect(bars).toHaveLength(2);
    expect(bars[0]!.turns).toBeCloseTo(-bars[1]!.turns!, 9);
    // As much as the axle stands off, or near it: the links of a crank run straight across, those of a triangle do not.
    expect(Math.abs(found.now.offset!)).toBe(3);
    const turned = { at: '2026-03-20T10:00:00.000Z', left: 126, right: 120, turned: bars[0]!.turns! };
    const after = settingOf({
      ...job,
      ride: { ...job.ride, gaps: { left: 123, right: 123 }, rounds: [turned] },
    })!;
    expect(after).toMatchObject({ centred: true, steps: [] });
  },
);

test('what the axle carries is measured against what the chassis carries, boxes included', () => {
  const box = (id: string, on: Obstacle['on'], x: number): Obstacle => ({
    id,
    on,
    shape: 'box',
    min: [x, -50, 300],
    max: [x + 40, 50, 380],
  });
  const rig = {
    ...patternRig('three-link-panhard'),
    obstacles: [box('a', 'axle', 0), box('b', 'chassis', 90)],
  };
  const gap = clearances(rig, assemble(rig).ride).find((c) => c.a === 'a')!;
  expect(gap).toEqual({ a: 'a', b: 'b', distance: expect.closeTo(50, 9) });
  const moved = withMounts(bare, [
    { member: 'panhard', end: 'chassis', axis: 2, mm: workBar(bare)!.chassis[2] },
  ]);
  expect(analyse(moved).gaps[0]!.distance).toBeGreaterThan(0);
});

test('a bar bent round what it hits clears it once it cannot roll, and holds the axle as before', () => {
  const pipe: Obstacle = {
    id: 'pipe',
    on: 'chassis',
    shape: 'sphere',
    centre: [workBar(bare)!.chassis[0], 0, workBar(bare)!.chassis[2]],
    radius: 20,
  };
  const blocked: Job = {
    ...bare,
    laidOut: true,
    rig: { ...bare.rig, obstacles: [...bare.rig.obstacles!, pipe] },
  };
  expect(stateOf(blocked, 'clearance')).toBe('stop');
  const [x, , z] = workBar(bare)!.chassis;
  const bent = withBends(blocked, 'panhard', [
    [x, 250, z + 150],
    [x, -250, z + 150],
  ]);
  // Its rod ends let it roll about its eyes, down towards the pipe again: said, with what holds it.
  const rolls = verdictOf(bent, 'clearance');
  expect(rolls.state).not.toBe('ok');
  expect(rolls.reason).toMatch(/can roll about its own two ends/);
  expect(rolls.remedies.map(({ text }) => text).join()).toMatch(/soft bushing at its (frame|axle) end/);
  const held = withJoints(bent, 'panhard', { chassis: 'poly' }, false);
  expect(stateOf(held, 'clearance')).toBe('ok');
  expect(analyse(bent).ride.rollCentreHeight).toBe(analyse(blocked).ride.rollCentreHeight);
  expect(withBends(bent, 'panhard', []).rig.members).toEqual(blocked.rig.members);
});
