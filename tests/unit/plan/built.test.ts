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
