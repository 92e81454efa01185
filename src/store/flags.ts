import { create } from 'zustand';
import type { Judged } from '@/core/verdict/verdict';

/** A verdict that was touched, by its index: on its flag in the bay, or on the card. */
type Picked = { index: number; on: 'bay' | 'card' };

type Flags = {
  /** the verdicts of the card, each with a flag of its number */
  verdicts: Judged[];
  picked: Picked | null;
  /** which of them have a place in the bay */
  drawn: ReadonlySet<number>;
};

export const useFlags = create<Flags>()(() => ({ verdicts: [], picked: null, drawn: new Set() }));

export const flag = (verdicts: Judged[]): void => useFlags.setState({ verdicts });
export const flagDrawn = (drawn: ReadonlySet<number>): void => useFlags.setState({ drawn });
export const pickFlag = (index: number, on: Picked['on']): void =>
  useFlags.setState({ picked: { index, on } });
export const strikeFlags = (): void => useFlags.setState({ verdicts: [], picked: null });
