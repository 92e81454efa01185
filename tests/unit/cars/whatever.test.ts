import { unsound } from '../../support/numbers';
import { jobAgreement } from '../../support/agreement';
import fc from 'fast-check';
import { STATIONS } from '@/core/bench/stationIds';
import { stationBasis } from '@/core/bench/stations';
import { checkBar } from '@/core/cut/barChecks';
import { jobConditions } from '@/core/bench/holdPoint';
import { approachOf } from '@/core/record/jobRecord';
import { checkRecord } from '@/core/record/recordChecks';
import { resultUncertainty } from '@/core/locate/resultUncertainty';
import { heightsOf, schoolsOf } from '@/core/place/heights';
import { viewsOf } from '@/core/book/views';
import { dueOf } from '@/core/drive/rechecks';
import { settingsOf } from '@/core/drive/setUps';
import { planNow } from '@/core/plan/standing';
import { torqueSheet } from '@/core/weld/torqueSheet';
import { removalOrder } from '@/core/place/order';
import { placeChecks } from '@/core/place/placeChecks';
import { InputError } from '@/core/rig/read';
import { asSet } from '@/core/ride/asSet';
import { preloadOf } from '@/core/ride/preload';
import { analyseRoll, ROLL_PARTS } from '@/core/roll/analyse';
import { rollVerdicts } from '@/core/roll/checks/checks';
import type { Verdict } from '@/core/verdict/verdict';
import { demoJobs } from '@/store/demo';
import { DRIVESHAFT, mountsOf, STEERING } from '@/core/rig/mounts';
import type { Job } from '@/core/job/jobSchema';
import { travelOf, workBar } from '@/core/job/jobValues';
import { madeUp, specOf } from '@/core/job/made/parts';
import { located } from '../../support/locate';
import { rollInput } from '@/core/roll/input';
import { withMounts } from '@/core/job/edits/mounts';
import { withoutMembers } from '@/core/job/edits/members/kits';
import { settingOf } from '@/core/ride/alignment';

const cars = demoJobs();
const axis = fc.constantFrom(0 as const, 1 as const, 2 as const);
/** A mount typed somewhere that its field takes, round figures more often than not. */
const mm = fc.oneof(
  fc.constantFrom(0, 20, 100, 177.8, 317.5, 476.25, 640, -1, -317.5),
  fc.integer({ min: -1200, max: 1500 }),
);
const change = fc.record({ member: fc.nat(11), mount: fc.nat(5), axis, mm });

/** A demo car with mounts typed at random, and perhaps with members taken off. */
const recipe = fc.record({
  car: fc.nat(cars.length - 1),
  changes: fc.array(change, { maxLength: 4 }),
  off: fc.option(fc.nat(7), { freq: 4 }),
  gaps: fc.record({ left: fc.integer({ min: 60, max: 220 }), right: fc.integer({ min: 60, max: 220 }) }),
});
type Recipe = typeof recipe extends fc.Arbitrary<infer R> ? R : never;

function made({ car, changes, off, gaps }: Recipe): Job {
  const whole = cars[car]!;
  const { members } = whole.rig;
  const lessOne = off === null ? whole : withoutMembers(whole, [members[off % members.length]!.id]);
  const owners = [...lessOne.rig.members.map((m) => m.id), STEERING, DRIVESHAFT];
  const moved = changes.reduce((job, { member, mount, ...to }) => {
    const id = owners[member % owners.length]!;
    const mounts = mountsOf(job.rig, id);
    return mounts.length
      ? withMounts(job, [{ member: id, end: mounts[mount % mounts.length]!.key, ...to }])
      : job;
  }, lessOne);
  return { ...moved, ride: { ...moved.ride, gaps } };
}

/** Nothing, where the geometry is refused in words. */
function orRefused<T>(ask: () => T): T | null {
  try {
    return ask();
  } catch (error) {
    if (error instanceof InputError) {
      expect(error.message).toMatch(/\w+ \w+ \w+/);
      return null;
    }
    throw error;
  }
}

const inWords = (verdicts: Verdict[]) => {
  for (const v of verdicts) {
    const said = [v.title, v.reason, ...v.remedies.map((r) => r.text)].join(' ');
    expect(said).not.toMatch(/NaN|Infinity|undefined|null|\[object/);
  }
};

/** The plan, the torque sheet, what is looked at again, the views of the book: each stands, in words without a gap. */
function workStands(job: Job): void {
  const plan = planNow(job);
  const steps = plan.ok ? plan.steps.map(({ task }) => task) : plan.circle;
  for (const { title, how, expect: then = '' } of steps)
    expect(`${title} ${how} ${then}`).not.toMatch(/NaN|Infinity|undefined|null|\[object/);
  for (const { wanted } of torqueSheet(job)) if (wanted !== null) expect(Number.isFinite(wanted)).toBe(true);
  dueOf(job);
  expect(unsound(viewsOf(job))).toEqual([]);
  expect(unsound(settingsOf(job))).toEqual([]);
}

describe('wherever mounts are typed, and whatever is taken off', () => {
  test('Locate and Roll answer in words or refuse in words', () => {
    fc.assert(
      fc.property(recipe, fc.constantFrom(...ROLL_PARTS), fc.boolean(), (plan, part, thrown) => {
        const job = made(plan);
        const { bump, droop } = travelOf(job);
        const rocker = thrown ? { left: bump, right: -droop } : { left: 0, right: 0 };
        inWords(orRefused(() => located(job, rocker).said) ?? []);
        const input = rollInput(job, rocker);
        if (thrown) orRefused(() => resultUncertainty(job));
        const rolled = orRefused(() => analyseRoll(input, part));
        if (rolled) inWords(rollVerdicts(input, part, rolled, job.tape));
      }),
      { numRuns: 250 },
    );
  });

  test('every other station still stands', () => {
    fc.assert(
      fc.property(recipe, (plan) => {
        const job = made(plan);
        for (const station of STATIONS) stationBasis(job, station);
        const bar = workBar(job);
        if (bar) inWords(checkBar(specOf(job, bar.id), madeUp(job, bar), job.tape));
        inWords([
          ...placeChecks(job),
          ...checkRecord(job.readings, jobAgreement(job), approachOf(job), job.tape),
        ]);
        for (const { frame, ahead } of heightsOf(job)) {
          expect(frame).toEqual(expect.any(Number));
          if (ahead !== null) expect(Number.isFinite(ahead)).toBe(true);
        }
        schoolsOf(job);
        for (const { hold } of removalOrder(job.rig)) expect(hold).toMatch(/\w+ \w+/);
        for (const c of jobConditions(job, jobAgreement(job), [])) expect(unsound(c)).toEqual([]);
        preloadOf(job);
        workStands(job);
        for (const { value } of asSet(job)) if (value !== null) expect(Number.isNaN(value)).toBe(false);
        orRefused(() => settingOf(job));
      }),
      { numRuns: 250 },
    );
  });
});
