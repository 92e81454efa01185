import { assemble } from '@/core/kinematics/mechanism';
import type { Rig } from '@/core/rig/schema';
import { solveLoad } from '@/core/statics/equilibrium';
import { standardCases } from '@/core/statics/standardCases';
import { everyLayout } from '../support/layouts';
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
const springs = (rig: Rig, name: RegExp) => {
  const { springLeft, springRight } = solveLoad(assemble(rig), caseOf(rig, name))!;
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
  const { members } = solveLoad(assemble(rig), corner)!;
  // The links of the pattern lean a few degrees in plan, and take a little of it.
  expect(Math.abs(members.panhard!) / side).toBeGreaterThan(0.93);
  expect(Math.abs(members.panhard!) / side).toBeLessThan(1.07);
});
