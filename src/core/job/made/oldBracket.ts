import type { BracketPart } from '@/core/job/slices/parts';
import { MM_PER_INCH } from '@/core/units/tape';

/** What is left of an old bracket that new plates go over, mm: how far it stands out, how wide it is over its own plates, along the bolt; how far the new ones lap it. */
export type OldBracket = { high: number; wide: number; lap: number };

/** As such are commonly cut off and lapped (common practice, no published source), mm. */
const USUAL = { high: 1.5 * MM_PER_INCH, lap: MM_PER_INCH };

/**
 * The old bracket that a new one goes over: as was said of it, else as is usual, and as wide as the new plates stand apart; null of a bracket
 * that goes over none.
 */
export const oldBracketOf = ({ over }: BracketPart, apart: number): OldBracket | null =>
  over ? { ...USUAL, wide: apart, ...over } : null;

/** How far the foot of the plates stands out from what carries the old bracket that they go over, mm; nothing where they go over none. */
export const footOut = (over: OldBracket | null): number => (over ? Math.max(0, over.high - over.lap) : 0);

/** How far the eye of a bracket stands out from what carries it, or the old bracket that it goes over, mm. */
export const eyeOut = ({ reach, over }: { reach: number; over: OldBracket | null }): number =>
  footOut(over) + reach;
