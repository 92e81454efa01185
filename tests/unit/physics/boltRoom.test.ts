import fc from 'fast-check';
import { boltRooms, type BoltPlace, type BoltSide } from '@/core/clearance/boltRoom';
import { convexDistance, convexMeet } from '@/core/geometry/convexDistance';
import { supportOf } from '@/core/clearance/solids';
import { unit, type Point } from '@/core/geometry/vector';
import { BODY_IDS, type Obstacle, type Rig } from '@/core/rig/schema';
import { threeLink } from '../../support/rigs/rigs';
import { assertUntil } from '../../support/until';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const box = (id: string, on: 'chassis' | 'axle', min: Point, max: Point): Obstacle => ({
  id,
  on,
  shape: 'box',
  min,
  max,
});
/** A car with nothing round a bolt at this place but what is put there. */
const FAR: Point = [3000, 0, 900];
const bolt = (change: Partial<BoltPlace> = {}): BoltPlace => ({
  on: 'axle',
  eye: FAR,
  axis: [0, 1, 0],
  face: 20,
  length: 70,
  diameter: 12,
  ...change,
});
const sides = (things: Obstacle[], place = bolt(), droop = 60, rig: Rig = threeLink()) =>
  boltRooms({ ...rig, obstacles: things }, { comesOff: Object.values(BODY_IDS.tire), droop })(place, []);
const FREE: BoltSide = { out: null, wrench: null, hanging: false };
/** A wall beside the bolt, its near face so far from the eye. */
const wall = (at: number, side: 1 | -1 = 1, on: 'chassis' | 'axle' = 'axle'): Obstacle => {
  const [near, far] = [side * at, side * (at + 30)];
  return box(
    'wall',
    on,
    [FAR[0] - 50, Math.min(near, far), FAR[2] - 50],
    [FAR[0] + 50, Math.max(near, far), FAR[2] + 50],
  );
};

describe('the room that a bolt wants', () => {
  test('a wall is in its way as far as the bolt with its head is long, and in a wrench’s only close by; the other side stays free', () => {
    fc.assert(
      fc.property(
        num(21, 180),
        num(8, 25),
        num(30, 120),
        fc.constantFrom(1, -1),
        (at, diameter, length, side) => {
          const { along, against } = sides([wall(at, side as 1 | -1)], bolt({ diameter, length }));
          const [near, far] = side === 1 ? [along, against] : [against, along];
          const [head, wrench] = [20 + length + 0.64 * diameter, 20 + diameter];
          fc.pre(Math.abs(at - head) > 0.01 && Math.abs(at - wrench) > 0.01);
          expect(far).toEqual(FREE);
          expect([near.out, near.wrench]).toEqual([at < head ? 'wall' : null, at < wrench ? 'wall' : null]);
        },
      ),
    );
  });

  test('what stands beside the way of the head is in it by the head’s own radius', () => {
    fc.assert(
      fc.property(num(0, 40), num(8, 25), (aside, diameter) => {
        const radius = (1.73 * diameter) / 2;
        fc.pre(Math.abs(aside - radius) > 0.01);
        const shelf = box(
          'shelf',
          'axle',
          [FAR[0] - 200, 60, FAR[2] + aside],
          [FAR[0] + 200, 80, FAR[2] + 90],
        );
        expect(sides([shelf], bolt({ diameter })).along.out).toBe(aside < radius ? 'shelf' : null);
      }),
    );
  });

  test('with the axle let down, what the frame carries is out of the way once it is higher; what the axle carries comes along', () => {
    fc.assert(
      fc.property(num(0, 200), fc.boolean(), (droop, onAxle) => {
        const thing = wall(60, 1, onAxle ? 'axle' : 'chassis');
        // Its underside is 50 below the bolt, whose head is half of 1.73 diameters high.
        const clears = 50 + (1.73 * 12) / 2;
        fc.pre(Math.abs(droop - clears) > 0.01);
        const { along } = sides([thing], bolt(), droop);
        expect(along).toEqual(
          !onAxle && droop > clears
            ? { out: null, wrench: null, hanging: true }
            : { out: 'wall', wrench: null, hanging: false },
        );
        // Seen from the frame it is the axle that goes down.
        const seen = sides([{ ...thing, on: onAxle ? 'chassis' : 'axle' }], bolt({ on: 'chassis' }), droop);
        expect(seen.along.hanging).toBe(along.hanging);
      }),
    );
  });

  test('a wheel is named only where nothing else is in the way, and its own bar and bracket never are', () => {
    const rig = { ...threeLink(), tires: { width: 200 } };
    const at = bolt({ eye: [0, rig.track / 2 - 150, rig.tireRadius] });
    const { along } = sides([], at, 60, rig);
    expect(along.out).toBe(BODY_IDS.tire.left);
    const beside = box('brake', 'axle', [-150, rig.track / 2 - 120, 150], [150, rig.track / 2 - 100, 500]);
    expect(sides([beside], at, 60, rig).along.out).toBe('brake');
    const rooms = boltRooms({ ...rig, obstacles: [beside] }, { comesOff: [], droop: 0 });
    expect(rooms(at, ['brake', ...Object.values(BODY_IDS.tire)]).along.out).toBeNull();
  });

  test('mirrored, and the bolt turned round, the answer is mirrored', () => {
    fc.assert(
      fc.property(num(21, 120), num(-1, 1), num(-1, 1), (at, x, z) => {
        const axis = unit([x, 1.5, z]);
        const things = [wall(at)];
        const one = sides(things, bolt({ axis }));
        const round = sides(things, bolt({ axis: axis.map((v) => -v) as Point }));
        expect([round.along, round.against]).toEqual([one.against, one.along]);
        const mirrored = sides([wall(at, -1)], bolt({ axis: [axis[0], -axis[1], axis[2]] }));
        expect(mirrored).toEqual(one);
      }),
    );
  });
});

test('two bodies meet where their distance is nothing or less', () => {
  const point = fc.tuple(num(-60, 60), num(-60, 60), num(-60, 60));
  let met = 0;
  assertUntil(
    fc.property(point, point, num(5, 40), num(5, 40), (low, centre, size, radius) => {
      const a = supportOf({ kind: 'box', min: low, max: low.map((v) => v + size) as Point });
      const b = supportOf({ kind: 'cylinder', centre, axis: unit([1, 2, -1]), half: size, radius });
      const apart = convexDistance(a, b);
      fc.pre(Math.abs(apart) > 1e-4);
      expect(convexMeet(a, b)).toBe(apart < 0);
      if (apart < 0) met++;
    }),
    { numRuns: 300 },
    () => met > 20,
  );
});
