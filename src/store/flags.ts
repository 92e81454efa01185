import { create } from 'zustand';
import type { Judged } from '@/core/verdict/verdict';

/** A verdict that was touched, by what it is about: on its flag in the bay, or on the card. */
type Picked = { about: string; on: 'bay' | 'card' };

type Flags = {
  /** the verdicts of the card, each with a flag of its number */
  verdicts: Judged[];
  picked: Picked | null;
  /** which of them have a place in the bay */
  drawn: ReadonlySet<string>;
};

export const useFlags = create<Flags>()(() => ({ verdicts: [], picked: null, drawn: new Set() }));

export const flag = (verdicts: Judged[]): void => useFlags.setState({ verdicts });
export const flagDrawn = (drawn: ReadonlySet<string>): void => useFlags.setState({ drawn });
export const pickFlag = (about: string, on: Picked['on']): void =>
  useFlags.setState({ picked: { about, on } });
export const strikeFlags = (): void => useFlags.setState({ verdicts: [], picked: null });
