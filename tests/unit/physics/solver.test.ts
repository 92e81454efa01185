import { unsound } from '../../support/numbers';
import fc from 'fast-check';
import { assemble } from '@/core/kinematics/mechanism';
import { solveRig } from '@/core/bench/solveRig';
import { axleToChassis, chassisToAxle } from '@/core/kinematics/attitude';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { isReached, type Pose } from '@/core/kinematics/pose';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import type { Rig } from '@/core/rig/schema';
import { randomThreeLink, randomTravel, threeLink, withEnds } from '../../support/rigs/rigs';
import type { Point } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';

const distance = (a: Point, b: Point) => Math.hypot(...a.map((v, k) => v - b[k]!));

test('every reached pose keeps every bar’s length to 1e-9 mm and lifts the wheels exactly', () => {
  fc.assert(
    fc.property(randomThreeLink, randomTravel, (rig, travel) => {
      const pose = assemble(rig).at(travel);
      fc.pre(isReached(pose));
      const place = axleToChassis(pose as Pose, rig.tireRadius);
      for (const m of linksOf(rig))
        expect(Math.abs(distance(m.chassis, place(m.axle)) - distance(m.chassis, m.axle))).toBeLessThan(1e-9);
      expect(place([0, rig.track / 2, rig.tireRadius])[2] - rig.tireRadius).toBeCloseTo(travel.left, 9);
      expect(place([0, -rig.track / 2, rig.tireRadius])[2] - rig.tireRadius).toBeCloseTo(travel.right, 9);
    }),
  );
});

test('the ride pose of bars at their drawn lengths is the drawing itself', () => {
  fc.assert(
    fc.property(randomThreeLink, (rig) => {
      const { ride } = assemble(rig);
      expect(
        [ride.x, ride.y, ride.rollDeg, ride.pitchDeg, ride.steerDeg].every((v) => Math.abs(v) < 1e-9),
      ).toBe(true);
    }),
  );
});

test('the mirror image of a rig moves as the mirror image', () => {
  const flip = (p: Point): Point => [p[0], -p[1], p[2]];
  fc.assert(
    fc.property(randomThreeLink, randomTravel, (rig, { left, right }) => {
      const mirrored = {
        ...rig,
        members: linksOf(rig).map((m) => ({ ...m, chassis: flip(m.chassis), axle: flip(m.axle) })),
      };
      const [a, b] = [assemble(rig).at({ left, right }), assemble(mirrored).at({ left: right, right: left })];
      fc.pre(isReached(a) && isReached(b));
      if (!isReached(a) || !isReached(b)) return;
      expect(b.y).toBeCloseTo(-a.y, 7);
      expect(b.x).toBeCloseTo(a.x, 7);
      expect(b.steerDeg).toBeCloseTo(-a.steerDeg, 7);
      expect(b.rollCentreHeight!).toBeCloseTo(a.rollCentreHeight!, 5);
      expect(b.rollSteer!).toBeCloseTo(a.rollSteer!, 7);
    }),
  );
});

test('a grid gives the same poses as one by one, and marks what is out of reach', () => {
  const rig = threeLink();
  const solver = new PoseSolver(compileLinkage(rig));
  const lifts = Float64Array.from({ length: 9 }, (_, i) => -800 + 200 * i);
  const out = new Float64Array(9 * 9 * 4);
  solver.solveGrid(lifts, lifts, out);
  const { at } = assemble(rig);
  let beyond = 0;
  for (let i = 0; i < 9; i++)
    for (let j = 0; j < 9; j++) {
      const pose = at({ left: lifts[i]!, right: lifts[j]! });
      const [x, y] = out.subarray((i * 9 + j) * 4);
      if (isReached(pose)) {
        expect(x).toBeCloseTo(pose.x, 8);
        expect(y).toBeCloseTo(pose.y, 8);
      } else {
        beyond++;
        expect(x).toBeNaN();
      }
    }
  expect(beyond).toBeGreaterThan(0);
  expect(beyond).toBeLessThan(81);
});

test('a short bar that runs out is named, and the other poses stand', () => {
  const rig = withEnds(threeLink(), 'panhard', { chassis: [-170, 100, 360], axle: [-170, -20, 360] });
  const { sweep } = solveRig({
    ...rig,
    sweep: [
      { left: 60, right: 60 },
      { left: 200, right: 200 },
      { left: 900, right: -900 },
    ],
  });
  expect(isReached(sweep[0]!)).toBe(true);
  expect(sweep[1]).toMatchObject({ left: 200, right: 200, unreachable: { member: 'panhard' } });
  expect(sweep[2]).toMatchObject({ unreachable: { message: expect.stringContaining('track') } });
  expect(unsound(sweep)).toEqual([]);
});

test.each([
  ['panhard', 'sideways'],
  ['upper', 'pinion'],
  ['lower-left', ''],
])('without the %s the free motion is named', (id, word) => {
  const rig = threeLink();
  const loose = { ...rig, members: rig.members.filter((m) => m.id !== id) };
  expect(() => assemble(loose)).toThrow(/nothing stops the axle/);
  expect(() => assemble(loose)).toThrow(new RegExp(word));
});

test('three links all in one plane with the bar leave pitch free although there are four', () => {
  const level = (y: number): { chassis: Point; axle: Point } => ({
    chassis: [600, y, 330],
    axle: [0, y, 330],
  });
  let rig = withEnds(threeLink(), 'lower-left', level(500));
  rig = withEnds(withEnds(rig, 'lower-right', level(-500)), 'upper', level(0));
  rig = withEnds(rig, 'panhard', { chassis: [0, 480, 330], axle: [0, -480, 330] });
  expect(() => assemble(rig)).toThrow(/pinion up and down/);
});

describe('more bars than motions', () => {
  const parallel = (y: number, z: number): { chassis: Point; axle: Point } => ({
    chassis: [560, y, z],
    axle: [0, y, z],
  });
  const fourLink: Rig = threeLink({
    members: [
      { type: 'link', id: 'll', ...parallel(500, 270) },
      { type: 'link', id: 'lr', ...parallel(-500, 270) },
      { type: 'link', id: 'ul', ...parallel(420, 470) },
      { type: 'link', id: 'ur', ...parallel(-420, 470), rate: 8000 },
      { type: 'link', id: 'pan', chassis: [-170, 470, 370], axle: [-170, -455, 352] },
    ],
  });

  test('heave of equal parallel links binds nothing; roll binds, and the pose is the least of the stored energy', () => {
    const { at } = assemble(fourLink);
    const heave = at({ left: 60, right: 60 }) as Pose;
    expect(heave.energy).toBeLessThan(1);
    const roll = at({ left: 60, right: -60 }) as Pose;
    expect(roll.energy).toBeGreaterThan(0);
    const stored = (p: Pose) => {
      const place = axleToChassis(p, fourLink.tireRadius);
      return linksOf(fourLink).reduce(
        (e, m) =>
          e +
          0.5 * (m.rate ?? 20000) * (distance(m.chassis, place(m.axle)) - distance(m.chassis, m.axle)) ** 2,
        0,
      );
    };
    expect(stored(roll)).toBeCloseTo(roll.energy, 6);
    // Wheel travel is imposed, so x, y and steer may be varied freely at fixed roll and pitch.
    for (const [key, step] of [
      ['x', 1e-3],
      ['y', 1e-3],
      ['steerDeg', 1e-4],
    ] as const) {
      for (const sign of [1, -1])
        expect(stored({ ...roll, [key]: roll[key] + sign * step })).toBeGreaterThanOrEqual(
          roll.energy - 1e-9,
        );
    }
  });

  test('rates of a bound pose agree with finite differences', () => {
    const { at } = assemble(fourLink);
    const [l, r] = [50, -30];
    const pose = at({ left: l, right: r }) as Pose;
    const h = 0.01;
    const [up, down] = [at({ left: l + h, right: r - h }) as Pose, at({ left: l - h, right: r + h }) as Pose];
    const roll = ((up.rollDeg - down.rollDeg) * Math.PI) / 180;
    expect(pose.rollCentreHeight!).toBeCloseTo(fourLink.tireRadius + (up.y - down.y) / roll, 1);
  });
});

test('a point carried to a pose and seen from the axle is where it began', () => {
  const angle = fc.double({ min: -40, max: 40, noNaN: true });
  const place = fc.double({ min: -500, max: 500, noNaN: true });
  fc.assert(
    fc.property(
      fc.tuple(place, place, place),
      fc.tuple(place, place, place),
      fc.tuple(angle, angle, angle),
      (p, [x, y, z], [rollDeg, pitchDeg, steerDeg]) => {
        const pose = { x, y, z, rollDeg, pitchDeg, steerDeg };
        chassisToAxle(
          pose,
          330,
        )(axleToChassis(pose, 330)(p)).forEach((v, k) => expect(v).toBeCloseTo(p[k]!, 8));
      },
    ),
  );
});
