import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { jobFault, readJob, writeJob } from '@/core/job/file';
import { withLayout } from '@/core/job/edits/members/layout';
import { onBothSides, withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import { usualSprings } from '@/core/springs/springDesign';
import type { Job } from '@/core/job/jobSchema';
import { analyseLocate } from '@/core/locate/analyse';
import { locateInput } from '@/core/locate/types';
import { InputError } from '@/core/rig/read';
import { stationStripe } from '@/core/bench/stripes';
import { STATIONS } from '@/core/bench/stationIds';
import { demoJobs } from '@/store/demo';
import { beginGesture, edit, enter, putOnBench, redo, undo, useJobStore } from '@/store/jobStore';
import { act } from '../../support/acts';
import { assertUntil } from '../../support/until';

/** By hand for the figures of docs/verification.md: `SEQUENCES=10000 MUTATIONS=100000 npx jest --testPathPatterns anything`. */
const SEQUENCES = Number(process.env.SEQUENCES ?? 60);
const MUTATIONS = Number(process.env.MUTATIONS ?? 400);
const TIMEOUT = 120_000 + 100 * (SEQUENCES + MUTATIONS);

const cars = demoJobs();
const job = () => useJobStore.getState().job!;

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
    assertUntil(
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
      () => refused > 0 && opened > 0,
    );
    if (MUTATIONS > 1000) console.log(`${MUTATIONS} files: ${refused} refused in words, ${opened} opened`);
  },
  TIMEOUT,
);

test.each(['leaf-panhard', 'leaf-alone', 'front-leaf'] as const)(
  '%s: leaves told of and then taken for other springs hold as they did, in the file too',
  (layout) => {
    const fresh = withLayout(cars[0]!, layout);
    const packed = withRoll(fresh, { springs: usualSprings(fresh.rig, 'leaf') });
    const other = withRoll(packed, { springs: usualSprings(fresh.rig, 'coil') });
    const rates = ({ rig }: Job) =>
      rig.members.map((m) => (m.type === 'leaf' ? [m.lateralRate, m.windupRate] : null));
    expect(rates(packed)).not.toEqual(rates(fresh));
    expect(rates(other)).toEqual(rates(fresh));
    expect(readJob(writeJob(other))).toEqual(other);
    expect(rates(withRoll(packed, { bar: null }))).toEqual(rates(packed));
    expect(rates(withRoll(packed, { springs: null }))).toEqual(rates(fresh));
  },
);
