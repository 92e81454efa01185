import type { Rig } from '@/core/rig/schema';
import type { PoseSolver } from './solver';

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
  /** side-view instant centre [x, z], or null when the axle moves without pitching */
  instantCentre: [number, number] | null;
  bind: Record<string, number>;
  energy: number;
  members: Record<string, { length: number; angles: { chassis: number; axle: number } }>;
};
type Unreachable = { left: number; right: number; unreachable: { member: string; message: string } };
export type SweptPose = Pose | Unreachable;

export const isReached = (pose: SweptPose): pose is Pose => !('unreachable' in pose);

const DEGREES = 180 / Math.PI;
/** Pitch rates below this (rad/mm) put the instant centre a thousand kilometres off: parallel links. */
const PARALLEL = 1e-9;

/** Bar directions at ride height, chassis and axle axes, against which joint angles are measured. */
export type RideAttitude = { chassis: Float64Array; axle: Float64Array };

export function rideAttitude(solver: PoseSolver): RideAttitude {
  const { direction } = solver.residuals;
  return { chassis: Float64Array.from(direction), axle: inAxleAxes(solver) };
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
  const { R, z, rollPerPitch, rollPerLift, sinRoll } = residuals;
  const [x, y, pitch, steer] = q as unknown as [number, number, number, number];
  const members = describeMembers(solver, ride);
  const bind = describeBind(solver);
  const moves = solver.rates();
  const heave = moves ? motion(solver, 0, 1, 0) : null;
  const roll = moves ? motion(solver, 1, 0, rollPerLift) : null;

  function motion(s: PoseSolver, column: 0 | 1, vz: number, rollRate: number) {
    const dPitch = s.qRates[4 + column]!;
    const dSteer = s.qRates[6 + column]!;
    const dRoll = rollPerPitch * dPitch + rollRate;
    const cs = Math.cos(steer),
      ss = Math.sin(steer);
    return {
      vx: s.qRates[column]!,
      vy: s.qRates[2 + column]!,
      vz,
      wx: -ss * dPitch + R[0]! * dRoll,
      wy: cs * dPitch + R[3]! * dRoll,
      wz: dSteer + R[6]! * dRoll,
    };
  }

  const pose: Pose = {
    left,
    right,
    x,
    y,
    z,
    rollDeg: Math.asin(sinRoll) * DEGREES,
    pitchDeg: pitch * DEGREES,
    steerDeg: steer * DEGREES,
    rollCentreHeight: roll && linkage.tireRadius + roll.vy / roll.wx,
    rollSteer: roll && -roll.wz / roll.wx,
    instantCentre:
      heave && Math.abs(heave.wy) > PARALLEL ? [x + heave.vz / heave.wy, z - heave.vx / heave.wy] : null,
    bind,
    energy: solver.energy(),
    members,
  };
  if (rig.wheelbase !== undefined && rig.cgHeight !== undefined) {
    pose.antiSquatPct =
      heave && (-100 * (heave.vx - heave.wy * linkage.tireRadius) * rig.wheelbase) / rig.cgHeight;
  }
  return pose;
}

function describeMembers(solver: PoseSolver, ride: RideAttitude): Pose['members'] {
  const { residuals, linkage } = solver;
  const now = inAxleAxes(solver);
  return Object.fromEntries(
    linkage.ids.map((id, i) => [
      id,
      {
        length: linkage.length[i]! + residuals.r[i]!,
        angles: {
          chassis: angleBetween(residuals.direction, ride.chassis, 3 * i),
          axle: angleBetween(now, ride.axle, 3 * i),
        },
      },
    ]),
  );
}

function describeBind(solver: PoseSolver): Pose['bind'] {
  const { residuals, linkage, exact } = solver;
  return Object.fromEntries(linkage.ids.map((id, i) => [id, exact ? 0 : linkage.rate[i]! * residuals.r[i]!]));
}

/** Degrees between two unit vectors; by the tangent, which keeps its digits at small angles. */
function angleBetween(a: Float64Array, b: Float64Array, k: number): number {
  const cx = a[k + 1]! * b[k + 2]! - a[k + 2]! * b[k + 1]!;
  const cy = a[k + 2]! * b[k]! - a[k]! * b[k + 2]!;
  const cz = a[k]! * b[k + 1]! - a[k + 1]! * b[k]!;
  const dot = a[k]! * b[k]! + a[k + 1]! * b[k + 1]! + a[k + 2]! * b[k + 2]!;
  return Math.atan2(Math.hypot(cx, cy, cz), dot) * DEGREES;
}

function inAxleAxes(solver: PoseSolver): Float64Array {
  const { direction, R } = solver.residuals;
  const out = new Float64Array(direction.length);
  for (let k = 0; k < direction.length; k += 3) {
    for (let c = 0; c < 3; c++) {
      out[k + c] = R[c]! * direction[k]! + R[3 + c]! * direction[k + 1]! + R[6 + c]! * direction[k + 2]!;
    }
  }
  return out;
}
