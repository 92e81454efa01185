import type { Member, Point } from '@/core/rig/schema';

/** What a pattern is scaled to, mm. */
export type PatternSize = { tireRadius: number; track: number; cover: number; tubeOd: number };

/** The member that a layout lays out as its lateral bar. */
export const PANHARD = 'panhard';

/**
 * Three links and a panhard bar in the usual proportions: two lower links low and wide, one upper near the middle, the bar
 * behind the axle, clear of the cover, level just above the axle's centre.
 */
export function threeLinkPanhard({ tireRadius, track, cover, tubeOd }: PatternSize): Member[] {
  const wide = 0.34 * track;
  const behind = -(cover + tubeOd / 2 + 19);
  const at = (x: number, y: number, aboveCentre: number): Point => [
    Math.round(x),
    Math.round(y),
    Math.round(tireRadius + aboveCentre),
  ];
  return [
    { type: 'link', id: 'lower-left', chassis: at(580, 0.94 * wide, -40), axle: at(0, wide, -70) },
    { type: 'link', id: 'lower-right', chassis: at(580, -0.94 * wide, -40), axle: at(0, -wide, -70) },
    { type: 'link', id: 'upper', chassis: at(480, -50, 145), axle: at(20, -50, 175) },
    {
      type: 'link',
      id: PANHARD,
      chassis: at(behind, 0.33 * track, 30),
      axle: at(behind, -0.33 * track, 30),
      od: tubeOd,
    },
  ];
}
