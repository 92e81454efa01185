import fc from 'fast-check';
import { lookAt } from '@/core/advice/look';
import { builtOff } from '@/core/built/asBuilt';
import { builtJob, BUILT_AXES, withBuilt, withBuiltAsDesigned } from '@/core/built/builtEyes';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { LINK_ENDS } from '@/core/job/made/parts';
import { linksOf } from '@/core/rig/members/members';
import { orNone } from '@/core/rig/read';
import { weldPattern } from '@/core/weld/weldPattern';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { bracketOf } from '@/core/job/made/bracketParts';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';

const off = fc.record({
  pick: fc.nat(20),
  end: fc.constantFrom(...LINK_ENDS),
  axis: fc.constantFrom(...BUILT_AXES),
  by: fc.integer({ min: -12, max: 12 }),
});

const linkOf = (job: Job, pick: number) => linksOf(job.rig)[pick % linksOf(job.rig).length]!;
const builtOne = (
  job: Job,
  { pick, end, axis, by }: typeof off extends fc.Arbitrary<infer T> ? T : never,
): Job => {
  const link = linkOf(job, pick);
  return withBuilt(job, link.id, end, axis, link[end][BUILT_AXES.indexOf(axis)]! + by);
};

test('what was measured moves just that eye, just that way; taken back, nothing is left of it; a file keeps it', () => {
  fc.assert(
    fc.property(plausibleCar, off, (job, one) => {
      fc.pre(linksOf(job.rig).length > 0);
      const measured = builtOne(job, one);
      expect(measured.rig).toEqual(job.rig);
      expect(readJob(writeJob(measured))).toEqual(measured);
      const built = builtJob(measured)!;
      for (const link of linksOf(job.rig)) {
        const now = linksOf(built.rig).find(({ id }) => id === link.id)!;
        for (const end of LINK_ENDS)
          link[end].forEach((mm, k) => {
            const moved =
              link.id === linkOf(job, one.pick).id && end === one.end && BUILT_AXES[k] === one.axis;
            expect(now[end][k]).toBeCloseTo(mm + (moved ? one.by : 0), 9);
          });
      }
      const back = withBuilt(measured, linkOf(job, one.pick).id, one.end, one.axis, null);
      expect(builtJob(back)).toBeNull();
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('what it changes is the difference of two cars, each solved; taken as the design, nothing is off any more', () => {
  fc.assert(
    fc.property(plausibleCar, off, (job, one) => {
      fc.pre(linksOf(job.rig).length > 0);
      const measured = builtOne(job, one);
      const link = linkOf(job, one.pick);
      const told = orNone(() => builtOff(measured, link));
      fc.pre(told !== null);
      if (one.by === 0) expect(told!.off).toEqual([]);
      else expect(told!.off).toEqual([{ end: one.end, axis: one.axis, mm: expect.closeTo(one.by, 6) }]);
      const [drawn, is] = [job, builtJob(measured)!].map((j) => lookAt(j, { cures: false }).numbers);
      for (const { what, from, to } of told!.effects) {
        expect(from).toBe(drawn![what]);
        expect(to).toBe(is![what]);
      }
      const taken = withBuiltAsDesigned(measured, link);
      expect(
        builtOff(
          taken,
          linksOf(taken.rig).find(({ id }) => id === link.id)!,
        ),
      ).toBeNull();
      expect(lookAt(taken, { cures: false }).numbers).toEqual(is);
    }),
    { numRuns: 15, endOnFailure: true },
  );
});

test('a bar is wound only as far as both its threads hold, and shifted along its bolt only as far as it has washers', () => {
  const marigold = demoJobs().find(({ id }) => id === 'demo-marigold')!;
  const link = linksOf(marigold.rig).find(({ id }) => id === 'panhard')!;
  const ends = { toShoulder: 40, showing: 6, shank: 60, bung: 60 };
  const bars = { panhard: { thread: '3/4-16' as const, ends: { frame: ends, axle: ends } } };
  const job: Job = { ...marigold, parts: { ...marigold.parts, bars } };
  // Across the car, that the bar runs along: both ends go out alike until an inch and a half is left in the bung.
  const least = Math.max(1.5 * 0.75 * 25.4, job.cut.engagementRule);
  fc.assert(
    fc.property(fc.integer({ min: -40, max: 60 }), (by) => {
      fc.pre(Math.abs(by) > 1);
      const longer = link.chassis[1] > link.axle[1] ? by : -by;
      const told = builtOff(withBuilt(job, 'panhard', 'chassis', 'left', link.chassis[1] + longer), link)!;
      const showing = 6 + by / 2;
      const holds = showing >= 0 && 60 - showing >= least;
      // A whole step of turn beside the limit may fall either way.
      fc.pre(Math.abs(showing) > 1 && Math.abs(60 - showing - least) > 1);
      expect(told.cures.some((cure) => / turns? of it/.test(cure))).toBe(holds);
      expect(told.cures.some((cure) => /made anew/.test(cure))).toBe(!holds);
    }),
    { numRuns: 12, endOnFailure: true },
  );
  const tight = bracketOf(job, link, 'axle').spacer;
  for (const off of [tight - 1, tight + 1].filter((mm) => mm > 1)) {
    const axis = BUILT_AXES[bracketAxes(job, link, 'axle').bolt.findIndex((v) => Math.abs(v) > 0.7)]!;
    const at = link.axle[BUILT_AXES.indexOf(axis)]! + off;
    const { cures } = builtOff(withBuilt(job, 'panhard', 'axle', axis, at), link)!;
    expect(cures.some((cure) => /washers/.test(cure))).toBe(off < tight);
  }
});

test('the runs of a weld: as much as was said is welded, none over another, the heat spread from the first', () => {
  fc.assert(
    fc.property(
      fc.record({
        depth: fc.double({ min: 30, max: 200, noNaN: true }),
        planes: fc.constantFrom(1 as const, 2 as const),
        welded: fc.double({ min: 0.1, max: 1, noNaN: true }),
      }),
      (bracket) => {
        const { runs, length, gap } = weldPattern(bracket);
        expect(length).toBeCloseTo(bracket.depth * bracket.welded * bracket.planes * 2, 6);
        expect(runs.map(({ order }) => order)).toEqual(runs.map((_, i) => i + 1));
        expect(gap).toBeGreaterThanOrEqual(-1e-9);
        for (const a of runs) {
          expect(a.from).toBeGreaterThanOrEqual(-1e-9);
          expect(a.to).toBeLessThanOrEqual(bracket.depth + 1e-9);
          for (const b of runs)
            if (a !== b && a.plate === b.plate && a.face === b.face)
              expect(a.to <= b.from + 1e-9 || b.to <= a.from + 1e-9).toBe(true);
        }
        // Neither plate nor face twice running at the start, where all is cold and free.
        const [first, second] = runs;
        if (second) expect([second.plate, second.face]).not.toEqual([first!.plate, first!.face]);
        if (second && bracket.planes === 2) expect(second.plate).not.toBe(first!.plate);
      },
    ),
  );
});
