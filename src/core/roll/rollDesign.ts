import type { BarDesign } from './barDesign';
import type { ShockDesign, SpringDesign, StopDesign } from './springDesign';

/** Where shops disagree about sway bars: big bar and soft springs; none behind; on the strip, behind alone. */
export const ROLL_SCHOOLS = ['soft', 'none', 'strip'] as const;
export type RollSchool = (typeof ROLL_SCHOOLS)[number];

/** How the car is meant to be held up in roll. */
export type RollDesign = {
  springs: SpringDesign | null;
  shock: ShockDesign | null;
  stop: StopDesign | null;
  bar: BarDesign | null;
  /** how much of the other end's stiffness against roll is its sway bar's, N·mm for a degree */
  otherBar: number;
};
