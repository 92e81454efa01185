import type { Job } from '@/core/job/jobSchema';
import { isTyped } from '@/core/job/jobValues';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { LIMITS } from '@/core/materials/limits';
import { isLink } from '@/core/rig/members/members';
import { leavesOf } from '@/core/rig/roles';
import { inputOf, isGuess } from '@/core/provenance/inputs';

/**
 * Pinion angle to set, degrees nose down: as typed at Ride, or as typed for the design; null where nobody has asked for one. Of a
 * front axle it is the caster that is set, which has no design of its own.
 */
export const wantedPinion = (job: Job): number | null =>
  job.ride.wanted.pinion ??
  (job.rig.end === 'rear' && isTyped(job, 'driveshaft/pinionAngleDeg')
    ? job.rig.driveshaft!.pinionAngleDeg
    : null);

/** Toe-in to set, mm across a tyre; null where nobody has asked for one. */
export const wantedToe = (job: Job): number | null => job.ride.wanted.toe ?? null;

/** An eighth of an inch in is usual after any change of a front bar (common practice, no published source). */
export const PROPOSED_TOE = 3.175;

/** A pinion angle that may be asked for, degrees nose down: parallel to the transmission, less what it winds up under power. */
export type ProposedPinion = {
  value: number;
  transmission: number;
  windUp: number;
  by: keyof typeof LIMITS.windUp;
};

/**
 * What pinion angle to ask for; null of a front axle, and while the transmission's angle was neither read nor typed. With two joints
 * both work alike where the pinion is parallel to the transmission; at rest it stands lower by as much as power winds it up.
 */
export function proposedPinion(job: Job): ProposedPinion | null {
  const { rig, joints } = job;
  if (rig.end === 'front' || !rig.driveshaft || isGuess(inputOf(job, 'angle.transmission'))) return null;
  const soft = rig.members.some((m) => {
    if (!isLink(m)) return false;
    const { chassis, axle } = jointsOf(joints, m.id);
    return JOINTS[chassis].soft || JOINTS[axle].soft;
  });
  const by = leavesOf(rig).length ? 'leaves' : soft ? 'soft' : 'hard';
  const windUp = LIMITS.windUp[by];
  const transmission = rig.driveshaft.transmissionAngleDeg;
  return { value: transmission + windUp, transmission, windUp, by };
}
