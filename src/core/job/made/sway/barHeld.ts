import { railsOf } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';
import { heldIn, type BarHeld } from '@/core/swaybar/throughFrame';

/** What the middle of a job's sway bar turns in; null of a car without one. */
export const barHeldIn = (job: Job): BarHeld | null => job.roll.bar && heldIn(job.roll.bar, railsOf(job));
