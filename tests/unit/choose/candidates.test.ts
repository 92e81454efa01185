import fc from 'fast-check';
import { compareCandidates, numbersOf, type Compared } from '@/core/choose/candidates/compare';
import { givenUp, ROWS, valueOf } from '@/core/choose/candidates/givesUp';
import { layoutOf } from '@/core/choose/candidates/layoutOf';
import { madeElsewhere } from '@/core/choose/candidates/madeAlready';
import { offersFor } from '@/core/choose/candidates/offers';
import { toMake } from '@/core/choose/candidates/toMake';
import { jobFault, readJob, writeJob } from '@/core/job/file';
import {
  candidatesOf,
  designOf,
  isOnBench,
  withCandidate,
  withChosen,
  withDesign,
  withFound,
  withoutCandidate,
} from '@/core/job/edits/candidates';
import { withLayout } from '@/core/job/edits/members/layout';
import { withoutMembers } from '@/core/job/edits/members/kits';
import { withCrossmember } from '@/core/job/edits/parts/crossmembers';
import { withMounts } from '@/core/job/edits/mounts';
import { withBody } from '@/core/job/edits/bodies';
import type { Point } from '@/core/geometry/vector';
import { withBodies } from '@/core/job/bodies/bodies';
import type { Job } from '@/core/job/jobSchema';
import { bendsOf } from '@/core/job/made/parts';
import { lookAt } from '@/core/advice/look';
import { withRoll } from '@/core/job/edits/roll';
import { assemble } from '@/core/kinematics/mechanism';
import { swayBarPartAt, swayBarPlaces } from '@/core/locate/travel/swayBarPlaces';
import { posesEverywhere, tightPlaces } from '@/core/locate/tightPlaces';
import { isTight, locateInput } from '@/core/locate/types';
import { LIMITS } from '@/core/materials/limits';
import type { Obstacle } from '@/core/rig/schema';
import { ownObstacles } from '@/core/job/jobValues';
import { newJob } from '@/core/job/newJob';
import { isPlaced, withPlaced } from '@/core/job/placed';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { linksOf } from '@/core/rig/members/members';
import { DRIVESHAFT } from '@/core/rig/mounts';
import { lateralBarOf } from '@/core/rig/roles';
import { demoJobs } from '@/store/demo';
import { unsound } from '../../support/numbers';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

const WHEN = '2026-05-02T09:00:00.000Z';
const sized = { numRuns: 40 };

/** A car and one of the ways offered for it. */
const withOffer = fc.tuple(plausibleCar, fc.nat()).map(([job, n]) => {
  const offers = offersFor(job);
  return { job, offer: offers[n % offers.length]! };
});

describe('the tightest place of a way', () => {
  test.each(demoJobs().map((job) => [job.name, job] as const))(
    'of %s is the nearest of all bodies, its sway bar and links among them',
    (_, job) => {
      const { tightest } = numbersOf(job, designOf(job));
      const ofBar = swayBarPlaces(job, assemble(job.rig));
      const places = [...lookAt(job, { cures: false }).gaps, ...ofBar];
      const least = Math.min(...places.map(({ distance }) => distance));
      expect(tightest!.distance).toBe(least);
      const { a, b } = places.find(({ distance }) => distance === least)!;
      expect([tightest!.a, tightest!.b]).toEqual([a, b]);
      // A bar whose links are off stands in nobody's way.
      if (!job.roll.bar) return;
      const unhooked = withRoll(job, { bar: { ...job.roll.bar, hooked: false } });
      const without = numbersOf(unhooked, designOf(unhooked)).tightest!;
      expect(swayBarPartAt(without)).toBeNull();
      expect(without.distance).toBeGreaterThanOrEqual(tightest!.distance);
    },
  );
});

describe('what is drawn of a car', () => {
  test('taken off and put back leaves the car as it was', () => {
    fc.assert(
      fc.property(plausibleCar, (job) => {
        expect(withDesign(job, designOf(job)).rig).toEqual(job.rig);
        expect(isOnBench(job, { design: designOf(job) })).toBe(true);
      }),
      sized,
    );
  });

  test('leaves what was measured, and the car’s own, as they are; and comes back whole after another', () => {
    fc.assert(
      fc.property(withOffer, ({ job, offer }) => {
        const bars = linksOf(job.rig);
        const made = bars[0] ? { [bars[0].id]: 500 } : {};
        const shop = {
          cut: { ...job.cut, stock: { length: 6100, kerf: 2 }, engagementRule: 31 },
          parts: {
            ...job.parts,
            wanted: 4,
            springPlate: { edge: 9 },
            strap: { foot: 40 },
            angle: {},
            endLink: { bar: { plate: 12 } },
          },
          roll: { ...job.roll, otherBar: 1234 },
        };
        const placed = withPlaced(
          { ...job, ...shop, rig: withThing(job).rig, locate: { ...job.locate, made } },
          [`${DRIVESHAFT}/pinion`],
        );
        const own = withCrossmember(placed, 'hoop', { ahead: 300, low: 40, meets: 'under', hoop: {} });
        const other = withDesign(own, offer.design);
        expect(jobFault(other)).toBeNull();
        expect(isOnBench(other, offer)).toBe(true);
        for (const key of ['readings', 'place', 'record', 'bodies', 'lines', 'drive'] as const)
          expect(other[key]).toEqual(own[key]);
        for (const key of ['masses', 'driveshaft', 'wheelbase', 'otherEnd', 'track'] as const)
          expect(other.rig[key]).toEqual(own.rig[key]);
        // The shop's stock and rules, and the other end, are the same whatever is drawn.
        expect([other.cut.stock, other.cut.engagementRule]).toEqual([shop.cut.stock, 31]);
        expect([other.parts.wanted, other.roll.otherBar]).toEqual([4, 1234]);
        const later = { ...other, cut: { ...other.cut, stock: { length: 3000, kerf: 3 } } };
        expect(withDesign(later, designOf(own)).cut.stock).toEqual({ length: 3000, kerf: 3 });
        expect(ownObstacles(other.rig)).toEqual(ownObstacles(own.rig));
        expect(isPlaced(other, `${DRIVESHAFT}/pinion`)).toBe(true);
        const back = withDesign(other, designOf(own));
        expect(back.rig).toEqual(own.rig);
        expect(back.parts).toEqual(own.parts);
        expect(designOf(back)).toEqual(designOf(own));
        // A bar that is there is no bar of another layout.
        if (offer.design.layout !== job.layout) expect(other.locate.made ?? {}).toEqual({});
        expect(back.locate).toEqual(own.locate);
      }),
      sized,
    );
  });

  test('is told by the file, and read from it as it was', () => {
    fc.assert(
      fc.property(withOffer, fc.string({ maxLength: 200 }), ({ job, offer }, reason) => {
        const kept = withCandidate(job, offer);
        const chosen = withChosen(kept, candidatesOf(kept)[1]!, reason, WHEN);
        expect(readJob(writeJob(chosen))).toEqual(JSON.parse(writeJob(chosen)));
      }),
      sized,
    );
  });
});

function withThing(job: Parameters<typeof withBody>[0]) {
  const obstacle = {
    id: 'tailpipe',
    on: 'chassis' as const,
    shape: 'sphere' as const,
    centre: [-300, 200, 300] as [number, number, number],
    radius: 30,
  };
  return { ...job, rig: { ...job.rig, obstacles: [...(job.rig.obstacles ?? []), obstacle] } };
}

describe('the candidates of a job', () => {
  const job = withLayout(
    readJob(writeJob(fc.sample(plausibleCar, { seed: 7, numRuns: 1 })[0]!)),
    'three-link-panhard',
  );

  test('begin with the car as it was found', () => {
    const offer = offersFor(job)[0]!;
    const two = withCandidate(job, offer);
    expect(candidatesOf(two).map(({ id, found }) => [id, found])).toEqual([
      ['as-found', true],
      [offer.id, undefined],
    ]);
    expect(isOnBench(job, candidatesOf(two)[0]!)).toBe(true);
    // Said anew, it is the car as it then stands; there is one such.
    const moved = withMounts(two, [{ member: 'panhard', end: 'chassis', axis: 2, mm: 410 }]);
    const again = candidatesOf(withFound(moved));
    expect(again.filter(({ found }) => found)).toHaveLength(1);
    expect(isOnBench(moved, again[0]!)).toBe(true);
  });

  test('keep why one was chosen until that one is taken out', () => {
    const kept = offersFor(job).slice(0, 2).reduce(withCandidate, job);
    const [, one, other] = candidatesOf(kept);
    const chosen = withChosen(kept, one!, 'nothing clears behind the axle', WHEN);
    expect(chosen.choose!.chosen).toEqual({
      id: one!.id,
      reason: 'nothing clears behind the axle',
      at: WHEN,
    });
    expect(isOnBench(chosen, one!)).toBe(true);
    expect(withoutCandidate(chosen, other!.id).choose!.chosen).toEqual(chosen.choose!.chosen);
    expect(withoutCandidate(chosen, one!.id).choose!.chosen).toBeUndefined();
  });

  test('one is not offered again, nor what stands on the bench', () => {
    const offers = offersFor(job);
    const kept = withCandidate(job, offers[0]!);
    expect(offersFor(kept).map(({ id }) => id)).toEqual(offers.slice(1).map(({ id }) => id));
    const taken = withDesign(job, offers[0]!.design);
    expect(offersFor(taken).some(({ design }) => isOnBench(taken, { design }))).toBe(false);
  });

  test('a bar turned to its other side moves the axle the other way, and as far', () => {
    // All but its bar is alike left and right.
    const even = withLayout(job, 'parallel-four-link-panhard');
    const { design } = offersFor(even).find(({ id }) => id === 'other-side')!;
    const turned = withDesign(even, design);
    const [was, is] = [even, turned].map((of) => numbersOf(of, designOf(even)));
    expect(is!.figures.sideways).toBeCloseTo(was!.figures.sideways!, 6);
    is!.curve.forEach(({ y }, i) => expect(y).toBeCloseTo(-was!.curve[i]!.y, 6));
    const bars = [even, turned].map(({ rig }) => lateralBarOf(rig)!);
    expect(bars[1]!.chassis).toEqual([bars[0]!.chassis[0], -bars[0]!.chassis[1], bars[0]!.chassis[2]]);
  });
});

test('a layout is known by its members, drawn as it is or come to by taking one off', () => {
  for (const id of LAYOUT_IDS) {
    const job = withLayout(newJob('one', 'One', 'mm'), id);
    expect(layoutOf(designOf(job))).toBe(id);
  }
  const leaves = withLayout(newJob('one', 'One', 'mm'), 'leaf-panhard');
  expect(layoutOf(designOf(withoutMembers(leaves, ['panhard'])))).toBe('leaf-alone');
  expect(layoutOf(designOf(withoutMembers(leaves, ['leaf-left'])))).toBeNull();
});

test('what is on the car already and stands elsewhere in a way is named; what stays where it is is not', () => {
  fc.assert(
    fc.property(plausibleCar, fc.double({ min: 2, max: 50, noNaN: true }), (car, mm) => {
      const bar = lateralBarOf(car.rig);
      fc.pre(bar !== null);
      const joints = { 'panhard/frame': 'welded', 'panhard/axle': 'tacked' } as const;
      const job = { ...car, weld: { ...car.weld, joints } };
      const raised = withMounts(job, [
        { member: bar!.id, end: 'chassis', axis: 2, mm: bar!.chassis[2] + mm },
      ]);
      expect(madeElsewhere(job, designOf(job))).toEqual([]);
      expect(madeElsewhere(job, designOf(raised))).toEqual([{ member: 'panhard', bracket: 'frame' }]);
      if (job.rig.members.length > 1)
        expect(madeElsewhere(job, designOf(withoutMembers(job, ['panhard'])))).toHaveLength(2);
    }),
    sized,
  );
});

describe('what a candidate comes to', () => {
  test('is sound, and the same as that of the car with it on the bench', () => {
    fc.assert(
      fc.property(withOffer, ({ job, offer }) => {
        const [found, other] = compareCandidates(withCandidate(job, offer));
        for (const { numbers } of [found!, other!]) if (numbers) expect(unsound(numbers)).toEqual([]);
        expect(found!.numbers?.make).toMatchObject({
          bars: 0,
          brackets: 0,
          effort: 'nothing',
          cost: 'nothing',
        });
        if (!other!.numbers) return;
        const bench = withDesign(job, offer.design);
        expect(other!.numbers).toEqual(numbersOf(bench, designOf(job)));
        // Bars alone are weighed whole.
        expect(other!.numbers.mass === null).toBe(linksOf(bench.rig).length < bench.rig.members.length);
        expect(other!.numbers.kept).toBeLessThanOrEqual(other!.numbers.bump);
      }),
      { numRuns: 12 },
    );
  });

  test('a bar moved over whole is made of two brackets; one made longer is a bar and its joints as well', () => {
    fc.assert(
      fc.property(plausibleCar, fc.double({ min: 5, max: 60, noNaN: true }), (job, mm) => {
        const bar = lateralBarOf(job.rig);
        fc.pre(bar !== null);
        const found = designOf(job);
        const put = (ends: ('chassis' | 'axle')[]) =>
          toMake(
            withMounts(
              job,
              ends.map((end) => ({ member: bar!.id, end, axis: 0 as const, mm: bar![end][0] - mm })),
            ),
            found,
          );
        expect(put(['chassis', 'axle'])).toMatchObject({ brackets: 2, joints: 0 });
        expect(put(['axle'])).toMatchObject({ brackets: 1 });
        const longer = withMounts(job, [
          {
            member: bar!.id,
            end: 'axle',
            axis: 1,
            mm: bar!.axle[1] - Math.sign(bar!.chassis[1] - bar!.axle[1]) * mm,
          },
        ]);
        expect(toMake(longer, found)).toMatchObject({ bars: 1, brackets: 1, joints: 2 });
      }),
      sized,
    );
  });

  test('a straight bar that something is in the way of is offered bent clear of it: its eyes and the axle’s way stay, nothing is too near; bent, it is offered straight', () => {
    let bent = 0;
    assertUntil(
      fc.property(plausibleCar, fc.integer({ min: -20, max: 20 }), (car, off) => {
        const bar = lateralBarOf(car.rig);
        fc.pre(bar !== null && !bar.path?.chassis?.length);
        const [x, y, z] = bar!.chassis.map((v, k) => (v + bar!.axle[k]!) / 2) as Point;
        const centre: Point = [x, y, z + off];
        const pipe: Obstacle = { id: 'pipe', on: 'chassis', shape: 'sphere', centre, radius: 15 };
        const job = withBodies({
          ...car,
          rig: { ...car.rig, obstacles: [...(car.rig.obstacles ?? []), pipe] },
        });
        const offer = offersFor(job).find(({ id }) => id === 'bent');
        const input = (of: Job) => locateInput(of, { left: 0, right: 0 });
        const near = (of: Job) =>
          tightPlaces(input(of), posesEverywhere(input(of), assemble(of.rig)), LIMITS.clearance.least).filter(
            (gap) => isTight(gap) && (gap.a === bar!.id || gap.b === bar!.id),
          );
        expect(near(job).length).toBeGreaterThan(0);
        if (!offer) return;
        bent++;
        const built = withDesign(job, offer.design);
        expect(near(built)).toEqual([]);
        const now = lateralBarOf(built.rig)!;
        expect([now.chassis, now.axle]).toEqual([bar!.chassis, bar!.axle]);
        expect(bendsOf(built, now)!.bends.every(({ straight }) => straight >= 0)).toBe(true);
        const back = offersFor(built).find(({ id }) => id === 'straight')!;
        expect(lateralBarOf(withDesign(built, back.design).rig)).toEqual(bar);
      }),
      { numRuns: 12, endOnFailure: true },
      () => bent > 0,
    );
  });

  test('what is given up is where no other is worse and another is better', () => {
    fc.assert(
      fc.property(plausibleCar, fc.nat(), (job, n) => {
        const offers = offersFor(job);
        const some = [0, 1, 2].map((k) => offers[(n + 5 * k) % offers.length]!);
        const all: Compared[] = compareCandidates([...new Set(some)].reduce(withCandidate, job));
        const worked = all.filter(({ numbers }) => numbers);
        for (const [id, told] of Object.entries(givenUp(all)))
          for (const { row, value, best, by } of told) {
            const mine = worked.find((one) => one.id === id)!.numbers!;
            expect(valueOf(row, mine)).toBe(value);
            expect(valueOf(row, worked.find((one) => one.id === by)!.numbers!)).toBe(best);
            expect(Math.abs(value - best)).toBeGreaterThan(0);
            // Held by what it is, none of the others is farther from the best.
            for (const { numbers } of worked) {
              const other = valueOf(row, numbers!);
              if (other === null || row === 'rollSteer') continue;
              expect(Math.abs(other - best)).toBeLessThanOrEqual(1.05 * Math.abs(value - best) + 1e-9);
            }
            expect(ROWS).toContain(row);
          }
      }),
      { numRuns: 8 },
    );
  });
});
