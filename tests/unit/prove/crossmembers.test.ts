import fc from 'fast-check';
import { jobCut } from '@/core/cut/jobCut';
import { piecesOf } from '@/core/cut/pieces';
import { between, distance, type Point } from '@/core/geometry/vector';
import { railsOf } from '@/core/job/bodies/frameRails';
import { withFrameMoved } from '@/core/job/edits/frameHeight';
import {
  withCrossmember,
  withCrossmemberOver,
  withoutCrossmember,
} from '@/core/job/edits/parts/crossmembers';
import { withParts } from '@/core/job/edits/parts/parts';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import { fastenedTo, hangsOn, ON_RAIL } from '@/core/job/made/bracketRoot';
import {
  crossmemberFault,
  crossmemberPart,
  crossmembersOf,
  lengthOf,
  nearestOn,
  type Crossmember,
} from '@/core/job/made/crossmember';
import type { CrossmemberPart } from '@/core/job/slices/parts';
import { tasksOf } from '@/core/plan/plan';
import { bracketStep } from '@/core/plan/steps/linkSteps';
import { curesIn } from '@/core/prove/cures/cures';
import { crossFaults } from '@/core/prove/faults/crossFaults';
import { isShort, margin, proveJob } from '@/core/prove/prove';
import { unprovedOf } from '@/core/prove/unproved';
import { memberName } from '@/core/rig/names';
import { linksOf } from '@/core/rig/members/members';
import { demoJobs } from '@/store/demo';
import { mirrored } from '../../support/mirrored';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const cars = demoJobs().filter(({ rig }) => linksOf(rig).length > 0);

const parts: fc.Arbitrary<CrossmemberPart> = fc.record(
  {
    ahead: real(-900, 900),
    low: real(-90, 120),
    meets: fc.constantFrom('between' as const, 'under' as const),
    section: fc.oneof(
      fc.record({ shape: fc.constant('tube' as const), od: real(25, 64), wall: real(2, 6) }),
      fc.record({
        shape: fc.constant('box' as const),
        high: real(30, 80),
        wide: real(30, 100),
        wall: real(2, 6),
      }),
    ),
    hoop: fc.record({ middle: real(200, 800), bendRadius: real(60, 160) }, { requiredKeys: [] }),
  },
  { requiredKeys: ['ahead', 'low', 'meets', 'section'] },
);

const on = (car: Job, part: CrossmemberPart): [Job, Crossmember] => {
  const job = withCrossmember(car, 'cross', part);
  return [job, crossmembersOf(job)[0]!];
};

test('a crossmember meets the rails that were measured: between their inner sides or at their undersides, a hoop’s middle where it was put', () => {
  fc.assert(
    fc.property(fc.constantFrom(...cars), parts, (car, part) => {
      const [job, of] = on(car, part);
      const rails = railsOf(job);
      const ends = [of.path[0]!, of.path.at(-1)!];
      ends.forEach(([x, y, z], i) => {
        const { outside, width, underside, height } = rails[i]!;
        const inside = outside - Math.sign(outside) * width;
        expect(x).toBeCloseTo(part.ahead, 9);
        if (part.meets === 'between') expect(y).toBeCloseTo(inside, 9);
        else expect((y - inside) * (y - outside)).toBeLessThanOrEqual(1e-9);
        if (!part.hoop) return;
        expect(z).toBeCloseTo(part.meets === 'between' ? underside + height / 2 : underside, 9);
      });
      const under = (rails[0]!.underside + rails[1]!.underside) / 2;
      if (part.hoop || part.meets === 'between')
        for (const [, , z] of part.hoop ? of.path.slice(1, -1) : of.path)
          expect(z).toBeCloseTo(under - part.low, 9);
      if (part.hoop?.middle) expect(of.path[1]![1] - of.path[2]![1]).toBeCloseTo(part.hoop.middle, 9);
    }),
    { numRuns: 60 },
  );
});

test('the nearest place of a crossmember is none farther than any of its surface; the eye is as far from there as is said', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...cars),
      parts,
      fc.tuple(real(-600, 600), real(-600, 600), real(100, 900)),
      (car, part, eye) => {
        const [, of] = on(car, part);
        const { reach, out, at, round } = nearestOn(of, eye as Point);
        expect(Math.hypot(...out)).toBeCloseTo(1, 9);
        const line = of.path
          .slice(1)
          .flatMap((to, i) => Array.from({ length: 41 }, (_, k) => between(of.path[i]!, to, k / 40)));
        const nearest = Math.min(...line.map((p) => distance(p, eye as Point)));
        expect(distance(at, eye as Point)).toBeLessThanOrEqual(nearest + 1e-9);
        if (of.section.shape === 'tube') {
          expect(reach).toBeCloseTo(Math.max(0, distance(at, eye as Point) - of.section.od / 2), 9);
          if (!part.hoop) expect(round).toBe(of.section.od);
        } else expect(reach).toBeLessThanOrEqual(distance(at, eye as Point));
      },
    ),
    { numRuns: 80 },
  );
});

/** A car with a crossmember over the frame eye of one of its links. */
const hung = fc
  .record({ car: fc.constantFrom(...cars), pick: fc.nat(), section: parts.map(({ section }) => section) })
  .map(({ car, pick, section }) => {
    const links = linksOf(car.rig);
    const link = links[pick % links.length]!;
    const { job, id } = withCrossmemberOver(car, link);
    const tube = section?.shape === 'tube' ? section : undefined;
    return { car, link, id, job: tube ? withParts(job, { crossmembers: { [id]: { section: tube } } }) : job };
  });

test('a bracket hangs on the crossmember that was drawn over it and on nothing else; taken out, it hangs on what it did', () => {
  fc.assert(
    fc.property(hung, ({ car, link, id, job }) => {
      expect(fastenedTo(job, link, 'chassis')).toBe('crossmember');
      expect(hangsOn(job, link)!.crossmember.id).toBe(id);
      const { round } = hangsOn(job, link)!;
      expect(bracketOf(job, link, 'chassis').seat).toEqual(round === null ? null : { od: round });
      // No other bracket that had a rail goes over to it.
      for (const other of linksOf(car.rig)) {
        if (
          fastenedTo(car, other, 'chassis') !== 'rail' ||
          link.id.replace(/-(left|right)$/, '') === other.id.replace(/-(left|right)$/, '')
        )
          continue;
        expect(fastenedTo(job, other, 'chassis')).toBe('rail');
      }
      const bodies = (of: Job) => of.rig.obstacles!.filter((o) => o.id.startsWith('crossmember:'));
      expect(bodies(job).length).toBe(crossmembersOf(job)[0]!.path.length - 1);
      const gone = withoutCrossmember(job, id);
      expect(bodies(gone)).toEqual([]);
      expect(gone.parts.crossmembers).toBeUndefined();
      expect(Object.values(gone.parts.brackets).filter(({ carrier }) => carrier !== undefined)).toEqual([]);
      expect(fastenedTo(gone, link, 'chassis')).toBe(fastenedTo(car, link, 'chassis'));
      const back = withParts(job, { brackets: { [`${link.id}/chassis`]: { carrier: ON_RAIL } } });
      expect(fastenedTo(back, link, 'chassis')).toBe('rail');
      expect(readJob(writeJob(job)).parts).toEqual(job.parts);
    }),
    { numRuns: 30 },
  );
});

test('the frame moved up or down takes its crossmembers with it: what hangs on them stays as far out', () => {
  fc.assert(
    fc.property(hung, real(-60, 60), ({ job, link, id }, by) => {
      const moved = withFrameMoved(job, by);
      const then = linksOf(moved.rig).find((one) => one.id === link.id)!;
      const [was, is] = [hangsOn(job, link)!, hangsOn(moved, then)!];
      expect(is.crossmember.id).toBe(id);
      expect(is.reach).toBeCloseTo(was.reach, 6);
      expect(is.at[2] - was.at[2]).toBeCloseTo(by, 6);
      expect(lengthOf(is.crossmember)).toBeCloseTo(lengthOf(was.crossmember), 6);
    }),
    { numRuns: 20 },
  );
});

test('a car and its mirror image ask the same of a crossmember', () => {
  fc.assert(
    fc.property(plausibleCar, fc.nat(), (car, pick) => {
      const links = linksOf(car.rig);
      fc.pre(links.length > 0);
      const { job } = withCrossmemberOver(car, links[pick % links.length]!);
      const asked = (of: Job) =>
        proveJob(of)
          .checks.filter(({ part }) => part.startsWith('crossmember/'))
          .map(({ check, demand }) => [check, demand.toPrecision(6)])
          .sort();
      expect(asked(mirrored(job))).toEqual(asked(job));
    }),
    { numRuns: 12 },
  );
});

test('a cure of a crossmember makes it hold, and makes nothing that hangs on it worse', () => {
  let cured = 0;
  assertUntil(
    fc.property(hung, fc.boolean(), ({ job: drawn, id }, straight) => {
      const job = straight
        ? withCrossmember(drawn, id, { ...drawn.parts.crossmembers![id]!, hoop: undefined, low: -45 })
        : drawn;
      const before = proveJob(job).checks;
      const cures = curesIn(job);
      for (const failing of before.filter((one) => one.part === crossmemberPart(id) && isShort(one)))
        for (const { text, parts: change } of cures(failing)) {
          cured++;
          const then = withParts(job, change!);
          const after = proveJob(then).checks;
          const now = after.find(({ part, check }) => part === failing.part && check === failing.check)!;
          expect([text, isShort(now)]).toEqual([text, false]);
          expect(crossFaults(then).map(({ id: fault }) => fault)).toEqual(
            crossFaults(job).map(({ id: fault }) => fault),
          );
          for (const other of after.filter(isShort)) {
            const was = before.find(({ part, check }) => part === other.part && check === other.check)!;
            expect(margin(other)).toBeGreaterThanOrEqual(margin(was) - 1e-9);
          }
        }
    }),
    { numRuns: 15 },
    () => cured > 5,
  );
});

test('it is cut as long as it is between the rails, weighs what that does, and is fixed once, before any bracket is set on it', () => {
  fc.assert(
    fc.property(hung, ({ car, job, link, id }) => {
      const of = crossmembersOf(job).find((one) => one.id === id)!;
      const fault = crossmemberFault(job, of);
      const piece = piecesOf(job, linksOf(job.rig)).find((one) => one.of === crossmemberPart(id));
      expect(piece === undefined).toBe(fault !== null);
      if (piece) {
        expect(piece.length).toBeCloseTo(lengthOf(of), 9);
        // The corners would be longer than the bends that cut them.
        const corners = of.path.slice(1).reduce((sum, p, i) => sum + distance(p, of.path[i]!), 0);
        expect(piece.length).toBeLessThanOrEqual(corners + 1e-9);
        const { lengths, tooLong } = jobCut(job).stock.find(({ nested }) =>
          [...nested.lengths.flatMap(({ pieces }) => pieces), ...nested.tooLong].some(
            (one) => one.id === piece.id,
          ),
        )!.nested;
        expect(lengths.length + tooLong.length).toBeGreaterThan(0);
      }
      const tasks = tasksOf(job);
      const carriers = tasks.filter(({ title }) => title.startsWith('Crossmember: centred'));
      expect(carriers.length).toBe(1);
      for (const one of linksOf(job.rig).filter((l) => hangsOn(job, l)))
        expect(
          tasks.find((task) => task.id === bracketStep(one.id, 'frame', 'clamp'))!.after.map((a) => a.id),
        ).toContain(carriers[0]!.id);
      expect(tasksOf(car).some(({ title }) => title.startsWith('Crossmember: centred'))).toBe(false);
      expect(link.id).toBeTruthy();
    }),
    { numRuns: 20 },
  );
});

test('bolted to the rails it has no welds to prove, its bolts are said not to be, and its middle is bent as before', () => {
  fc.assert(
    fc.property(hung, ({ job, id }) => {
      const said = job.parts.crossmembers![id]!;
      const bolted = withCrossmember(job, id, { ...said, bolted: true });
      const checks = (of: Job) =>
        new Map(
          proveJob(of)
            .checks.filter(({ part }) => part === crossmemberPart(id))
            .map((one) => [one.check, one]),
        );
      const [welded, then] = [checks(job), checks(bolted)];
      if (welded.size === 0) return;
      expect([...then.keys()]).toEqual(['cross-bending']);
      expect(then.get('cross-bending')).toEqual(welded.get('cross-bending'));
      const { unproved } = proveJob(bolted);
      expect(unproved.map(({ part }) => part)).toContain(`Bolts of the ${id}`);
      // What pulls at it is told of every link that hangs on it.
      const { inputs } = then.get('cross-bending')!;
      for (const link of linksOf(job.rig).filter((one) => hangsOn(job, one)))
        expect(inputs).toHaveProperty([memberName(link.id, job.rig.end)]);
    }),
    { numRuns: 15 },
  );
});

test('what cannot be made is told with its cure and is neither proved nor cut; an eye in it is told', () => {
  const car = cars.find(({ id }) => id === 'demo-marigold')!;
  const upper = linksOf(car.rig).find(({ id }) => id === 'upper')!;
  const { job, id } = withCrossmemberOver(car, upper);
  const said = job.parts.crossmembers![id]!;
  const bad: Partial<CrossmemberPart>[] = [
    { hoop: undefined, low: 60 },
    { section: { shape: 'box', high: 50, wide: 50, wall: 3 } },
    { section: { shape: 'tube', od: 40, wall: 25 } },
    { hoop: { middle: 800 } },
  ];
  for (const change of bad) {
    const then = withCrossmember(job, id, { ...said, ...change });
    expect(crossFaults(then).map((v) => [v.id, v.state, v.where])).toEqual([
      ['crossmember-not-made', 'stop', crossmemberPart(id)],
    ]);
    expect(proveJob(then).checks.some(({ part }) => part === crossmemberPart(id))).toBe(false);
    expect(jobCut(then).pieces.some(({ of }) => of === crossmemberPart(id))).toBe(false);
  }
  const under = (railsOf(car)[0]!.underside + railsOf(car)[1]!.underside) / 2;
  const atEye = withCrossmember(job, id, { ...said, low: under - upper.chassis[2] });
  expect(crossFaults(atEye).map((v) => [v.id, v.where])).toEqual([['crossmember-at-eye', 'upper/chassis']]);
  expect(crossFaults(job)).toEqual([]);
  // With nothing drawn, what it hangs on is said not to be proved.
  const unproved = (of: Job) => unprovedOf(of, [{ name: 'one', members: {} }], null).map(({ part }) => part);
  expect(unproved(car)).toContain('What the upper link’s frame bracket hangs on');
  expect(unproved(job)).not.toContain('What the upper link’s frame bracket hangs on');
});
