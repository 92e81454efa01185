import RAPIER from '@dimforge/rapier3d-compat';
import type { Rig, Travel } from '@/core/rig/schema';
import type { Point } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';

const M = 1000; // the engine likes metres
const STEPS = 4000;

type Settled = { x: number; y: number; z: number; worstJoint: number };

/**
 * The same linkage in a general-purpose rigid-body engine: the axle a free body, every link a body of its own between two
 * ball joints, the wheel centres held at their heights by joints that lock height alone. It is stepped, damped, to rest.
 */
export async function settleInRapier(rig: Rig, travel: Travel): Promise<Settled> {
  await RAPIER.init();
  const world = new RAPIER.World({ x: 0, y: 0, z: 0 });
  world.integrationParameters.numSolverIterations = 60;
  world.integrationParameters.dt = 1 / 240;
  const vec = (p: Point) => ({ x: p[0] / M, y: p[1] / M, z: p[2] / M });
  const body = (at: Point, mass: number) =>
    world.createRigidBody(
      RAPIER.RigidBodyDesc.dynamic()
        .setTranslation(at[0] / M, at[1] / M, at[2] / M)
        .setLinearDamping(4)
        .setAngularDamping(4)
        .setCanSleep(false)
        .setAdditionalMassProperties(
          mass,
          { x: 0, y: 0, z: 0 },
          { x: mass / 10, y: mass / 10, z: mass / 10 },
          { x: 0, y: 0, z: 0, w: 1 },
        ),
    );
  const ground = world.createRigidBody(RAPIER.RigidBodyDesc.fixed());
  const centre: Point = [0, 0, rig.tireRadius];
  const axle = body(centre, 1);
  const onAxle = (p: Point) => vec([p[0], p[1], p[2] - rig.tireRadius]);

  const checks = linksOf(rig).map((m) => {
    const middle = m.chassis.map((v, k) => (v + m.axle[k]!) / 2) as Point;
    const link = body(middle, 1);
    const from = (p: Point) => vec(p.map((v, k) => v - middle[k]!) as Point);
    world.createImpulseJoint(RAPIER.JointData.spherical(vec(m.chassis), from(m.chassis)), ground, link, true);
    world.createImpulseJoint(RAPIER.JointData.spherical(onAxle(m.axle), from(m.axle)), axle, link, true);
    return {
      length: Math.hypot(...m.chassis.map((v, k) => v - m.axle[k]!)),
      chassis: m.chassis,
      axle: onAxle(m.axle),
    };
  });

  const wheels = (
    [
      ['left', 1],
      ['right', -1],
    ] as const
  ).map(([side, sign]) => {
    const stand = world.createRigidBody(RAPIER.RigidBodyDesc.kinematicPositionBased());
    const hub: Point = [0, (sign * rig.track) / 2, rig.tireRadius];
    const joint = RAPIER.JointData.generic(
      { x: 0, y: 0, z: 0 },
      onAxle(hub),
      { x: 1, y: 0, z: 0 },
      RAPIER.JointAxesMask.LinZ,
    );
    world.createImpulseJoint(joint, stand, axle, true);
    stand.setTranslation({ x: 0, y: 0, z: rig.tireRadius / M }, true);
    return { stand, lift: travel[side] };
  });

  for (let i = 1; i <= STEPS; i++) {
    // Lift over the first half, then let it come to rest.
    const share = Math.min(1, (2 * i) / STEPS);
    for (const { stand, lift } of wheels)
      stand.setNextKinematicTranslation({ x: 0, y: 0, z: (rig.tireRadius + share * lift) / M });
    world.step();
  }
  const t = axle.translation();
  const q = axle.rotation();
  const worstJoint = Math.max(
    ...checks.map((c) => {
      const p = rotate(q, c.axle);
      return Math.abs(
        Math.hypot(
          (t.x + p.x) * M - c.chassis[0],
          (t.y + p.y) * M - c.chassis[1],
          (t.z + p.z) * M - c.chassis[2],
        ) - c.length,
      );
    }),
  );
  const settled = { x: t.x * M, y: t.y * M, z: t.z * M, worstJoint };
  world.free();
  return settled;
}

type V = { x: number; y: number; z: number };
function rotate(q: V & { w: number }, v: V): V {
  const [tx, ty, tz] = [
    2 * (q.y * v.z - q.z * v.y),
    2 * (q.z * v.x - q.x * v.z),
    2 * (q.x * v.y - q.y * v.x),
  ];
  return {
    x: v.x + q.w * tx + q.y * tz - q.z * ty,
    y: v.y + q.w * ty + q.z * tx - q.x * tz,
    z: v.z + q.w * tz + q.x * ty - q.y * tx,
  };
}
