import fc from 'fast-check';
import { checkRecord } from '@/core/record/recordChecks';
import { approachOf } from '@/core/record/jobRecord';
import { withLayout } from '@/core/job/edits/members/layout';
import { withFront } from '@/core/job/edits/front';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { gapVerdict, makeRoom } from '@/core/locate/verdicts/gapVerdict';
import { locateInput } from '@/core/locate/types';
import { LIMITS } from '@/core/materials/limits';
import { leavesOf } from '@/core/rig/roles';
import { leafSquare } from '@/core/ride/leafSquare';
import { sayLength, sayPast } from '@/core/units/length';
import { TAPES } from '@/core/units/tape';
import { readings } from '../../support/car';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('a length past its limit never reads as the limit does', () => {
  fc.assert(
    fc.property(fc.constantFrom(...TAPES), between(0.5, 60), between(0.06, 30), (tape, limit, by) => {
      const said = sayPast(limit + by, limit, tape);
      expect(said).not.toBe(sayLength(limit, tape));
      expect(said).toMatch(/ (in|mm)$/);
    }),
  );
  expect(sayPast(3.9, 3.175, 'in16')).toBe('5/32 in');
});

test('too little room never reads as enough, nor as none; only a bar is to be bent', () => {
  const bodies = ['panhard', 'upper', 'tire-left', 'spring-left', 'axle tube', 'driveshaft'];
  const least = LIMITS.clearance.least;
  fc.assert(
    fc.property(
      fc.constantFrom(...TAPES),
      between(0.01, least - 0.06),
      fc.shuffledSubarray(bodies, { minLength: 2, maxLength: 2 }),
      (tape, distance, [a, b]) => {
        const job = withLayout(newJob('room', 'Room', tape), 'three-link-panhard');
        const gap = { a: a!, b: b!, distance, at: { left: 0, right: 0 } };
        const { title, state } = gapVerdict(locateInput(job, { left: 0, right: 0 }), gap, tape);
        expect(state).toBe('look');
        expect(title).toMatch(/^(Only|Hardly any room)/);
        expect(title).not.toContain(`Only ${sayLength(least, tape)}`);
        expect(title).not.toContain(`Only ${sayLength(0, tape)}`);
        const isBar = [a, b].some((id) => id === 'panhard' || id === 'upper');
        expect(makeRoom(gap, job.rig).text.includes('bend the bar')).toBe(isBar);
      },
    ),
  );
});

/** A leaf car as its wheelbases were read on the ground. */
const leafCar = (ahead: number, layout: 'leaf-alone' | 'front-leaf'): Job => {
  const job = withLayout(newJob('leaf', 'Leaf', 'mm'), layout);
  const [left, right] = job.rig.end === 'rear' ? [0, ahead] : [ahead, 0];
  const read = { 'ahead.left': 2700 + left, 'ahead.right': 2700 + right };
  return { ...job, ride: { ...job.ride, read } };
};

test('an axle out of square on leaves goes back on the side that stands ahead, by what its seats are apart', () => {
  fc.assert(
    fc.property(fc.constantFrom('leaf-alone', 'front-leaf'), between(-20, 20), (layout, ahead) => {
      const job = leafCar(ahead, layout);
      const [one, other] = leavesOf(job.rig).map((m) => (m as { seat: number[] }).seat[1]!);
      const back = leafSquare(job);
      if (Math.abs(ahead) <= 3.2) return expect(back).toBeNull();
      // By hand: the axle turns about its other seat, which is as far from this one as they are apart.
      const turn = Math.asin(back! / Math.abs(one! - other!));
      expect(Math.abs(Math.tan(turn) * job.rig.track - ahead)).toBeLessThan(0.02);
    }),
  );
  expect(leafSquare(withLayout(newJob('links', 'Links', 'mm'), 'three-link-panhard'))).toBeNull();
});

test('a tail that reads up is asked about, behind; a front axle’s shaft runs the other way', () => {
  const ask = (job: Job, deg: number) =>
    checkRecord(readings({ transmissionAngle: deg }), null, approachOf(job), 'in16').filter(
      (v) => v.id === 'yoke-way',
    );
  const rear = withLayout(newJob('r', 'R', 'in16'), 'three-link-panhard');
  expect(ask(rear, 3)[0]!.title).toMatch(/3\.0° up: does it point up\?/);
  expect(ask(rear, -3)).toEqual([]);
  const front = withFront(withLayout(newJob('f', 'F', 'in16'), 'front-four-link'), { driven: true });
  expect(ask(front, 3)).toEqual([]);
});
