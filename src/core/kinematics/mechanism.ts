import { InputError } from '@/core/rig/read';
import type { Rig, Travel } from '@/core/rig/schema';
import { describePose, rideAttitude, type Pose, type SweptPose } from './pose';
import { exhaustedRow, freeMotion } from './solver/freeMotion';
import { compileLinkage } from './solver/linkage';
import { PoseSolver } from './solver/poseSolver';

/** A rig assembled and ready to be moved: ask it for poses one after another; near ones cost least. */
export type Mechanism = {
  rig: Rig;
  ride: Pose;
  at: (travel: Travel) => SweptPose;
  /** the solver itself, standing at ride height */
  atRide: () => PoseSolver;
};

/**
 * Assembles a rig at ride height.
 *
 * @throws InputError when its members cannot be assembled there, or leave a motion free
 */
export function assemble(rig: Rig): Mechanism {
  const solver = new PoseSolver(compileLinkage(rig));
  solver.residuals.evaluate(solver.q, 0, 0);
  const free = freeMotion(solver.residuals);
  if (free) throw new InputError('members', `${free}; add a member that does`);
  if (!solver.solveRide()) {
    const member = limitingMember(solver);
    throw new InputError(
      'members',
      `cannot be put together at ride height: “${member}” does not reach; check its length and ends`,
    );
  }
  solver.solve(0, 0);
  const attitude = rideAttitude(solver);
  const ride = describePose(rig, solver, attitude);

  const at = (travel: Travel): SweptPose => {
    const { left, right } = travel;
    if (solver.solveNext(left, right)) return describePose(rig, solver, attitude);
    if (Math.abs(left - right) >= rig.track) {
      const message = 'the wheels’ heights differ by more than the track: no axle can stand like that';
      return { left, right, unreachable: { member: 'axle', message } };
    }
    const member = limitingMember(solver);
    const share = Math.round(100 * farthest(solver.left, solver.right, left, right));
    const message = `cannot reach: “${member}” runs out ${share} % of the way from ride height`;
    return { left, right, unreachable: { member, message } };
  };
  const atRide = (): PoseSolver => {
    solver.solve(0, 0);
    return solver;
  };
  return { rig, ride, at, atRide };
}

/** The member that can follow no farther than the pose the solver stands at. */
const limitingMember = (solver: PoseSolver): string => solver.linkage.ids[exhaustedRow(solver.residuals)]!;

function farthest(left: number, right: number, wantedLeft: number, wantedRight: number): number {
  return Math.hypot(left, right) / Math.hypot(wantedLeft, wantedRight);
}
