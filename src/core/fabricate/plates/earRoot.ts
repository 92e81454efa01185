import type { Place } from '@/core/fabricate/drawing';
import { earAt, halfPlate, legsOf, type SpringPlate } from './springPlate';

/** How finely an ear's round is followed. */
const ROUND = 64;

/** A washer is so much wider than its hole. */
const WASHER = 2;

/**
 * Where a spring plate's ear bends, mm: its hole's distance from the nearest of what the U-bolts clamp, and how much plate carries it there: no
 * more than spreads at 45° from its washer, less the U-bolts' holes in it. null of a plate without one, or with its hole in what is clamped.
 */
export function earRoot(of: SpringPlate): { arm: number; width: number } | null {
  if (!of.ear) return null;
  const [px, py] = earAt(of.ear);
  const [cx, cy] = legsOf(of)[2]!;
  const clamp = (v: number, half: number) => Math.min(half, Math.max(-half, v));
  const root: Place = [clamp(px, cx), clamp(py, cy)];
  const arm = Math.hypot(px - root[0], py - root[1]);
  if (arm < 1e-9) return null;
  const out: Place = [(px - root[0]) / arm, (py - root[1]) / arm];
  const [left, right] = chord(outlineOf(of, of.ear), root, out);
  const spread = arm + (WASHER * of.ear.hole) / 2;
  const [from, to] = [Math.max(left, -spread), Math.min(right, spread)];
  const drilled = legsOf(of).reduce((sum, leg) => {
    const [dx, dy] = [leg[0] - root[0], leg[1] - root[1]];
    const [along, ahead] = [dy * out[0] - dx * out[1], dx * out[0] + dy * out[1]];
    const half = Math.sqrt(Math.max(0, (of.uBolt / 2) ** 2 - ahead ** 2));
    return sum + Math.max(0, Math.min(to, along + half) - Math.max(from, along - half));
  }, 0);
  return { arm, width: to - from - drilled };
}

/** Places that a plate's outline goes round: its corners, and its ear's round. */
function outlineOf(of: SpringPlate, ear: NonNullable<SpringPlate['ear']>): Place[] {
  const [x, y] = halfPlate(of);
  const [ex, ey] = earAt(ear);
  const radius = ear.hole / 2 + of.edge;
  return [
    ...([-x, x] as const).flatMap((a) => [-y, y].map((b): Place => [a, b])),
    ...Array.from({ length: ROUND }, (_, i): Place => {
      const angle = (2 * Math.PI * i) / ROUND;
      return [ex + radius * Math.cos(angle), ey + radius * Math.sin(angle)];
    }),
  ];
}

/** From where to where a line through a place, square to a way out, lies in the least outline round others, mm along it. */
function chord(places: Place[], [x, y]: Place, [ox, oy]: Place): [from: number, to: number] {
  const seen = places.map(([px, py]) => {
    const [dx, dy] = [px - x, py - y];
    return { ahead: dx * ox + dy * oy, along: dy * ox - dx * oy };
  });
  const crossings = seen.flatMap((a) =>
    seen.flatMap((b) => {
      if (a.ahead < 0 || b.ahead > 0) return [];
      const share = a.ahead === b.ahead ? 0 : a.ahead / (a.ahead - b.ahead);
      return [a.along + share * (b.along - a.along)];
    }),
  );
  return [Math.min(...crossings), Math.max(...crossings)];
}
