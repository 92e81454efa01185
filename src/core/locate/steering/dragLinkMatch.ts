import { toDegrees } from '@/core/geometry/angle';
import { sideOf, type Side } from '@/core/geometry/side';
import { distance, type Point } from '@/core/geometry/vector';
import { lateralBarOf } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';

/** A bar seen from behind: its length, mm; how far its left end stands up, degrees; the side its frame end is on. */
type SeenBar = { length: number; leftUpDeg: number; frameSide: Side };

/**
 * Drag link and lateral bar of a front axle, which must swing alike or bumps steer it: both as seen from behind, how unlike they
 * are in length, mm, and tilt, degrees, and whether their frame ends stand on one side, without which they swing against each
 * other.
 */
export type DragLinkMatch = {
  dragLink: SeenBar;
  bar: SeenBar;
  length: number;
  angle: number;
  sameSide: boolean;
};

/** Null for a rear axle, and where one of the two is missing. */
export function dragLinkMatch(rig: Rig): DragLinkMatch | null {
  const bar = lateralBarOf(rig);
  if (!bar || !rig.steering || rig.end !== 'front') return null;
  const dragLink = seenFromBehind(rig.steering.pitman, rig.steering.knuckle);
  const across = seenFromBehind(bar.chassis, bar.axle);
  return {
    dragLink,
    bar: across,
    length: Math.abs(across.length - dragLink.length),
    angle: Math.abs(across.leftUpDeg - dragLink.leftUpDeg),
    sameSide: across.frameSide === dragLink.frameSide,
  };
}

/** @param frame its end on the frame, @param axle its end on the axle */
function seenFromBehind(frame: Point, axle: Point): SeenBar {
  const [left, right] = frame[1] > axle[1] ? [frame, axle] : [axle, frame];
  const across = Math.hypot(left[0] - right[0], left[1] - right[1]);
  return {
    length: distance(frame, axle),
    leftUpDeg: toDegrees(Math.atan2(left[2] - right[2], across)),
    // On which side of the axle end it is mounted: a bar need not cross the middle of the car.
    frameSide: sideOf(frame[1] - axle[1]),
  };
}
