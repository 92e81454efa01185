import fc from 'fast-check';
import { jobCut } from '@/core/cut/jobCut';
import { againstTakenOff, cutMass, madeMass, takenOff } from '@/core/cut/weight';
import { withBarTakenOff, withOtherTakenOff, withParts } from '@/core/job/edits/parts/parts';
import { withoutMembers } from '@/core/job/edits/members/kits';
import { readJob, writeJob } from '@/core/job/file';
import { isPlateBar } from '@/core/job/made/parts';
import { linksOf } from '@/core/rig/members/members';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';

const demo = (name: string) => demoJobs().find((job) => job.name.startsWith(name))!;
const marigold = demo('Marigold');
const kilos = fc.double({ min: 0.01, max: 500, noNaN: true });
const plate = { kind: 'eye', plate: 10, width: 60, reach: 0, lap: 0 } as const;
const ofPlate = (job: typeof marigold, id: string) =>
  withParts(job, {
    bars: {
      [id]: { section: { shape: 'flat', height: 60, thickness: 10 }, eyes: { frame: plate, axle: plate } },
    },
  });

test('a bar out of a sheet is weighed once', () => {
  const cut = jobCut(ofPlate(marigold, 'panhard'));
  const bar = cut.bars.find(({ id }) => id === 'panhard')!;
  expect(isPlateBar(bar.bar)).toBe(true);
  const others = [
    ...cut.bars.filter((other) => other !== bar).map(({ mass }) => mass),
    ...[...cut.pieces, ...cut.flats.filter(({ of }) => of !== 'panhard')].map(
      (part) => part.mass * part.quantity,
    ),
  ];
  expect(cutMass(cut)).toBeCloseTo(
    others.reduce((all, kg) => all + kg, bar.mass),
    9,
  );
});

test('of every car: a bar with its ends weighs no less than its tube, a pair as much left as right', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const cut = jobCut(job);
      for (const bar of cut.bars) expect(madeMass(job, cut, bar)).toBeGreaterThanOrEqual(bar.mass);
      const [left, right] = ['left', 'right'].map((side) =>
        cut.bars.find(({ id }) => id === `lower-${side}`),
      );
      if (left && right && Math.abs(left.blank - right.blank) < 1e-9)
        expect(madeMass(job, cut, left)).toBeCloseTo(madeMass(job, cut, right), 9);
    }),
    { numRuns: 30 },
  );
});

test('a barrel and its bushing weigh what a solid of their size does at most; a longer or larger one more', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 32, max: 60, noNaN: true }),
      fc.double({ min: 30, max: 70, noNaN: true }),
      fc.boolean(),
      (od, middle, both) => {
        const made = (size: number, wide: number) => {
          const job = withParts(marigold, {
            bars: { panhard: { barrels: { frame: { od: size }, ...(both && { axle: { od: size } }) } } },
            brackets: { 'panhard/chassis': { middle: wide }, 'panhard/axle': { middle: wide } },
          });
          const cut = jobCut(job);
          const bar = cut.bars.find(({ id }) => id === 'panhard')!;
          // What its threaded ends weigh, where it has any, is the same whatever its barrels are.
          return madeMass(job, cut, bar) - bar.mass;
        };
        const [one, longer, larger] = [made(od, middle), made(od, middle + 10), made(od + 5, middle)];
        expect(longer).toBeGreaterThan(one);
        expect(larger).toBeGreaterThan(one);
        const solid = (Math.PI / 4) * od ** 2 * middle * 7850e-9;
        if (both) expect(one).toBeLessThan(2 * solid);
      },
    ),
    { numRuns: 30 },
  );
});

test('only what was weighed is compared; of a pair one weighing counts for both, and what was not weighed is named', () => {
  const cut = jobCut(marigold);
  const all = linksOf(marigold.rig).map(({ id }) => id);
  expect(againstTakenOff(marigold, cut)).toBeNull();
  const one = withBarTakenOff(marigold, 'panhard', 3);
  const bar = cut.bars.find(({ id }) => id === 'panhard')!;
  expect(againstTakenOff(one, cut)).toEqual({
    made: madeMass(one, cut, bar),
    off: 3,
    unweighed: all.filter((id) => id !== 'panhard'),
  });
  const pair = withBarTakenOff(one, 'lower-left', 2);
  expect(takenOff(pair, 'lower-right')).toBe(2);
  expect(againstTakenOff(pair, cut)!.off).toBe(7);
  // Said again of the other of the two, it is the same weighing.
  expect(withBarTakenOff(pair, 'lower-right', 2.5).cut.takenOff!.bars).toEqual({
    panhard: 3,
    'lower-left': 2.5,
  });
});

test('with all that came off weighed, everything that is made counts; emptied again, nothing is left in the file', () => {
  fc.assert(
    fc.property(kilos, kilos, (each, other) => {
      const ids = linksOf(marigold.rig).map(({ id }) => id);
      const weighed = withOtherTakenOff(
        ids.reduce((job, id) => withBarTakenOff(job, id, each), marigold),
        other,
      );
      const read = readJob(writeJob(weighed));
      expect(read.cut.takenOff).toEqual(weighed.cut.takenOff);
      const cut = jobCut(weighed);
      const ends = cut.bars.reduce((kg, bar) => kg + madeMass(weighed, cut, bar) - bar.mass, 0);
      const { made, off, unweighed } = againstTakenOff(weighed, cut)!;
      expect(made).toBeCloseTo(cutMass(cut) + ends, 9);
      expect(off).toBeCloseTo(ids.length * each + other, 9);
      expect(unweighed).toEqual([]);
      const emptied = ids.reduce(
        (job, id) => withBarTakenOff(job, id, null),
        withOtherTakenOff(weighed, null),
      );
      expect(emptied.cut).toEqual(marigold.cut);
    }),
    { numRuns: 20 },
  );
});

test('a bar that is taken off the design takes its weighing with it, and no other’s', () => {
  const weighed = withBarTakenOff(withBarTakenOff(marigold, 'panhard', 3), 'lower-left', 2);
  expect(withoutMembers(weighed, ['panhard']).cut.takenOff).toEqual({ bars: { 'lower-left': 2 } });
});
