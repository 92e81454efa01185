import fc from 'fast-check';
import { solveRig } from '@/core/bench/solveRig';
import { readBrief, type Brief, type FreeMount, type Target } from '@/core/choose/brief';
import { figuresOf, type Figures } from '@/core/choose/figures';
import { cornerFigures, type WantedFigures } from '@/core/choose/wanted';
import { withAnswer } from '@/core/choose/answer';
import { findMounts } from '@/core/choose/findMounts';
import { missOf, paretoBest } from '@/core/choose/ranking';
import type { Closeness } from '@/core/choose/builds';
import { spreadOf } from '@/core/choose/spread';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { heightsAnswer } from '@/core/locate/heights';
import { lateralBarOf } from '@/core/rig/roles';
import { withBodies } from '@/core/job/bodies/bodies';
import { clearances } from '@/core/clearance/clearance';
import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { flopsOf, locateInput } from '@/core/locate/types';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { assemble } from '@/core/kinematics/mechanism';
import { isLink } from '@/core/rig/members/members';
import { drivenTravel } from '@/core/job/jobValues';
import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { isReached } from '@/core/kinematics/pose';
import { mountsOf, withMount, type MountChange } from '@/core/rig/mounts';
import type { Obstacle, Rig } from '@/core/rig/schema';
import { memberName } from '@/core/rig/names';
import { orNone } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const runs = (numRuns: number) => ({ numRuns, endOnFailure: true });

/** The same figures from the answer of the command; anti-squat is a figure of an axle that pushes the car from behind. */
function byCommand(rig: Rig, { bump, droop }: { bump: number; droop: number }) {
  const { ride, sweep } = solveRig({
    ...rig,
    sweep: [
      { left: bump, right: bump },
      { left: -droop, right: -droop },
    ],
  });
  const [up, down] = sweep;
  if (!up || !down || !isReached(up) || !isReached(down)) return null;
  return {
    rollCentre: ride.rollCentreHeight,
    antiSquat: rig.end === 'rear' ? (ride.antiSquatPct ?? null) : null,
    rollSteer: ride.rollSteer,
    sideways: Math.max(Math.abs(up.y - ride.y), Math.abs(down.y - ride.y)),
    turns:
      Math.max(ride.pitchDeg, up.pitchDeg, down.pitchDeg) -
      Math.min(ride.pitchDeg, up.pitchDeg, down.pitchDeg),
  };
}

test('the figures of a car are those that the command answers with', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const reach = drivenTravel(job);
      const [here, there] = [figuresOf(job.rig, reach), orNone(() => byCommand(job.rig, reach))];
      fc.pre(here !== null && there !== null);
      for (const [name, value] of Object.entries(there!)) {
        const own = here![name as keyof Figures];
        if (value === null) expect(own).toBeNull();
        else expect(Math.abs(own! - value)).toBeLessThan(1e-6 * Math.max(1, Math.abs(value)));
      }
    }),
    runs(60),
  );
});

describe('how close is close enough', () => {
  // JCGM 100:2008, 5.1.2, and JCGM 101:2008: where a result is nearly linear in what it hangs on, both come to the same spread.
  test.each(demoJobs().map((job) => [job.name, job] as const))(
    '%s, built as well as anybody builds: by chance and by first order the same spread, within what 4 000 builds can tell',
    (_, job) => {
      const close = { place: 0.5, settle: 0.5, cut: 0.5 };
      const { figures, failed, builds } = spreadOf(job, close, { builds: 4000, seed: 7 });
      expect([failed, builds]).toEqual([0, 4000]);
      for (const figure of ['rollCentre', 'antiSquat', 'rollSteer', 'barRise', 'barLength'] as const) {
        const spread = figures[figure];
        if (!spread || spread.firstOrder < 1e-6) continue;
        // A deviation of n builds is itself off by 1/√(2n): 1.1 % here; five of those, and a little for what bends.
        expect([figure, Math.abs(spread.deviation / spread.firstOrder - 1) < 0.07]).toEqual([figure, true]);
        expect(Math.abs(spread.mean - spread.designed)).toBeLessThan(0.15 * spread.deviation + 1e-6);
        // Nineteen of twenty of a normal distribution: 1.96 deviations either way.
        expect((spread.high - spread.low) / (2 * 1.96 * spread.deviation)).toBeCloseTo(1, 0.9);
      }
    },
  );

  test('twice as careless is twice the spread; the same seed gives the same, another nearly the same', () => {
    const job = demoJobs()[0]!;
    const at = (place: number, seed: number) =>
      spreadOf(job, { place, settle: 0, cut: 0 }, { builds: 2000, seed }).figures.rollCentre!;
    expect(at(2, 3)).toEqual(at(2, 3));
    expect(at(2, 3)).not.toEqual(at(2, 4));
    expect(at(2, 4).deviation / at(2, 3).deviation).toBeCloseTo(1, 0.9);
    const own = (place: number) =>
      spreadOf(job, { place, settle: 0, cut: 0 }, { builds: 3, seed: 1 }).ranked.barRise!;
    // The rise of the bar hangs on the heights of its two ends, half and half, and on nothing else.
    expect(
      own(3)
        .slice(0, 2)
        .map(({ share }) => share),
    ).toEqual([expect.closeTo(0.5, 6), expect.closeTo(0.5, 6)]);
    expect(own(3)[2]!.share).toBeLessThan(1e-9);
  });

  test('what a dimension is worth is what the command says of a car with it moved', () => {
    const job = demoJobs()[0]!;
    const reach = drivenTravel(job);
    const h = 0.5;
    const slopes = new Map<string, number>(
      job.rig.members.flatMap(({ id }) =>
        mountsOf(job.rig, id).flatMap(({ key, name, point }) =>
          (['fore and aft', 'sideways', 'height'] as const).map((direction, axis) => {
            const moved = (by: number) =>
              byCommand(
                withMount(job.rig, { member: id, end: key, axis: axis as 0, mm: point[axis]! + by }),
                reach,
              )!.rollCentre!;
            return [
              `${memberName(id, job.rig.end)}, ${name.toLowerCase()}: ${direction}`,
              (moved(h) - moved(-h)) / (2 * h),
            ] as const;
          }),
        ),
      ),
    );
    const all = [...slopes.values()].reduce((sum, v) => sum + v ** 2, 0);
    const bare: Job = { ...job, readings: {}, rig: { ...job.rig, cgHeight: undefined } };
    const { ranked } = spreadOf(bare, { place: 1, settle: 0, cut: 0 }, { builds: 3, seed: 1 });
    for (const { name, share } of ranked.rollCentre!)
      if (slopes.has(name)) expect(share).toBeCloseTo(slopes.get(name)! ** 2 / all, 3);
  });
});

describe('what else a build may be off by, each alone, by hand', () => {
  const none = { place: 0, settle: 0, cut: 0 };
  const cars = demoJobs()
    .filter(({ rig }) => lateralBarOf(rig))
    .map((job): Job => ({ ...job, readings: {}, rig: { ...job.rig, cgHeight: undefined } }));
  // First order by definition (JCGM 100:2008, 5.1.2): what nineteen of twenty stay within is two deviations.
  const firstOrder = (job: Job, closeness: Partial<Closeness>, figure: keyof Figures) =>
    spreadOf(job, { ...none, ...closeness }, { builds: 3, seed: 1 }).figures[figure]!.firstOrder;

  test.each(cars.map((job) => [job.name, job] as const))('%s', (_, job) => {
    const { rig } = job;
    const bar = lateralBarOf(rig)!;
    const rise = (closeness: Partial<Closeness>) => firstOrder(job, closeness, 'barRise');
    // Tyres larger by so much raise frame and axle alike.
    expect(firstOrder(job, { tire: 4 }, 'rollCentre')).toBeCloseTo(2, 3);
    expect(rise({ tire: 4 })).toBeCloseTo(0, 6);
    expect(firstOrder(job, { tire: 4 }, 'rollSteer')).toBeCloseTo(0, 6);
    // The frame leans about the car's middle: its eye goes up by its share of the track.
    expect(rise({ lean: 6 })).toBeCloseTo((3 * Math.abs(bar.chassis[1])) / rig.track, 6);
    // The axle turns about its tube: its eye goes up by how far ahead or behind it is.
    expect(rise({ gauge: 1 })).toBeCloseTo(((Math.PI / 180) * Math.abs(bar.axle[0])) / 2, 6);
    // Both eyes stand off the middle of their holes, square to their bolts.
    const upright = (['chassis', 'axle'] as const).map((end) => bracketAxes(job, bar, end).bolt[2]);
    expect(rise({ hole: 2 })).toBeCloseTo(0.5 * Math.sqrt(2 - upright[0]! ** 2 - upright[1]! ** 2), 6);
  });

  test('a load counts as what it lowers the car by, where springs are known, and not where they are not', () => {
    const sprung = demoJobs().find(({ rig }) => rig.springs?.length && rig.masses && rig.cgHeight)!;
    const load = { mass: 100, ahead: 0, height: 500 };
    const { loaded } = heightsAnswer(sprung, { settled: 0, load, move: 0 });
    const { here } = loaded!.laden;
    const by = loaded!.lower;
    expect(firstOrder(sprung, { load: here }, 'rollCentre')).toBeCloseTo(
      firstOrder(sprung, { settle: by }, 'rollCentre'),
      6,
    );
    const unsprung: Job = {
      ...sprung,
      readings: {},
      rig: { ...sprung.rig, springs: [], cgHeight: undefined },
    };
    const { ranked } = spreadOf(unsprung, { ...none, load: 100 }, { builds: 3, seed: 1 });
    expect(ranked.rollCentre).toEqual([]);
  });
});

/** Small briefs on demo cars: one to three things free, few steps of each, bounds and wishes that can or cannot be had. */
const briefs = fc
  .record({
    car: fc.constantFrom(...demoJobs()),
    picks: fc.array(
      fc.record({ member: fc.nat(20), mount: fc.nat(5), steps: fc.integer({ min: 1, max: 4 }) }),
      {
        minLength: 1,
        maxLength: 3,
      },
    ),
    rollCentre: fc.integer({ min: 250, max: 480 }),
    width: fc.constantFrom(5, 20, 60),
    near: fc.option(fc.integer({ min: 0, max: 150 })),
  })
  .map(
    ({
      car,
      picks,
      rollCentre,
      width,
      near,
    }): { job: Job; brief: Omit<Brief, 'free'> & { free: FreeMount[] } } => {
      const job: Job = { ...car, holes: {} };
      const free = picks.map(({ member, mount, steps }): FreeMount => {
        const { id } = job.rig.members[member % job.rig.members.length]!;
        const mounts = mountsOf(job.rig, id);
        const { key, point } = mounts[mount % mounts.length]!;
        return {
          member: id,
          end: key as 'chassis',
          axis: 2,
          from: point[2] - 20,
          to: point[2] + 40,
          step: 60 / steps,
        };
      });
      const unique = free.filter(
        (one, i) => free.findIndex((o) => o.member === one.member && o.end === one.end) === i,
      );
      const targets: Target[] = [
        { figure: 'rollCentre', least: rollCentre, most: rollCentre + width },
        ...(near === null
          ? []
          : [
              { figure: 'rollSteer' as const, near: near / 1000 },
              { figure: 'sideways' as const, near: 2 },
            ]),
      ];
      return { job, brief: { format: 'pellik.brief', version: 1, targets, free: unique, seed: 1 } };
    },
  );

describe('a search of mounts', () => {
  test('on small grids it finds just what looking at every choice by the command finds', () => {
    fc.assert(
      fc.property(briefs, ({ job, brief }) => {
        const reach = drivenTravel(job);
        const found = findMounts(job, brief);
        expect(found.exhaustive).toBe(true);
        // Every choice there is.
        const grid = brief.free.map(({ member, end, axis, from, to, step }) => {
          const count = Math.floor((to! - from!) / step! + 1e-6) + 1;
          return Array.from({ length: count }, (_, k): MountChange => ({
            member,
            end,
            axis,
            mm: from! + k * step!,
          }));
        });
        const all = grid.reduce<MountChange[][]>(
          (so, row) => so.flatMap((one) => row.map((c) => [...one, c])),
          [[]],
        );
        const met = all.filter((changes) => {
          const figures = orNone(() => byCommand(withMounts(job, changes).rig, reach));
          return (
            figures && brief.targets.every((t) => missOf(t, figures as unknown as WantedFigures) <= 1e-9)
          );
        });
        expect(found.answers.length > 0).toBe(met.length > 0);
        expect(found.nearest === null).toBe(met.length > 0);
        for (const { changes } of found.answers) expect(met).toContainEqual(changes);
        // Along the edge nothing is beaten by any other that is met.
        const wanted = brief.targets.filter(({ near }) => near !== undefined);
        if (wanted.length < 2) return expect(found.edge).toEqual([]);
        const off = (changes: MountChange[]) => {
          const figures = byCommand(withMounts(job, changes).rig, reach)! as unknown as WantedFigures;
          return wanted.map(({ figure, near }) => Math.abs(figures[figure]! - near!));
        };
        const others = met.map(off);
        for (const { changes, hits } of found.edge) {
          expect(met).toContainEqual(changes);
          expect(hits).toEqual([]);
          const mine = off(changes);
          const isBeaten = others.some(
            (other) =>
              other.every((v, i) => v <= mine[i]! + 1e-7) && other.some((v, i) => v < mine[i]! - 1e-5),
          );
          expect(isBeaten).toBe(false);
        }
      }),
      runs(12),
    );
  });

  test('every answer, set in the car and solved by the command, is what it claims and meets what was asked', () => {
    fc.assert(
      fc.property(briefs, ({ job, brief }) => {
        for (const { changes, figures, misses } of findMounts(job, brief).answers) {
          const solved = byCommand(withMounts(job, changes).rig, drivenTravel(job))!;
          for (const [name, value] of Object.entries(solved))
            if (value !== null) expect(figures[name as keyof Figures]).toBeCloseTo(value, 6);
          expect(misses.every((miss) => miss <= 1e-9)).toBe(true);
          const { least, most } = brief.targets[0]!;
          expect(solved.rollCentre!).toBeGreaterThanOrEqual(least! - 1e-6);
          expect(solved.rollCentre!).toBeLessThanOrEqual(most! + 1e-6);
        }
      }),
      runs(25),
    );
  });

  test('of more choices than can be looked at, the answers hold all the same, and are the same for one seed', () => {
    const job: Job = { ...demoJobs()[0]!, holes: {} };
    const free = (
      [
        ['panhard', 'chassis', 300, 420],
        ['panhard', 'axle', 300, 420],
        ['lower-left', 'chassis', 200, 320],
        ['upper', 'chassis', 420, 520],
      ] as const
    ).map(([member, end, from, to]) => ({ member, end, axis: 2 as const, from, to, alike: true }));
    const targets: Target[] = [
      { figure: 'rollCentre', least: 340, most: 346 },
      { figure: 'barRise', least: -1.6, most: 1.6 },
      { figure: 'antiSquat', near: 60 },
    ];
    const brief: Brief = { format: 'pellik.brief', version: 1, targets, free, seed: 5 };
    const found = findMounts(job, brief);
    expect(found.exhaustive).toBe(false);
    expect(found.answers.length).toBeGreaterThan(1);
    expect(findMounts(job, brief)).toEqual(found);
    for (const { changes, figures } of found.answers) {
      const solved = byCommand(withMounts(job, changes).rig, drivenTravel(job))!;
      expect(solved.rollCentre).toBeCloseTo(figures.rollCentre!, 6);
      expect(solved.rollCentre!).toBeGreaterThanOrEqual(340 - 1e-6);
      expect(solved.rollCentre!).toBeLessThanOrEqual(346 + 1e-6);
      // On lines of the tape, from where each began.
      for (const { mm, member, end } of changes) {
        const { from, alike } = { ...free.find((f) => f.member === member && f.end === end), alike: true };
        if (from === undefined || !alike) continue;
        const steps = (mm - from) / 3.175;
        expect(steps).toBeCloseTo(Math.round(steps), 6);
      }
    }
  });

  test('a lean and a front’s share that are asked for are those that Roll works out of the changed car', () => {
    let met = 0;
    assertUntil(
      fc.property(
        briefs,
        fc.constantFrom('lean' as const, 'frontShare' as const),
        ({ job, brief }, figure) => {
          const corner = (of: Job) => analyseRoll(rollInput(of, { left: 0, right: 0 }), 'balance').corner;
          const now = corner(job);
          const wanted: Brief = { ...brief, targets: [{ figure, near: figure === 'lean' ? 1 : 0.6 }] };
          fc.pre(now !== null);
          for (const { changes, figures } of findMounts(job, wanted).answers) {
            const { rollDeg, frontShare } = corner(withMounts(job, changes))!;
            expect(figures.lean).toBeCloseTo(rollDeg, 6);
            expect(figures.frontShare).toBeCloseTo(frontShare, 8);
            met++;
          }
          // The first comes nearest to what is wanted of all there are.
          const [first] = findMounts(job, wanted).answers;
          const off = (of: number) => Math.abs(of - wanted.targets[0]!.near!);
          const here = figure === 'lean' ? now.rollDeg : now.frontShare;
          const stands = brief.free.every(
            ({ from, step }) => Math.abs((20 / step!) % 1) < 1e-9 && from !== undefined,
          );
          if (first && stands && first.hits.length === 0)
            expect(off(first.figures[figure]!)).toBeLessThanOrEqual(off(here) + 1e-6);
        },
      ),
      runs(20),
      () => met > 5,
    );
  });

  test('of a sway bar’s holes and a mount, the place nearest to a share is that of all choices, and Roll works it out so once it is set', () => {
    const corner = (of: Job) => analyseRoll(rollInput(of, { left: 0, right: 0 }), 'balance').corner;
    const barred = demoJobs().filter(({ roll }) => roll.bar?.hooked && roll.bar.holes > 1);
    const cars = barred.filter(
      (job) => corner(job) !== null && job.rig.members.some(({ id }) => id === 'panhard'),
    );
    let looked = 0;
    assertUntil(
      fc.property(
        fc.constantFrom(...cars),
        fc.integer({ min: -30, max: 30 }),
        fc.integer({ min: 0, max: 40 }),
        (job, by, from) => {
          const { bar } = job.roll;
          const height = job.rig.members.flatMap((m) =>
            m.type === 'link' && m.id === 'panhard' ? m.axle[2] : [],
          )[0]!;
          const near = corner(job)!.frontShare + by / 1000;
          const at = { member: 'panhard', end: 'axle', axis: 2 } as const;
          const heights = [0, 10, 20].map((up) => height - from + up);
          const brief: Brief = {
            ...{ format: 'pellik.brief', version: 1, targets: [{ figure: 'frontShare', near }] },
            free: [{ ...at, from: height - from, to: height - from + 20, step: 10 }, { swayBar: 'hole' }],
          };
          const { answers, blocked, tried, exhaustive } = findMounts({ ...job, holes: {} }, brief);
          expect([tried, exhaustive]).toEqual([3 * bar!.holes, true]);
          for (const answer of answers) {
            const set = withAnswer({ ...job, holes: {} }, answer);
            expect(set.roll.bar).toEqual({ ...bar, hole: answer.hole });
            expect(answer.figures.frontShare).toBeCloseTo(corner(set)!.frontShare, 8);
          }
          // What hits something is passed over for what does not.
          if (blocked || !answers[0]) return;
          looked++;
          const off = heights.flatMap((mm) =>
            Array.from({ length: bar!.holes }, (_, hole) => {
              const car = withRoll(withMounts(job, [{ ...at, mm }]), { bar: { ...bar!, hole } });
              return Math.abs(corner(car)!.frontShare - near);
            }),
          );
          const first = Math.abs(answers[0]!.figures.frontShare! - near);
          expect(Math.min(...off)).toBeCloseTo(first, 9);
        },
      ),
      runs(12),
      () => looked > 0,
    );
  });

  test('of a car without springs no lean is looked for', () => {
    const [{ roll, rig, ...rest }] = demoJobs() as [Job, ...Job[]];
    const bare: Job = { ...rest, roll: { ...roll, springs: null }, rig: { ...rig, springs: undefined } };
    const brief: Brief = {
      ...{ format: 'pellik.brief', version: 1, targets: [{ figure: 'lean', most: 3 }] },
      free: [{ member: 'panhard', end: 'axle', axis: 2, from: 300, to: 320 }],
    };
    expect(cornerFigures(bare)).toEqual({ lean: null, frontShare: null });
    expect(() => findMounts(bare, brief)).toThrow('springs');
  });

  test('the room that is asked for is left between all bodies, but for what is as near already', () => {
    let looked = 0;
    assertUntil(
      fc.property(briefs, fc.integer({ min: 1, max: 60 }), ({ job, brief }, clear) => {
        const near = (of: Job) => {
          const { rig, bump, droop } = locateInput(of, { left: 0, right: 0 });
          const { at } = assemble(rig);
          const poses = [-1, -0.5, 0, 0.5, 1].map((share) => {
            const lift = share * (share > 0 ? bump : droop);
            return at({ left: lift, right: lift });
          });
          const gaps = closestApproaches(rig, poses, {
            flops: flopsOf(locateInput(of, { left: 0, right: 0 })),
          });
          return new Map(gaps.map(({ a, b, distance }) => [`${a} / ${b}`, distance]));
        };
        const now = near(job);
        const targets: Target[] = [{ figure: 'rollCentre', near: 350 }];
        for (const { changes, hits } of findMounts(job, { ...brief, targets, clear }).answers) {
          const told = new Set(hits.map(({ a, b }) => `${a} / ${b}`));
          for (const [pair, distance] of near(withMounts(job, changes))) {
            const isAsBefore = now.get(pair)! <= Math.max(clear, distance + 5);
            if (distance < clear - 1e-3 && !isAsBefore) expect(told).toContain(pair);
          }
          for (const { distance } of hits) expect(distance).toBeLessThan(clear);
          looked++;
        }
      }),
      runs(20),
      () => looked > 15,
    );
  });

  test('what hits something is passed over where another place does not, and said where all of them do', () => {
    const bare: Job = { ...demoJobs()[0]!, holes: {} };
    const free = (['chassis', 'axle'] as const).map((end) => ({
      ...{ member: 'panhard', end, axis: 2 as const, from: 290, to: 410, step: 10 },
    }));
    const targets: Target[] = [{ figure: 'rollCentre', least: 320, most: 380, near: 350 }];
    const brief: Brief = { format: 'pellik.brief', version: 1, targets, free, seed: 1 };
    const [ahead] = bare.rig.members.filter(isLink).find(({ id }) => id === 'panhard')!.axle;
    let blocked = 0;
    assertUntil(
      fc.property(
        fc.double({ min: -250, max: 250, noNaN: true }),
        fc.double({ min: 290, max: 420, noNaN: true }),
        (left, up) => {
          const ball: Obstacle = {
            id: 'ball',
            on: 'chassis',
            shape: 'sphere',
            centre: [ahead, left, up],
            radius: 20,
          };
          const job = withBodies({
            ...bare,
            rig: { ...bare.rig, obstacles: [...bare.rig.obstacles!, ball] },
          });
          const found = findMounts(job, brief);
          expect(found.answers.length).toBeGreaterThan(0);
          const clear = found.answers.filter(({ hits }) => hits.length === 0);
          // Those that hit are told only where all do.
          expect(clear.length === 0 || clear.length === found.answers.length).toBe(true);
          if (found.blocked) blocked++;
          for (const { changes } of clear) {
            const { rig } = withMounts(job, changes);
            const { at: poseAt } = assemble(rig);
            const { bump, droop } = drivenTravel(job);
            for (let k = 0; k <= 8; k++) {
              const lift = -droop + ((bump + droop) * k) / 8;
              const pose = poseAt({ left: lift, right: lift });
              if (!isReached(pose)) continue;
              const only = (a: string, b: string) => [a, b].includes('ball') && [a, b].includes('panhard');
              for (const gap of clearances(rig, pose, { only, deep: true }))
                expect(gap.distance).toBeGreaterThan(0);
            }
          }
        },
      ),
      runs(10),
      () => blocked > 0,
    );
  });

  test('where nothing meets it, it is told which target stands in the way and by how much, and that is so', () => {
    const job: Job = { ...demoJobs()[0]!, holes: {} };
    const free: Brief['free'] = [{ member: 'panhard', end: 'chassis', axis: 2, from: 340, to: 400, step: 5 }];
    const targets: Target[] = [
      { figure: 'rollCentre', least: 350, most: 380 },
      { figure: 'antiSquat', least: 140 },
    ];
    const { answers, nearest, inTheWay } = findMounts(job, {
      format: 'pellik.brief',
      version: 1,
      targets,
      free,
    });
    expect(answers).toEqual([]);
    expect(nearest).not.toBeNull();
    const antiSquat = figuresOf(job.rig, drivenTravel(job))!.antiSquat!;
    expect(inTheWay[1]).toEqual({
      target: 1,
      metWithout: true,
      missedBy: expect.closeTo(140 - antiSquat, -0.3),
    });
    expect(inTheWay[0]!.metWithout).toBe(false);
  });

  test('the Pareto filter keeps all that no other beats, and nothing that one does', () => {
    const wanted: Target[] = [
      { figure: 'rollCentre', near: 0 },
      { figure: 'antiSquat', near: 0 },
    ];
    const one = fc.record({
      rollCentre: fc.integer({ min: 0, max: 8 }),
      antiSquat: fc.integer({ min: 0, max: 8 }),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 40 }), (all) => {
        const rows = all.map((figures) => ({ figures: figures as unknown as WantedFigures }));
        const beats = (a: (typeof all)[number], b: (typeof all)[number]) =>
          a.rollCentre <= b.rollCentre &&
          a.antiSquat <= b.antiSquat &&
          (a.rollCentre < b.rollCentre || a.antiSquat < b.antiSquat);
        const wantedRows = rows.filter((_, i) => !all.some((other) => beats(other, all[i]!)));
        expect(paretoBest(rows, wanted)).toEqual(wantedRows);
      }),
    );
  });

  test('a brief that cannot be is refused with the place and the cure', () => {
    const brief = (change: object) =>
      JSON.stringify({
        format: 'pellik.brief',
        version: 1,
        targets: [{ figure: 'rollCentre', least: 300 }],
        free: [{ member: 'panhard', end: 'chassis', axis: 2, from: 300, to: 310 }],
        ...change,
      });
    expect(() => readBrief(brief({ targets: [] }))).toThrow(/targets/);
    expect(() => readBrief(brief({ targets: [{ figure: 'speed' }] }))).toThrow(/figure/);
    expect(() => readBrief(brief({ more: 1 }))).toThrow(/more/);
    const job: Job = { ...demoJobs()[0]!, holes: {} };
    const found = (free: object) => findMounts(job, readBrief(brief({ free: [free] })));
    expect(() => found({ member: 'nobody', end: 'chassis', axis: 2, from: 1, to: 2 })).toThrow(/free\[0\]/);
    expect(() => found({ member: 'panhard', end: 'chassis', axis: 2 })).toThrow(/from and to/);
    expect(() => found({ swayBar: 'hole' })).toThrow(/free\[0\].*sway bar/);
    expect(() => found({ member: 'panhard', end: 'chassis', axis: 2, from: 9, to: 2 })).toThrow(
      /from and to/,
    );
  });
});
