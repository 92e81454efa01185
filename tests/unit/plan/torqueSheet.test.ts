import fc from 'fast-check';
import { withParts } from '@/core/job/edits/parts/parts';
import { mountId } from '@/core/job/placed';
import { FRICTIONS } from '@/core/job/slices/work/weld';
import { BOLT_GRADE_NAMES, BOLT_GRADES } from '@/core/materials/metals';
import { linksOf } from '@/core/rig/members/members';
import {
  NUT_FACTORS,
  torqueSheet,
  withApplied,
  withFriction,
  withMakersTorque,
  withSecured,
} from '@/core/weld/torqueSheet';
import { readJob, writeJob } from '@/core/job/file';
import { proveJob } from '@/core/prove/prove';
import { plausibleCar } from '../../support/plausible';

const NOW = '2026-03-01T10:00:00.000Z';
const runs = { numRuns: 40, endOnFailure: true };

test('each fastener once, each with a value by its grade or none at all; wetter threads want less torque for the same pull', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const sheets = FRICTIONS.map((friction) => torqueSheet(withFriction(job, friction)));
      const [dry] = sheets;
      expect(new Set(dry!.map(({ id }) => id)).size).toBe(dry!.length);
      dry!.forEach((line, i) => {
        expect(line.usual === null).toBe(line.grade === null);
        const bySheet = sheets.map((sheet) => sheet[i]!);
        if (line.usual === null) return;
        bySheet.forEach((one, k) => {
          expect(one.pull).toBe(line.pull);
          expect(one.usual! / line.usual!).toBeCloseTo(NUT_FACTORS[FRICTIONS[k]!] / NUT_FACTORS.dry, 9);
        });
      });
    }),
    runs,
  );
});

test('the maker’s value wins over the grade’s, and what the wrench came to is held against it, within a wrench’s own error', () => {
  fc.assert(
    fc.property(
      plausibleCar,
      fc.nat(50),
      fc.double({ min: 5_000, max: 500_000, noNaN: true }),
      fc.double({ min: -0.2, max: 0.2, noNaN: true }),
      (job, pick, maker, off) => {
        const lines = torqueSheet(job);
        fc.pre(lines.length > 0 && Math.abs(Math.abs(off) - 0.04) > 1e-6);
        const { id } = lines[pick % lines.length]!;
        const done = withApplied(withMakersTorque(job, id, maker), id, maker * (1 + off), NOW);
        const line = torqueSheet(done).find((one) => one.id === id)!;
        expect(line.wanted).toBe(maker);
        expect(line.state).toBe(Math.abs(off) < 0.04 ? 'within' : off < 0 ? 'short' : 'over');
        expect(readJob(writeJob(done))).toEqual(done);
        // Locked and lined it is until it is tightened again.
        const secured = withSecured(withSecured(done, id, 'locked', NOW), id, 'striped', NOW);
        const lined = (of: typeof job) => {
          const { locked, striped } = torqueSheet(of).find((one) => one.id === id)!;
          return [locked, striped];
        };
        expect(lined(secured)).toEqual([NOW, NOW]);
        expect(readJob(writeJob(secured))).toEqual(secured);
        expect(lined(withSecured(secured, id, 'locked', null))).toEqual([null, NOW]);
        expect(lined(withApplied(secured, id, maker, NOW))).toEqual([null, null]);
        expect(withSecured(withSecured(secured, id, 'locked', null), id, 'striped', null)).toEqual(done);
        // The others are as they were; taken back, so is this one.
        const others = (sheet: ReturnType<typeof torqueSheet>) => sheet.filter((one) => one.id !== id);
        expect(others(torqueSheet(done))).toEqual(others(lines));
        const back = withMakersTorque(withApplied(done, id, null, NOW), id, null);
        expect(torqueSheet(back)).toEqual(lines);
      },
    ),
    runs,
  );
});

test('a stronger grade takes more torque, in the measure of its proof load', () => {
  fc.assert(
    fc.property(
      plausibleCar,
      fc.constantFrom(...BOLT_GRADE_NAMES),
      fc.constantFrom(...BOLT_GRADE_NAMES),
      (job, a, b) => {
        const link = linksOf(job.rig)[0];
        fc.pre(link !== undefined);
        const id = mountId(link!.id, 'chassis');
        const torque = (grade: typeof a) =>
          torqueSheet(withParts(job, { brackets: { [id]: { grade } } })).find((line) => line.id === id)!
            .usual!;
        expect(torque(a) / torque(b)).toBeCloseTo(BOLT_GRADES[a].proof / BOLT_GRADES[b].proof, 6);
      },
    ),
    runs,
  );
});

test('of a bracket that is bolted on no weld is proved, and its bolts are told not to be', () => {
  fc.assert(
    fc.property(plausibleCar, (job) => {
      const link = linksOf(job.rig)[0];
      fc.pre(link !== undefined);
      const id = mountId(link!.id, 'axle');
      const bolted = withParts(job, { brackets: { [id]: { bolted: true } } });
      const welds = (j: typeof job) =>
        proveJob(j).checks.filter(({ part, check }) => part === id && /weld|toe/.test(check)).length;
      expect(welds(bolted)).toBe(0);
      const proof = proveJob(bolted);
      if (proof.checks.length > 0)
        expect(proof.unproved.some(({ part }) => /^Bolts of the/.test(part))).toBe(true);
    }),
    { numRuns: 15, endOnFailure: true },
  );
});
