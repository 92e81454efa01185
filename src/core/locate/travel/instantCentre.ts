import type { SideCentre } from '@/core/locate/types';

/** Farther off than this, mm, an instant centre is as good as at infinity: the axle swings as if its lines were parallel. */
export const FAR_OFF = 20_000;

/**
 * The path of the side-view instant centre, [x, z] in mm, in pieces, through where it is at one height of the axle after another: it
 * may go off to infinity ahead and come back from behind.
 */
export function instantCentrePath(centres: SideCentre[]): NonNullable<SideCentre>[][] {
  const pieces: NonNullable<SideCentre>[][] = [];
  let last: SideCentre = null;
  for (const centre of centres) {
    const near: SideCentre = centre && Math.abs(centre[0]) <= FAR_OFF ? centre : null;
    if (near && last && last[0] * near[0] > 0) pieces.at(-1)!.push(near);
    else if (near) pieces.push([near]);
    last = near;
  }
  return pieces;
}
