import { LAYOUT_IDS, layoutEnd, layOut, type LayoutId } from '@/core/rig/layouts';
import type { Rig } from '@/core/rig/schema';

const SIZE = { tireRadius: 330, track: 1470, cover: 160, tubeOd: 32 };

/** A rig of each layout from its pattern. */
export function patternRig(layout: LayoutId): Rig {
  return {
    format: 'pellik.rig',
    version: 2,
    end: layoutEnd(layout),
    tireRadius: SIZE.tireRadius,
    track: SIZE.track,
    wheelbase: 2800,
    cgHeight: 540,
    ...layOut(layout, SIZE),
  };
}

export const everyLayout = LAYOUT_IDS.map((id) => [id, patternRig(id)] as const);
