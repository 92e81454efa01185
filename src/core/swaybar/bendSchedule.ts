import { bendsAlong, type BendSheet } from '@/core/geometry/bends';
import type { Point } from '@/core/geometry/vector';
import { swayBarOf, type BarDesign } from './swayBarDesign';

/** How a sway bar is bent from straight stock, from the left end hole to the right one: the whole bar, whichever of its holes is in use; without what is flattened or welded on at its ends. */
export const bendSheet = (design: BarDesign): BendSheet =>
  bendsAlong(swayBarOf({ ...design, hole: 0 }).centreline as Point[], design.bendRadius);
