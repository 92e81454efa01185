import fc from 'fast-check';
import { all, create } from 'mathjs';
import { assemble } from '@/core/kinematics/mechanism';
import { axleToChassis } from '@/core/kinematics/attitude';
import { isReached, type Pose } from '@/core/kinematics/pose';
import type { Rig } from '@/core/rig/schema';
import { settleInRapier } from '../../support/rigs/rapier';
import { randomThreeLink, threeLink, withEnds } from '../../support/rigs/rigs';
import type { Point } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';

const INCH = 25.4;

function at(rig: Rig, left: number, right: number): Pose {
  const pose = assemble(rig).at({ left, right });
  if (!isReached(pose)) throw new Error(pose.unreachable.message);
  return pose;
}

describe('arc of a level bar', () => {
  // L − √(L² − z²), geometry of a circle; 40 in eye to eye and 3 in of bump give 0.1127 in: common practice, no published source.
  test('40 in eye to eye, 3 in of bump: 0.1127 in sideways', () => {
    const rig = withEnds(threeLink(), 'panhard', {
      chassis: [0, 20 * INCH, 370],
      axle: [0, -20 * INCH, 370],
    });
    // In the axle's own plane, so that pitch does not lift the axle end; straight links keep it there.
    const straight = ['lower-left', 'lower-right', 'upper'].reduce((r, id) => {
      const m = linksOf(r).find((x) => x.id === id)!;
      return withEnds(r, id, { chassis: [600, m.axle[1], m.axle[2]], axle: [0, m.axle[1], m.axle[2]] });
    }, rig);
    const shift = at(straight, 3 * INCH, 3 * INCH).y / INCH;
    expect(shift).toBeCloseTo(0.1127, 3);
    expect(shift).toBeCloseTo(40 - Math.sqrt(40 ** 2 - 3 ** 2), 3);
  });
});

describe('roll centre', () => {
  // Milliken & Milliken, Race Car Vehicle Dynamics (1995) ch. 17, from memory: with a panhard bar in the axle's plane the
  // roll centre is where the bar crosses the centreline.
  test('of a panhard bar in the plane of the axle is where the bar crosses the centreline', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 250, max: 500, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (height, rise) => {
          // Symmetrical links add no sideways component at the centreline.
          const rig = withEnds(
            withEnds(threeLink(), 'upper', { chassis: [520, 0, 470], axle: [30, 0, 500] }),
            'panhard',
            {
              chassis: [0, 480, height + rise],
              axle: [0, -480, height - rise],
            },
          );
          expect(assemble(rig).ride.rollCentreHeight).toBeCloseTo(height, 6);
        },
      ),
    );
  });
});

describe('roll axis', () => {
  // Definition of roll steer by the slope of the roll axis (SAE J670 terms; Milliken & Milliken ch. 17), from memory: found
  // here from displacements of a small finite roll, which the solver's own derivatives know nothing of.
  test('roll steer is minus the slope of the axis that the axle rolls about, for any linkage', () => {
    fc.assert(
      fc.property(randomThreeLink, (rig) => {
        const h = 0.05;
        const moving = assemble(rig);
        const [up, down] = [moving.at({ left: h, right: -h }), moving.at({ left: -h, right: h })];
        fc.pre(isReached(up) && isReached(down));
        if (!isReached(up) || !isReached(down)) return;
        const [placeUp, placeDown] = [axleToChassis(up, rig.tireRadius), axleToChassis(down, rig.tireRadius)];
        // A point of the centre plane on the axis does not move sideways: find its height at two places along the car.
        const height = (x: number) => {
          const sideways = (z: number) => placeUp([x, 0, z])[1] - placeDown([x, 0, z])[1];
          const [low, high] = [sideways(0), sideways(1000)];
          return (-1000 * low) / (high - low);
        };
        const slope = (height(400) - height(-400)) / 800;
        expect(-slope).toBeCloseTo(moving.ride.rollSteer!, 5);
        expect(height(0)).toBeCloseTo(moving.ride.rollCentreHeight!, 3);
      }),
      { numRuns: 60 },
    );
  });
});

describe('anti-squat', () => {
  // Gillespie, Fundamentals of Vehicle Dynamics (1992) ch. 7 and Milliken ch. 17, from memory: in two dimensions
  // 100 · (height / distance of the side-view instant centre) · wheelbase / height of the centre of gravity.
  test('agrees with the instant centre where upper and lower links meet in the side view', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: -60, max: -5, noNaN: true }),
        (lower, upper) => {
          const ends = (y: number, z: number, rise: number): { chassis: Point; axle: Point } => ({
            chassis: [600, y, z + rise],
            axle: [0, y, z],
          });
          let rig = threeLink();
          rig = withEnds(rig, 'lower-left', ends(500, 250, lower));
          rig = withEnds(rig, 'lower-right', ends(-500, 250, lower));
          rig = withEnds(rig, 'upper', ends(0, 480, upper));
          rig = withEnds(rig, 'panhard', { chassis: [0, 480, 330], axle: [0, -480, 330] });
          const meet = (480 - 250) / ((lower - upper) / 600);
          const height = 250 + (meet * lower) / 600;
          const { antiSquatPct, instantCentre } = assemble(rig).ride;
          expect(instantCentre![0]).toBeCloseTo(meet, 5);
          expect(instantCentre![1]).toBeCloseTo(height, 5);
          expect(antiSquatPct!).toBeCloseTo((100 * (height / meet) * 2800) / 540, 6);
        },
      ),
    );
  });
});

describe('against a general-purpose rigid-body engine', () => {
  // npm @dimforge/rapier3d-compat: links as bodies between ball joints, wheels held at height, stepped to rest.
  test.each([
    { left: 80, right: 80 },
    { left: -70, right: -70 },
    { left: 60, right: -60 },
    { left: 75, right: -20 },
  ])('the panhard sweep agrees to a thousandth of a millimetre at $left / $right', async (travel) => {
    const rig = threeLink();
    const ours = at(rig, travel.left, travel.right);
    const engine = await settleInRapier(rig, travel);
    expect(engine.worstJoint).toBeLessThan(1e-3);
    expect(Math.abs(engine.x - ours.x)).toBeLessThan(1e-3);
    expect(Math.abs(engine.y - ours.y)).toBeLessThan(1e-3);
    expect(Math.abs(engine.z - ours.z)).toBeLessThan(1e-3);
  });
});

describe('against a general matrix library', () => {
  // npm mathjs: rotation by quaternion, six unknowns, a numerical Jacobian and its own linear solver.
  const math = create(all!);
  test('positions and angles agree over random linkages', () => {
    fc.assert(
      fc.property(
        randomThreeLink,
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (rig, left, right) => {
          const ours = assemble(rig).at({ left, right });
          fc.pre(isReached(ours));
          if (!isReached(ours)) return;
          const [x, y, z, turn] = solveByQuaternion(rig, left, right);
          expect(ours.x).toBeCloseTo(x, 5);
          expect(ours.y).toBeCloseTo(y, 5);
          expect(ours.z).toBeCloseTo(z, 5);
          const place = axleToChassis(ours, rig.tireRadius);
          const p: Point = [300, 200, rig.tireRadius + 100];
          turn([300, 200, 100]).forEach((v, k) => expect(place(p)[k]).toBeCloseTo(v + [x, y, z][k]!, 5));
        },
      ),
      { numRuns: 40 },
    );
  });

  function solveByQuaternion(
    rig: Rig,
    left: number,
    right: number,
  ): [number, number, number, (p: number[]) => number[]] {
    let u = [0, 0, rig.tireRadius, 0, 0, 0]; // position and rotation vector
    const rotate = (w: number[]) => (p: number[]) => {
      const angle = Math.hypot(...w);
      if (angle < 1e-14) return p;
      const k = w.map((v) => v / angle);
      const cross = math.cross(k, p) as number[];
      const along = math.dot(k, p);
      return p.map(
        (v, i) => v * Math.cos(angle) + cross[i]! * Math.sin(angle) + k[i]! * along * (1 - Math.cos(angle)),
      );
    };
    const residuals = (s: number[]): number[] => {
      const turn = rotate(s.slice(3));
      const place = (p: Point) => turn([p[0], p[1], p[2] - rig.tireRadius]).map((v, k) => v + s[k]!);
      const links = linksOf(rig).map((m) => {
        const now = place(m.axle).map((v, k) => v - m.chassis[k]!);
        return Math.hypot(...now) - Math.hypot(...m.axle.map((v, k) => v - m.chassis[k]!));
      });
      const hub = (y: number) => place([0, y, rig.tireRadius])[2]!;
      return [
        ...links,
        hub(rig.track / 2) - rig.tireRadius - left,
        hub(-rig.track / 2) - rig.tireRadius - right,
      ];
    };
    for (let n = 0; n < 30; n++) {
      const r = residuals(u);
      if (Math.max(...r.map(Math.abs)) < 1e-10) break;
      const columns = u.map((v, j) => {
        const h = j < 3 ? 1e-3 : 1e-6;
        const [plus, minus] = [h, -h].map((d) => residuals(u.map((w, k) => (k === j ? v + d : w))));
        return plus!.map((p, i) => (p - minus![i]!) / (2 * h));
      });
      const step = math.lusolve(math.transpose(columns), r) as number[][];
      u = u.map((v, k) => v - step[k]![0]!);
    }
    return [u[0]!, u[1]!, u[2]!, rotate(u.slice(3))];
  }
});
