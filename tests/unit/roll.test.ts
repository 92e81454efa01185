import fc from 'fast-check';
import { stationBasis } from '@/core/build/stations';
import { newJob, rollInput, withLayout } from '@/core/job/job';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/schema';
import { LAYOUT_IDS } from '@/core/layouts/patterns';
import { InputError } from '@/core/rig/read';
import { analyseRoll, type RollInput } from '@/core/roll/analyse';
import { rollChecks } from '@/core/roll/checks';
import { armInUse, STOCK, swayBarOf, usualBar, usualSprings } from '@/core/roll/design';
import { readRate, readRollRate, showRate, showRollRate } from '@/core/units/rates';

const AT_RIDE = { left: 0, right: 0 };
const MASSES = {
  total: 1450,
  frontFraction: 0.55,
  unsprungFront: 84,
  unsprungRear: 148,
  unsprungHeightFront: 330,
  unsprungHeightRear: 331,
};

/** A car with springs, a bar, its weight and its other end. */
function car(change: Partial<Job['roll']> = {}): Job {
  const job = newJob('check', 'Check', 'in16');
  const { rig } = job;
  return {
    ...job,
    rig: {
      ...rig,
      masses: MASSES,
      otherEnd: { rollCentreHeight: 60, rollRate: 420_000, track: 1450, tireRadius: 320 },
    },
    roll: { springs: usualSprings(rig), bar: usualBar(rig), ...change },
  };
}
const input = (job: Job, rocker = AT_RIDE): RollInput => rollInput(job, rocker);
const found = (job: Job) => rollChecks(input(job), analyseRoll(input(job)), 'in16');

test('heave asks nothing of the bar, one wheel half of what both against each other do', () => {
  const job = car();
  const force = (left: number, right: number) => analyseRoll(input(job, { left, right })).now!.force;
  const against = force(20, -20);
  expect(against).toBeGreaterThan(100);
  expect(force(20, 20)).toBeLessThan(0.02 * against);
  expect(force(20, 0) / against).toBeCloseTo(0.5, 1);
  expect(force(0, 0)).toBeCloseTo(0, 6);
});

test('each lever does what a builder knows it does', () => {
  const { levers, answer } = analyseRoll(input(car()));
  const lever = (id: string) => levers.find((l) => l.id === id)!;
  expect(levers.map((l) => l.id)).toEqual(['panhard', 'springs', 'bar', 'hole', 'none']);
  // Stiffer behind: looser and less lean. Without the bar: tighter and more.
  for (const id of ['panhard', 'springs', 'bar', 'hole'])
    expect([id, lever(id).share < 0, lever(id).roll < 0]).toEqual([id, true, true]);
  expect(lever('none').share).toBeGreaterThan(0);
  expect(lever('none').roll).toBeGreaterThan(0);
  // The lever's word is kept: taken off, the share is what was promised.
  const bare = analyseRoll(input(car({ bar: null }))).answer.balance!;
  expect(bare.frontShare - answer.balance!.frontShare).toBeCloseTo(lever('none').share, 12);
});

test('a bar through the driveshaft is caught where it happens, and a dip mends it', () => {
  const job = {
    ...car(),
    rig: {
      ...car().rig,
      driveshaft: {
        transmission: [1280, 0, 420] as [number, number, number],
        transmissionAngleDeg: -2.5,
        pinion: [290, 0, 356] as [number, number, number],
        pinionAngleDeg: -2.5,
      },
    },
  };
  const bar = { ...usualBar(job.rig), ahead: 400, height: 380 };
  const through = { ...job, roll: { ...job.roll, bar } };
  expect(found(through).find((v) => v.id === 'barShaft')).toMatchObject({ state: 'stop' });
  const dipped = { ...through, roll: { ...through.roll, bar: { ...bar, dip: { depth: 190, width: 220 } } } };
  expect(found(dipped).some((v) => v.id === 'barShaft')).toBe(false);
});

test('what cannot be fitted is said: bushings on a bend, no arm left, a bar worked too hard', () => {
  const ids = (bar: object) =>
    found(car({ bar: { ...usualBar(car().rig), ...bar } }))
      .filter((v) => v.state !== 'ok')
      .map((v) => v.id);
  expect(ids({ bushings: 1000 })).toContain('barBushings');
  expect(ids({ arm: 120, hole: 3 })).toContain('barArm');
  expect(ids({ od: 34, arm: 120 })).toContain('barStress');
  expect(() =>
    analyseRoll(input(car({ bar: { ...usualBar(car().rig), link: 130, arm: 60, hole: 3 } }))),
  ).not.toThrow();
});

test('the indicator is tight with a soft rear, loose with a stiff one, and says nothing without the weights', () => {
  const title = (rate: number, bar: Job['roll']['bar'] = null) => {
    const job = car({ springs: { ...usualSprings(car().rig), rate }, bar });
    return found(job).find((v) => v.id === 'balance')!.title;
  };
  expect(title(8)).toContain('tight');
  expect(title(90)).toContain('loose');
  const unweighed = { ...car(), rig: { ...car().rig, masses: undefined } };
  expect(found(unweighed).some((v) => v.id === 'balance')).toBe(false);
});

test('any bar that can be typed is answered or refused in words', () => {
  const mm = (min: number, max: number) => fc.integer({ min, max });
  const bars = fc.record({
    mountedOn: fc.constantFrom('chassis' as const, 'axle' as const),
    stock: fc.constantFrom(...STOCK),
    eyes: mm(200, 1600),
    middle: mm(150, 1600),
    arm: mm(60, 500),
    hole: fc.nat(6),
    pitch: mm(5, 60),
    pointing: fc.constantFrom('ahead' as const, 'back' as const),
    ahead: mm(-600, 600),
    height: mm(100, 700),
    bushings: mm(100, 1600),
    link: mm(30, 300),
    dip: fc.record({ depth: mm(-200, 200), width: mm(40, 500) }),
  });
  fc.assert(
    fc.property(bars, ({ stock, ...rest }) => {
      try {
        const result = analyseRoll(input(car({ bar: { ...rest, ...stock } })));
        const [bar] = result.answer.swayBars!;
        for (const v of [bar!.rate, bar!.rollRate, bar!.maxStress, bar!.torsionShare])
          expect(Number.isFinite(v)).toBe(true);
        expect(bar!.rate).toBeGreaterThan(0);
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
      }
    }),
    { numRuns: 150 },
  );
});

test.each(LAYOUT_IDS)('%s has springs and a bar that work', (layout) => {
  const job = withLayout(newJob('check', 'Check', 'mm'), layout);
  const fitted = { ...job, roll: { springs: usualSprings(job.rig), bar: usualBar(job.rig) } };
  const { answer } = analyseRoll(input(fitted));
  expect(answer.swayBars![0]!.rollRate).toBeGreaterThan(1e5);
  expect(answer.springs!.every((s) => s.rollRate > 1e5)).toBe(true);
  expect(answer.balance).toBeUndefined();
});

test('the design survives the file; the stripe names what changed; the rates read back', () => {
  const job = car();
  expect(readJob(writeJob(job)).roll).toEqual(job.roll);
  expect(stationBasis(job, 'roll')).toMatchObject({ 'sway bar, od': 22.225, 'springs, rate': 26 });
  expect(stationBasis({ ...job, roll: { springs: null, bar: null } }, 'roll')).toEqual({});
  expect(armInUse({ ...usualBar(job.rig), hole: 2 })).toBeCloseTo(230 - 50.8, 9);
  expect(swayBarOf({ ...usualBar(job.rig), mountedOn: 'axle' }).links.left[2]).toBeGreaterThan(
    usualBar(job.rig).height,
  );
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 5000 }),
      fc.constantFrom('in16' as const, 'mm' as const),
      (n, tape) => {
        expect(readRate(showRate(n, tape), tape)).toBeCloseTo(n, 8);
        expect(readRollRate(showRollRate(n * 1000, tape), tape)).toBeCloseTo(n * 1000, 5);
      },
    ),
  );
  // A pound to the inch is 0.1751 N/mm; a pound-foot is 1355.8 N·mm.
  expect(readRate(1, 'in16')).toBeCloseTo(0.17513, 5);
  expect(readRollRate(1, 'in16')).toBeCloseTo(1355.82, 1);
});
