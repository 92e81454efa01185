import fc from 'fast-check';
import { closestApproaches } from '@/core/clearance/closestOverTravel';
import { readBrief, type Brief, type Free } from '@/core/choose/brief';
import { withAnswer } from '@/core/choose/answer';
import { findMounts } from '@/core/choose/findMounts';
import type { Point } from '@/core/geometry/vector';
import { withBodies } from '@/core/job/bodies/bodies';
import { withMounts } from '@/core/job/edits/mounts';
import type { Job } from '@/core/job/jobSchema';
import { assemble } from '@/core/kinematics/mechanism';
import { posesEverywhere } from '@/core/locate/tightPlaces';
import { flopsOf, locateInput } from '@/core/locate/types';
import { linksOf } from '@/core/rig/members/members';
import type { Obstacle } from '@/core/rig/schema';
import { lateralBarOf } from '@/core/rig/roles';
import { demoJobs } from '@/store/demo';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

/** What a bar comes nearest to over the travel, mm, by name, as the whole car is measured. */
function nearTo(job: Job, bar: string): Map<string, number> {
  const input = locateInput(job, { left: 0, right: 0 });
  const gaps = closestApproaches(job.rig, posesEverywhere(input, assemble(job.rig)), {
    flops: flopsOf(input),
  });
  return new Map(
    gaps.flatMap(({ a, b, distance }) => (a === bar || b === bar ? [[a === bar ? b : a, distance]] : [])),
  );
}

/** A car with a pipe through the middle of its bar across. */
const piped = fc.tuple(plausibleCar, fc.integer({ min: -20, max: 20 })).map(([car, off]) => {
  const bar = lateralBarOf(car.rig);
  if (!bar || bar.path?.chassis?.length) return null;
  const [x, y, z] = bar.chassis.map((v, k) => (v + bar.axle[k]!) / 2) as Point;
  const pipe: Obstacle = { id: 'pipe', on: 'chassis', shape: 'sphere', centre: [x, y, z + off], radius: 15 };
  const obstacles = [...(car.rig.obstacles ?? []), pipe];
  return { bar, job: withBodies({ ...car, holes: {}, rig: { ...car.rig, obstacles } }) };
});

const brief = (free: Brief['free'], clear: number): Brief => ({
  ...{ format: 'pellik.brief', version: 1, clear, free },
  targets: [{ figure: 'rollCentre', near: 300 }],
});

describe('places of mounts where a bar may be bent', () => {
  test('a bar goes round what it would meet, between the eyes of the place, and keeps the room that is asked for', () => {
    let bent = 0;
    assertUntil(
      fc.property(piped, fc.constantFrom(0, 15), (car, clear) => {
        fc.pre(car !== null);
        const { job, bar } = car!;
        const height = bar.axle[2];
        const move: Free = {
          ...{ member: bar.id, end: 'axle', axis: 2 },
          ...{ from: height, to: height + 10, step: 10 },
        };
        const straight = findMounts(job, brief([move], clear));
        const found = findMounts(job, brief([move, { bend: bar.id }], clear));
        for (const { bent: none } of straight.answers) expect(none).toEqual([]);
        for (const answer of found.answers) {
          const set = withAnswer(job, answer);
          const [now, asMoved] = [set, withMounts(job, answer.changes)].map(({ rig }) =>
            linksOf(rig).find(({ id }) => id === bar.id)!,
          );
          expect([now!.chassis, now!.axle]).toEqual([asMoved!.chassis, asMoved!.axle]);
          if (answer.bent.length === 0) continue;
          bent++;
          expect(now!.path?.chassis).toEqual(answer.bent[0]!.bends);
          for (const distance of nearTo(set, bar.id).values()) expect(distance).toBeGreaterThan(clear - 1e-6);
          expect(answer.hits.some(({ a, b }) => a === bar.id || b === bar.id)).toBe(false);
        }
      }),
      { numRuns: 8, endOnFailure: true },
      () => bent > 3,
    );
  });

  test('a bar that nothing is near stays as it is; both of a pair are looked at; a bar that is not there is refused', () => {
    const [job] = demoJobs();
    const clearBar: Job = { ...job!, holes: {}, rig: { ...job!.rig, obstacles: [], driveshaft: undefined } };
    const only = (free: object) =>
      findMounts(
        clearBar,
        readBrief(
          JSON.stringify({
            ...{ format: 'pellik.brief', version: 1, free: [free] },
            targets: [{ figure: 'rollCentre', near: 350 }],
          }),
        ),
      );
    const { answers, tried } = only({ bend: 'panhard' });
    expect(answers.map(({ changes, bent }) => [changes, bent])).toEqual([[[], []]]);
    expect(tried).toBe(1);
    expect(() => only({ bend: 'nobody' })).toThrow(/free\[0\].*a bar that this car has/);
    const lower = linksOf(clearBar.rig).find(({ id }) => id.endsWith('-left'))!;
    expect(only({ bend: lower.id, alike: true }).answers).toHaveLength(1);
  });
});
