import fc from 'fast-check';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { bodyAt } from '@/core/job/made/parts';
import { bracketOf } from '@/core/job/made/bracketParts';
import { BRACKETS } from '@/core/job/slices/fields';
import { bracketsOn, isUntouched, withBracketsOn } from '@/core/plan/bracketsOn';
import { bracketStep } from '@/core/plan/steps/linkSteps';
import { tasksOf } from '@/core/plan/plan';
import { linksOf } from '@/core/rig/members/members';
import { partnerOf } from '@/core/rig/roles';
import { advanced, jointState } from '@/core/weld/holdPoint';
import { plausibleCar } from '../../support/plausible';

const way = fc.constantFrom('welded' as const, 'bolted' as const);
const barred = plausibleCar.filter(({ rig }) => linksOf(rig).length > 0);
const steps = (job: Job): string[] => tasksOf(job).map(({ id }) => id);

test('all brackets of a car go on one way, in its plan too, and are so in its file', () => {
  fc.assert(
    fc.property(barred, way, (car, to) => {
      const job = withBracketsOn(car, to);
      expect(bracketsOn(job)).toBe(to);
      expect(withBracketsOn(job, to).parts).toEqual(job.parts);
      expect(readJob(writeJob(job)).parts).toEqual(job.parts);
      const ids = steps(job);
      for (const { id } of linksOf(job.rig))
        for (const bracket of BRACKETS) {
          expect(ids.includes(bracketStep(id, bracket, 'tack'))).toBe(to === 'welded');
          expect(ids.includes(bracketStep(id, bracket, 'drill'))).toBe(to === 'bolted');
        }
    }),
    { numRuns: 30, endOnFailure: true },
  );
});

test('a bracket that has been begun with stays as it is, and its like on the other side; the rest follow', () => {
  fc.assert(
    fc.property(barred, way, fc.nat(20), fc.constantFrom(...BRACKETS), (car, first, pick, bracket) => {
      const links = linksOf(car.rig);
      const { id: member } = links[pick % links.length]!;
      const begun = advanced(
        withBracketsOn(car, first),
        { member, bracket },
        [],
        '2026-03-01T10:00:00.000Z',
        '',
      );
      if (!begun.ok) throw new Error('held');
      const state = jointState(begun.job, { member, bracket });
      expect(state).toBe(first === 'welded' ? 'tacked' : 'drilled');
      const other = first === 'welded' ? 'bolted' : 'welded';
      const turned = withBracketsOn(begun.job, other);
      expect(jointState(turned, { member, bracket })).toBe(state);
      const stays = [member, partnerOf(member)];
      for (const link of linksOf(turned.rig))
        for (const at of BRACKETS) {
          const kept = at === bracket && stays.includes(link.id);
          expect(isUntouched(turned, { member: link.id, bracket: at })).toBe(!kept);
          expect(bracketOf(turned, link, bodyAt(at)).bolted).toBe((kept ? first : other) === 'bolted');
        }
      expect(bracketsOn(turned)).toBeNull();
    }),
    { numRuns: 30, endOnFailure: true },
  );
});
