import { THREADS, type ThreadName } from '@/core/fabricate/threads';

/** Turned at the tube between two opposite threads; one end taken off and wound; or of one length. */
export const ADJUSTER_STYLES = ['tube', 'end', 'fixed'] as const;
export type AdjusterStyle = (typeof ADJUSTER_STYLES)[number];
export type Adjuster = { style: AdjusterStyle; frame: ThreadName; axle: ThreadName };

/** Which gap is believed when frame and fender say different things. */
export const BELIEFS = ['frame', 'fender'] as const;
export type Belief = (typeof BELIEFS)[number];

/**
 * Change of length of one turn, mm: of a tube, the pitches of its two opposite threads together; of one end wound by
 * itself, the pitch of that end. Null for a bar that cannot be adjusted.
 */
export function perTurn({ style, frame, axle }: Adjuster): number | null {
  if (style === 'fixed') return null;
  return THREADS[frame].pitch + (style === 'tube' ? THREADS[axle].pitch : 0);
}

/** A tube may stop anywhere; an end that has been taken off goes back on at a half turn, its bolt hole square. */
export const stepOf = ({ style }: Adjuster): number => (style === 'end' ? 0.5 : 0.125);
