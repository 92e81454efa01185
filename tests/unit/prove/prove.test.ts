import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { jobConditions } from '@/core/bench/holdPoint';
import { judgeCut } from '@/core/bench/judge/cut';
import { distance } from '@/core/geometry/vector';
import { isParted, withParted, withParts, withStrength } from '@/core/job/edits/parts/parts';
import { openIn } from '@/core/advice/standing';
import { stopsOf } from '@/core/bench/open';
import { withAccepted } from '@/core/provenance/accept';
import { withMounts } from '@/core/job/edits/mounts';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import { barOf, metalOf } from '@/core/job/made/parts';
import { isOfSwayBar } from '@/core/job/made/sway/parts';
import { assemble } from '@/core/kinematics/mechanism';
import { LIMITS } from '@/core/materials/limits';
import { BOLT_GRADES, METALS } from '@/core/materials/metals';
import { THREADS } from '@/core/materials/threads';
import { bentBarStress } from '@/core/strength/bar';
import { curesIn } from '@/core/prove/cures/cures';
import { isFault, partFaults } from '@/core/prove/faults/faults';
import { rangesOf } from '@/core/prove/cases';
import { casesOf, isUnderOne, margin, proveJob } from '@/core/prove/prove';
import { sameBar } from '@/core/prove/sameBar';
import type { Check } from '@/core/prove/types';
import { proveVerdicts } from '@/core/prove/verdicts';
import { adjusterOf } from '@/core/ride/turns/adjusters';
import { linksOf } from '@/core/rig/members/members';
import { orNone } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const marigold = demoJobs().find(({ name }) => name.startsWith('Marigold'))!;
/** The checks of what holds the axle. */
const proved = (job: Job): Check[] | null =>
  orNone(() => proveJob(job))?.checks.filter(({ part }) => !isOfSwayBar(part)) ?? null;
const keyed = (checks: Check[]) => new Map(checks.map((check) => [`${check.part} ${check.check}`, check]));

test('a check is made in the case that is hardest on it, and says of it what it has and what it is asked', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const checks = proved(job);
      if (!checks) return;
      const cases = casesOf(job, assemble(job.rig));
      const ranges = rangesOf(cases, LIMITS.strength.cycles[job.use]);
      const names = new Set([...cases, ...ranges].map(({ name }) => name));
      for (const check of checks) {
        expect(names).toContain(check.case);
        expect(check.capacity).toBeGreaterThanOrEqual(0);
        expect(check.factor).toBe(check.demand > 0 ? check.capacity / check.demand : Infinity);
        expect(check.wanted).toBeGreaterThan(0.5);
        expect(check.source).toMatch(/memory|practice|maker/);
        const [member] = check.part.split('/') as [string];
        const pulls = cases.map((one) => one.members[member]!);
        if (check.check === 'tension') expect(check.demand).toBeCloseTo(Math.max(0, ...pulls), 6);
        if (check.check === 'column')
          expect(check.demand).toBeCloseTo(Math.max(0, ...pulls.map((v) => -v)), 6);
        if (check.check === 'bolt-shear')
          expect(check.demand).toBeCloseTo(Math.max(...pulls.map(Math.abs)), 6);
      }
      // What does not hold comes first, and of each kind what has least of what is wanted.
      const isSafe = checks.map((check) => !isUnderOne(check));
      expect(isSafe).toEqual([...isSafe].sort((a, b) => Number(a) - Number(b)));
      for (const kind of [true, false]) {
        const margins = checks.filter((check) => isUnderOne(check) !== kind).map(margin);
        expect(margins).toEqual([...margins].sort((a, b) => a - b));
      }
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('twice the car asks twice as much of everything', () => {
  fc.assert(
    fc.property(plausibleCar, fc.double({ min: 1.2, max: 2, noNaN: true }), (car, by) => {
      const masses = car.rig.masses!;
      const times = {
        ...masses,
        total: by * masses.total,
        unsprungFront: by * masses.unsprungFront,
        unsprungRear: by * masses.unsprungRear,
      };
      const one = proved(car);
      const heavy = proved({ ...car, rig: { ...car.rig, masses: times } });
      if (!one || !heavy) return;
      // What springs and bars take of the launch hangs on how heavy it is against them; bind does not.
      const steady = (check: Check) =>
        /turn|wheel$|braking/.test(check.case) && !/launch/.test(check.case) && Number.isFinite(check.factor);
      const other = keyed(heavy);
      for (const check of one) {
        const then = other.get(`${check.part} ${check.check}`)!;
        if (!steady(check) || then.case !== check.case || check.check === 'bent') continue;
        expect(then.demand / check.demand).toBeCloseTo(by, 6);
        expect(then.capacity).toBeCloseTo(check.capacity, 6);
      }
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('the sums of a bar by hand', () => {
  const checks = keyed(proved(marigold)!);
  const link = linksOf(marigold.rig).find(({ id }) => id === 'panhard')!;
  const { section, thread, metal } = barOf(marigold, 'panhard');
  if (section.shape !== 'tube') throw new Error('a tube is meant');
  const A = (Math.PI / 4) * (section.od ** 2 - (section.od - 2 * section.wall) ** 2);
  expect(checks.get('panhard tension')!.capacity).toBeCloseTo(A * METALS[metal].yield, 6);
  expect(checks.get('panhard weld-zone')!.capacity).toBeCloseTo(A * METALS[metal].welded, 6);
  const r = Math.sqrt(section.od ** 2 + (section.od - 2 * section.wall) ** 2) / 4;
  const λ = distance(link.chassis, link.axle) / r;
  const { yield: Sy, E } = METALS[metal];
  const euler = (A * Math.PI ** 2 * E) / λ ** 2;
  const johnson = A * Sy * (1 - (Sy * λ ** 2) / (4 * Math.PI ** 2 * E));
  expect(checks.get('panhard column')!.capacity).toBeCloseTo(euler < (A * Sy) / 2 ? euler : johnson, 4);
  const { diameter, pitch } = THREADS[thread];
  const { showing, shank, bung } = marigold.cut.ends.frame;
  const engaged = Math.min(shank - showing, bung);
  const strip = 0.5 * Math.PI * (diameter - 0.6495 * pitch) * engaged * 0.577 * 250;
  expect(checks.get('panhard strip-frame')!.capacity).toBeCloseTo(strip, 4);
});

test('the sums of a bracket by hand, square to its bar', () => {
  const link = linksOf(marigold.rig).find(({ id }) => id === 'panhard')!;
  const checks = keyed(proved(marigold)!);
  const of = (check: string) => checks.get(`panhard/axle ${check}`)!;
  const b = bracketOf(marigold, link, 'axle');
  const grade = BOLT_GRADES[b.grade];
  expect(of('bolt-shear').capacity).toBeCloseTo(2 * (Math.PI / 4) * b.bolt ** 2 * 0.6 * grade.ultimate, 4);
  const P = of('bolt-shear').demand;
  const M = (P / 2) * (b.plate / 2 + b.spacer + b.middle / 4);
  expect(of('bolt-bending').demand).toBeCloseTo((32 * M) / (Math.PI * b.bolt ** 3), 6);
  const { ultimate, yield: Sy } = METALS[b.metal];
  expect(of('tear-out').demand).toBeCloseTo(P / 2, 6);
  expect(of('tear-out').capacity).toBeCloseTo(1.2 * (b.edge - b.hole / 2) * b.plate * ultimate, 6);
  expect(of('gross-section').capacity).toBeCloseTo(b.width * b.plate * Sy, 6);
  // The bar is as good as square to the way out from the tube: nearly all of it bends the plates.
  const across = of('root-bending').inputs.M as number;
  // Its plates lie along the tube and stand beside its middle, where the tube's round is farther down.
  const radius = b.seat!.od / 2;
  const arm = b.reach + radius - Math.sqrt(radius ** 2 - (b.middle / 2 + b.spacer) ** 2);
  expect(of('root-bending').inputs.reach).toBeCloseTo(arm, 2);
  expect(across).toBeLessThanOrEqual(P * arm + 1e-6);
  expect(across).toBeGreaterThan(0.6 * P * arm);
});

/** What makes a bracket stronger, and the checks that it must never make weaker. */
const STRONGER: [change: object, checks: RegExp][] = [
  [{ plate: 12.7 }, /tear-out|bearing|net|gross|root/],
  [{ depth: 200 }, /root-bending|weld/],
  [{ width: 120 }, /net|gross/],
  [{ edge: 60 }, /tear-out/],
  [{ bolt: 25.4, hole: 26 }, /bolt-shear|bolt-bending/],
  [{ leg: 12, plate: 12.7 }, /weld/],
  [{ welded: 1 }, /weld/],
  [{ backing: 6 }, /rail-wall/],
  [{ boxed: true }, /root-across/],
];

test('what is made stronger is never proved weaker there; what is asked of the bar is the same', () => {
  fc.assert(
    fc.property(plausibleCar, fc.constantFrom(...STRONGER), (job, [change, touched]) => {
      const before = proved(job);
      if (!before) return;
      const brackets = Object.fromEntries(
        linksOf(job.rig).flatMap(({ id }) => [`${id}/chassis`, `${id}/axle`].map((part) => [part, change])),
      );
      const after = keyed(proved(withParts(job, { brackets }))!);
      for (const check of before.filter(({ check: name }) => touched.test(name))) {
        const now = after.get(`${check.part} ${check.check}`)!;
        expect(now.factor).toBeGreaterThanOrEqual(check.factor * (1 - 1e-9));
      }
    }),
    { numRuns: 60, endOnFailure: true },
  );
});

test('every cure makes its check hold as often as is wanted, and leaves no other check of the bar the worse for it', () => {
  let cured = 0;
  assertUntil(
    fc.property(plausibleCar, (job) => {
      const before = proved(job);
      if (!before) return;
      const cures = curesIn(job);
      const was = keyed(before);
      for (const check of before.filter((one) => margin(one) < 1).slice(0, 4)) {
        for (const { text, parts } of cures(check)) {
          cured++;
          const after = proved(readJob(writeJob(withParts(job, parts!))))!;
          const now = keyed(after).get(`${check.part} ${check.check}`)!;
          expect([text, margin(now) >= 1 - 1e-6]).toEqual([text, true]);
          for (const other of after) {
            const then = was.get(`${other.part} ${other.check}`);
            if (margin(other) < 1 - 1e-9 && then)
              expect(margin(other)).toBeGreaterThanOrEqual(margin(then) - 1e-6);
          }
        }
      }
    }),
    { numRuns: 25, endOnFailure: true },
    () => cured > 10,
  );
});

test('left and right are alike until they are parted, and alike again as the one that was named', () => {
  const part = 'lower-left/axle';
  const thick = withParts(marigold, { brackets: { [part]: { plate: 9 } } });
  const plate = (job: Job, id: string) =>
    bracketOf(
      job,
      linksOf(job.rig).find((m) => m.id === id)!,
      'axle',
    ).plate;
  expect([plate(thick, 'lower-left'), plate(thick, 'lower-right')]).toEqual([9, 9]);
  const right = withParts(thick, { brackets: { 'lower-right/axle': { plate: 8 } } });
  expect([plate(right, 'lower-left'), plate(right, 'lower-right')]).toEqual([8, 8]);
  const parted = withParts(withParted(right, part, true), { brackets: { [part]: { plate: 5 } } });
  expect(isParted(parted, part)).toBe(true);
  expect([plate(parted, 'lower-left'), plate(parted, 'lower-right')]).toEqual([5, 8]);
  const alike = withParted(parted, 'lower-right/axle', false);
  expect([plate(alike, 'lower-left'), plate(alike, 'lower-right')]).toEqual([8, 8]);
});

test('a brace that is taken off is off, and what is said no more is as is usual', () => {
  const part = 'panhard/chassis';
  const link = linksOf(marigold.rig).find(({ id }) => id === 'panhard')!;
  const brace = { od: 25.4, wall: 3, length: 800, at: 60 };
  const braced = withParts(marigold, { brackets: { [part]: { brace } } });
  expect(bracketOf(braced, link, 'chassis').brace).toEqual(brace);
  const bare = withParts(braced, { brackets: { [part]: { brace: undefined } } });
  expect(bracketOf(bare, link, 'chassis')).toEqual(bracketOf(marigold, link, 'chassis'));
  expect(bare.parts).toEqual(marigold.parts);
  expect(proved(bare)).toEqual(proved(marigold));
});

test('sizes that cannot be are told with the size that is wrong, each by itself', () => {
  const faults = (change: object) =>
    partFaults(withParts(marigold, { brackets: { 'panhard/axle': change } }))
      .filter(({ where }) => where === 'panhard/axle')
      .map(({ id, where }) => [id, where]);
  expect(faults({})).toEqual([]);
  expect(faults({ edge: 8, hole: 16.5 })).toEqual([['hole-at-edge', 'panhard/axle']]);
  expect(faults({ width: 16, edge: 20, hole: 16.5 })).toEqual([['hole-in-width', 'panhard/axle']]);
  expect(faults({ hole: 12, bolt: 15.9 })).toEqual([['bolt-in-hole', 'panhard/axle']]);
  expect(faults({ hole: 20, bolt: 15.9 })).toEqual([['loose-hole', 'panhard/axle']]);
  expect(faults({ leg: 9, plate: 5 })).toEqual([['tall-fillet', 'panhard/axle']]);
  // A row of holes up the frame bracket begins at the rail's underside.
  expect(partFaults(marigold).map(({ id, where, state }) => [id, where, state])).toEqual([
    ['row-in-weld', 'panhard/chassis', 'look'],
  ]);
  expect(isFault({ id: 'strength' })).toBe(false);
});

/** The car with its panhard bar bent up in the middle, by so much, mm. */
const bentUp = (job: Job, by: number): Job => ({
  ...job,
  rig: {
    ...job.rig,
    members: job.rig.members.map((m) =>
      m.id === 'panhard' && m.type === 'link'
        ? {
            ...m,
            path: { chassis: [m.chassis.map((v, k) => (v + m.axle[k]!) / 2 + (k === 2 ? by : 0)) as never] },
          }
        : m,
    ),
  },
});

test('a bar that goes round something is proved by its bend, and the straighter the stronger', () => {
  fc.assert(
    fc.property(fc.double({ min: 20, max: 120, noNaN: true }), (up) => {
      const bent = (by: number) => bentUp(marigold, by);
      const stress = (by: number) => keyed(proved(bent(by))!).get('panhard bent')!;
      expect(stress(up).demand).toBeGreaterThan(stress(up / 2).demand);
      expect(stress(up).inputs.e).toBeCloseTo(up, 0);
      expect(keyed(proved(marigold)!).has('panhard bent')).toBe(false);
    }),
    { numRuns: 10 },
  );
});

test('the same bar otherwise: solid as heavy weighs as much, 4130 carries more and weighs the same', () => {
  const panhard = linksOf(marigold.rig).find(({ id }) => id === 'panhard')!;
  const rows = new Map(sameBar(marigold, panhard).map((row) => [row.name, row]));
  const [dom, chromoly] = [METALS.dom.name, METALS.chromoly.name].map((name) => rows.get(name)!);
  expect(dom!.now).toBe(true);
  expect(chromoly!.mass).toBe(dom!.mass);
  expect(chromoly!.pulled).toBeGreaterThan(dom!.pulled);
  expect(rows.get('Solid, as heavy')!.mass).toBeCloseTo(dom!.mass, 6);
  expect(rows.get('Solid, as heavy')!.pushed).toBeLessThan(dom!.pushed);
});

test('a bent bar carries less than itself straight, gives more and weighs more; what it carries is what its checks bear', () => {
  fc.assert(
    fc.property(fc.double({ min: 15, max: 120, noNaN: true }), (up) => {
      const job = bentUp(marigold, up);
      const rows = sameBar(
        job,
        linksOf(job.rig).find(({ id }) => id === 'panhard')!,
      );
      const [now, straight] = [
        rows.find((row) => row.now)!,
        rows.find(({ name }) => name.startsWith('Straight'))!,
      ];
      expect(now.pulled).toBeLessThan(straight.pulled);
      expect(now.pushed).toBeLessThan(straight.pushed);
      expect(now.rate).toBeLessThan(straight.rate);
      expect(now.mass).toBeGreaterThan(straight.mass);
      // At what it carries pushed, its bend is at its yield.
      const { section, metal } = barOf(job, 'panhard');
      const { length, offset } = {
        length: keyed(proved(job)!).get('panhard bent')!.inputs.L as number,
        offset: up,
      };
      expect(
        bentBarStress(section, -now.pushed, { length, offset }, METALS[metal]) / METALS[metal].yield,
      ).toBeCloseTo(1, 2);
    }),
    { numRuns: 12, endOnFailure: true },
  );
});

test('what is said counts the parts that are short, the worse of a pair once', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const proof = orNone(() => proveJob(job));
      if (!proof) return;
      const said = proveVerdicts(job, proof).filter(({ id }) => id === 'strength');
      const short = proof.checks.filter((check) => margin(check) < 1 - 1e-9);
      expect(said.some(({ state }) => state === 'ok')).toBe(short.length === 0 && proof.checks.length > 0);
      expect(said.filter(({ state }) => state === 'stop').length > 0).toBe(short.some(isUnderOne));
      expect(new Set(said.map(({ where }) => where)).size).toBe(said.length);
    }),
    { numRuns: 80, endOnFailure: true },
  );
});

test('what comes and goes is the difference of two cases, the same stress by the same sums, and never a stop', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const checks = proved(job);
      if (!checks?.length) return;
      const of = keyed(checks);
      const cases = casesOf(job, assemble(job.rig));
      const turn = (way: string) => cases.find(({ name }) => name.startsWith(`${way} turn`))!.members;
      const [left, right] = [turn('Left'), turn('Right')];
      const inTime = checks.filter(({ fails }) => fails === 'cracks');
      expect(inTime.length).toBeGreaterThan(0);
      for (const check of inTime) {
        expect(check.case).toMatch(/^(Left and right turns at|Hard launch and braking).*, \d+,000 times$/);
        expect(isUnderOne(check)).toBe(false);
        const [member] = check.part.split('/') as [string];
        const range = Math.abs(left[member]! - right[member]!);
        if (!check.case.startsWith('Left and right')) continue;
        expect(check.inputs.force).toBeCloseTo(Math.sign(check.inputs.force as number) * range, 6);
        if (check.check === 'fatigue-shank')
          expect(check.demand).toBeCloseTo(range / (check.inputs.A_t as number), 9);
        // A weld's stress goes with the force on it.
        if (check.check !== 'fatigue-weld') continue;
        const still = of.get(`${check.part} weld`)!;
        const share = range / Math.abs(still.inputs.force as number);
        if (still.demand > 0) expect(check.demand / still.demand).toBeCloseTo(share, 6);
      }
    }),
    { numRuns: 30, endOnFailure: true },
  );
});

test('what a metal bears is as was typed, with where that is from; cleared, it is as is usual', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.4, max: 3, noNaN: true }),
      fc.string({ minLength: 1, maxLength: 30 }),
      (share, source) => {
        const before = keyed(proved(marigold)!);
        const usual = metalOf(marigold, 'dom').yield;
        const typed = withStrength(marigold, 'dom', { yield: share * usual, source });
        expect(readJob(writeJob(typed)).parts).toEqual(typed.parts);
        const after = keyed(proved(typed)!);
        const [was, now] = [before.get('panhard tension')!, after.get('panhard tension')!];
        expect(now.capacity / was.capacity).toBeCloseTo(share, 9);
        expect(now.source).toContain(source);
        // Beside a weld, and in brackets of plate, it is another strength that counts.
        for (const key of ['panhard weld-zone', 'panhard/axle gross-section', 'panhard thread-frame'])
          expect(after.get(key)!.capacity).toBe(before.get(key)!.capacity);
        const cleared = withStrength(typed, 'dom', { yield: undefined, source: undefined });
        expect(cleared.parts).toEqual(marigold.parts);
      },
    ),
    { numRuns: 12, endOnFailure: true },
  );
  const shank = withStrength(marigold, 'shank', { yield: 1100 });
  const key = 'panhard thread-frame';
  expect(keyed(proved(shank)!).get(key)!.factor).toBeCloseTo(
    2 * keyed(proved(marigold)!).get(key)!.factor,
    9,
  );
  // The thread strips where it is softer: in the bung, which is as it was.
  expect(keyed(proved(shank)!).get('panhard strip-frame')).toEqual(
    keyed(proved(marigold)!).get('panhard strip-frame'),
  );
});

test('nothing is proved of a car whose weight is not known, and that is said', () => {
  const { checks, unproved } = proveJob({ ...marigold, rig: { ...marigold.rig, masses: undefined } });
  expect(checks).toEqual([]);
  expect(unproved).toEqual([expect.objectContaining({ part: 'All that holds the axle' })]);
});

test('a lower frame mount makes a longer bracket, which is bent the more', () => {
  const lower = withMounts(marigold, [{ member: 'panhard', end: 'chassis', axis: 2, mm: 350 }]);
  const higher = withMounts(marigold, [{ member: 'panhard', end: 'chassis', axis: 2, mm: 380 }]);
  const reach = (job: Job) =>
    bracketOf(
      job,
      linksOf(job.rig).find(({ id }) => id === 'panhard')!,
      'chassis',
    ).reach;
  expect(reach(lower)).toBeGreaterThan(reach(higher));
});

test('the command prints every check as JSON, and refuses what is no job', () => {
  const folder = mkdtempSync(join(tmpdir(), 'pellik-'));
  const run = (text: string) => {
    const file = join(folder, 'job.pellik.json');
    writeFileSync(file, text);
    return spawnSync('npx', ['--no-install', 'tsx', 'bin/pellik.ts', 'prove', file], { encoding: 'utf8' });
  };
  const { status, stdout } = run(writeJob(marigold));
  expect(status).toBe(0);
  const printed = JSON.parse(stdout) as Check[];
  expect(printed).toHaveLength(proved(marigold)!.length);
  for (const key of [
    'part',
    'check',
    'case',
    'demand',
    'capacity',
    'unit',
    'factor',
    'wanted',
    'inputs',
    'source',
  ])
    expect(printed[0]).toHaveProperty(key);
  const refused = run('{"format":"pellik.rig"}');
  expect([refused.status, refused.stdout]).toEqual([2, '']);
});

describe('a bar with ends welded to barrels', () => {
  const barrels = (ends: object) => withParts(marigold, { bars: { panhard: { barrels: ends } } });
  const barrel = { od: 44.45 };
  const adjuster = (job: Job) => adjusterOf(job, { id: 'panhard', by: 'length' }).style;
  const threads = (job: Job) =>
    (proved(job) ?? []).filter(({ part, check }) => part === 'panhard' && /thread|strip/.test(check)).length;
  const asked = (job: Job) =>
    jobConditions(job, null, [])
      .find(({ id }) => id === 'thread')
      ?.fields.map(({ key }) => key) ?? [];

  test('has no thread there: none is proved, none asked about before a weld, and it is set by what it has left', () => {
    expect([adjuster(marigold), threads(marigold), asked(marigold)]).toEqual([
      'tube',
      4,
      ['thread.frame', 'thread.axle'],
    ]);
    const one = barrels({ frame: barrel });
    expect([adjuster(one), threads(one), asked(one)]).toEqual(['end', 2, ['thread.axle']]);
    const both = barrels({ frame: barrel, axle: barrel });
    expect([adjuster(both), threads(both), asked(both)]).toEqual(['fixed', 0, []]);
    expect(judgeCut(both).map(({ id }) => id)).not.toContain('adjustment');
    expect(proveJob(both).unproved.map(({ part }) => part)).toContain('Bushings in barrels');
  });
});

test('a bracket that does not hold stops the welding of its own bar, on both sides where they are alike, and of no other', () => {
  const { parts } = marigold;
  const weak = withAccepted(
    withParts(
      { ...marigold, parts },
      { brackets: { 'lower-left/axle': { depth: 12, plate: 1.5, leg: 1.5 } } },
    ),
    ['size.railWidth', 'size.railHeight'],
  );
  const open = openIn(weak).filter(({ station }) => station === 'prove');
  const stops = (member: string) => stopsOf(weak, open, member);
  expect(stops('lower-left').join()).toContain('Lower links’ axle brackets');
  expect(stops('lower-right')).toEqual(stops('lower-left'));
  expect(stops('upper')).toEqual([]);
  expect(stops('panhard')).toEqual([]);
});
