import type { Rig } from '@/core/rig/schema';
import { bumpSteer, wheelSteer } from './bumpSteer';
import { describeDriveshaft, type Driveshaft } from './driveshaft';
import { Kind } from '@/core/kinematics/solver/linkage';
import { memberForces } from './memberForces';
import type { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { toDegrees } from '@/core/geometry/angle';
import { kindOf } from '@/core/rig/members/members';

/** What one pose of the axle means to the car. Lengths mm, angles degrees; signs as ISO 8855. */
export type Pose = {
  left: number;
  right: number;
  x: number;
  y: number;
  z: number;
  rollDeg: number;
  pitchDeg: number;
  steerDeg: number;
  /** height above the ground, mm; null at a dead centre */
  rollCentreHeight: number | null;
  /** degrees of steer per degree of body roll; positive is rear roll understeer */
  rollSteer: number | null;
  antiSquatPct?: number | null;
  /** of a rear axle with its brakes on it: what the rear's share of the braking makes of it */
  antiLiftPct?: number | null;
  /** side-view instant centre [x, z], or null when the axle moves without pitching */
  instantCentre: [number, number] | null;
  /** force that each member stores because it is asked for more than it can give, N */
  bind: Record<string, number>;
  /** wind-up moments of leaves, N·mm */
  bindMoment?: Record<string, number>;
  energy: number;
  /** how far the axle's tube is twisted from wheel to wheel, nose down on the left positive, where it twists */
  twistDeg?: number;
  members: Record<string, { length: number; angles: { chassis: number; axle: number } }>;
  driveshaft?: Driveshaft;
  /** turn of a front knuckle, left positive; null where the drag link cannot follow */
  bumpSteerDeg?: number | null;
  /** turn of the road wheels, left positive: the axle’s and the knuckles’ together */
  wheelSteerDeg?: number | null;
};
type Unreachable = { left: number; right: number; unreachable: { member: string; message: string } };
export type SweptPose = Pose | Unreachable;

export const isReached = (pose: SweptPose): pose is Pose => !('unreachable' in pose);

/** Pitch rates below this (rad/mm) put the instant centre a thousand kilometres off: parallel links. */
const PARALLEL = 1e-9;

/** The axle as it stands at ride height, against which joint angles are measured: bar directions in both bodies' axes. */
export type RideAttitude = { chassis: Float64Array; axle: Float64Array; R: Float64Array };

export function rideAttitude(solver: PoseSolver): RideAttitude {
  const { force, R } = solver.residuals;
  return { chassis: Float64Array.from(force), axle: inAxleAxes(solver), R: Float64Array.from(R) };
}

/**
 * Works out everything that follows from the pose the solver stands at.
 *
 * Velocities come from the implicit function theorem at the solved pose: pure heave lifts both wheels alike, pure roll
 * lifts the left as the right falls. Roll centre: SAE J670, kinematic case. Roll steer: the slope of the roll axis.
 * Anti-squat: path of the contact patch with the wheel locked to the axle (Milliken & Milliken ch. 17).
 */
export function describePose(rig: Rig, solver: PoseSolver, ride: RideAttitude): Pose {
  const { residuals, q, linkage, left, right } = solver;
  const { z, sinRoll } = residuals;
  const x = q[0]!;
  const y = q[1]!;
  const members = describeMembers(rig, solver, ride);
  const stored = memberForces(rig, linkage, solver.tensions());
  const moves = solver.rates();
  const heave = moves ? motion(solver, 0, 1, 0) : null;
  const roll = moves ? motion(solver, 1, 0, residuals.rollPerLift) : null;

  const pose: Pose = {
    left,
    right,
    x,
    y,
    z,
    rollDeg: toDegrees(Math.asin(sinRoll)),
    pitchDeg: toDegrees(q[2]!),
    steerDeg: toDegrees(q[3]!),
    rollCentreHeight: roll && linkage.tireRadius + roll.vy / roll.wx,
    rollSteer: roll && -roll.wz / roll.wx,
    instantCentre:
      heave && Math.abs(heave.wy) > PARALLEL ? [x + heave.vz / heave.wy, z - heave.vx / heave.wy] : null,
    bind: stored.forces,
    energy: solver.energy(),
    members,
  };
  if (linkage.twists) pose.twistDeg = toDegrees(q[solver.n - 1]!);
  if (Object.keys(stored.moments).length) pose.bindMoment = stored.moments;
  if (rig.wheelbase !== undefined && rig.cgHeight !== undefined) {
    pose.antiSquatPct =
      heave && (-100 * (heave.vx - heave.wy * linkage.tireRadius) * rig.wheelbase) / rig.cgHeight;
    if (rig.brakes && rig.end === 'rear')
      pose.antiLiftPct = pose.antiSquatPct === null ? null : rig.brakes.rearShare * pose.antiSquatPct;
  }
  if (rig.driveshaft) pose.driveshaft = describeDriveshaft(rig.driveshaft, pose, rig.tireRadius);
  if (rig.steering && rig.end === 'front') {
    pose.bumpSteerDeg = bumpSteer(rig.steering, pose, rig.tireRadius);
    if (rig.version > 1) pose.wheelSteerDeg = wheelSteer(pose.steerDeg, pose.bumpSteerDeg);
  }
  return pose;
}

/**
 * Anti-squat of an axle that drives the car from behind, %; null of a front axle, where what drives and brakes is another matter, and
 * where the rig does not tell what it hangs on.
 */
export const antiSquatOf = ({ end }: Rig, { antiSquatPct }: Pose): number | null =>
  end === 'rear' ? (antiSquatPct ?? null) : null;

type Motion = { vx: number; vy: number; vz: number; wx: number; wy: number; wz: number };

/** Velocity of the axle's centre and rotation of the axle, per unit of one of the two rates. */
function motion(solver: PoseSolver, column: 0 | 1, vz: number, rollRate: number): Motion {
  const { R, rollPerPitch } = solver.residuals;
  const steer = solver.q[3]!;
  const dPitch = solver.qRates[4 + column]!;
  const dRoll = rollPerPitch * dPitch + rollRate;
  return {
    vx: solver.qRates[column]!,
    vy: solver.qRates[2 + column]!,
    vz,
    wx: -Math.sin(steer) * dPitch + R[0]! * dRoll,
    wy: Math.cos(steer) * dPitch + R[3]! * dRoll,
    wz: solver.qRates[6 + column]! + R[6]! * dRoll,
  };
}

/**
 * Length and joint angles of each member. Links, leaves and the links of a crank are measured along their bars (the farther
 * turned of a crank's two); arms rigid to the axle turn at the chassis by as much as the axle itself.
 */
function describeMembers(rig: Rig, solver: PoseSolver, ride: RideAttitude): Pose['members'] {
  const { residuals, linkage } = solver;
  const onAxle = inAxleAxes(solver);
  const members: Pose['members'] = {};
  let at = 0;
  rig.members.forEach((member, i) => {
    const rows = linkage.rowsOfMember[i]!;
    const pin = kindOf(member).pin?.(member);
    members[member.id] = pin
      ? { length: armLength(pin, solver), angles: { chassis: turnBetween(residuals.R, ride.R), axle: 0 } }
      : barAngles(at, rows);
    at += rows;
  });
  return members;

  /** Of a member's rows that are bars, the one turned farthest at the chassis. */
  function barAngles(first: number, rows: number): Pose['members'][string] {
    let farthest: Pose['members'][string] | null = null;
    for (let i = first; i < first + rows; i++) {
      if (!isBar(linkage.kind[i]!)) continue;
      const chassis = angleBetween(residuals.force, ride.chassis, 3 * i);
      if (farthest && farthest.angles.chassis >= chassis) continue;
      const axle = angleBetween(onAxle, ride.axle, 3 * i);
      farthest = { length: linkage.length[i]! + residuals.r[i]!, angles: { chassis, axle } };
    }
    return farthest!;
  }
}

const isBar = (kind: number) =>
  kind === Kind.link || kind === Kind.crankOnAxle || kind === Kind.crankOnChassis;

function armLength(pin: readonly number[], { q, residuals }: PoseSolver): number {
  return Math.hypot(pin[0]! - q[0]!, pin[1]! - q[1]!, pin[2]! - residuals.z);
}

/** Degrees between two unit vectors; by the tangent, which keeps its digits at small angles. */
function angleBetween(a: Float64Array, b: Float64Array, k: number): number {
  const cx = a[k + 1]! * b[k + 2]! - a[k + 2]! * b[k + 1]!;
  const cy = a[k + 2]! * b[k]! - a[k]! * b[k + 2]!;
  const cz = a[k]! * b[k + 1]! - a[k + 1]! * b[k]!;
  const dot = a[k]! * b[k]! + a[k + 1]! * b[k + 1]! + a[k + 2]! * b[k + 2]!;
  return toDegrees(Math.atan2(Math.sqrt(cx * cx + cy * cy + cz * cz), dot));
}

/** Degrees of the one turn that takes one attitude to the other. */
function turnBetween(a: Float64Array, b: Float64Array): number {
  let trace = 0;
  const t = (i: number, j: number) =>
    a[3 * i]! * b[3 * j]! + a[3 * i + 1]! * b[3 * j + 1]! + a[3 * i + 2]! * b[3 * j + 2]!;
  for (let i = 0; i < 3; i++) trace += t(i, i);
  const sine = Math.hypot(t(2, 1) - t(1, 2), t(0, 2) - t(2, 0), t(1, 0) - t(0, 1));
  return toDegrees(Math.atan2(sine, trace - 1));
}

function inAxleAxes(solver: PoseSolver): Float64Array {
  const { force, R } = solver.residuals;
  const out = new Float64Array(force.length);
  for (let k = 0; k < force.length; k += 3) {
    for (let c = 0; c < 3; c++) {
      out[k + c] = R[c]! * force[k]! + R[3 + c]! * force[k + 1]! + R[6 + c]! * force[k + 2]!;
    }
  }
  return out;
}
