import fc from 'fast-check';
import { barCut } from '@/core/cut/barCut';
import { barPlatesOf } from '@/core/cut/flatParts';
import { jobCut } from '@/core/cut/jobCut';
import { sayEnd, shoppingList } from '@/core/cut/lists';
import { areaOf } from '@/core/fabricate/drawing';
import { plateBarDrawing } from '@/core/fabricate/plates/plateBar';
import { extentsOf } from '@/core/fabricate/vectorFiles';
import { distance, type Point } from '@/core/geometry/vector';
import { withEndKind, withEye } from '@/core/job/edits/parts/ends';
import { withJoints } from '@/core/job/edits/mounts';
import { withParts } from '@/core/job/edits/parts/parts';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf, forkAt, stackOf } from '@/core/job/made/bracketParts';
import {
  BAR_ENDS,
  barOf,
  bodyAt,
  END_KINDS,
  endKindOf,
  isPlateBar,
  madeUp,
  threadedEnds,
} from '@/core/job/made/parts';
import { plateBarOf } from '@/core/job/made/plateBar';
import { JOINT_NAMES, jointsOf, ON_THREAD } from '@/core/materials/joints';
import { METALS } from '@/core/materials/metals';
import { THREAD_NAMES, THREADS } from '@/core/materials/threads';
import { curesIn } from '@/core/prove/cures/cures';
import { partFaults } from '@/core/prove/faults/faults';
import { isShort, proveJob } from '@/core/prove/prove';
import type { Check } from '@/core/prove/types';
import { linksOf } from '@/core/rig/members/members';
import { partnerOf } from '@/core/rig/roles';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';

const marigold = demoJobs().find(({ name }) => name.startsWith('Marigold'))!;
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const linkOf = (job: Job, id: string) => linksOf(job.rig).find((link) => link.id === id)!;
const checksOf = (job: Job, part: string): Record<string, Check> =>
  Object.fromEntries(
    proveJob(job)
      .checks.filter((check) => check.part === part)
      .map((check) => [check.check, check]),
  );
const kind = fc.constantFrom(...END_KINDS);
const end = fc.constantFrom(...BAR_ENDS);
/** A bar of plate, so high and so thick, with both its eyes its own. */
function plateBar(job: Job, id: string, height = 60, thickness = 12): Job {
  const flat = withParts(job, { bars: { [id]: { section: { shape: 'flat', height, thickness } } } });
  return BAR_ENDS.reduce((j, one) => withEndKind(j, id, one, 'eye'), flat);
}
const bentThrough = (job: Job, id: string, points: Point[]): Job => ({
  ...job,
  rig: {
    ...job.rig,
    members: job.rig.members.map((m) => (m.id === id ? { ...m, path: { chassis: points } } : m)),
  } as Job['rig'],
});

describe('what an end of a bar is', () => {
  test('is as it was picked, on both sides where they are alike; its joint goes with it; its file reads back as it was', () => {
    fc.assert(
      fc.property(
        plausibleCar,
        fc.array(fc.tuple(end, kind), { minLength: 1, maxLength: 4 }),
        (car, picks) => {
          const [link] = linksOf(car.rig);
          fc.pre(link !== undefined);
          const job = picks.reduce((j, [at, as]) => withEndKind(j, link.id, at, as), car);
          for (const id of [link.id, partnerOf(link.id)].filter((one) => one !== null)) {
            if (!linksOf(job.rig).some((one) => one.id === id)) continue;
            const bar = barOf(job, id);
            for (const [at, as] of new Map(picks)) {
              const joint = jointsOf(job.joints, id)[bodyAt(at)];
              expect(endKindOf(bar, at, joint)).toBe(as);
              expect(joint === 'clevis').toBe(['eye', 'fork', 'clevis'].includes(as));
              expect(threadedEnds(bar).includes(at)).toBe(as === 'threaded' || as === 'clevis');
            }
          }
          expect(readJob(writeJob(job)).parts).toEqual(job.parts);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('back to thread, nothing of it is left', () => {
    const there = withEndKind(marigold, 'upper', 'axle', 'fork');
    const back = withEndKind(there, 'upper', 'axle', 'threaded');
    expect(barOf(back, 'upper')).toEqual(barOf(marigold, 'upper'));
    expect(proveJob(back).checks.filter(({ part }) => part.startsWith('upper'))).toEqual(
      proveJob(marigold).checks.filter(({ part }) => part.startsWith('upper')),
    );
  });

  test('a bar is cut shorter by what its eyes stand out, and its plates lap it and reach their hole', () => {
    fc.assert(
      fc.property(num(20, 90), num(20, 90), num(20, 120), (frame, axle, lap) => {
        const eye = { plate: 8, width: 40, lap };
        const job = withParts(marigold, {
          bars: {
            panhard: {
              eyes: {
                frame: { ...eye, kind: 'eye', reach: frame },
                axle: { ...eye, kind: 'fork', reach: axle },
              },
            },
          },
        });
        const link = linkOf(job, 'panhard');
        const cut = barCut(job, link);
        expect(cut.blank).toBeCloseTo(distance(link.chassis, link.axle) - frame - axle, 9);
        expect(cut.finished).toBe(cut.blank);
        expect(madeUp(job, link).tubeLength).toBeCloseTo(cut.blank, 9);
        const plates = barPlatesOf(job, link);
        expect(plates.map(({ quantity }) => quantity)).toEqual([1, 2]);
        for (const [i, reach] of [frame, axle].entries()) {
          const { low, high } = extentsOf(plates[i]!.drawing);
          expect(high[1] - low[1]).toBeCloseTo(lap + reach + 20, 6);
          expect(high[0] - low[0]).toBeCloseTo(40, 6);
        }
        expect(sayEnd(cut, 'frame', 'mm')).toContain('slotted');
        expect(sayEnd(cut, 'axle', 'mm')).toContain('two plates');
      }),
      { numRuns: 30 },
    );
  });
});

describe('an end on a pin', () => {
  const eye = { kind: 'eye' as const, plate: 10, width: 50, reach: 60, lap: 45 };
  const withAxle = (change: object) => {
    const picked = withEndKind(marigold, 'panhard', 'axle', 'eye');
    return withParts(picked, {
      bars: { panhard: withEye(barOf(picked, 'panhard'), 'axle', { ...eye, ...change }) },
    });
  };

  test('bears what its plate does by hand, and its weld what four fillets of its lap do', () => {
    const job = withAxle({});
    const { hole, bolt, electrode } = bracketOf(job, linkOf(job, 'panhard'), 'axle');
    expect(electrode).toBe('e70');
    const { ultimate, yield: Sy } = METALS.plate;
    const clear = 25 - hole / 2;
    const ways = [
      1.2 * clear * 10 * ultimate,
      2.4 * bolt * 10 * ultimate,
      (50 - hole) * 10 * ultimate,
      50 * 10 * Sy,
    ];
    const checks = checksOf(job, 'panhard');
    expect(checks['eye-axle']!.capacity).toBeCloseTo(Math.min(...ways), 6);
    const force = Math.abs(checks['eye-axle']!.inputs.force as number);
    expect(checks['eye-axle']!.demand).toBeCloseTo(force, 9);
    // As much leg as the thinner of plate and wall; E70: 0.3 · 70 ksi.
    const { section } = barOf(job, 'panhard');
    const leg = Math.min(10, section.shape === 'tube' ? section.wall : NaN);
    expect(checks['end-weld-axle']!.demand).toBeCloseTo(force / (0.707 * leg * 4 * 45), 2);
    expect(checks['end-weld-axle']!.capacity / 6.894757).toBeCloseTo(0.3 * 70, 0);
    for (const gone of ['thread-axle', 'strip-axle']) expect(checks[gone]).toBeUndefined();
    expect(checks['thread-frame']).toBeDefined();
  });

  test('a fork shares it between its two plates, and its bolt is held on both sides of the bracket’s one', () => {
    const one = checksOf(withAxle({}), 'panhard');
    const job = withAxle({ kind: 'fork' });
    const two = checksOf(job, 'panhard');
    expect(two['eye-axle']!.demand).toBeCloseTo(one['eye-axle']!.demand / 2, 6);
    const link = linkOf(job, 'panhard');
    const bracket = bracketOf(job, link, 'axle');
    expect(bracket.planes).toBe(1);
    expect(forkAt(job, link, 'axle')).not.toBeNull();
    const { planes, plate, middle } = stackOf(job, link, 'axle');
    expect([planes, plate, middle]).toEqual([2, 10, bracket.plate]);
    // Across the fork it is as wide as the bar, and the bracket's plate is all that takes the pull.
    const { section } = barOf(job, 'panhard');
    expect(middle + 2 * bracket.spacer).toBeCloseTo(section.shape === 'flat' ? NaN : section.od, 6);
    const tab = checksOf(job, 'panhard/axle');
    expect(tab['tear-out']!.demand).toBeCloseTo(Math.abs(tab['tear-out']!.inputs.force as number), 6);
    expect(tab['bolt-shear']!.inputs.planes).toBe(2);
  });

  test('a longer lap, a thicker and a wider plate never hold less; what is offered for a thin one cures it', () => {
    fc.assert(
      fc.property(num(3, 20), num(30, 80), num(10, 90), (plate, width, lap) => {
        const factor = (change: object, check: string) =>
          checksOf(withAxle({ plate, width, lap, ...change }), 'panhard')[check]!.factor;
        expect(factor({ lap: lap + 10 }, 'end-weld-axle')).toBeGreaterThan(factor({}, 'end-weld-axle'));
        expect(factor({ plate: plate + 2 }, 'eye-axle')).toBeGreaterThan(factor({}, 'eye-axle'));
        expect(factor({ width: width + 5 }, 'eye-axle')).toBeGreaterThanOrEqual(factor({}, 'eye-axle'));
      }),
      { numRuns: 15 },
    );
    const thin = withAxle({ plate: 1, width: 21 });
    const failing = checksOf(thin, 'panhard')['eye-axle']!;
    expect(isShort(failing)).toBe(true);
    const cures = curesIn(thin)(failing);
    expect(cures.length).toBeGreaterThan(0);
    for (const { parts } of cures) {
      const cured = withParts(thin, parts!);
      expect(isShort(checksOf(cured, 'panhard')['eye-axle']!)).toBe(false);
      expect(barOf(cured, 'panhard').eyes.axle?.kind).toBe('eye');
    }
  });

  test('what cannot be made of it is said', () => {
    const ids = (job: Job) => partFaults(job).flatMap(({ id, where }) => (where === 'panhard' ? [id] : []));
    expect(ids(withAxle({}))).toEqual([]);
    expect(ids(withAxle({ width: 12 }))).toEqual(['eye-hole']);
    expect(ids(withAxle({ reach: 10 }))).toEqual(['short-eye']);
    expect(ids(withAxle({ plate: 40 }))).toEqual(['thick-eye']);
    const tight = withParts(withAxle({ kind: 'fork' }), { brackets: { 'panhard/axle': { spacer: 1 } } });
    expect(ids(tight)).toEqual(['fork-gap']);
  });
});

test('a barrel’s weld is held to the force by its own round: once about the tube, as thick as its wall', () => {
  const job = withEndKind(marigold, 'panhard', 'frame', 'barrel');
  const check = checksOf(job, 'panhard')['end-weld-frame']!;
  const { section } = barOf(job, 'panhard');
  const [od, wall] = section.shape === 'tube' ? [section.od, section.wall] : [NaN, NaN];
  const force = Math.abs(check.inputs.force as number);
  expect(check.demand).toBeCloseTo(force / (Math.SQRT1_2 * wall * Math.PI * od), 1);
  expect(checksOf(job, 'panhard')['fatigue-end-frame']!.fails).toBe('cracks');
});

describe('a bar cut whole from plate', () => {
  test('straight, is as long as from hole to hole and once its height, and weighs as its outline less its holes', () => {
    fc.assert(
      fc.property(plausibleCar, num(40, 90), num(6, 20), (car, height, thickness) => {
        const [link] = linksOf(car.rig);
        fc.pre(link !== undefined);
        const job = plateBar(car, link.id, height, thickness);
        const cut = barCut(job, linkOf(job, link.id));
        const eyes = distance(link.chassis, link.axle);
        expect(isPlateBar(cut.bar)).toBe(true);
        expect(cut.blank).toBeCloseTo(eyes + height, 6);
        const { frame, axle } = plateBarOf(job, link)!.holes;
        const area = height * eyes + (Math.PI / 4) * (height ** 2 - frame ** 2 - axle ** 2);
        expect(cut.mass / (area * thickness * METALS.plate.density)).toBeCloseTo(1, 3);
        // Among the plates, and not on the saw.
        const whole = jobCut(job);
        expect(whole.flats.some(({ of, thickness: t }) => of === link.id && t === thickness)).toBe(true);
        const sawn = whole.stock.flatMap(({ nested }) => [
          ...nested.lengths.flatMap(({ pieces }) => pieces.map(({ id }) => id)),
          ...nested.tooLong,
        ]);
        expect(sawn.map((one) => (typeof one === 'string' ? one : one.id))).not.toContain(link.id);
        expect(
          proveJob(job).checks.some((check) => check.part === link.id && check.check === 'weld-zone'),
        ).toBe(false);
      }),
      { numRuns: 40 },
    );
  });

  test('shaped, follows its line in one plane and is as high everywhere; out of one plane, that is said', () => {
    fc.assert(
      fc.property(num(0.2, 0.8), num(-120, 120), num(40, 80), (share, aside, height) => {
        fc.pre(Math.abs(aside) > 2);
        const link = linkOf(marigold, 'panhard');
        const mid = link.chassis.map((v, k) => v + share * (link.axle[k]! - v)) as Point;
        const job = bentThrough(plateBar(marigold, 'panhard', height), 'panhard', [
          [mid[0], mid[1], mid[2] + aside],
        ]);
        const shape = plateBarOf(job, linkOf(job, 'panhard'))!;
        expect(shape.middle).toHaveLength(3);
        expect(Math.abs(shape.middle[1]![1])).toBeLessThanOrEqual(Math.abs(aside) + 1e-9);
        const { low, high } = extentsOf(plateBarDrawing(shape));
        const up = Math.max(0, shape.middle[1]![1]);
        const down = Math.min(0, shape.middle[1]![1]);
        expect(high[1]).toBeCloseTo(up + height / 2, 4);
        expect(low[1]).toBeCloseTo(down - height / 2, 4);
        expect(high[0] - low[0]).toBeCloseTo(distance(link.chassis, link.axle) + height, 4);
        // What is cut is not bent: nothing is asked of a bender.
        expect(barCut(job, linkOf(job, 'panhard')).bends).toBeNull();
        expect(areaOf(plateBarDrawing(shape))).toBeGreaterThan(0);
        const twisted = bentThrough(job, 'panhard', [
          [mid[0], mid[1] + 5, mid[2] + aside],
          [mid[0] + 60, mid[1] - 60, mid[2]],
        ]);
        expect(plateBarOf(twisted, linkOf(twisted, 'panhard'))).toBeNull();
        expect(partFaults(twisted).map(({ id }) => id)).toContain('out-of-plane');
      }),
      { numRuns: 30 },
    );
  });
});

test('a joint picked, or an end made otherwise, in any order: the job is read back from its file as it is', () => {
  const act = fc.record({
    pick: fc.nat(20),
    end: fc.constantFrom(...BAR_ENDS),
    kind: fc.constantFrom(...END_KINDS),
    joint: fc.option(fc.constantFrom(...JOINT_NAMES)),
  });
  fc.assert(
    fc.property(
      fc.constantFrom(...demoJobs()),
      fc.array(act, { minLength: 1, maxLength: 4 }),
      (car, acts) => {
        const job = acts.reduce((j, { pick, end, kind, joint }) => {
          const { id } = linksOf(j.rig)[pick % linksOf(j.rig).length]!;
          return joint ? withJoints(j, id, { [bodyAt(end)]: joint }, true) : withEndKind(j, id, end, kind);
        }, car);
        expect(readJob(writeJob(job))).toEqual(job);
      },
    ),
    { numRuns: 60, endOnFailure: true },
  );
});

test('a fork on a thread goes over one plate of its bracket, on a pin as thick as its thread, and is filled by plate and spacers', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...demoJobs()),
      fc.nat(20),
      fc.constantFrom(...BAR_ENDS),
      fc.constantFrom(...THREAD_NAMES),
      num(4, 12),
      (car, pick, end, thread, plate) => {
        const links = linksOf(car.rig);
        fc.pre(links.length > 0);
        const link = links[pick % links.length]!;
        const at = bodyAt(end);
        const mount = `${link.id}/${at}`;
        const bare = { ...car, parts: { ...car.parts, brackets: {} } };
        const threaded = withParts(bare, {
          bars: { [link.id]: { thread } },
          brackets: { [mount]: { plate } },
        });
        const forked = withEndKind(threaded, link.id, end, 'clevis');
        const bracket = bracketOf(forked, link, at);
        const { diameter } = THREADS[thread];
        expect([bracket.planes, bracket.boxed, bracket.bolt]).toEqual([1, false, diameter]);
        const stack = stackOf(forked, link, at);
        expect(stack).toEqual({
          bolt: diameter,
          plate: diameter / 2,
          planes: 2,
          middle: plate,
          spacer: Math.max(0, (diameter + 25.4 / 16 - plate) / 2),
        });
        // Its bolt is in double shear, whatever its one plate is.
        const shear = (job: Job) =>
          proveJob(job).checks.find(({ part, check }) => part === mount && check === 'bolt-shear');
        expect(shear(forked)?.inputs.planes ?? 2).toBe(2);
        expect(bracketOf(withEndKind(forked, link.id, end, 'threaded'), link, at).planes).toBe(2);
      },
    ),
    { numRuns: 60 },
  );
});

test('the shopping list has each threaded end as what it is, a bung and a jam nut to each, and no rod end that nothing is made with', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...demoJobs()),
      fc.array(fc.tuple(fc.nat(20), fc.constantFrom(...BAR_ENDS), fc.constantFrom(...JOINT_NAMES)), {
        maxLength: 6,
      }),
      (car, picks) => {
        const job = picks.reduce((j, [pick, end, joint]) => {
          const links = linksOf(j.rig);
          return links.length
            ? withJoints(j, links[pick % links.length]!.id, { [bodyAt(end)]: joint }, true)
            : j;
        }, car);
        const list = shoppingList(job, jobCut(job));
        const bought = (start: string) =>
          list
            .filter(({ what }) => what.startsWith(start) && !what.includes('sway bar'))
            .reduce((sum, { quantity }) => sum + Number(quantity), 0);
        const ends = linksOf(job.rig).flatMap(({ id }) =>
          threadedEnds(barOf(job, id)).map((end) => jointsOf(job.joints, id)[bodyAt(end)]),
        );
        for (const joint of JOINT_NAMES)
          expect(bought(`${ON_THREAD[joint]}, `)).toBe(ends.filter((one) => one === joint).length);
        expect(bought('Bung, ')).toBe(ends.length);
        expect(bought('Jam nut, ')).toBe(ends.length);
      },
    ),
    { numRuns: 60 },
  );
});
