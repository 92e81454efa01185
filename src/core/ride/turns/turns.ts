import type { Job } from '@/core/job/jobSchema';
import { alignmentBars } from '@/core/ride/alignmentBars';

/** Turns made so far of one bar, over the rounds that were closed. Positive lengthens. */
export function turnsOf(job: Job, id: string): number {
  const lever = alignmentBars(job.rig).centre.find((bar) => bar.id === id);
  return job.ride.rounds.reduce(
    (sum, { turned, others }) => sum + (lever ? lever.sign * turned : 0) + (others?.[id] ?? 0),
    0,
  );
}

/** Turns made so far of the first bar that centres the axle. */
export const turnsSoFar = (job: Job): number => {
  const [first] = alignmentBars(job.rig).centre;
  return first ? turnsOf(job, first.id) : 0;
};
