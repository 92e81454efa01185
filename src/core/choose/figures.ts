import { antiSquatOf, describePose, rideAttitude, type Pose } from '@/core/kinematics/pose';
import { freeMotion } from '@/core/kinematics/solver/freeMotion';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { describeBar } from '@/core/rig/lateralBar';
import { lateralBarOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';

/**
 * What is chosen between: roll centre at ride height and how far it moves over the travel, mm; anti-squat of a rear axle, per cent; roll steer, degrees
 * for a degree; how far the axle goes sideways at most, mm; the rise of the bar across to its frame end and its length, mm; how far the
 * pinion (in front, the caster) turns over the travel, degrees; how far bumps steer at most, degrees; how far the slip joint goes, mm.
 */
export const FIGURES = [
  'rollCentre',
  'rollCentreMoves',
  'antiSquat',
  'rollSteer',
  'sideways',
  'barRise',
  'barLength',
  'turns',
  'bumpSteer',
  'plunge',
] as const;
export type FigureName = (typeof FIGURES)[number];
export type Figures = Record<FigureName, number | null>;

/** Where the axle is looked at, mm up from ride height: there, and at both ends of the travel it is driven over. */
export type Reach = { bump: number; droop: number };

/** How far two numbers or more are apart; null where one of them is not known. */
const range = (values: (number | null)[]): number | null =>
  values.some((v) => v === null)
    ? null
    : Math.max(...(values as number[])) - Math.min(...(values as number[]));

/**
 * The figures of a rig, by the solver that the command answers with; null where its members cannot be put together, or do not reach the
 * ends of its travel.
 *
 * @param lift mm that the axle stands above where it is drawn, as when springs settle
 */
export function figuresOf(rig: Rig, { bump, droop }: Reach, lift = 0): Figures | null {
  const solver = new PoseSolver(compileLinkage(rig));
  if (!solver.solve(lift, lift)) return null;
  const attitude = rideAttitude(solver);
  const at = (up: number): Pose | null =>
    solver.solveNext(up, up) ? describePose(rig, solver, attitude) : null;
  const poses = [at(lift), at(lift + bump), at(lift - droop)];
  const [ride, up, down] = poses;
  if (!ride || !up || !down) return null;
  const bar = lateralBarOf(rig);
  const drawn = bar && describeBar(bar);
  const steers = poses.map((pose) => pose!.wheelSteerDeg ?? pose!.bumpSteerDeg ?? null);
  const plunges = poses.map((pose) => pose!.driveshaft?.plunge ?? null);
  return {
    rollCentre: ride.rollCentreHeight,
    rollCentreMoves: range(poses.map((pose) => pose!.rollCentreHeight)),
    antiSquat: antiSquatOf(rig, ride),
    rollSteer: ride.rollSteer,
    sideways: Math.max(Math.abs(up.y - ride.y), Math.abs(down.y - ride.y)),
    barRise: drawn?.rise ?? null,
    barLength: drawn?.eyeToEye ?? null,
    turns: range(poses.map((pose) => pose!.pitchDeg)),
    bumpSteer:
      rig.end === 'front' && steers.every((v) => v !== null)
        ? Math.max(...steers.map((v) => Math.abs(v! - steers[0]!)))
        : null,
    plunge: range(plunges),
  };
}

/** Whether a rig's members hold every motion of its axle: asked once, as small changes of it do not change that. */
export function isHeld(rig: Rig): boolean {
  const { residuals, q } = new PoseSolver(compileLinkage(rig));
  residuals.evaluate(q, 0, 0);
  return freeMotion(residuals) === null;
}
