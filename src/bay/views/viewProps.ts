import type { Tape } from '@/core/units/tape';
import type { Layer } from '@/store/preferences';
import type { Figures } from './shownFigures';
import type { BayModel } from '@/bay/model/bayModel';
import type { Movable } from '@/bay/handles/Mounts';
import type { Sheet } from './projection';
import type { LinkMember } from '@/core/rig/members/link';

/** What a view is given to draw the work on the axle with: the members, their mounts, and what is asked to be seen of them. */
export type WorkProps = {
  sheet: Sheet;
  model: BayModel;
  /** the bar across the car, at ride height */
  bar: LinkMember | null;
  tape: Tape;
  movable: Movable;
  figures: Figures;
  layers: Record<Layer, boolean>;
};
