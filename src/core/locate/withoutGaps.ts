import type { Rig } from '@/core/rig/schema';

/**
 * A rig with nothing near and bars without thickness: it moves as before, and its poses do not each measure gaps that Locate
 * looks at on its own terms.
 */
export function withoutGaps(rig: Rig): Rig {
  const members = rig.members.map((m) => (m.type === 'link' ? { ...m, od: undefined } : m));
  return { ...rig, members, obstacles: undefined };
}
