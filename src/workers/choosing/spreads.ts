import { create } from 'zustand';
import type { Spreads } from '@/core/choose/spread';
import type { Rig } from '@/core/rig/schema';

/** What builds by chance last came to, of which rig, in words why not; and whether that is being looked at, and drawn in the bay. */
export const useSpreads = create<{ of: Rig | null; found: Spreads | string | null; shown: boolean }>()(
  () => ({
    of: null,
    found: null,
    shown: false,
  }),
);
