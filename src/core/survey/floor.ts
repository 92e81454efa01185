import { bothSides, found, measured, measuredAcross, type Readings } from './readings';
import { LIMITS } from '@/core/materials/limits';
import { toRadians } from '@/core/geometry/angle';

export type Floor = {
  /** nose down positive, and left up positive, degrees */
  along: number;
  across: number;
  /** how far the fourth corner stands off the plane of the other three, mm */
  twist: number;
  /** how far the four levels fail to add up round the car, mm */
  misclosure: number;
  verdict: 'true' | 'corrected' | 'twisted' | 'steep' | 'slip';
};

/**
 * The floor under the car from level readings along both sides and across both ends; null until all four are read.
 *
 * Going round the four tyres the rises must add up to nothing; what the two sides differ by along must be what the two ends
 * differ by across: the twist.
 */
export function floorOf(readings: Readings): Floor | null {
  const along = bothSides(readings, 'floorAlong');
  const rear = found(readings, 'floorAcrossRear');
  const front = found(readings, 'floorAcrossFront');
  if (!along || !rear || !front) return null;
  const rise = (deg: number, run: number) => run * Math.tan(toRadians(deg));
  const wheelbase = measuredAcross(readings, 'wheelbase');
  const track = measured(readings, 'track').value;
  const byEnds = rise(front.value, track) - rise(rear.value, track);
  const bySides = rise(along.right.value, wheelbase) - rise(along.left.value, wheelbase);
  const floor = {
    along: (along.left.value + along.right.value) / 2,
    across: (front.value + rear.value) / 2,
    twist: Math.abs(byEnds + bySides) / 2,
    misclosure: Math.abs(byEnds - bySides),
  };
  return { ...floor, verdict: judge(floor) };
}

function judge({ along, across, twist, misclosure }: Omit<Floor, 'verdict'>): Floor['verdict'] {
  if (misclosure > LIMITS.floor.misclosure) return 'slip';
  if (twist > LIMITS.floor.twist) return 'twisted';
  const slope = Math.max(Math.abs(along), Math.abs(across));
  return slope > LIMITS.floor.steepest ? 'steep' : slope > LIMITS.floor.level ? 'corrected' : 'true';
}

/** Whether the levels of a floor can be reckoned with: they agree, and it is neither twisted nor steep. */
export const isSound = ({ verdict }: Floor): boolean => verdict === 'true' || verdict === 'corrected';

/** Slope of the floor along the car that angles are read against, degrees, nose down positive; 0 until a sound floor is known. */
export function slopeAlong(readings: Readings): number {
  const floor = floorOf(readings);
  return floor && isSound(floor) ? floor.along : 0;
}
