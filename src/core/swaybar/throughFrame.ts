import { toRadians } from '@/core/geometry/angle';
import { bendSheet } from './bendSchedule';
import type { BarDesign } from './swayBarDesign';

/** A rail across the way of a bar, mm: its outer face from the centreline, its underside off the floor, its width and height. */
export type RailAcross = { outside: number; underside: number; width: number; height: number };

/** Whether the middle of a bar on the frame runs through both rails. */
export const runsThrough = ({ mountedOn, middle, height, od }: BarDesign, rails: RailAcross[]): boolean =>
  mountedOn === 'chassis' &&
  rails.length > 0 &&
  rails.every(
    (rail) =>
      Math.abs(rail.outside) < middle / 2 &&
      height + od / 2 > rail.underside &&
      height - od / 2 < rail.underside + rail.height,
  );

/** What the middle of a sway bar turns in: straps over its bushings, sleeves through the rails, or a tube of its own from bushing to bushing. */
export type BarHeld = 'straps' | 'sleeves' | 'tube';

/** What the middle of a bar turns in, past those rails. */
export function heldIn(bar: BarDesign, rails: RailAcross[]): BarHeld {
  if (bar.housing !== null) return 'tube';
  return runsThrough(bar, rails) ? 'sleeves' : 'straps';
}

/**
 * Least inside diameter of a straight round sleeve that a bend can be slid through, mm. It is tightest with the bend half way: the
 * outside of the bend touches one side of the sleeve in its middle, the inside of the bar the other side at both ends.
 *
 * @param od diameter of the bar, mm
 * @param radius of the bend to the middle of the bar, mm
 * @param angle of the bend, degrees
 * @param length of the sleeve, mm
 */
export function leastSleeve(od: number, radius: number, angle: number, length: number): number {
  const [inner, outer] = [Math.max(0, radius - od / 2), radius + od / 2];
  const [half, end] = [toRadians(angle) / 2, length / 2];
  const arc = inner * Math.sin(half);
  const inside =
    end <= arc ? Math.sqrt(inner ** 2 - end ** 2) : inner * Math.cos(half) - (end - arc) * Math.tan(half);
  return outer - inside;
}

/**
 * Least inside diameter of sleeves that a whole bent bar can be slid through, mm, by its own bends; null where two bends lie nearer to
 * each other than a sleeve is long, so that both are in it at once.
 *
 * @param length of a sleeve, mm
 */
export function sleeveFor(design: BarDesign, length: number): number | null {
  const { bends } = bendSheet(design);
  if (bends.slice(1).some(({ straight }) => straight < length)) return null;
  return Math.max(...bends.map(({ angle }) => leastSleeve(design.od, design.bendRadius, angle, length)));
}
