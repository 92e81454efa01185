import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { jobConditions } from '@/core/bench/holdPoint';
import { stationBasis, stationStripeKey } from '@/core/bench/stations';
import { stationStripe } from '@/core/bench/stripes';
import { asFound } from '@/core/record/asFound';
import { planOf } from '@/core/record/plan';
import { approachOf } from '@/core/record/jobRecord';
import { located } from '../../support/locate';
import { jobAgreement } from '../../support/agreement';
import { unsound } from '../../support/numbers';

type Loose = Record<string, unknown>;
const third = JSON.parse(readFileSync('tests/fixtures/version-3.pellik.json', 'utf8')) as Loose &
  Pick<Job, 'readings' | 'ride' | 'rig'>;
const opened = (file: Loose) => readJob(JSON.stringify(file));

/** The same car as the second version wrote it: upright coils, a bar with one dip. */
function second(roll: Loose): Loose {
  return { ...third, version: 2, roll };
}

/** The same car as the first version wrote it: lengths alone, no plan, no stands, two gaps. */
function first(): Loose {
  const { record, place, roll, cornerG, ...rest } = third;
  for (const later of [record, place, roll, cornerG]) expect(later).toBeDefined();
  const { tolerance, gaps, rounds } = third.ride;
  const readings = Object.fromEntries(
    Object.entries(third.readings)
      .filter(([key]) => !/weight|Angle|floor|railAngle/.test(key))
      .map(([key, list]) => [key, list!.map(({ value, typed, at }) => ({ mm: value, typed, at }))]),
  );
  return { ...rest, version: 1, ride: { tolerance, gaps, rounds }, readings };
}

describe('a job of the first version', () => {
  test('keeps every reading, and is given a way of measuring, stands, and a ride of today', () => {
    const job = opened(first());
    for (const [key, list] of Object.entries(first().readings as Record<string, { mm: number }[]>))
      expect([key, job.readings[key]!.map((r) => r.value)]).toEqual([key, list.map((r) => r.mm)]);
    expect(job.record.method).toBe('t-square');
    expect(job.place.held).toEqual({});
    expect(job.ride.gaps).toEqual(third.ride.gaps);
    expect(job.roll).toMatchObject({ springs: null, bar: null });
  });

  test('is fit for every station', () => {
    const job = opened(first());
    expect(located(job).said.length).toBeGreaterThan(5);
    expect(planOf(approachOf(job)).length).toBeGreaterThan(10);
    expect(jobConditions(job, jobAgreement(job), []).length).toBeGreaterThan(5);
    expect(unsound(asFound(job.readings, null, job.record.datum, job.rig.end))).toEqual([]);
    expect(readJob(writeJob(job))).toEqual(job);
  });
});

describe('a job of the second version', () => {
  const dip = { depth: 120, width: 220 };
  const bar = {
    od: 22,
    wall: null,
    eyes: 900,
    middle: 820,
    arm: 230,
    height: 360,
    ahead: -180,
    bushings: 700,
    link: 160,
    dip,
  };
  const springs = { rate: 28, out: 440, top: 690, bottom: 300, ahead: -40 };

  test('its springs are coils on two stands each, its bar keeps its one dip', () => {
    const job = opened(second({ springs, bar }));
    expect(job.roll.springs).toEqual({
      kind: 'coil',
      rate: 28,
      od: 124,
      frame: { out: 440, ahead: -40, height: 690 },
      axle: { out: 440, ahead: -40, height: 300 },
      free: null,
      solid: null,
    });
    expect(job.roll.bar).toMatchObject({
      od: 22,
      eyes: 900,
      dips: [{ at: 0, ...dip }],
      mountedOn: 'chassis',
    });
    // What was designed is in the rig too, where the command reads it.
    expect(job.rig.springs!.map((s) => s.rate)).toEqual([28, 28]);
    expect(job.rig.swayBars).toHaveLength(1);
    expect(readJob(writeJob(job))).toEqual(job);
  });

  test('a dip of no depth is none; without springs or bar there is neither', () => {
    expect(
      opened(second({ springs, bar: { ...bar, dip: { depth: 0, width: 200 } } })).roll.bar!.dips,
    ).toEqual([]);
    const bare = opened(second({ springs: null, bar: null }));
    expect(bare.roll).toMatchObject({ springs: null, bar: null });
    const { roll: none, ...rest } = second({});
    expect(none).toBeDefined();
    expect(opened(rest).roll).toMatchObject({ springs: null, bar: null });
  });

  test('whatever its sizes were, the bar that comes of it answers in numbers', () => {
    const mm = (least: number, most: number) => fc.integer({ min: least, max: most });
    fc.assert(
      fc.property(mm(12, 34), mm(150, 320), mm(0, 150), mm(14, 60), (od, arm, depth, rate) => {
        const job = opened(
          second({ springs: { ...springs, rate }, bar: { ...bar, od, arm, dip: { ...dip, depth } } }),
        );
        const answer = analyseRoll(rollInput(job, { left: 0, right: 0 }), 'bar');
        expect(answer.bar!.rollRate).toBeGreaterThan(0);
        expect(unsound({ ...answer, wheelLiftG: null })).toEqual([]);
      }),
      { numRuns: 15 },
    );
  });
});

describe('what no version ever wrote', () => {
  test.each([
    ['a newer version', { ...third, version: 9 }, /newer Pellik/],
    ['no version', { ...third, version: undefined }, /version/],
    ['a list for its weld', { ...third, weld: [] }, /weld/],
    ['words for its stripes', { ...third, stripes: 'none' }, /stripes/],
    [
      'a state that is none',
      { ...third, weld: { joints: { frame: 'glued' }, measured: {}, log: [] } },
      /weld/,
    ],
    ['readings of a place that is none', { ...third, readings: { elbow: [] } }, /readings/],
    ['a rig without members', { ...third, rig: { ...third.rig, members: [] } }, /rig/],
    ['roll of another shape', { ...third, roll: { springs: 3 } }, /roll/],
  ])('%s is refused by name', (_, file, words) => {
    expect(() => opened(file as Loose)).toThrow(words);
  });

  test('the file that is refused changes nothing of the one that was good', () => {
    const good = opened(third);
    expect(() => opened({ ...third, version: 9 })).toThrow();
    expect(opened(third)).toEqual(good);
  });
});

describe('a job of the fourth version', () => {
  const fourth = JSON.parse(readFileSync('tests/fixtures/version-4.pellik.json', 'utf8')) as Loose & Job;

  test('opens with every body at its usual size; its geometry and its readings are as they were', () => {
    const job = readJob(JSON.stringify(fourth));
    expect([job.version, job.rig.version]).toEqual([5, 2]);
    expect([job.bodies, job.lines]).toEqual([{}, []]);
    expect(job.roll.springs).toEqual({ ...fourth.roll.springs, od: 124 });
    expect(job.roll.shock).toEqual({ ...fourth.roll.shock, od: 56 });
    for (const was of fourth.rig.members) {
      const now = job.rig.members.find((m) => m.id === was.id)!;
      for (const key of ['chassis', 'axle'] as const)
        if (key in was) expect((now as never)[key]).toEqual((was as never)[key]);
    }
    expect(job.readings).toEqual(fourth.readings);
    expect(readJob(writeJob(job))).toEqual(job);
  });

  test('a stripe across springs and bar, drawn before anything was thick, holds', () => {
    const open = readJob(JSON.stringify(fourth));
    const basis = stationBasis(open, 'roll')!;
    // As the fourth version knew them: nothing of how thick a spring or a shock is.
    expect(Object.keys(basis).filter((key) => /(springs|shock), diameter/.test(key))).toEqual([]);
    const striped = {
      ...fourth,
      stripes: { [stationStripeKey('roll')]: { at: '2026-11-20T09:00:00.000Z', basis } },
    };
    expect(stationStripe(readJob(JSON.stringify(striped)), 'roll').kind).toBe('whole');
  });
});
