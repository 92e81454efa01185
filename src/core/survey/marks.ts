import type { AxleEnd } from '@/core/rig/schema';
import { wayOf, type Datum } from './quantities/datums';

/** The edges of the tube that a placement puts on a rail, mm from the datum: where the T-square's marks should be. */
export const marksOf = (
  middle: number,
  tube: number,
  datum: Datum,
  end: AxleEnd,
): { front: number; rear: number } => {
  const way = wayOf(datum, end);
  return { front: middle - (way * tube) / 2, rear: middle + (way * tube) / 2 };
};
