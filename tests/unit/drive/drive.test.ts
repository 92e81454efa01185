import fc from 'fast-check';
import { gravities, lookAt } from '@/core/advice/look';
import { BEHIND, causeOf, type CauseId } from '@/core/drive/causes';
import { faultChecks } from '@/core/drive/faultFinder';
import { dueOf, withRechecked } from '@/core/drive/rechecks';
import {
  changesBetween,
  drivenSoFar,
  expectedBetween,
  setUpNow,
  settingsOf,
  withOuting,
  withoutOuting,
} from '@/core/drive/setUps';
import { suggestionsFor } from '@/core/drive/suggestions';
import { gainOf, wantsOf } from '@/core/drive/wants';
import { readJob, writeJob } from '@/core/job/file';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { FEELS_OF, PHASES, SYMPTOMS, type Feel, type Outing, type Phase } from '@/core/job/slices/work/drive';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { usualSprings } from '@/core/springs/springDesign';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { leavesOf } from '@/core/rig/roles';
import { orNone } from '@/core/rig/read';
import { withRaisedLateral } from '@/core/rig/raisedLateral';
import { withRemedy } from '@/core/verdict/remedy';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const outing = (n: number, more: Partial<Outing> = {}): Omit<Outing, 'setUp'> => ({
  id: `o${n}`,
  at: new Date(Date.UTC(2026, 3, 1 + n)).toISOString(),
  place: 'The lot',
  times: [],
  feel: {},
  noises: [],
  note: '',
  ...more,
});

/** A plausible car with springs, a bar and another end, so that its balance is known. */
const sprung = plausibleCar.map((car) =>
  withRoll(
    { ...car, rig: { ...car.rig, otherEnd: car.rig.otherEnd ?? usualOtherEnd(car.rig) } },
    {
      springs: car.roll.springs ?? usualSprings(car.rig, leavesOf(car.rig).length ? 'leaf' : 'coil'),
      bar: car.roll.bar ?? usualBar(car.rig),
    },
  ),
);

const complaint = fc
  .constantFrom(...PHASES)
  .chain((phase) =>
    fc.record({ phase: fc.constant(phase), feel: fc.constantFrom<Feel>(...FEELS_OF[phase]) }),
  );

test('every suggestion, carried out, does what it says, in sign and size, and makes nothing graver', () => {
  let seen = 0;
  assertUntil(
    fc.property(sprung, complaint, (job, { phase, feel }) => {
      const found = orNone(() => suggestionsFor(job, phase, feel));
      if (!found) return;
      const before = lookAt(job, { cures: false });
      for (const { remedy, want, effects, spoils } of found.suggestions) {
        seen++;
        const after = lookAt(withRemedy(job, remedy), { cures: false });
        expect(gainOf(want, before.numbers, after.numbers)).toBeGreaterThan(0);
        for (const { what, from, to } of effects) {
          expect(from).toBe(before.numbers[what]);
          expect(to).toBe(after.numbers[what]);
        }
        const [was, is] = [gravities(before), gravities(after)];
        const graver = [...is].filter(([about, rank]) => rank > (was.get(about) ?? 0));
        if (spoils.length === 0) expect(graver).toEqual([]);
        else expect(spoils.length).toBeGreaterThanOrEqual(graver.length);
        // One thing at a time: a bar, a pair of links, the sway bar or the springs.
        const members = new Set(
          (remedy.changes ?? []).map(({ member }) => member.replace(/-(left|right)$/, '')),
        );
        expect(members.size + Object.keys(remedy.roll ?? {}).length).toBe(1);
      }
    }),
    { numRuns: 25, endOnFailure: true },
    () => seen > 5,
  );
});

test('tight and loose ask for opposite ways, and what is good asks for nothing', () => {
  for (const phase of ['entry', 'middle', 'exit'] as Phase[]) {
    const way = (feel: Feel) => wantsOf(phase, feel, 'rear').find(({ what }) => what === 'frontShare')?.way;
    expect([way('very-tight'), way('tight'), way('good'), way('loose'), way('very-loose')]).toEqual([
      'less',
      'less',
      undefined,
      'more',
      'more',
    ]);
  }
});

test('raising a rear bar loosens and raising a front one tightens, as the trade says: both by re-solving', () => {
  fc.assert(
    fc.property(sprung, (job) => {
      const up = withRaisedLateral(job.rig, 25);
      fc.pre(up !== null);
      const [was, is] = [job, { ...job, rig: up! }].map((j) =>
        orNone(() => lookAt(j, { cures: false }).numbers.frontShare),
      );
      fc.pre(typeof was === 'number' && typeof is === 'number');
      if (job.rig.end === 'rear') expect(is!).toBeLessThan(was!);
      else expect(is!).toBeGreaterThan(was!);
    }),
    { numRuns: 15, endOnFailure: true },
  );
});

test('of an end whose springs nobody told of, no balance is suggested, and it is said', () => {
  const bare = withRoll(demoJobs()[0]!, { springs: null, bar: null });
  const found = suggestionsFor(bare, 'middle', 'tight');
  expect(found.suggestions).toEqual([]);
  expect(found.unknown).toEqual(['frontShare']);
});

test('a set-up is kept once however often it is driven; taken out, nothing is left of it; a file keeps it all', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 12 }), (steps) => {
      const car = demoJobs()[4]!;
      const bare: Job = { ...car, drive: { ...car.drive, outings: [], setUps: {} } };
      const at = (step: number): Job => ({ ...bare, rig: withRaisedLateral(bare.rig, 10 * step)! });
      const job = steps.reduce(
        (j, step, n) => withOuting(j, outing(n), { settings: settingsOf(at(step)), figures: null }),
        bare,
      );
      expect(Object.keys(job.drive.setUps)).toHaveLength(new Set(steps).size);
      job.drive.outings.forEach((one, n) =>
        expect(job.drive.setUps[one.setUp]!.settings).toEqual(settingsOf(at(steps[n]!))),
      );
      expect(readJob(writeJob(job))).toEqual(job);
      const none = job.drive.outings.reduce((j, { id }) => withoutOuting(j, id), job);
      expect(none.drive).toMatchObject({ outings: [], setUps: {} });
    }),
    { numRuns: 20 },
  );
});

test('what changed and what was expected of it are told between two set-ups, and turned round the other way', () => {
  const job = demoJobs()[4]!;
  const raised: Job = { ...job, rig: withRaisedLateral(job.rig, 25)! };
  const [was, is] = [setUpNow(job), setUpNow(raised)];
  expect(changesBetween(was, is, 'mm')).toHaveLength(2);
  expect(changesBetween(was, is, 'mm')[0]).toMatch(
    /panhard bar, frame end off the floor was .* mm, is now .* mm/,
  );
  expect(changesBetween(was, was, 'mm')).toEqual([]);
  const [there, back] = [expectedBetween(was, is)!, expectedBetween(is, was)!];
  expect(
    there.find(({ what }) => what === 'rollCentre')!.to -
      there.find(({ what }) => what === 'rollCentre')!.from,
  ).toBeCloseTo(25, -0.5);
  expect(back).toEqual(there.map(({ what, from, to }) => ({ what, from: to, to: from })));
});

test('outings stand by their day, whenever they are written down', () => {
  const car = demoJobs()[0]!;
  const setUp = { settings: settingsOf(car), figures: null };
  const job = [3, 1, 2].reduce((j, n) => withOuting(j, outing(n, { distance: n }), setUp), car);
  expect(job.drive.outings.map(({ id }) => id)).toEqual(['o1', 'o2', 'o3']);
  expect(drivenSoFar(job)).toBe(6);
});

describe('the fault finder', () => {
  test('every cause of every symptom can be told, is unlike the others, and is asked only of a car that has it', () => {
    for (const symptom of SYMPTOMS) {
      const { causes } = BEHIND[symptom];
      for (const id of Object.keys(causes) as CauseId[]) {
        const cause = causeOf(id);
        expect(cause.look.length).toBeGreaterThan(20);
        expect(cause.minutes).toBeGreaterThan(0);
      }
      for (const job of demoJobs()) {
        const asked = faultChecks(job, symptom).map(({ cause }) => cause);
        expect(new Set(asked.map(({ id }) => id)).size).toBe(asked.length);
        for (const { only } of asked) {
          if (only === 'front') expect(job.rig.end).toBe('front');
          if (only === 'rear') expect(job.rig.end).toBe('rear');
          if (only === 'swayBar') expect(job.roll.bar).not.toBeNull();
        }
      }
    }
  });

  test('a bracket that was only tacked comes to the front; what was looked at and was not it goes back', () => {
    const job = demoJobs()[0]!;
    const at = (j: Job, id: CauseId) => faultChecks(j, 'knock').findIndex(({ cause }) => cause.id === id);
    const tacked: Job = { ...job, weld: { ...job.weld, joints: { 'panhard/frame': 'tacked' } } };
    expect(at(tacked, 'tacked-bracket')).toBeLessThan(at(job, 'tacked-bracket'));
    expect(
      faultChecks(tacked, 'knock').find(({ cause }) => cause.id === 'tacked-bracket')!.because[0],
    ).toMatch(/Panhard bar, frame bracket/);
    const first = faultChecks(job, 'knock')[0]!.cause.id;
    const looked: Job = {
      ...job,
      drive: {
        ...job.drive,
        checked: [{ at: '2026-04-01T10:00:00.000Z', symptom: 'knock', cause: first, found: false, note: '' }],
      },
    };
    expect(at(looked, first)).toBeGreaterThan(0);
    // Of another symptom nothing is said by that.
    const others = (j: Job) => faultChecks(j, 'clunk').map(({ cause }) => cause.id);
    expect(others(looked)).toEqual(others(job));
  });

  test('of the same likelihood what is looked at sooner comes first, and evidence only ever helps its own cause', () => {
    fc.assert(
      fc.property(fc.constantFrom(...demoJobs()), fc.constantFrom(...SYMPTOMS), (job, symptom) => {
        const before = faultChecks(job, symptom).map(({ cause }) => cause.id);
        const marked: Job = {
          ...job,
          record: {
            ...job.record,
            inspection: {
              ...job.record.inspection,
              bushings: { finding: 'watch', note: 'soft', at: '2026-04-01T10:00:00.000Z' },
            },
          },
        };
        const after = faultChecks(marked, symptom).map(({ cause }) => cause.id);
        expect([...after].sort()).toEqual([...before].sort());
        if (before.includes('worn-joint'))
          expect(after.indexOf('worn-joint')).toBeLessThanOrEqual(before.indexOf('worn-joint'));
        const rest = (ids: string[]) => ids.filter((id) => id !== 'worn-joint');
        expect(rest(after)).toEqual(rest(before));
      }),
      { numRuns: 30 },
    );
  });
});

describe('looking at it again', () => {
  const driven = (km: (number | undefined)[]): Job => {
    const car = demoJobs()[1]!;
    const setUp = { settings: settingsOf(car), figures: null };
    return km.reduce<Job>((j, distance, n) => withOuting(j, outing(n, { distance }), setUp), {
      ...car,
      drive: { ...car.drive, every: 500 },
    });
  };

  test('nothing before the first drive, everything after it, and then by distance', () => {
    expect(dueOf(driven([]))).toEqual([]);
    const once = driven([undefined]);
    const all = dueOf(once);
    expect(all.length).toBeGreaterThan(3);
    expect(all.every(({ overdue }) => overdue)).toBe(true);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 6 }), (km) => {
        const looked = all.reduce((j, { id }) => withRechecked(j, id, '2026-04-02T10:00:00.000Z'), once);
        expect(dueOf(looked).some(({ overdue }) => overdue)).toBe(false);
        const setUp = { settings: settingsOf(once), figures: null };
        const on = km.reduce((j, distance, n) => withOuting(j, outing(10 + n, { distance }), setUp), looked);
        const sum = km.reduce((a, b) => a + b, 0);
        expect(
          dueOf(on).every(({ overdue, since }) => overdue === sum >= 500 && Math.abs(since - sum) < 1e-9),
        ).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});
