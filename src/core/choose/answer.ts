import type { Graver } from '@/core/advice/tried';
import { withBends, withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import type { Gap } from '@/core/locate/types';
import type { MountChange } from '@/core/rig/mounts';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import type { BentClear } from './bentClear';
import { withBarChoice } from './freeChoices';
import type { WantedFigures } from './wanted';

/** A bar that is bent: through which points, mm, how far its middle stands out, mm, and which way. */
export type Bent = Pick<BentClear, 'bends' | 'by' | 'way'> & { member: string };

/**
 * A place that was found: the mounts that move, the hole of the sway bar and where the feet of its links stand from their eyes, mm, where those may, and the bars that are bent where they may; the
 * figures it comes to, and by how much each target is missed, none where it is met; where it is tightest over the travel, and what then
 * meets, or comes nearer than the room that is to be left: of what moves, and of what does not now. `graver`: what else is said of the whole
 * car with it that is graver than now; null where that was not looked at, which takes long.
 */
export type Answer = {
  changes: MountChange[];
  hole: number | null;
  feet: BarDesign['foot'] | null;
  bent: Bent[];
  figures: WantedFigures;
  misses: number[];
  tightest: Gap | null;
  hits: Gap[];
  graver: Graver[] | null;
};

/** The job with a place that was found. */
export function withAnswer(
  job: Job,
  { changes, hole, feet, bent }: Pick<Answer, 'changes' | 'hole' | 'feet' | 'bent'>,
): Job {
  const { bar } = job.roll;
  const moved = withMounts(job, changes);
  const hung =
    bar && (hole !== null || feet !== null)
      ? withRoll(moved, { bar: withBarChoice(bar, { hole: hole ?? bar.hole, foot: feet ?? bar.foot }) })
      : moved;
  return bent.reduce((of, { member, bends }) => withBends(of, member, bends), hung);
}

/** The first thing at a place that stops the work: what it hits, or what else of the car, in words. */
export const stopsIn = ({ hits: [hit], graver }: Answer): Gap | string | undefined =>
  hit ?? graver?.find(({ stops }) => stops)?.said;
