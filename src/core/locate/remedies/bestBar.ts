import type { Job } from '@/core/job/jobSchema';
import { drivenTravel, tireWidthOf } from '@/core/job/jobValues';
import { LIMITS } from '@/core/materials/limits';

/**
 * The longest bar across the car that fits between its tyres, mm, and how far it moves the axle sideways over the travel it is driven
 * over, mm: level at ride height, and level in the middle of that travel. By the arc of its end, L − √(L² − z²).
 */
export type BestBar = { length: number; level: number; middle: number };

/** null where no bar fits, or the travel is more than it is long. */
export function bestBar(job: Job): BestBar | null {
  const length = job.rig.track - tireWidthOf(job) - 2 * LIMITS.clearance.tyre;
  const { bump, droop } = drivenTravel(job);
  if (length <= Math.max(bump, droop)) return null;
  const arc = (z: number) => length - Math.sqrt(length ** 2 - z ** 2);
  // Level in the middle, it stands a little aside at ride height already: movement counts from there.
  const atRide = arc((bump - droop) / 2);
  const middle = Math.max(arc((bump + droop) / 2) - atRide, atRide);
  return { length, level: arc(Math.max(bump, droop)), middle };
}
