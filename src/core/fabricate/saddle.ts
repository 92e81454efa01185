/**
 * A tube that meets a barrel or another tube: outside diameters and the tube's wall, mm; the angle between their axes, degrees; and how far
 * the tube's axis passes beside the barrel's, mm.
 */
export type Saddle = { od: number; wall: number; barrel: number; angleDeg: number; offset: number };

/** A place of a saddle cut: the angle round the tube from its clocking mark, degrees, and the distance from the barrel's axis along the tube, mm. */
export type SaddlePoint = { turnDeg: number; along: number };

/** Why a saddle cannot be cut: the tube is wider than what it meets, passes beside it, or lies as good as along it. */
export type SaddleFault = 'wider' | 'beside' | 'along';

/** Below this a tube lies along what it meets, degrees. */
const ALONG = 20;

/** What makes a saddle impossible; null where it can be cut. */
export function saddleFault({ od, barrel, angleDeg, offset }: Saddle): SaddleFault | null {
  if (Math.abs(90 - angleDeg) > 90 - ALONG) return 'along';
  if (od > barrel + 1e-9) return 'wider';
  return od / 2 + Math.abs(offset) > barrel / 2 + 1e-9 ? 'beside' : null;
}

/**
 * Where a tube's wall meets a barrel, along the tube from the barrel's axis, mm:
 * (√(R² − (r·sin θ − e)²) + r·cos θ·cos α)/sin α (intersection of two cylinders).
 *
 * @param radius of the point of the wall, mm: outer, or inner
 * @param turn round the tube, radians
 */
function saddleAlong({ barrel, angleDeg, offset }: Saddle, radius: number, turn: number): number {
  const angle = (angleDeg * Math.PI) / 180;
  const across = radius * Math.sin(turn) - offset;
  const over = Math.sqrt(Math.max(0, (barrel / 2) ** 2 - across ** 2));
  return (over + radius * Math.cos(turn) * Math.cos(angle)) / Math.sin(angle);
}

/** Which edge of the tube's wall a template is for: the outer one, or the inner, which stands farther out on its sides. */
export type WallEdge = 'outer' | 'inner';

/** The cut round the tube, from the clocking mark all round and back, every degree. */
export function saddleTemplate(saddle: Saddle, edge: WallEdge = 'outer'): SaddlePoint[] {
  const radius = saddle.od / 2 - (edge === 'inner' ? saddle.wall : 0);
  return Array.from({ length: 361 }, (_, turnDeg) => ({
    turnDeg,
    along: saddleAlong(saddle, Math.max(0, radius), (turnDeg * Math.PI) / 180),
  }));
}

/** How deep a saddle is, from its tips to its throat, mm; where tips and throat stand from the barrel's axis; and the trade's rule beside it: a quarter of the diameter. */
export type SaddleDepth = { tip: number; throat: number; depth: number; rule: number };

export function saddleDepth(saddle: Saddle): SaddleDepth {
  const alongs = saddleTemplate(saddle).map(({ along }) => along);
  const [tip, throat] = [Math.min(...alongs), Math.max(...alongs)];
  return { tip, throat, depth: throat - tip, rule: saddle.od / 4 };
}

/** How a hole saw is set up for it: its size, the angle from square to the tube, and how far beside the tube's middle it goes, mm. */
export const holeSaw = ({
  barrel,
  angleDeg,
  offset,
}: Saddle): { size: number; angleDeg: number; offset: number } => ({
  size: barrel,
  angleDeg: 90 - angleDeg,
  offset,
});
