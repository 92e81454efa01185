import fc from 'fast-check';
import { holdConditions } from '@/core/build/holdPoint';
import { STATIONS, stationBasis } from '@/core/build/stations';
import { makeBar } from '@/core/fabricate/bar';
import { checkBar } from '@/core/fabricate/barChecks';
import { barSpec, locateInput, rollInput, travelOf, withMounts, workBar } from '@/core/job/job';
import { withoutMembers } from '@/core/job/parts';
import { jobRecordChecks } from '@/core/job/record';
import type { Job } from '@/core/job/schema';
import { analyseLocate } from '@/core/locate/analyse';
import { describeBar } from '@/core/locate/lateralBar';
import { trustOf } from '@/core/locate/trust';
import { heightsOf, schoolsOf } from '@/core/place/heights';
import { removalOrder } from '@/core/place/order';
import { placeChecks } from '@/core/place/placeChecks';
import { DRIVESHAFT, mountsOf, STEERING } from '@/core/rig/members';
import { InputError } from '@/core/rig/read';
import { asSet } from '@/core/ride/asSet';
import { preloadOf } from '@/core/ride/preload';
import { settingOf } from '@/core/ride/setting';
import { analyseRoll, ROLL_PARTS } from '@/core/roll/analyse';
import { rollChecks } from '@/core/roll/checks';
import type { Verdict } from '@/core/verdict';
import { demoJobs } from '@/store/demo';

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

describe('wherever mounts are typed, and whatever is taken off', () => {
  test('Locate and Roll answer in words or refuse in words', () => {
    fc.assert(
      fc.property(recipe, fc.constantFrom(...ROLL_PARTS), fc.boolean(), (plan, part, thrown) => {
        const job = made(plan);
        const { bump, droop } = travelOf(job);
        const rocker = thrown ? { left: bump, right: -droop } : { left: 0, right: 0 };
        const located = orRefused(() => analyseLocate(locateInput(job, rocker)));
        if (located) inWords([...located.verdicts, ...located.linkVerdicts, ...located.roomVerdicts]);
        const input = rollInput(job, rocker);
        if (thrown) orRefused(() => trustOf(job));
        const rolled = orRefused(() => analyseRoll(input, part));
        if (rolled) inWords(rollChecks(input, part, rolled, job.tape));
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
        inWords(checkBar(barSpec(job), makeBar(describeBar(bar).eyeToEye, barSpec(job)), job.tape));
        inWords([...placeChecks(job), ...jobRecordChecks(job)]);
        for (const { frame, ahead } of heightsOf(job)) {
          expect(frame).toEqual(expect.any(Number));
          if (ahead !== null) expect(Number.isFinite(ahead)).toBe(true);
        }
        schoolsOf(job);
        for (const { hold } of removalOrder(job.rig)) expect(hold).toMatch(/\w+ \w+/);
        for (const c of holdConditions(job)) expect(JSON.stringify(c)).not.toMatch(/NaN|Infinity|undefined/);
        preloadOf(job);
        for (const { value } of asSet(job)) if (value !== null) expect(Number.isNaN(value)).toBe(false);
        orRefused(() => settingOf(job));
      }),
      { numRuns: 250 },
    );
  });
});
