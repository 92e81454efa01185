import fc from 'fast-check';
import { solveRig } from '@/core/bench/solveRig';
import { readJob, writeJob } from '@/core/job/file';
import { withLayout } from '@/core/job/edits/members/layout';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { motionOf } from '@/core/kinematics/smallMotions';
import type { LayoutId } from '@/core/rig/layouts';
import { InputError, readRig } from '@/core/rig/read';
import { analyseRoll, type RollResult } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { setUpOf } from '@/core/roll/setUp';
import { changed, changedBy, LEVERS } from '@/core/roll/levers';
import { rateOf, SPRING_KINDS, usualSprings, type SpringDesign } from '@/core/springs/springDesign';
import { usualBar, usualBladeBar, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { STEEL_NAMES } from '@/core/materials/steels';
import { MASSES } from '../../support/masses';

const AT_RIDE = { left: 0, right: 0 };
const within = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

/** A weighed car with its other end, of some layout. */
function car(layout: LayoutId): Job {
  const job = withLayout(newJob('check', 'Check', 'in16'), layout);
  return {
    ...job,
    rig: {
      ...job.rig,
      masses: MASSES,
      otherEnd: { rollCentreHeight: 60, rollRate: 900_000, track: 1450, tireRadius: 320 },
    },
  };
}

/** Bars as they can be designed: bent, with flat arms, in soft bushings, solid or tube, on the frame or on the axle. */
const bars: fc.Arbitrary<Partial<BarDesign>> = fc.record({
  od: within(14, 34),
  wall: fc.option(within(2, 5), { nil: null }),
  made: fc.constantFrom('one-piece' as const, 'arms' as const),
  steel: fc.constantFrom(...STEEL_NAMES),
  arm: within(150, 320),
  hole: fc.integer({ min: 0, max: 2 }),
  rise: within(-40, 40),
  pointing: fc.constantFrom('ahead' as const, 'back' as const),
  bushingRate: fc.option(within(400, 6000), { nil: null }),
  mountedOn: fc.constantFrom('chassis' as const, 'axle' as const),
  arms: fc.record({
    height: within(20, 60),
    thickness: within(5, 14),
    turned: within(0, 90),
    teeth: fc.constant(null),
  }),
});
const layouts = fc.constantFrom<LayoutId>(
  'three-link-panhard',
  'ladder-bars-panhard',
  'triangulated-four-link',
  'front-four-link',
);
const springs = fc.constantFrom(...SPRING_KINDS);

/** Roll's answer, and the command's for the same car written down as a rig file; null where the bar is refused by both. */
function both(job: Job): { roll: RollResult; command: ReturnType<typeof solveRig> } | null {
  const file = JSON.stringify({ ...job.rig, sweep: [] });
  const refused = (ask: () => unknown) => {
    try {
      ask();
      return null;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return error.message;
    }
  };
  const ask = () => analyseRoll(rollInput(job, AT_RIDE), 'bar');
  const problem = refused(ask);
  if (problem !== null) {
    expect(refused(() => solveRig(readRig(file)))).not.toBeNull();
    return null;
  }
  return { roll: ask(), command: solveRig(readRig(file)) };
}

describe('what is designed at Roll and what the command reads are one', () => {
  test('any bar: its stiffness against roll, and the balance of the car, to the last digits', () => {
    fc.assert(
      fc.property(layouts, bars, springs, fc.boolean(), (layout, change, kind, blades) => {
        const plain = car(layout);
        const bar = { ...(blades ? usualBladeBar(plain.rig) : usualBar(plain.rig)), ...change };
        const job = withRoll(plain, { bar, springs: usualSprings(plain.rig, kind) });
        const answers = both(job);
        if (!answers) return;
        const { roll, command } = answers;
        expect(roll.bar!.rollRate).toBeCloseTo(command.swayBars![0]!.rollRate, 6);
        command.springs!.forEach((spring, i) => {
          expect(roll.springs[i]!.wheelRate).toBeCloseTo(spring.wheelRate, 9);
          expect(roll.springs[i]!.rollRate).toBeCloseTo(spring.rollRate, 6);
        });
        if (roll.balance && command.balance) {
          expect(command.balance.frontShare).toBeCloseTo(roll.balance.frontShare, 9);
          expect(command.balance.rollGradientDegPerG).toBeCloseTo(roll.balance.rollGradientDegPerG, 9);
        } else expect(command.balance ?? null).toBe(roll.balance);
      }),
      { numRuns: 60 },
    );
  });

  test('saved and opened again, a designed car gives the same answer', () => {
    fc.assert(
      fc.property(layouts, bars, springs, (layout, change, kind) => {
        const plain = car(layout);
        const job = withRoll(plain, {
          bar: { ...usualBar(plain.rig), ...change },
          springs: usualSprings(plain.rig, kind),
        });
        const answers = both(job);
        if (!answers) return;
        const opened = readJob(writeJob(job));
        // Sizes follow from readings as it is opened, so that only what is the same car is compared.
        expect(opened.rig.swayBars).toEqual(job.rig.swayBars);
        expect(opened.rig.springs?.map((s) => s.rate)).toEqual(job.rig.springs?.map((s) => s.rate));
      }),
      { numRuns: 30 },
    );
  });

  test('links off, the bar is in no rig; taken off, springs and bar are gone from it', () => {
    const plain = car('three-link-panhard');
    const job = withRoll(plain, { bar: usualBar(plain.rig), springs: usualSprings(plain.rig, 'coil') });
    expect(job.rig.swayBars).toHaveLength(1);
    expect(job.rig.springs).toHaveLength(2);
    const unhooked = withRoll(job, { bar: { ...job.roll.bar!, hooked: false } });
    expect(unhooked.rig.swayBars).toEqual([]);
    expect(unhooked.rig.springs).toEqual(job.rig.springs);
    const bare = withRoll(withRoll(job, { bar: null }), { springs: null });
    expect(bare.rig.swayBars).toBeUndefined();
    expect(bare.rig.springs).toBeUndefined();
    expect(bare.rig.members).toBe(job.rig.members);
  });

  test('springs that a rig states without a design stay as they are', () => {
    const plain = car('three-link-panhard');
    const own = [{ id: 'left', chassis: [0, 500, 700], axle: [0, 500, 330], rate: 31 }] as NonNullable<
      Job['rig']['springs']
    >;
    const stated = { ...plain, rig: { ...plain.rig, springs: own } };
    const job = withRoll(stated, { bar: usualBar(plain.rig) });
    expect(job.rig.springs).toEqual(own);
    expect(analyseRoll(rollInput(job, AT_RIDE), 'springs').springs).toHaveLength(1);
  });

  test('an air bag that holds nothing up is no spring of a rig, and is answered all the same', () => {
    const plain = car('three-link-panhard');
    const air = usualSprings(plain.rig, 'air') as Extract<SpringDesign, { kind: 'air' }>;
    const limp: SpringDesign = { ...air, pressure: 0.01, area: 600, growth: -2, volume: 2_765_314 };
    expect(rateOf(limp)).toBeLessThanOrEqual(0);
    const job = withRoll(plain, { springs: limp });
    expect(job.rig.springs).toEqual([]);
    expect(readRig(JSON.stringify(job.rig))).toEqual(job.rig);
    expect(() => analyseRoll(rollInput(job, AT_RIDE), 'springs')).not.toThrow();
  });
});

describe('changes that are thought about', () => {
  const made = () => {
    const plain = car('three-link-panhard');
    return withRoll(plain, { bar: usualBar(plain.rig), springs: usualSprings(plain.rig, 'coil') });
  };

  test('a change made and taken back is the car it was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LEVERS),
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        (lever, by) => {
          const input = rollInput(made(), AT_RIDE);
          const step = lever === 'hole' ? 1 : lever === 'panhard' ? 100 * by : lever === 'bar' ? 10 * by : by;
          const there = changed(input, lever, step);
          if (!there) return;
          // A share more is taken back by its own share of what it has become.
          const back = lever === 'springs' || lever === 'other' ? 1 / (1 + step) - 1 : -step;
          const again = changed(there, lever, back)!;
          const of = (i: typeof input) => setUpOf(i, motionOf(i.rig)).car!.balance;
          expect(of(again).frontShare).toBeCloseTo(of(input).frontShare, 9);
          expect(of(again).rollGradientDegPerG).toBeCloseTo(of(input).rollGradientDegPerG, 9);
        },
      ),
      { numRuns: 30 },
    );
  });

  test('what is shown of a change is what the car does once it is made', () => {
    fc.assert(
      fc.property(within(-0.3, 0.3), within(-2, 3), (stiffer, thicker) => {
        const job = made();
        // Nothing thought about is nothing shown.
        if (stiffer === 0 && thicker === 0) return;
        const what = { springs: stiffer, bar: thicker };
        const shown = analyseRoll(rollInput(job, AT_RIDE), 'balance', what).tuning!.whatIf!;
        const { springs: s, bar } = changedBy(rollInput(job, AT_RIDE), what);
        const then = analyseRoll(rollInput(withRoll(job, { springs: s, bar }), AT_RIDE), 'balance').corner!;
        expect(then.rollDeg).toBeCloseTo(shown.rollDeg, 9);
        expect(then.frontShare).toBeCloseTo(shown.frontShare, 9);
      }),
      { numRuns: 15 },
    );
  });
});
