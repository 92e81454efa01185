import type { Job } from '@/core/job/jobSchema';
import type { Adjuster, ArmSetBy } from '@/core/job/slices/work/ride';
import { armsOf } from '@/core/rig/roles';
import { kindOf } from '@/core/rig/members/members';
import { turnsFor } from './turns/adjusters';
import type { BarTurn } from './alignment';

/** The upper of the two tubes that hold a torque arm to its housing, among the adjusters of a job. */
export const ARM_TUBE = 'torque-arm.tube';

/**
 * What is done at a torque arm to set the pinion as the builder has made it: shims of so many mm under its front mount (up positive);
 * the upper of two tubes so much longer; the upper bolt in a slotted plate so far away from the front mount; or nothing, where all
 * of it is welded. `turns` where the tube's threads are told.
 */
export type ArmWork = { by: ArmSetBy; mm: number; turns: number | null; adjuster: Adjuster | null };

/**
 * Raising the front mount by h tips arm and housing by h/L, L from the axle to the mount. So does a tube longer by a·h/L, at a above
 * the other: its arm reaches lower against the housing, and the mount lifts it back. Small angles.
 */
export function armWork(job: Job, { id, mm, by }: Pick<BarTurn, 'id' | 'mm' | 'by'>): ArmWork | null {
  const arm = armsOf(job.rig).find((m) => m.id === id);
  if (by !== 'pin' || !arm) return null;
  const set = job.ride.arm ?? { by: 'shims' as const, apart: null };
  if (set.by === 'shims' || set.by === 'fixed') return { by: set.by, mm, turns: null, adjuster: null };
  if (set.apart === null) return { by: set.by, mm: NaN, turns: null, adjuster: null };
  const reach = Math.abs(kindOf(arm).pin!(arm)[0]);
  const longer = (mm * set.apart) / reach;
  const adjuster = set.by === 'tubes' ? (job.ride.adjusters[ARM_TUBE] ?? null) : null;
  return { by: set.by, mm: longer, turns: adjuster && turnsFor(adjuster, longer), adjuster };
}
