import fc from 'fast-check';
import { applyReadings } from '@/core/job/applyReadings';
import { withBody } from '@/core/job/edits/bodies';
import { withFront } from '@/core/job/edits/front';
import { withLayout } from '@/core/job/edits/members/layout';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { pointing, steeringOf, toeHolds } from '@/core/ride/steering';
import type { Point } from '@/core/geometry/vector';

const bare = withLayout(newJob('front', 'Front', 'mm'), 'front-four-link');
const D = 2 * bare.rig.tireRadius;

/** A front axle with so much toe and its tie rod so far ahead; the rest of what was read beside it. */
const carWith = (toe: number, tieRodAhead: number | null, read: Job['ride']['read'] = {}): Job =>
  withBody(
    {
      ...bare,
      ride: {
        ...bare.ride,
        read: { 'toe.front': 1400, 'toe.rear': 1400 + toe, ...read },
        wanted: { toe: 3.175 },
      },
    },
    'tieRodAhead',
    tieRodAhead,
  );

const TUBE = { style: 'tube', frame: '5/8-18', axle: '5/8-18' } as const;
const END = { style: 'end', frame: '5/8-18', axle: '5/8-18' } as const;
const withRods = (job: Job, id: string, adjuster: Job['ride']['adjusters'][string]): Job => ({
  ...job,
  ride: { ...job.ride, adjusters: { ...job.ride.adjusters, [id]: adjuster } },
});

/** Length of a rod between two arms that stand ahead of kingpins so far apart, both wheels turned in, degrees. */
function rodLength(kingpins: number, ahead: number, inward: number): number {
  const [c, s] = [Math.cos(inward), Math.sin(inward)];
  // The arm's end, turned about its kingpin: left wheel in is clockwise from above.
  const left = [c * ahead, kingpins / 2 - s * ahead];
  const right = [c * ahead, -kingpins / 2 + s * ahead];
  return Math.hypot(left[0]! - right[0]!, left[1]! - right[1]!);
}

describe('the tie rod', () => {
  test('sets toe as the two arms and the rod between them do', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 20, noNaN: true }),
        fc.double({ min: 80, max: 220, noNaN: true }),
        fc.boolean(),
        fc.double({ min: -3, max: 6, noNaN: true }),
        (toe, arm, ahead, wanted) => {
          const at = ahead ? arm : -arm;
          const job = carWith(toe, at);
          const { toe: setting } = steeringOf({ ...job, ride: { ...job.ride, wanted: { toe: wanted } } })!;
          if (setting!.holds) return expect(Math.abs(toe - wanted)).toBeLessThan(1.61);
          const angle = (t: number) => Math.asin(t / 2 / D);
          const change = rodLength(1300, at, angle(wanted)) - rodLength(1300, at, angle(toe));
          expect(setting!.rod!.mm).toBeCloseTo(change, 6);
          expect(setting!.after).toBeCloseTo(wanted, 6);
          expect(setting!.rod!.turns).toBeNull();
        },
      ),
    );
  });

  test('behind the axle is made longer for toe-in, ahead of it shorter; its turns are of its own threads', () => {
    const behind = steeringOf(withRods(carWith(-6, -140), 'tie-rod', TUBE))!.toe!;
    const ahead = steeringOf(withRods(carWith(-6, 140), 'tie-rod', TUBE))!.toe!;
    expect(behind.rod!.turns).toBeGreaterThan(0);
    expect(ahead.rod!.turns).toBe(-behind.rod!.turns!);
    // Two threads of 18 to the inch.
    expect(behind.rod!.turns).toBeCloseTo(behind.rod!.mm / (2 * (25.4 / 18)), 0.5);
    expect(Math.abs(behind.after - 3.175)).toBeLessThan(1.6);
    const one = steeringOf(withRods(carWith(-6, -140), 'tie-rod', END))!.toe!;
    expect((one.rod!.turns! * 2) % 1).toBe(0);
  });

  test('asks for its place where that was not measured, and the stripe waits for a toe that holds', () => {
    const unmeasured = steeringOf(carWith(-6, null))!.toe!;
    expect([unmeasured.rod, unmeasured.holds]).toEqual([null, false]);
    expect(toeHolds(carWith(-6, -140))).toBe(false);
    // Whatever it reads, it holds nothing that nobody has asked for, and nothing is turned.
    const unasked = { ...carWith(3, -140), ride: { ...carWith(3, -140).ride, wanted: {} } };
    expect([toeHolds(unasked), steeringOf(unasked)!.toe!.rod]).toEqual([false, null]);
    expect(toeHolds(bare)).toBe(false);
    expect(toeHolds(carWith(3, -140))).toBe(true);
    expect(toeHolds(newJob('rear', 'Rear', 'mm'))).toBe(true);
    expect(steeringOf(newJob('rear', 'Rear', 'mm'))).toBeNull();
  });
});

/** Gaps from strings along the car to tyres that point so far left, degrees, toed in by so much over each. */
function strings(left: number, right: number): Job['ride']['read'] {
  const lean = (deg: number) => Math.sin((deg * Math.PI) / 180) * bare.rig.tireRadius;
  return {
    'straight.left.front': 100 - lean(left),
    'straight.left.rear': 100 + lean(left),
    'straight.right.front': 100 + lean(right),
    'straight.right.rear': 100 - lean(right),
  };
}

describe('the steering wheel straight', () => {
  test('is read as the mean of both wheels, so that toe does not come into it', () => {
    const at = (left: number, right: number) => pointing(carWith(0, null, strings(left, right)))!;
    expect(at(1, 1)).toBeCloseTo(1, 3);
    expect(at(-0.4, 0.4)).toBeCloseTo(0, 6);
    expect(at(-1.4, -0.6)).toBeCloseTo(-1, 3);
    expect(pointing(carWith(0, null, { 'straight.left.front': 90, 'straight.left.rear': 110 }))).toBeNull();
  });

  test('comes back by the drag link’s own length, whichever way it runs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.constantFrom('front-four-link' as const, 'front-leaf' as const),
        fc.boolean(),
        (deg, layout, mirrored) => {
          const car = withLayout(bare, layout);
          const flip = ([x, y, z]: Point): Point => [x, mirrored ? -y : y, z];
          const { pitman, knuckle, kingpin } = car.rig.steering!;
          const steering = {
            ...car.rig.steering!,
            pitman: flip(pitman),
            knuckle: flip(knuckle),
            kingpin: flip(kingpin),
          };
          const job = {
            ...car,
            rig: { ...car.rig, steering },
            ride: { ...car.ride, read: strings(deg, deg) },
          };
          const { straight } = steeringOf(job)!;
          if (straight!.holds) return expect(Math.abs(deg)).toBeLessThan(0.21);
          // The knuckle's arm turned back by hand, and how far it then is from the pitman arm.
          const back = (-pointing(job)! * Math.PI) / 180;
          const [nx, ny] = [
            steering.knuckle[0] - steering.kingpin[0],
            steering.knuckle[1] - steering.kingpin[1],
          ];
          const turned = [
            steering.kingpin[0] + Math.cos(back) * nx - Math.sin(back) * ny,
            steering.kingpin[1] + Math.sin(back) * nx + Math.cos(back) * ny,
            steering.knuckle[2],
          ];
          const length = (to: readonly number[]) => Math.hypot(...to.map((v, k) => v - steering.pitman[k]!));
          expect(straight!.rod!.mm).toBeCloseTo(length(turned) - length(steering.knuckle), 4);
          expect(straight!.after).toBeCloseTo(0, 4);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('allows for the toe to come: it all comes on the wheel that the drag link does not hold', () => {
    const read = strings(0, 0);
    const toeIn = steeringOf(carWith(-9, -140, read))!;
    // The kingpin of this layout's drag link is on the right, so the left wheel turns in: to the right.
    expect(toeIn.heldBy).toBe('right');
    expect(toeIn.straight!.now).toBeCloseTo((-Math.asin((3.175 + 9) / D) * 180) / Math.PI / 2, 2);
  });

  test('with the box on the axle there is no drag link to turn, and bumps steer it only as the axle turns', () => {
    const job = withFront(carWith(3, -140, strings(2, 2)), { box: 'axle' });
    expect(job.rig.steering).toBeUndefined();
    expect(steeringOf(job)!.straight).toEqual(expect.objectContaining({ rod: null, holds: false }));
    expect(applyReadings(job)).toEqual(job);
    expect(withFront(job, { box: 'frame' }).rig.steering).toEqual(bare.rig.steering);
  });
});

test('a driven front axle has its shaft behind it, both joints worked through the small angle between their lines', () => {
  const job = withFront(bare, { driven: true });
  expect(job.rig.obstacles!.map((o) => o.id)).toEqual(
    expect.arrayContaining(['centre section', 'pinion nose']),
  );
  const nose = job.rig.obstacles!.find((o) => o.id === 'pinion nose') as { from: Point; to: Point };
  expect(nose.to[0]).toBeLessThan(nose.from[0]);
  const cover = job.rig.obstacles!.find((o) => o.id === 'differential cover') as { to: Point };
  expect(cover.to[0]).toBeGreaterThan(0);
  expect(withFront(job, { driven: false }).rig).toEqual(bare.rig);
});
