import fc from 'fast-check';
import { dueOf } from '@/core/drive/rechecks';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { planNow } from '@/core/plan/standing';
import { leavesOf } from '@/core/rig/roles';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { heldIds, SWAY_BAR } from '@/core/weld/held';
import { torqueSheet } from '@/core/weld/torqueSheet';
import { driven } from '../../support/driven';
import { plausibleCar } from '../../support/plausible';

const withBar = (job: Job): Job => withRoll(job, { bar: usualBar(job.rig) });

/** What is bolted goes by one name in the plan, on the torque sheet and at the re-checks; the sway bar by three. */
const namesOf = (id: string): string[] => (id === SWAY_BAR ? ['swayBar', 'sway', SWAY_BAR] : [id]);
const isOf = (id: string, key: string): boolean => namesOf(id).some((name) => key.split('/').includes(name));

test('whatever holds an axle is torqued, marked by a line before it is driven, on the torque sheet and looked at again', () => {
  fc.assert(
    fc.property(plausibleCar, fc.boolean(), (car, swayBar) => {
      const job = driven(swayBar ? withBar(car) : car);
      const plan = planNow(job);
      if (!plan.ok) throw new Error('no order');
      const steps = plan.steps.map(({ task }) => task.id);
      const at = (id: string) => steps.indexOf(id);
      const leaves = new Set(leavesOf(job.rig).map(({ id }) => id));
      const [sheet, again] = [torqueSheet(job), dueOf(job)];
      expect(new Set(sheet.map(({ id }) => id)).size).toBe(sheet.length);
      for (const id of heldIds(job)) {
        expect(sheet.some((line) => isOf(id, line.id))).toBe(true);
        expect(again.some((one) => isOf(id, one.id))).toBe(true);
        if (leaves.has(id)) continue;
        const [torque, line, drive] = [
          at(`ground/${id}/torque`),
          at(`ground/${id}/stripe`),
          at('ground/drive'),
        ];
        expect(torque).toBeGreaterThan(at('ground/set'));
        expect(line).toBeGreaterThan(torque);
        expect(drive).toBeGreaterThan(line);
      }
      const ofLeaves = ['ubolts', 'cotters', 'leaves/stripe', 'drive'].map((step) => at(`ground/${step}`));
      if (leaves.size > 0) expect(ofLeaves).toEqual(ofLeaves.toSorted((a, b) => a - b));
      expect(at('ground/leaves/stripe') >= 0 && at('ground/ubolts') >= 0).toBe(leaves.size > 0);
    }),
    { numRuns: 60 },
  );
});
