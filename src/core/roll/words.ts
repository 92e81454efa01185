import type { Corner } from '@/core/kinematics/travelCorners';

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
