import { assemble } from '@/core/kinematics/mechanism';
import type { Rig } from '@/core/rig/schema';
import { solveLoad, type LoadCase } from '@/core/statics/equilibrium';
import { standardCases } from '@/core/statics/standardCases';
import { everyLayout } from '../support/layouts';
import { isReached } from '@/core/kinematics/pose';
import { linksOf } from '@/core/rig/members/members';
import { MASSES } from '../support/masses';

const G = 9.80665;
const rear = everyLayout.filter(
  ([, rig]) => rig.end === 'rear' && rig.members.every((m) => m.type !== 'leaf'),
);
const withMasses = (rig: Rig): Rig => ({ ...rig, masses: MASSES });
const caseOf = (rig: Rig, name: RegExp) =>
  standardCases({ rig: withMasses(rig), use: 'street', cornerG: 0.8, axleRatio: 3.5 }).find((c) =>
    name.test(c.name),
  )!;
/** What the springs carry of a case; without the axle's own inertia, as the books reckon, or with it. */
const springs = (rig: Rig, name: RegExp, inertia?: LoadCase['inertia']) => {
  const { springLeft, springRight } = solveLoad(assemble(rig), { ...caseOf(rig, name), inertia })!;
  return springLeft + springRight;
};

// Milliken & Milliken ch. 17 (from memory): of the weight that a launch moves to the rear, the links carry the share that is
// the anti-squat, and the springs the rest.
test.each(rear)('%s: the springs carry what the anti-squat leaves of the weight moved', (_id, rig) => {
  const still = (1 - MASSES.frontFraction) * MASSES.total * G;
  const sprung = still - MASSES.unsprungRear * G;
  const launch = caseOf(rig, /launch/);
  const pull = launch.wheel.left[0] + launch.wheel.right[0];
  const moved = (pull * rig.cgHeight!) / rig.wheelbase!;
  const share = assemble(rig).ride.antiSquatPct! / 100;
  expect(springs(rig, /launch/)).toBeCloseTo(sprung + moved * (1 - share), 3);
});

// Gillespie ch. 1 (from memory): F = μW/(1 − μh/L) for a driven rear axle; both axles together always stand on m·g.
test('weight moved lengthwise: the launch pulls what its grip allows, and nothing is lost', () => {
  const [, rig] = rear[0]!;
  const launch = caseOf(rig, /launch/);
  const on = launch.wheel.left[2] + launch.wheel.right[2] + MASSES.unsprungRear * G;
  const pull = launch.wheel.left[0] + launch.wheel.right[0];
  expect(pull).toBeCloseTo(0.9 * on, 6);
  const braking = caseOf(rig, /braking/);
  const left = braking.wheel.left[2] + braking.wheel.right[2] + MASSES.unsprungRear * G;
  const still = (1 - MASSES.frontFraction) * MASSES.total * G;
  expect(still - left).toBeCloseTo((0.9 * MASSES.total * G * rig.cgHeight!) / rig.wheelbase!, 6);
});

// Statics: nothing but the bar across the car holds a three-link axle sideways, so it carries what the ground pushes with.
test('in a corner the level bar across the car carries the whole side force', () => {
  const [, rig] = rear.find(([id]) => id === 'three-link-panhard')!;
  const corner = caseOf(rig, /turn/);
  const side = corner.wheel.left[1] + corner.wheel.right[1];
  const { members } = solveLoad(assemble(rig), { ...corner, inertia: undefined })!;
  // The links of the pattern lean a few degrees in plan, and take a little of it.
  expect(Math.abs(members.panhard!) / side).toBeGreaterThan(0.93);
  expect(Math.abs(members.panhard!) / side).toBeLessThan(1.07);
});

// Newton's second law: of what the ground gives, the axle keeps its own mass times the car's acceleration, and passes on the rest.
describe('the axle keeps its own mass times acceleration', () => {
  const accelerations: [name: RegExp, axis: 0 | 1][] = [
    [/launch/, 0],
    [/braking/, 0],
    [/turn/, 1],
  ];
  test.each(accelerations)('%s', (name, axis) => {
    for (const [, rig] of rear) {
      const load = caseOf(rig, name);
      const ground = load.wheel.left[axis] + load.wheel.right[axis];
      const acceleration = axis === 1 ? 0.8 * G : name.source === 'launch' ? ground / MASSES.total : -0.9 * G;
      expect(load.inertia![axis]).toBeCloseTo(-MASSES.unsprungRear * acceleration, 6);
      const { members } = solveLoad(assemble(rig), load)!;
      const passed = linksOf(rig).reduce((sum, { id, chassis, axle }) => {
        const along = chassis.map((v, k) => v - axle[k]!);
        return sum + (members[id]! * along[axis]!) / Math.hypot(...along);
      }, 0);
      if (rig.members.every((m) => m.type === 'link'))
        expect(passed).toBeCloseTo(-(ground + load.inertia![axis]), 3);
    }
  });

  test('at the height of its own centre: what it keeps moves no weight that the tyres would not feel', () => {
    // A three-link with level links carries a pull at the axle's centre by its height alone: two lowers and an upper.
    const [, rig] = rear.find(([id]) => id === 'parallel-four-link-panhard')!;
    const load = caseOf(rig, /launch/);
    const motion = assemble(rig);
    const lift = 0.01;
    const pose = motion.at({ left: lift, right: lift });
    if (!isReached(pose)) throw new Error('out of reach');
    // Virtual work: in heave the springs give way by the lift, and the pull at the centre by how far that moves ahead.
    const ahead = (pose.x - motion.ride.x) / lift;
    const change = springs(rig, /launch/, load.inertia) - springs(rig, /launch/);
    expect(change).toBeCloseTo(load.inertia![0] * ahead, 1);
  });
});

// Statics: an end cannot stand on more than the car weighs; at that, a = g·(distance of the centre of gravity)/(its height).
test('a tall short car on grippy tyres lifts its front wheels, and stands on its rear ones with all its weight', () => {
  const [, low] = rear[0]!;
  const tall = { ...low, cgHeight: 1100, wheelbase: 2300 };
  const grippy = (rig: Rig, name: RegExp, end: 'rear' | 'front' = 'rear') =>
    standardCases({ rig: { ...withMasses(rig), end }, use: 'drag', cornerG: 0.8, axleRatio: 3.5 }).find((c) =>
      name.test(c.name),
    )!;
  const launch = grippy(tall, /launch/);
  const weight = MASSES.total * G;
  const on = (load: LoadCase, own: number) => load.wheel.left[2] + load.wheel.right[2] + own * G;
  expect(on(launch, MASSES.unsprungRear)).toBeCloseTo(weight, 6);
  const pull = launch.wheel.left[0] + launch.wheel.right[0];
  expect(pull).toBeCloseTo((MASSES.frontFraction * weight * tall.wheelbase) / tall.cgHeight, 6);
  expect(pull).toBeLessThan(1.6 * weight);
  // Braking, the rear end lifts: the front one carries the car, the rear one nothing.
  expect(on(grippy(tall, /braking/), MASSES.unsprungRear)).toBeCloseTo(0, 6);
  expect(on(grippy(tall, /braking/, 'front'), MASSES.unsprungFront)).toBeCloseTo(weight, 6);
  // Low enough, grip is the limit, as it was.
  expect(on(grippy(low, /launch/), MASSES.unsprungRear)).toBeLessThan(weight);
});
