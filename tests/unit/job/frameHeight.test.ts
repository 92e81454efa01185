import fc from 'fast-check';
import { marked, placedMounts } from '@/core/job/placed';
import { frameToMove, withFrameMoved } from '@/core/job/edits/frameHeight';
import { withLayout } from '@/core/job/edits/members/layout';
import { withRoll } from '@/core/job/edits/roll';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { heightsAnswer } from '@/core/locate/heights';
import { distance } from '@/core/geometry/vector';
import { isLink } from '@/core/rig/members/members';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { mountOwners, mountsOf } from '@/core/rig/mounts';
import { usualShock, usualSprings } from '@/core/springs/springDesign';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { demoJobs } from '@/store/demo';

/** Every demo car, and every layout with springs, shocks and a sway bar on. */
const cars: Job[] = [
  ...demoJobs(),
  ...LAYOUT_IDS.map((id) => {
    const job = withLayout(newJob(id, id, 'in16'), id);
    return withRoll(job, {
      springs: usualSprings(job.rig, 'coil'),
      shock: usualShock,
      bar: { ...usualBar(job.rig), foot: { out: 10, ahead: -20 } },
    });
  }),
];
const anyCar = fc.constantFrom(...cars);
const anyMove = fc.double({ min: -60, max: 60, noNaN: true });

/** Two jobs, number by number. */
function expectAlike(a: unknown, b: unknown, path = ''): void {
  if (typeof a === 'number' && typeof b === 'number') {
    expect([path, Math.abs(a - b) < 1e-6 * Math.max(1, Math.abs(a))]).toEqual([path, true]);
  } else if (typeof a === 'object' && a !== null && typeof b === 'object' && b !== null) {
    const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
    for (const key of keys)
      expectAlike((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key], `${path}/${key}`);
  } else expect([path, a]).toEqual([path, b]);
}

describe('the frame moved to another height', () => {
  test('and back again, it is the job that it was', () => {
    fc.assert(
      fc.property(anyCar, anyMove, (job, by) => {
        const back = withFrameMoved(withFrameMoved(job, by), -by);
        expect(Math.abs(back.place.drawnAt! - (job.place.drawnAt ?? back.place.drawnAt!))).toBeLessThan(1e-9);
        expectAlike(
          { ...back, place: { ...back.place, drawnAt: job.place.drawnAt }, laidOut: true },
          { ...job, placed: marked(placedMounts(job)), laidOut: true },
        );
      }),
      { numRuns: 150 },
    );
  });

  test('takes along all that the frame carries and nothing that the axle does', () => {
    fc.assert(
      fc.property(anyCar, anyMove, (job, by) => {
        const moved = withFrameMoved(job, by);
        for (const id of mountOwners(job.rig)) {
          const now = new Map(mountsOf(moved.rig, id).map((m) => [m.key, m.point]));
          for (const { key, on, point } of mountsOf(job.rig, id)) {
            const [x, y, z] = now.get(key)!;
            expect([x, y]).toEqual([point[0], point[1]]);
            expect(z).toBeCloseTo(point[2] + (on === 'chassis' ? by : 0), 9);
          }
        }
        moved.rig.springs?.forEach((s, i) => {
          expect(s.axle).toEqual(job.rig.springs![i]!.axle);
        });
        // The feet of a sway bar on the frame are the axle's; of one on the axle, the frame's.
        moved.rig.swayBars?.forEach((bar, i) => {
          const was = job.rig.swayBars![i]!;
          const gone = bar.mountedOn === 'chassis' ? 0 : by;
          for (const side of ['left', 'right'] as const)
            expect(bar.links[side][2]).toBeCloseTo(was.links[side][2] + gone, 6);
        });
        // What it makes can be kept, and is opened as it was.
        expectAlike(readJob(writeJob(moved)), moved);
      }),
      { numRuns: 150 },
    );
  });

  // Bars keep their lengths where the springs let the car down: the axle then stands where its travel takes it.
  test('with every bar as long as before, the axle stands as it does so much farther up in its travel', () => {
    fc.assert(
      fc.property(anyCar, fc.double({ min: -40, max: 40, noNaN: true }), (job, by) => {
        const links = new Map(job.rig.members.filter(isLink).map((m) => [m.id, m]));
        if (links.size !== job.rig.members.length || job.rig.axleTorsion !== undefined) return;
        const { rig } = withFrameMoved(job, by);
        const kept = {
          ...rig,
          members: rig.members.map((m) => {
            const was = links.get(m.id)!;
            return { ...m, length: distance(was.chassis, was.axle) };
          }),
        };
        const lowered = assemble(kept).ride;
        const there = assemble(job.rig).at({ left: -by, right: -by });
        if (!isReached(there)) throw new Error('out of reach');
        expect(lowered.x).toBeCloseTo(there.x, 6);
        expect(lowered.y).toBeCloseTo(there.y, 6);
        expect(lowered.pitchDeg).toBeCloseTo(there.pitchDeg, 6);
        expect(lowered.rollCentreHeight!).toBeCloseTo(there.rollCentreHeight!, 4);
      }),
    );
  });

  test('is offered once another height is to be built for, says what it changes, and is then done', () => {
    const [car] = demoJobs();
    expect(frameToMove(car!)).toBeCloseTo(0, 9);
    const lower = {
      ...car!,
      place: { ...car!.place, rideHeight: (car!.place.rideHeight ?? 0) || 300 },
    };
    const wanted = { ...lower, place: { ...lower.place, rideHeight: lower.place.rideHeight - 50.8 } };
    const by = frameToMove(wanted);
    const asked = { ...wanted.locate.states, move: by };
    const { moved, drawn } = heightsAnswer(wanted, asked);
    const done = withFrameMoved(wanted, by);
    expect(frameToMove(done)).toBeCloseTo(0, 9);
    const now = heightsAnswer(done, { ...asked, move: 0 });
    expect(now.moved).toBeNull();
    // What was promised is what came.
    expectAlike(now.drawn, moved!.after);
    expectAlike(drawn, moved!.before);
  });

  test('settled by nothing, a car is as it is drawn', () => {
    for (const car of cars) {
      const { drawn, settled } = heightsAnswer(car, {
        settled: 0,
        load: { mass: 0, ahead: 0, height: 0 },
        move: 0,
      });
      expectAlike(settled.values, drawn);
    }
  });
});
