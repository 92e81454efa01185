import { railsOf } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';
import { runsThrough } from '@/core/swaybar/throughFrame';

/** What the middle of a sway bar turns in: straps over its bushings, sleeves through the rails, or a tube of its own from bushing to bushing. */
export type BarHeld = 'straps' | 'sleeves' | 'tube';

/** What the middle of a job's sway bar turns in; null of a car without one. */
export function barHeldIn(job: Job): BarHeld | null {
  const { bar } = job.roll;
  if (!bar) return null;
  if (bar.housing !== null) return 'tube';
  return runsThrough(bar, railsOf(job)) ? 'sleeves' : 'straps';
}
