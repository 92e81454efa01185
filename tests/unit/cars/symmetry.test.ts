import fc from 'fast-check';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached, type Pose } from '@/core/kinematics/pose';
import { InputError, readRig } from '@/core/rig/read';
import type { Rig } from '@/core/rig/schema';
import { solveRig } from '@/core/bench/solveRig';
import { everyLayout } from '../../support/layouts';
import { carried } from '../../support/rigs/rigs';
import type { Point } from '@/core/geometry/vector';
import type { Member } from '@/core/rig/members/members';

const LIFT = { left: 41, right: -17 };

function poseOf(rig: Rig, travel = LIFT): Pose {
  const pose = assemble(rig).at(travel);
  if (!isReached(pose)) throw new Error('out of reach');
  return pose;
}

const angles = ({ rollDeg, pitchDeg, steerDeg }: Pose) => [rollDeg, pitchDeg, steerDeg];
const alike = (a: (number | null)[], b: (number | null)[], digits: number) =>
  a.forEach((v, i) => (v === null ? expect(b[i]).toBeNull() : expect(b[i]!).toBeCloseTo(v, digits)));

describe.each(everyLayout)('%s', (_id, rig) => {
  const pose = poseOf(rig);

  test('drawn higher off the floor, it moves as before and all heights grow alike', () => {
    const up = 83;
    const raised = carried({ ...rig, tireRadius: rig.tireRadius + up }, ([x, y, z]) => [x, y, z + up]);
    const higher = poseOf(raised);
    alike(
      [...angles(pose), pose.x, pose.y, pose.z + up],
      [...angles(higher), higher.x, higher.y, higher.z],
      7,
    );
    expect(higher.rollCentreHeight!).toBeCloseTo(pose.rollCentreHeight! + up, 5);
    expect(higher.energy).toBeCloseTo(pose.energy, 3);
  });

  test('in another unit of length, angles and shares stay and lengths scale', () => {
    const per = 1 / 25.4;
    const scaled = carried(
      {
        ...rig,
        tireRadius: rig.tireRadius * per,
        track: rig.track * per,
        wheelbase: rig.wheelbase! * per,
        cgHeight: rig.cgHeight! * per,
        // A wind-up spring's rate is a moment: it scales with the square of length beside rates that stay.
        members: rig.members.map((m): Member =>
          m.type === 'leaf' ? { ...m, windupRate: m.windupRate * per ** 2 } : m,
        ),
      },
      (p) => p.map((v) => v * per) as Point,
    );
    const inches = poseOf(scaled, { left: LIFT.left * per, right: LIFT.right * per });
    alike(angles(pose), angles(inches), 5);
    alike(
      [pose.x, pose.y, pose.rollCentreHeight],
      [inches.x / per, inches.y / per, inches.rollCentreHeight! / per],
      3,
    );
    expect(inches.antiSquatPct!).toBeCloseTo(pose.antiSquatPct!, 3);
    expect(inches.rollSteer!).toBeCloseTo(pose.rollSteer!, 5);
  });

  test('its mirror image moves as its mirror image', () => {
    const mirror = carried(rig, ([x, y, z]) => [x, -y, z]);
    const other = poseOf(mirror, { left: LIFT.right, right: LIFT.left });
    alike(
      [pose.x, -pose.y, pose.z, -pose.rollDeg, pose.pitchDeg, -pose.steerDeg],
      [other.x, other.y, other.z, ...angles(other)],
      7,
    );
    expect(other.rollCentreHeight!).toBeCloseTo(pose.rollCentreHeight!, 4);
    expect(other.rollSteer!).toBeCloseTo(pose.rollSteer!, 6);
  });
});

/** Every number in an answer, wherever it is. */
const numbersIn = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : typeof value === 'object' && value !== null
      ? Object.values(value).flatMap(numbersIn)
      : [];

// Points of a coarse grid make parallel, collinear and coplanar bars, and dead centres, more often than not.
test('degenerate linkages are refused in words or answered in numbers, never with NaN', () => {
  const coarse = fc.tuple(
    fc.integer({ min: -3, max: 3 }).map((n) => n * 200),
    fc.integer({ min: -2, max: 2 }).map((n) => n * 300),
    fc.integer({ min: 0, max: 2 }).map((n) => 150 + n * 150),
  ) as fc.Arbitrary<Point>;
  const bar = fc.record({ chassis: coarse, axle: coarse });
  let answered = 0;
  fc.assert(
    fc.property(
      fc.array(bar, { minLength: 3, maxLength: 6 }),
      fc.integer({ min: -200, max: 200 }),
      (bars, lift) => {
        const rig = {
          format: 'pellik.rig',
          version: 1,
          end: 'rear',
          tireRadius: 300,
          track: 1400,
          wheelbase: 2700,
          cgHeight: 500,
          members: bars.map((b, i) => ({ type: 'link', id: `l${i}`, ...b })),
          sweep: [
            { left: lift, right: lift },
            { left: lift, right: -lift },
          ],
        };
        try {
          const answer = solveRig(readRig(JSON.stringify(rig)));
          answered++;
          expect(numbersIn(answer).every(Number.isFinite)).toBe(true);
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
          expect(error.message).toMatch(/\w{3,}/);
        }
      },
    ),
    { numRuns: 400, seed: 7 },
  );
  expect(answered).toBeGreaterThan(20);
});
