import type { MountChange } from '@/core/rig/mounts';
import type { RollDesign } from '@/core/job/slices/roll';

/** A check's outcome: holds, wants a look, or must stop the work. */
export type State = 'ok' | 'look' | 'stop';

/** A remedy the builder can take with one touch, by moving mounts or changing springs and bar, or only read. */
export type Remedy = { text: string; changes?: MountChange[]; roll?: Partial<RollDesign> };

/** `where` names the part and, where it matters, the place in the travel. */
export type Verdict = {
  id: string;
  state: State;
  title: string;
  reason: string;
  remedies: Remedy[];
  where?: string;
};

const GRAVITY: Record<State, number> = { stop: 0, look: 1, ok: 2 };

/** The gravest first; those alike stay in their order. */
export const gravestFirst = (verdicts: Verdict[]): Verdict[] =>
  [...verdicts].sort((a, b) => GRAVITY[a.state] - GRAVITY[b.state]);
