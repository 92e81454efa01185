import type { Job } from '@/core/job/jobSchema';
import type { Adjuster } from '@/core/job/slices/work/ride';
import { barOf, threadedEnds } from '@/core/job/made/parts';
import { THREADS } from '@/core/materials/threads';
import type { AlignmentBar } from '@/core/ride/alignmentBars';

/**
 * Change of length of one turn, mm: of a tube, the pitches of its two opposite threads together; of one end wound by
 * itself, the pitch of that end. Null for a bar that cannot be adjusted.
 */
export function perTurn({ style, frame, axle }: Adjuster): number | null {
  if (style === 'fixed') return null;
  return THREADS[frame].pitch + (style === 'tube' ? THREADS[axle].pitch : 0);
}

/** Turns a bar can be set by: a tube may stop anywhere; an end that has been taken off goes back on at a half turn, its bolt hole square. */
export const stepOf = ({ style }: Adjuster): number => (style === 'end' ? 0.5 : 0.125);

/** Turns that come nearest to a change of length and can be done, positive longer; null for a bar that cannot be adjusted. */
export function turnsFor(adjuster: Adjuster, mm: number): number | null {
  const each = perTurn(adjuster);
  const step = stepOf(adjuster);
  return each === null ? null : Math.round(mm / each / step) * step;
}

/** How a bar is adjusted: as said, or as it is made: by its tube, by the one end of it that has thread, or not at all; arms and pins have no thread. */
export function adjusterOf(job: Job, { id, by }: Pick<AlignmentBar, 'id' | 'by'>): Adjuster {
  const said = job.ride.adjusters[id];
  if (said) return said;
  const bar = barOf(job, id);
  const { thread } = bar;
  const made = (['fixed', 'end', 'tube'] as const)[threadedEnds(bar).length]!;
  return { style: by === 'length' ? made : 'fixed', frame: thread, axle: thread };
}
