import fc from 'fast-check';
import { acos, cross as crossOf, dot as dotOf, norm, subtract } from 'mathjs';
import { describeDriveshaft } from '@/core/kinematics/driveshaft';
import { axleToChassis, type Attitude } from '@/core/kinematics/attitude';
import { assemble } from '@/core/kinematics/mechanism';
import { linksOf } from '@/core/rig/members/members';
import { partnerOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { solveLoad, type LoadCase } from '@/core/statics/equilibrium';
import type { Point } from '@/core/geometry/vector';
import { everyLayout } from '../support/layouts';

const newtons = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
const vectors = fc.tuple(newtons(6000), newtons(5000), newtons(9000)) as fc.Arbitrary<Point>;
const seats = fc.record({
  out: fc.integer({ min: 350, max: 600 }),
  ahead: fc.integer({ min: -120, max: 120 }),
  height: fc.integer({ min: 220, max: 420 }),
});
const cases: fc.Arbitrary<LoadCase> = fc
  .record({ left: vectors, right: vectors, seat: seats, shaftTorque: newtons(900_000), inertia: vectors })
  .map(({ left, right, seat, shaftTorque, inertia }) => ({
    name: 'any',
    wheel: { left, right },
    springs: { left: [seat.ahead, seat.out, seat.height], right: [seat.ahead, -seat.out, seat.height] },
    shaftTorque,
    inertia,
  }));
const linked = everyLayout.filter(([, rig]) => rig.members.every((m) => m.type === 'link'));

/** All that acts on the axle, each force with the point it acts at, and the torques: by hand, from the answer. */
function actingOn(rig: Rig, load: LoadCase) {
  const answer = solveLoad(assemble(rig), load)!;
  const half = rig.track / 2;
  const forces: [Point, Point][] = [
    [load.wheel.left, [0, half, 0]],
    [load.wheel.right, [0, -half, 0]],
    [load.inertia!, [0, 0, rig.tireRadius]],
    [[0, 0, -answer.springLeft], load.springs.left],
    [[0, 0, -answer.springRight], load.springs.right],
    ...linksOf(rig).map(({ id, chassis, axle }): [Point, Point] => {
      const along = subtract(chassis, axle) as Point;
      const share = answer.members[id]! / (norm(along) as number);
      return [along.map((v) => v * share) as Point, axle];
    }),
  ];
  return { answer, forces };
}

// Newton's first law, by npm mathjs: forces and moments about any point add up to nothing.
describe.each(linked)('%s under any load', (_, rig) => {
  test('stands in equilibrium: forces, and moments about a point of no account', () => {
    fc.assert(
      fc.property(cases, fc.tuple(newtons(500), newtons(500), newtons(500)), (load, about) => {
        const { forces } = actingOn(rig, load);
        const size = Math.max(...forces.map(([f]) => norm(f) as number)) + 1;
        for (const axis of [0, 1, 2] as const)
          expect(Math.abs(forces.reduce((sum, [f]) => sum + f[axis], 0))).toBeLessThan(1e-8 * size);
        const moments = forces.map(([f, at]) => crossOf(subtract(at, about), f) as number[]);
        moments.push([load.shaftTorque, 0, 0]);
        for (const axis of [0, 1, 2])
          expect(Math.abs(moments.reduce((sum, m) => sum + m[axis]!, 0))).toBeLessThan(1e-5 * size);
      }),
      { numRuns: 40 },
    );
  });

  test('twice the load is twice the force, and two loads together are the sum of theirs', () => {
    fc.assert(
      fc.property(cases, cases, fc.double({ min: -3, max: 3, noNaN: true }), (a, b, k) => {
        const mechanism = assemble(rig);
        const mixed = (x: Point, y: Point) => x.map((v, i) => v + k * y[i]!) as Point;
        const together: LoadCase = {
          ...a,
          wheel: { left: mixed(a.wheel.left, b.wheel.left), right: mixed(a.wheel.right, b.wheel.right) },
          shaftTorque: a.shaftTorque + k * b.shaftTorque,
          inertia: mixed(a.inertia!, b.inertia!),
        };
        const [one, other, sum] = [a, { ...b, springs: a.springs }, together].map((l) =>
          solveLoad(mechanism, l)!,
        );
        for (const id of Object.keys(sum!.members))
          expect(sum!.members[id]!).toBeCloseTo(one!.members[id]! + k * other!.members[id]!, 4);
        expect(sum!.springLeft).toBeCloseTo(one!.springLeft + k * other!.springLeft, 4);
      }),
      { numRuns: 20 },
    );
  });

  test('the mirrored car under the mirrored load carries the mirrored forces', () => {
    const flip = ([x, y, z]: Point): Point => [x, -y, z];
    const mirrored: Rig = {
      ...rig,
      obstacles: [],
      members: rig.members.map((m) =>
        m.type === 'link'
          ? { ...m, id: partnerOf(m.id) ?? m.id, chassis: flip(m.chassis), axle: flip(m.axle) }
          : m,
      ),
    };
    fc.assert(
      fc.property(cases, (load) => {
        const other: LoadCase = {
          ...load,
          wheel: { left: flip(load.wheel.right), right: flip(load.wheel.left) },
          springs: { left: flip(load.springs.right), right: flip(load.springs.left) },
          // A torque about x turns the other way in a mirror.
          shaftTorque: -load.shaftTorque,
          inertia: flip(load.inertia!),
        };
        const [a, b] = [solveLoad(assemble(rig), load)!, solveLoad(assemble(mirrored), other)!];
        for (const [id, force] of Object.entries(a.members))
          expect(b.members[partnerOf(id) ?? id]).toBeCloseTo(force, 4);
        expect(b.springLeft).toBeCloseTo(a.springRight, 4);
      }),
      { numRuns: 20 },
    );
  });
});

test.each(everyLayout)('%s: springs carry straight down what nothing else can, at rest', (_, rig) => {
  const load: LoadCase = {
    name: 'weight',
    wheel: { left: [0, 0, 3000], right: [0, 0, 3000] },
    springs: { left: [0, 480, 320], right: [0, -480, 320] },
    shaftTorque: 0,
  };
  const { springLeft, springRight, members } = solveLoad(assemble(rig), load)!;
  expect(springLeft).toBeCloseTo(springRight, 3);
  expect(springLeft + springRight).toBeCloseTo(6000, 3);
  // Spring seats straight under the wheels’ axis: nothing pushes any member.
  for (const force of Object.values(members)) expect(Math.abs(force)).toBeLessThan(1);
});

test('springs on one line with the axle’s own motion carry nothing: that is said by no answer', () => {
  const [, rig] = linked[0]!;
  const load: LoadCase = {
    name: 'one seat',
    wheel: { left: [0, 0, 3000], right: [0, 0, 3000] },
    springs: { left: [0, 300, 320], right: [0, 300, 320] },
    shaftTorque: 0,
  };
  expect(solveLoad(assemble(rig), load)).toBeNull();
});

// Definition of the joint angles and of plunge, by npm mathjs.
describe('the driveshaft', () => {
  const angle = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
  const poses: fc.Arbitrary<Attitude> = fc.record({
    x: angle(20),
    y: angle(20),
    z: angle(80).map((v) => 330 + v),
    rollDeg: angle(6),
    pitchDeg: angle(5),
    steerDeg: angle(2),
  });
  const shafts = fc.record({
    transmission: fc.tuple(
      fc.double({ min: 900, max: 1800, noNaN: true }),
      angle(80),
      fc.double({ min: 250, max: 600, noNaN: true }),
    ) as fc.Arbitrary<Point>,
    transmissionAngleDeg: angle(8),
    pinion: fc.tuple(
      fc.double({ min: 150, max: 350, noNaN: true }),
      angle(80),
      fc.double({ min: 280, max: 420, noNaN: true }),
    ) as fc.Arbitrary<Point>,
    pinionAngleDeg: angle(8),
  });
  const pointing = (deg: number): Point => [
    Math.cos((deg * Math.PI) / 180),
    0,
    -Math.sin((deg * Math.PI) / 180),
  ];
  const between = (a: Point, b: Point) =>
    ((acos(Math.min(1, Math.abs(dotOf(a, b)) / ((norm(a) as number) * (norm(b) as number)))) as number) *
      180) /
    Math.PI;

  test('its joints work through the angles between shaft and yokes, and it slides by what its ends part', () => {
    fc.assert(
      fc.property(shafts, poses, (shaft, pose) => {
        const place = axleToChassis(pose, 330);
        const rear = place(shaft.pinion);
        const line = subtract(shaft.transmission, rear) as Point;
        const nose = subtract(
          place(shaft.pinion.map((v, k) => v + pointing(shaft.pinionAngleDeg)[k]!) as Point),
          rear,
        ) as Point;
        const found = describeDriveshaft(shaft, pose, 330);
        expect(found.frontAngleDeg).toBeCloseTo(between(line, pointing(shaft.transmissionAngleDeg)), 4);
        expect(found.rearAngleDeg).toBeCloseTo(between(line, nose), 4);
        expect(found.length).toBeCloseTo(norm(line) as number, 6);
        const rest = norm(subtract(shaft.transmission, shaft.pinion) as Point) as number;
        expect(found.plunge).toBeCloseTo(found.length - rest, 6);
      }),
    );
  });

  test('at ride height it has neither gone in nor come out', () => {
    const still: Attitude = { x: 0, y: 0, z: 330, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };
    fc.assert(
      fc.property(shafts, (shaft) => {
        expect(describeDriveshaft(shaft, still, 330).plunge).toBeCloseTo(0, 9);
      }),
    );
  });
});
