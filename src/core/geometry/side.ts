/** The two sides of a car, as the driver sits: the left one has y above 0. */
export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** The sign of y on a side: 1 on the left, −1 on the right. */
export const signOf = (side: Side): 1 | -1 => (side === 'left' ? 1 : -1);

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** The side that a y, or a difference of left less right, lies on; the middle counts as left. */
export const sideOf = (y: number): Side => (y < 0 ? 'right' : 'left');

/** Something of each side. */
export const bySide = <T>(of: (side: Side) => T): Record<Side, T> => ({
  left: of('left'),
  right: of('right'),
});
