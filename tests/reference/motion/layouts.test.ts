import { toRadians } from '@/core/geometry/angle';
import { assemble } from '@/core/kinematics/mechanism';
import { axleToChassis } from '@/core/kinematics/attitude';
import { isReached, type Pose } from '@/core/kinematics/pose';
import type { Rig } from '@/core/rig/schema';
import { solveLoad } from '@/core/statics/equilibrium';
import { everyLayout, patternRig } from '../../support/layouts';
import { solveIndependently } from '../../support/rigs/independent';
import type { Point } from '@/core/geometry/vector';

const TRAVELS = [
  { left: 0, right: 0 },
  { left: 70, right: 70 },
  { left: -60, right: -60 },
  { left: 55, right: -45 },
  { left: 10, right: 60 },
];

function reached(rig: Rig, travel: { left: number; right: number }): Pose {
  const pose = assemble(rig).at(travel);
  if (!isReached(pose)) throw new Error(pose.unreachable.message);
  return pose;
}

// npm mathjs: rotation vector, multipliers for the wheels' heights, finite differences (tests/support/rigs/independent.ts).
describe.each(everyLayout)('%s against an independent solution', (_id, rig) => {
  test.each(TRAVELS)('at $left / $right', (travel) => {
    const ours = reached(rig, travel);
    const theirs = solveIndependently(rig, travel.left, travel.right);
    theirs.position.forEach((v, k) => expect([ours.x, ours.y, ours.z][k]).toBeCloseTo(v, 4));
    const place = axleToChassis(ours, rig.tireRadius);
    const far: Point = [400, 300, rig.tireRadius + 200];
    theirs
      .turn([400, 300, 200])
      .forEach((v, k) => expect(place(far)[k]).toBeCloseTo(v + theirs.position[k]!, 3));
    expect(Math.abs(ours.energy - theirs.energy)).toBeLessThan(1e-4 * theirs.energy + 1e-3);
    for (const [id, force] of Object.entries(theirs.bind)) {
      expect(Math.abs(ours.bind[id]! - force)).toBeLessThan(1e-3 * Math.abs(force) + 0.5);
    }
  });

  test('rates agree with a small finite motion of the independent solution', () => {
    const h = 0.2;
    const [l, r] = [30, 12];
    const ours = reached(rig, { left: l, right: r });
    const [up, down] = [solveIndependently(rig, l + h, r - h), solveIndependently(rig, l - h, r + h)];
    const roll =
      (up.turn([0, 1, 0])[2]! - down.turn([0, 1, 0])[2]!) /
      Math.hypot(...[0, 1, 2].map((k) => up.turn([0, 1, 0])[k]!));
    // A vanishing difference about x is the roll of the axle's own y axis, to the first order.
    const tilt = Math.cos((ours.rollDeg * Math.PI) / 180);
    const centre = rig.tireRadius + (up.position[1] - down.position[1]) / (roll / tilt);
    expect(ours.rollCentreHeight! / centre).toBeCloseTo(1, 2);
  });
});

/** Arms that give by three rates, a tube that twists, leaves that do, off the middle: what only version 2 of a rig file can say. */
const giving = everyLayout.flatMap(([id, rig]): [string, Rig][] => {
  const members = rig.members.map((m) =>
    m.type === 'rigid-arm' ? { ...m, rate: [2700, 190, 740] as [number, number, number] } : m,
  );
  const twisting: Rig = { ...rig, version: 2, axleTorsion: 5.6e7, members };
  const bare = members.filter((m) => m.id !== 'panhard');
  return [
    [`${id}, twisting`, twisting],
    ...(id.startsWith('leaf') ? [['leaves alone', { ...twisting, members: bare }] as [string, Rig]] : []),
  ];
});

// The same engine, with the tube's twist as one more unknown.
describe.each(giving)('%s against an independent solution', (_id, rig) => {
  test.each(TRAVELS)('at $left / $right', (travel) => {
    const ours = reached(rig, travel);
    const theirs = solveIndependently(rig, travel.left, travel.right);
    theirs.position.forEach((v, k) => expect([ours.x, ours.y, ours.z][k]).toBeCloseTo(v, 4));
    const place = axleToChassis(ours, rig.tireRadius);
    const far: Point = [400, 300, rig.tireRadius + 200];
    theirs
      .turn([400, 300, 200])
      .forEach((v, k) => expect(place(far)[k]).toBeCloseTo(v + theirs.position[k]!, 3));
    expect(Math.abs(toRadians(ours.twistDeg!) - theirs.twist)).toBeLessThan(1e-7);
    expect(Math.abs(ours.energy - theirs.energy)).toBeLessThan(1e-4 * theirs.energy + 1e-3);
    for (const [id, force] of Object.entries(theirs.bind))
      expect(Math.abs(ours.bind[id]! - force)).toBeLessThan(1e-3 * Math.abs(force) + 0.5);
  });
});

describe('virtual work', () => {
  // Gillespie ch. 7; Milliken & Milliken ch. 17, from memory: the share of a thrust at the ground that the members carry up is
  // what anti-squat counts. Motion and statics know nothing of each other here.
  test.each(everyLayout.filter(([, rig]) => rig.members.every((m) => m.type !== 'leaf')))(
    '%s: anti-squat from loads equals anti-squat from motion',
    (_id, rig) => {
      const thrust = 1000;
      const mechanism = assemble(rig);
      const spring: Point = [0, 500, 250];
      const loads = solveLoad(mechanism, {
        name: 'thrust',
        wheel: { left: [thrust / 2, 0, 0], right: [thrust / 2, 0, 0] },
        springs: { left: spring, right: [0, -500, 250] },
        shaftTorque: 0,
      })!;
      // The members push the axle down, and the springs give up as much: measured at the seats, which heave with the axle.
      const lift = -(loads.springLeft + loads.springRight);
      const fromLoads = ((100 * lift) / thrust) * (rig.wheelbase! / rig.cgHeight!);
      expect(fromLoads).toBeCloseTo(mechanism.ride.antiSquatPct!, 3);
    },
  );

  test('forces of an exactly held axle are statics alone: they do not know the rates', () => {
    const rig = patternRig('triangulated-four-link');
    const load = {
      name: 'corner',
      wheel: { left: [500, 900, 3000] as Point, right: [500, 1900, 5000] as Point },
      springs: { left: [40, 500, 250] as Point, right: [40, -500, 250] as Point },
      shaftTorque: 250_000,
    };
    const stiffer = { ...rig, members: rig.members.map((m, i) => ({ ...m, rate: 5000 * (i + 1) })) } as Rig;
    const [a, b] = [solveLoad(assemble(rig), load)!, solveLoad(assemble(stiffer), load)!];
    for (const id of Object.keys(a.members)) expect(a.members[id]).toBeCloseTo(b.members[id]!, 4);
    // The sum of what goes in and what comes out.
    const total: Point = [0, 0, 0];
    for (const m of rig.members) {
      if (m.type !== 'link') continue;
      const d = m.chassis.map((v, k) => v - m.axle[k]!);
      d.forEach((v, k) => (total[k]! += (a.members[m.id]! * v) / Math.hypot(...d)));
    }
    expect(total[0]).toBeCloseTo(-1000, 4);
    expect(total[1]).toBeCloseTo(-2800, 4);
    expect(total[2] - a.springLeft - a.springRight).toBeCloseTo(-8000, 4);
  });
});
