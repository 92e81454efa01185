import type { MountKey } from '@/core/rig/members';

/** A check's outcome: holds, wants a look, or must stop the work. */
export type State = 'ok' | 'look' | 'stop';

/** Where a remedy puts one coordinate of a mount, mm. */
export type MountChange = { member: string; end: MountKey; axis: 0 | 1 | 2; mm: number };

/** A remedy the builder can take with one touch, or only read. */
export type Remedy = { text: string; changes?: MountChange[] };

export type Verdict = { id: string; state: State; title: string; reason: string; remedies: Remedy[] };
