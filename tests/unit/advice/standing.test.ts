import fc from 'fast-check';
import { adviseOn } from '@/core/advice/advise';
import { lookAt } from '@/core/advice/look';
import { openIn } from '@/core/advice/standing';
import { stopsOf } from '@/core/bench/open';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { orNone } from '@/core/rig/read';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';

const flat = { link: 40, foot: { out: 400, ahead: 0 } };
/** The car with an end link that lies on its side, which lifts nothing. */
const lying = (job: Job, side: 'left' | 'right'): Job =>
  withRoll(job, { bar: { ...usualBar(job.rig), ...(side === 'left' ? flat : { right: flat }) } });
const atLocate = (job: Job) =>
  lookAt(job)
    .said.filter(({ station }) => station === 'locate')
    .map(({ verdict }) => [verdict.id, verdict.would]);

test('a sway bar that cannot be worked out is a stop, and leaves all that is said of the axle as it is', () => {
  fc.assert(
    fc.property(plausibleCar, fc.constantFrom('left' as const, 'right' as const), (job, side) => {
      const bare = withRoll(job, { bar: null });
      if (!orNone(() => lookAt(bare))) return;
      const broken = lying(job, side);
      expect(atLocate(broken).length).toBeGreaterThan(0);
      expect(openIn(broken)).toContainEqual(
        expect.objectContaining({ station: 'roll', id: 'cannotBeWorkedOut', state: 'stop' }),
      );
      // Springs and bar in the rig are bodies; what is said of how the axle is held is not about them.
      const held = (of: Job) => atLocate(of).filter(([id]) => !/^(clearance|comes)/.test(id!));
      expect(held(broken)).toEqual(held(bare));
      // Whatever is advised of the rest is tried with the bar as it is.
      for (const { offered } of adviseOn(broken)) expect(offered.every(({ helps }) => helps)).toBe(true);
    }),
    { numRuns: 12, endOnFailure: true },
  );
});

test.each(demoJobs().map((job) => [job.name, job] as const))(
  '%s: an axle that nothing holds is said to be so first, and stops every bar of it',
  (_, job) => {
    const [kept] = job.rig.members;
    const loose = { ...job, rig: { ...job.rig, members: [kept!] } };
    expect(() => lookAt(loose)).toThrow();
    const open = openIn(loose);
    expect(open.filter(({ station }) => station === 'locate')).toEqual([
      expect.objectContaining({ state: 'stop', title: expect.stringContaining('cannot be worked out') }),
    ]);
    for (const id of [kept!.id, 'panhard']) expect(stopsOf(loose, open, id)).toHaveLength(1);
    // What was read of it is spoken of still.
    const elsewhere = (of: Job) => openIn(of).filter(({ station }) => ['record', 'place'].includes(station));
    expect(elsewhere(loose)).toEqual(elsewhere(job));
  },
);
