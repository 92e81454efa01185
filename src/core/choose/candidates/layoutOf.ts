import type { Design } from '@/core/job/slices/choose';
import { LAYOUT_IDS, layOut, type LayoutId } from '@/core/rig/layouts';

/** Members do not depend on the sizes that a pattern is drawn to. */
const ANY_SIZE = { tireRadius: 330, track: 1450, cover: 160, tubeOd: 76 };

/** The layout whose members a design has: the one it was drawn from, another where members were taken off or put on, or none. */
export function layoutOf({ layout, members }: Pick<Design, 'layout' | 'members'>): LayoutId | null {
  const named = (of: { id: string; type: string }[]) =>
    of
      .map(({ id, type }) => `${type} ${id}`)
      .sort()
      .join();
  const here = named(members);
  return [layout, ...LAYOUT_IDS].find((id) => named(layOut(id, ANY_SIZE).members) === here) ?? null;
}
