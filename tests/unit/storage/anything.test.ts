import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { jobFault, readJob, writeJob } from '@/core/job/file';
import { KitName, MEMBER_KITS, withKit, withoutMembers } from '@/core/job/edits/memberKits';
import { withLayout } from '@/core/job/edits/layout';
import { onBothSides, withMounts } from '@/core/job/edits/mounts';
import { withReadingsAt } from '@/core/job/edits/readings';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { analyseLocate } from '@/core/locate/analyse';
import { locateInput } from '@/core/locate/types';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { mountsOf } from '@/core/rig/mounts';
import { InputError } from '@/core/rig/read';
import { usualSprings } from '@/core/springs/springDesign';
import { SPOTS } from '@/core/survey/quantities/quantities';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { stationStripe } from '@/core/bench/stations';
import { STATIONS } from '@/core/bench/stationIds';
import { demoJobs } from '@/store/demo';
import { beginGesture, edit, enter, putOnBench, redo, undo, useJobStore } from '@/store/jobStore';
import { read } from '../../support/car';

/** By hand for the figures of docs/verification.md: `SEQUENCES=10000 MUTATIONS=100000 npx jest --testPathPatterns anything`. */
const SEQUENCES = Number(process.env.SEQUENCES ?? 60);
const MUTATIONS = Number(process.env.MUTATIONS ?? 400);
const TIMEOUT = 120_000 + 100 * (SEQUENCES + MUTATIONS);

const cars = demoJobs();
const job = () => useJobStore.getState().job!;

/** Figures that come in by a slip as well as those that a car has; fields give no minus nought. */
const figure = fc
  .oneof(
    { weight: 6, arbitrary: fc.double({ min: -1500, max: 1500, noNaN: true }) },
    { weight: 2, arbitrary: fc.constantFrom(0, 1e-9, 25.4, 20_000, -20_000, 20_001, 1e6) },
    { weight: 1, arbitrary: fc.constantFrom(NaN, Infinity, -Infinity) },
  )
  .map((v) => v + 0);
const text = fc.oneof(
  fc.string({ maxLength: 150, unit: 'grapheme' }),
  fc.constantFrom('', '1/8', '🚗'.repeat(100)),
);
const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];

/** What a builder may do to a job, well or badly. An act that cannot be done in words is refused in words. */
const act: fc.Arbitrary<(j: Job) => Job> = fc.oneof(
  fc
    .tuple(fc.constantFrom('name', 'car', 'notes'), text)
    .map(([key, said]) => (j: Job) => ({ ...j, [key]: said })),
  fc.constantFrom(...LAYOUT_IDS).map((layout) => (j: Job) => withLayout(j, layout)),
  fc.constantFrom('in16', 'in32', 'mm').map((tape) => (j: Job) => ({ ...j, tape }) as Job),
  fc.tuple(fc.nat(SPOTS.length - 1), figure, fc.boolean()).map(
    ([spot, value, struck]) =>
      (j: Job) =>
        withReadingsAt(j, SPOTS[spot]!, (old) => [...old, { ...read(value), ...(struck && { struck }) }]),
  ),
  fc.nat(SPOTS.length - 1).map((spot) => (j: Job) => withReadingsAt(j, SPOTS[spot]!, () => [])),
  fc
    .tuple(fc.nat(20), fc.nat(5), fc.constantFrom(0 as const, 1 as const, 2 as const), figure)
    .map(([m, e, axis, mm]) => (j: Job) => {
      const member = pick(j.rig.members, m)?.id;
      const end = member && pick(mountsOf(j.rig, member), e)?.key;
      return member && end ? withMounts(j, [{ member, end, axis, mm }]) : j;
    }),
  fc.constantFrom(...(Object.keys(MEMBER_KITS) as KitName[])).map((kit) => (j: Job) => withKit(j, kit)),
  fc.nat(20).map((n) => (j: Job) => withoutMembers(j, [pick(j.rig.members, n)?.id ?? ''])),
  fc
    .constantFrom('coil' as const, 'leaf' as const, 'air' as const)
    .map((kind) => (j: Job) => withRoll(j, { springs: usualSprings(j.rig, kind) })),
  fc.boolean().map((on) => (j: Job) => withRoll(j, { bar: on ? usualBar(j.rig) : null })),
  figure.map((od) => (j: Job) => (j.roll.bar ? withRoll(j, { bar: { ...j.roll.bar, od } }) : j)),
  figure.map((cornerG) => (j: Job) => ({ ...j, cornerG })),
  fc.tuple(fc.nat(300), text).map(([n, name]) => (j: Job) => ({
    ...j,
    record: {
      ...j.record,
      parts: Array.from({ length: n }, (_, i) => ({ id: `p${i}`, name, wanted: i % 1200 })),
    },
  })),
  fc.tuple(fc.nat(250), figure).map(([n, turns]) => (j: Job) => ({
    ...j,
    ride: {
      ...j.ride,
      rounds: Array.from({ length: n }, () => ({
        at: '2026-01-01T00:00:00.000Z',
        left: turns,
        others: { a: turns },
      })) as never,
    },
  })),
);

type Step = { do: (j: Job) => Job; how: 'edit' | 'type' | 'drag' | 'undo' | 'redo' };
const steps: fc.Arbitrary<Step[]> = fc.array(
  fc.record({
    do: act,
    how: fc.oneof(
      { weight: 6, arbitrary: fc.constant('edit' as const) },
      fc.constantFrom('type' as const, 'drag' as const, 'undo' as const, 'redo' as const),
    ),
  }),
  { minLength: 1, maxLength: 12 },
);

/** @returns whether it was refused in words before it reached the job */
function take({ do: change, how }: Step): boolean {
  const finish = how === 'drag' ? beginGesture()! : () => {};
  try {
    if (how === 'undo') undo();
    else if (how === 'redo') redo();
    else if (how === 'type') enter('some/field', '1/2', change);
    else edit(change);
    return false;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return true;
  } finally {
    finish();
  }
}

test(
  `after any ${SEQUENCES} sequences of edits a job is read back from its file as it is`,
  () => {
    let [refused, taken] = [0, 0];
    fc.assert(
      fc.property(fc.nat(cars.length - 1), steps, (car, list) => {
        putOnBench(cars[car]!, {});
        for (const step of list) {
          if (take(step)) refused++;
          else taken++;
        }
        expect(jobFault(job())).toBeNull();
        expect(readJob(writeJob(job()))).toEqual(job());
      }),
      { numRuns: SEQUENCES },
    );
    // Most are taken: what is refused is not what is tried.
    expect(taken).toBeGreaterThan(refused);
    if (SEQUENCES > 1000)
      console.log(`${SEQUENCES} sequences: ${taken} acts taken, ${refused} refused in words`);
  },
  TIMEOUT,
);

test('a mount in the middle, mirrored, is in the middle and not at minus nought', () => {
  const paired = withLayout(cars[0]!, 'parallel-four-link-panhard');
  const moved = withMounts(
    paired,
    onBothSides(paired, [{ member: 'lower-left', end: 'axle', axis: 1, mm: 0 }]),
  );
  expect(readJob(writeJob(moved))).toEqual(moved);
  expect(JSON.stringify(moved.rig)).not.toBe(JSON.stringify(paired.rig));
});

const files = [...cars.map(writeJob), readFileSync('tests/fixtures/version-3.pellik.json', 'utf8')];

const junk = fc.oneof(
  fc.jsonValue({ maxDepth: 2 }),
  fc.constantFrom(
    1e308,
    -1e308,
    5e-324,
    1e21,
    -0,
    2 ** 53,
    '',
    'x'.repeat(300),
    '__proto__',
    'constructor',
    [],
    {},
  ),
  fc.double({ noDefaultInfinity: true, noNaN: true }),
);

/** Every place of a value that holds others or a figure. */
function places(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, v]) => places(v, [...path, key]))];
}

function put(value: unknown, path: (string | number)[], what: { kind: string; junk: unknown }): void {
  const holder = path.slice(0, -1).reduce((v, key) => (v as Record<string, unknown>)?.[key], value) as
    Record<string, unknown> | undefined;
  const key = path.at(-1);
  if (holder === undefined || holder === null || key === undefined || typeof holder !== 'object') return;
  if (what.kind === 'drop') delete holder[key];
  else if (what.kind === 'add') holder[`${key}x`] = what.junk;
  else if (what.kind === 'twice' && Array.isArray(holder)) holder.push(holder[Number(key)]);
  else if (what.kind === 'scale' && typeof holder[key] === 'number') holder[key] *= Number(what.junk) || -1;
  else holder[key] = what.junk;
}

test(
  `${MUTATIONS} job files with anything in them are refused in words, or open and are read back`,
  () => {
    let [refused, opened] = [0, 0];
    const hurt = fc.record({
      at: fc.nat(),
      kind: fc.constantFrom('put', 'drop', 'add', 'twice', 'scale'),
      junk,
    });
    fc.assert(
      fc.property(
        fc.nat(files.length - 1),
        fc.array(hurt, { minLength: 1, maxLength: 3 }),
        fc.option(fc.nat(20_000), { freq: 8 }),
        (file, hurts, cut) => {
          const value = JSON.parse(files[file]!) as unknown;
          const all = places(value);
          for (const h of hurts) put(value, all[h.at % all.length]!, h);
          const spoilt = JSON.stringify(value).slice(0, cut ?? undefined);
          let read: Job;
          try {
            read = readJob(spoilt);
          } catch (error) {
            expect(error).toBeInstanceOf(InputError);
            expect((error as InputError).message).toMatch(/\w{3,}.* \S/);
            refused++;
            return;
          }
          opened++;
          expect(readJob(writeJob(read))).toEqual(read);
          for (const station of STATIONS) stationStripe(read, station);
          try {
            analyseLocate(locateInput(read, { left: 0, right: 0 }));
          } catch (error) {
            expect(error).toBeInstanceOf(InputError);
          }
        },
      ),
      { numRuns: MUTATIONS },
    );
    expect(refused).toBeGreaterThan(0);
    expect(opened).toBeGreaterThan(0);
    if (MUTATIONS > 1000) console.log(`${MUTATIONS} files: ${refused} refused in words, ${opened} opened`);
  },
  TIMEOUT,
);
