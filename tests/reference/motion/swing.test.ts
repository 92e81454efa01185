import fc from 'fast-check';
import { cross as crossOf, dot as dotOf, matrix, multiply, norm } from 'mathjs';
import { axleToChassis, chassisToAxle, type Attitude } from '@/core/kinematics/attitude';
import { bumpSteer, wheelSteer } from '@/core/kinematics/bumpSteer';
import { assemble } from '@/core/kinematics/mechanism';
import { misalignment } from '@/core/kinematics/misalignment';
import { isReached } from '@/core/kinematics/pose';
import { dragLinkMatch } from '@/core/locate/steering/dragLinkMatch';
import { jointsOf } from '@/core/materials/joints';
import { linksOf } from '@/core/rig/members/members';
import type { LinkMember } from '@/core/rig/members/link';
import type { Rig } from '@/core/rig/schema';
import type { Point } from '@/core/geometry/vector';
import { everyLayout, patternRig } from '../../support/layouts';

const RADIUS = 330;
const angle = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
const attitudes: fc.Arbitrary<Attitude> = fc.record({
  x: angle(40),
  y: angle(40),
  z: angle(90).map((v) => RADIUS + v),
  rollDeg: angle(9),
  pitchDeg: angle(6),
  steerDeg: angle(4),
});
const points = fc.tuple(
  angle(900),
  angle(700),
  fc.double({ min: 50, max: 700, noNaN: true }),
) as fc.Arbitrary<Point>;

/** npm mathjs: Z-Y-X rotation put together from three matrices, apart from the product's own. */
function turned(pose: Attitude, p: Point): Point {
  const [r, q, s] = [pose.rollDeg, pose.pitchDeg, pose.steerDeg].map((d) => (d * Math.PI) / 180) as Point;
  const Rx = matrix([
    [1, 0, 0],
    [0, Math.cos(r), -Math.sin(r)],
    [0, Math.sin(r), Math.cos(r)],
  ]);
  const Ry = matrix([
    [Math.cos(q), 0, Math.sin(q)],
    [0, 1, 0],
    [-Math.sin(q), 0, Math.cos(q)],
  ]);
  const Rz = matrix([
    [Math.cos(s), -Math.sin(s), 0],
    [Math.sin(s), Math.cos(s), 0],
    [0, 0, 1],
  ]);
  const v = multiply(multiply(multiply(Rz, Ry), Rx), [p[0], p[1], p[2] - RADIUS]).valueOf() as number[];
  return [v[0]! + pose.x, v[1]! + pose.y, v[2]! + pose.z];
}

describe('points of the axle, seen from the chassis', () => {
  test('by the product of three rotations', () => {
    fc.assert(
      fc.property(attitudes, points, (pose, p) => {
        axleToChassis(pose, RADIUS)(p).forEach((v, k) => expect(v).toBeCloseTo(turned(pose, p)[k]!, 8));
      }),
    );
  });

  test('there and back is where it was', () => {
    fc.assert(
      fc.property(attitudes, points, (pose, p) => {
        const back = chassisToAxle(pose, RADIUS)(axleToChassis(pose, RADIUS)(p));
        back.forEach((v, k) => expect(v).toBeCloseTo(p[k]!, 7));
      }),
    );
  });
});

// Definition: a knuckle turns about a vertical through its kingpin until the drag link has its length again.
describe('bump steer', () => {
  /** Bars anywhere, straight across or crossed: the pitman arm on either side, ahead of the axle or behind. */
  const steerings: fc.Arbitrary<NonNullable<Rig['steering']>> = fc
    .record({
      side: fc.constantFrom(-1, 1),
      crossed: fc.boolean(),
      pitman: points,
      arm: fc.double({ min: 90, max: 220, noNaN: true }),
      ahead: fc.boolean(),
    })
    .map(({ side, crossed, pitman, arm, ahead }) => {
      const kingpin: Point = [0, side * 620, RADIUS];
      const knuckle: Point = [ahead ? arm : -arm, side * 560, RADIUS - 40];
      const across = (crossed ? -side : side) * (150 + Math.abs(pitman[1]) / 3);
      return { kingpin, knuckle, pitman: [pitman[0] / 4, across, RADIUS + pitman[2] / 4] as Point };
    });
  /** Length of the drag link for any turn of the knuckle, in a pose. */
  const linkIn = (steering: NonNullable<Rig['steering']>, pose: Attitude) => {
    const [kingpin, knuckle] = [steering.kingpin, steering.knuckle].map((p) => turned(pose, p)) as [
      Point,
      Point,
    ];
    const [x, y] = [knuckle[0] - kingpin[0], knuckle[1] - kingpin[1]];
    return (deg: number): number => {
      const a = (deg * Math.PI) / 180;
      const swung: Point = [
        kingpin[0] + x * Math.cos(a) - y * Math.sin(a),
        kingpin[1] + x * Math.sin(a) + y * Math.cos(a),
        knuckle[2],
      ];
      return Math.hypot(...swung.map((v, k) => v - steering.pitman[k]!));
    };
  };
  const still: Attitude = { x: 0, y: 0, z: RADIUS, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };

  test('gives the drag link its length back, and is the smallest turn that does', () => {
    fc.assert(
      fc.property(steerings, attitudes, (steering, pose) => {
        const deg = bumpSteer(steering, pose, RADIUS);
        const wanted = Math.hypot(...steering.knuckle.map((v, k) => v - steering.pitman[k]!));
        const length = linkIn(steering, pose);
        if (deg === null) {
          // Then no turn does: all are too long, or all too short.
          const misses = Array.from({ length: 720 }, (_, i) => length(i / 2 - 180) - wanted);
          expect(misses.every((m) => m > -0.05) || misses.every((m) => m < 0.05)).toBe(true);
          return;
        }
        expect(length(deg)).toBeCloseTo(wanted, 6);
        const steps = Array.from({ length: 60 }, (_, i) => (i / 60) * 0.98 * Math.abs(deg));
        const first = Math.sign(length(steps[0]!) - wanted);
        const misses = steps.flatMap((d) => [length(d), length(-d)]).map((l) => l - wanted);
        expect(misses.filter((m) => Math.abs(m) > 1e-6).every((m) => Math.sign(m) === first)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  test('at ride height nothing steers', () => {
    fc.assert(
      fc.property(steerings, (steering) => {
        expect(Math.abs(bumpSteer(steering, still, RADIUS)!)).toBeLessThan(1e-5);
      }),
    );
  });

  test('a mirrored car steers the other way by as much', () => {
    const flip = ([x, y, z]: Point): Point => [x, -y, z];
    fc.assert(
      fc.property(steerings, attitudes, (steering, pose) => {
        const other = bumpSteer(
          { pitman: flip(steering.pitman), knuckle: flip(steering.knuckle), kingpin: flip(steering.kingpin) },
          { ...pose, y: -pose.y, rollDeg: -pose.rollDeg, steerDeg: -pose.steerDeg },
          RADIUS,
        );
        const one = bumpSteer(steering, pose, RADIUS);
        if (one === null || other === null) expect(one).toBe(other);
        else expect(other).toBeCloseTo(-one, 5);
      }),
    );
  });

  // Handbook rule of the front end (common practice, no published source): equal and parallel to the track bar, a drag link
  // steers nothing as both wheels rise; crossed against it, it steers at once.
  test('a drag link alike to its track bar hardly steers; one from the other side does', () => {
    const rig = patternRig('front-four-link');
    const bar = linksOf(rig).find((m) => m.id === 'panhard')!;
    const shift = (p: Point, x: number, z: number): Point => [p[0] + x, p[1], p[2] + z];
    const alike = { pitman: shift(bar.chassis, 120, 60), knuckle: shift(bar.axle, 120, 60) };
    const kingpin: Point = [0, Math.sign(bar.axle[1]) * 620, rig.tireRadius];
    const steered = (steering: NonNullable<Rig['steering']>) => {
      const pose = assemble({ ...rig, steering }).at({ left: 50, right: 50 });
      if (!isReached(pose)) throw new Error('out of reach');
      return Math.abs(pose.bumpSteerDeg!);
    };
    const same = { ...alike, kingpin };
    const crossed = {
      ...same,
      pitman: [same.pitman[0], 2 * bar.axle[1] - same.pitman[1], same.pitman[2]] as Point,
    };
    expect(steered(crossed)).toBeGreaterThan(3 * steered(same) + 0.1);
    expect(dragLinkMatch({ ...rig, steering: same })).toMatchObject({
      sameSide: true,
      length: expect.closeTo(0, 6),
    });
    expect(dragLinkMatch({ ...rig, steering: crossed })!.sameSide).toBe(false);
  });
});

// Two circles, as they are drawn on the garage wall: seen from behind, the track bar takes the axle along its arc and the drag
// link’s end goes along its own; what they part by, over the length of the steering arm, is the steer (common practice, no
// published source).
test('bump steer of a front axle that goes straight up is what the two arcs part by over the steering arm', () => {
  const side = fc.constantFrom(1, -1);
  const near = (middle: number, spread: number) =>
    fc.double({ min: middle - spread, max: middle + spread, noNaN: true });
  const arc = (frame: Point, axle: Point, lift: number) => {
    const length = Math.hypot(axle[1] - frame[1], axle[2] - frame[2]);
    return (
      frame[1] + Math.sign(axle[1] - frame[1]) * Math.sqrt(length ** 2 - (axle[2] + lift - frame[2]) ** 2)
    );
  };
  fc.assert(
    fc.property(
      side,
      near(400, 40),
      near(380, 40),
      near(350, 60),
      near(360, 40),
      near(170, 40),
      near(0, 70),
      (s, frameZ, axleZ, pitmanZ, knuckleZ, arm, lift) => {
        const [frame, axle]: Point[] = [
          [0, s * 450, frameZ],
          [0, -s * 450, axleZ],
        ];
        const steering = {
          pitman: [arm, s * 500, pitmanZ] as Point,
          knuckle: [arm, -s * 480, knuckleZ] as Point,
          kingpin: [0, -s * 480, RADIUS] as Point,
        };
        // Four bars so long that the axle goes straight up and neither turns nor noses over.
        const bars = [
          [-450, 260],
          [450, 260],
          [-450, 420],
          [450, 420],
        ].map(([y, z], i) => ({
          type: 'link' as const,
          id: `bar-${i}`,
          chassis: [40_000, y!, z!] as Point,
          axle: [0, y!, z!] as Point,
        }));
        const rig: Rig = {
          format: 'pellik.rig',
          version: 1,
          end: 'front',
          tireRadius: RADIUS,
          track: 1470,
          members: [...bars, { type: 'link', id: 'panhard', chassis: frame!, axle: axle! }],
          steering,
        };
        const pose = assemble(rig).at({ left: lift, right: lift });
        if (!isReached(pose)) throw new Error('out of reach');
        const takenAlong = arc(frame!, axle!, lift) - axle![1];
        const wanted = arc(steering.pitman, steering.knuckle, lift) - steering.knuckle[1];
        const steer = (Math.asin((wanted - takenAlong) / arm) * 180) / Math.PI;
        const worked = wheelSteer(pose.steerDeg, pose.bumpSteerDeg)!;
        expect(Math.abs(worked - steer)).toBeLessThan(0.01 + 0.02 * Math.abs(steer));
      },
    ),
    { numRuns: 200 },
  );
});

// Definition: the angle between a bar and the plane that its bolt lets it swing in.
describe('misalignment of joints', () => {
  const independent = (bar: LinkMember, bolt: Point, pose: Attitude, onAxle: boolean): number => {
    const eye = turned(pose, bar.axle);
    const along = eye.map((v, k) => v - bar.chassis[k]!);
    const far = turned(pose, bar.axle.map((v, k) => v + bolt[k]!) as Point);
    const axis = onAxle ? far.map((v, k) => v - eye[k]!) : bolt;
    // From the angle to the bolt itself by its cross product, not from a sine.
    const toBolt = Math.atan2(norm(crossOf(along, axis) as number[]) as number, dotOf(along, axis));
    return Math.abs(90 - (toBolt * 180) / Math.PI);
  };
  const boltOf = ({ chassis, axle }: LinkMember, turnedToBar: boolean): Point => {
    const [x, y] = [axle[0] - chassis[0], axle[1] - chassis[1]];
    if (turnedToBar && Math.hypot(x, y) > 0) return [-y / Math.hypot(x, y), x / Math.hypot(x, y), 0];
    return Math.abs(y) > Math.abs(x) ? [1, 0, 0] : [0, 1, 0];
  };

  test.each(everyLayout)('%s: of every link, at both eyes, square brackets and turned ones', (_, rig) => {
    fc.assert(
      fc.property(attitudes, fc.constantFrom('square' as const, 'turned' as const), (pose, brackets) => {
        const at = { ...pose, z: pose.z - RADIUS + rig.tireRadius };
        // The independent turn is about its own radius: shift what it turns by the difference.
        const lift = rig.tireRadius - RADIUS;
        for (const link of linksOf(rig)) {
          const joints = { ...jointsOf({}, link.id), brackets };
          const found = misalignment(rig, link, joints, at);
          const low = ([x, y, z]: Point): Point => [x, y, z - lift];
          const shifted = { ...link, chassis: low(link.chassis), axle: low(link.axle) };
          const bolt = boltOf(link, brackets === 'turned');
          expect(found.chassis).toBeCloseTo(independent(shifted, bolt, pose, false), 5);
          expect(found.axle).toBeCloseTo(independent(shifted, bolt, pose, true), 5);
        }
      }),
      { numRuns: 8 },
    );
  });

  test('turned to a level bar, an eye sits square at rest; a crossed pair is cocked by its lean in square ones', () => {
    const rest = (rig: Rig): Attitude => ({
      x: 0,
      y: 0,
      z: rig.tireRadius,
      rollDeg: 0,
      pitchDeg: 0,
      steerDeg: 0,
    });
    const rig = patternRig('triangulated-four-link');
    const upper = linksOf(rig).find((m) => m.id === 'upper-left')!;
    const joints = jointsOf({}, upper.id);
    const lean =
      (Math.atan2(Math.abs(upper.chassis[1] - upper.axle[1]), Math.abs(upper.chassis[0] - upper.axle[0])) *
        180) /
      Math.PI;
    expect(misalignment(rig, upper, { ...joints, brackets: 'turned' }, rest(rig)).chassis).toBeLessThan(1e-6);
    const square = misalignment(rig, upper, { ...joints, brackets: 'square' }, rest(rig));
    expect(square.chassis).toBeCloseTo(square.axle, 9);
    // Not quite the lean seen from above: the bar slopes too, and a longer bar leans less.
    expect(square.chassis).toBeLessThanOrEqual(lean + 1e-9);
    expect(square.chassis).toBeGreaterThan(0.95 * lean);
  });
});
