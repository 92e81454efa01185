import { InputError } from '@/core/rig/read';
import type { Rig, Travel } from '@/core/rig/schema';
import { solveLoad, type LoadAnswer, type LoadCase } from '@/core/statics/loads';
import { exhaustedRow, freeMotion } from './freedom';
import { compileLinkage } from './linkage';
import { describePose, rideAttitude, type Pose, type SweptPose } from './pose';
import { PoseSolver } from './solver';

/** A rig made ready to be moved: ask it for poses one after another. */
export type MovingRig = {
  ride: Pose;
  at: (travel: Travel) => SweptPose;
  /** forces of a load case at ride height; null where nothing can carry it */
  under: (load: LoadCase) => LoadAnswer | null;
};

/**
 * Assembles a rig at ride height.
 *
 * @throws InputError when its members cannot be assembled there, or leave a motion free
 */
export function setInMotion(rig: Rig): MovingRig {
  const solver = new PoseSolver(compileLinkage(rig));
  solver.residuals.evaluate(solver.q, 0, 0);
  const free = freeMotion(solver.residuals);
  if (free) throw new InputError('members', `${free}; add a member that does`);
  if (!solver.solveRide()) {
    const member = solver.linkage.ids[exhaustedRow(solver.residuals)]!;
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
    if (solver.solve(left, right)) return describePose(rig, solver, attitude);
    if (Math.abs(left - right) >= rig.track) {
      const message = 'the wheels’ heights differ by more than the track: no axle can stand like that';
      return { left, right, unreachable: { member: 'axle', message } };
    }
    const member = solver.linkage.ids[exhaustedRow(solver.residuals)]!;
    const share = Math.round(100 * farthest(solver.left, solver.right, left, right));
    const message = `cannot reach: “${member}” runs out ${share} % of the way from ride height`;
    return { left, right, unreachable: { member, message } };
  };
  const under = (load: LoadCase): LoadAnswer | null => {
    solver.solve(0, 0);
    return solveLoad(rig, solver, load);
  };
  return { ride, at, under };
}

function farthest(left: number, right: number, wantedLeft: number, wantedRight: number): number {
  return Math.hypot(left, right) / Math.hypot(wantedLeft, wantedRight);
}
