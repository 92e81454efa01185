import { railsOf } from '@/core/job/bodies/frameRails';
import { travelOf } from '@/core/job/jobValues';
import type { Job } from '@/core/job/jobSchema';
import type { RollDesign } from '@/core/job/slices/roll';
import type { Use } from '@/core/materials/uses';
import type { Rig, Travel } from '@/core/rig/schema';
import type { RailAcross } from '@/core/swaybar/throughFrame';

/** What Roll asks about: the car with its springs and bar as its rig states them, how they are meant, how far the wheels go, how hard it is driven. */
export type RollInput = RollDesign & {
  rig: Rig;
  bump: number;
  droop: number;
  rocker: Travel;
  use: Use;
  cornerG: number;
  axleRatio: number;
  /** the frame's rails, which a bar may run through */
  rails: RailAcross[];
};

export function rollInput(job: Job, rocker: Travel): RollInput {
  const { springs, shock, stop, bar, otherBar } = job.roll;
  return {
    rig: job.rig,
    springs,
    shock,
    stop,
    bar,
    otherBar,
    ...travelOf(job),
    rocker,
    use: job.use,
    cornerG: job.cornerG,
    axleRatio: job.shaft.ratio,
    rails: railsOf(job),
  };
}
