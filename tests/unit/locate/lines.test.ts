import fc from 'fast-check';
import { distance, type Point } from '@/core/geometry/vector';
import { withLayout } from '@/core/job/edits/members/layout';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { lineFindings } from '@/core/locate/lines';
import { assemble } from '@/core/kinematics/mechanism';
import { patternRig } from '../../support/layouts';
import { located } from '../../support/locate';

const rear = newJob('rear', 'Rear', 'mm');
const front = withLayout(newJob('front', 'Front', 'mm'), 'front-four-link');
const hose = (job: Job, change: Partial<Job['lines'][number]> = {}): Job => ({
  ...job,
  lines: [{ id: 'brake hose', frame: [0, 100, 700], axle: [0, 100, 340], length: 460, ...change }],
});
const said = (job: Job) => located(job).verdicts.room.find((v) => v.id === 'line')!;
const bump = 76.2;

describe('a hose', () => {
  // By hand: its ends stand over each other, so that full droop takes them apart by just that much more.
  test('that reaches, just reaches and is torn off', () => {
    const apart = 360 + bump;
    expect(said(hose(rear, { length: apart + 30 })).state).toBe('ok');
    const tight = said(hose(rear, { length: apart + 8 }));
    expect([tight.state, tight.title]).toEqual(['look', expect.stringContaining('at full droop')]);
    const torn = said(hose(rear, { length: apart - 20 }));
    expect(torn.state).toBe('stop');
    expect(torn.title).toMatch(/brake hose is (19|20|21)(\.\d)? mm too short at full droop/);
    // The length that is asked for is one that holds.
    const wanted = Number(/at least ([\d.]+) mm/.exec(torn.remedies[0]!.text)![1]);
    expect(said(hose(rear, { length: wanted })).state).toBe('ok');
  });

  test('much longer than its ends ever are apart hangs, and is to be tied', () => {
    expect(said(hose(rear, { length: 1200 })).title).toContain('hangs slack');
  });

  test('at a steered wheel is looked at to both locks; on the axle’s middle it is not taken along', () => {
    const onWheel = hose(front, { frame: [300, 420, 520], axle: [120, 690, 340], length: 420 });
    const held = located(onWheel).result.lines[0]!;
    const straight = located({ ...onWheel, bodies: { ...onWheel.bodies, lock: 5 } }).result.lines[0]!;
    expect(held.most).toBeGreaterThan(straight.most + 5);
    expect(held.lockDeg).toBeDefined();
    const inside = located(hose(front)).result.lines[0]!;
    expect(inside.lockDeg).toBeUndefined();
  });

  test('turned about with its car spans as much, steered the other way', () => {
    const mirrored = ([x, y, z]: Point): Point => [x, -y, z];
    const point = fc.tuple(
      fc.integer({ min: -300, max: 300 }),
      fc.integer({ min: -760, max: 760 }),
      fc.integer({ min: 200, max: 800 }),
    ) as fc.Arbitrary<Point>;
    const rig = patternRig('three-link-watts');
    const { at } = assemble(rig);
    const steering = { pitman: [300, 300, 400], knuckle: [300, -300, 400], kingpin: [0, -640, 330] } as const;
    const there = { ...rig, steering: structuredClone(steering) as never };
    const heave = [-60, 0, 60].map((lift) => at({ left: lift, right: lift }));
    fc.assert(
      fc.property(point, point, (frame, axle) => {
        const [one] = lineFindings([{ id: 'a', frame, axle, length: 500 }], there, heave, 30);
        const [other] = lineFindings(
          [{ id: 'a', frame: mirrored(frame), axle: mirrored(axle), length: 500 }],
          there,
          heave,
          30,
        );
        expect(other!.most).toBeCloseTo(one!.most, 0);
        expect(other!.least).toBeCloseTo(one!.least, 0);
        expect(one!.most).toBeGreaterThanOrEqual(distance(frame, axle) - 1e-6);
        expect(one!.least).toBeLessThanOrEqual(distance(frame, axle) + 1e-6);
      }),
    );
  });
});
