import type { Corner } from '@/core/kinematics/travelCorners';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

const CORNER_WORDS: Record<Corner, string> = {
  ride: 'at ride height',
  bump: 'at full bump',
  droop: 'at full droop',
  leftUpRightDown: 'with the left wheel up, the right one down',
  rightUpLeftDown: 'with the right wheel up, the left one down',
  leftUp: 'with the left wheel up',
  rightUp: 'with the right wheel up',
  leftDown: 'with the left wheel down',
  rightDown: 'with the right wheel down',
};

/** A corner of the travel, as a builder says it. */
export const sayCorner = (corner: Corner): string => CORNER_WORDS[corner];

/** How long the end links are: one length, or the left one's and the right one's. */
export const sayLinks = ({ link, right }: BarDesign, tape: Tape): string =>
  right && right.link !== link
    ? `${sayLength(link, tape)} on the left, ${sayLength(right.link, tape)} on the right`
    : sayLength(link, tape);
