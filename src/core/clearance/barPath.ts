import { cross, dot, minus, plus, unit, type Point } from '@/core/geometry/vector';
import type { LinkMember } from '@/core/rig/members/link';

/**
 * The centreline of a bar in a pose, eye to eye, chassis axes. A bent bar keeps its shape and is carried by the smallest
 * turn that takes its eyes from where they were to where they are: its joints leave its own twist to friction.
 *
 * @param axleEye where the axle end now is, chassis axes
 */
export function pathAt(bar: LinkMember, axleEye: Point): Point[] {
  const bends = bar.path?.chassis ?? [];
  if (bends.length === 0) return [bar.chassis, axleEye];
  const turn = shortestTurn(minus(bar.axle, bar.chassis), minus(axleEye, bar.chassis));
  return [bar.chassis, ...bends.map((p) => plus(bar.chassis, turn(minus(p, bar.chassis)))), axleEye];
}

/** The rotation that takes the direction of a to that of b without twist about either (Rodrigues). */
function shortestTurn(a: Point, b: Point): (p: Point) => Point {
  const [u, v] = [unit(a), unit(b)];
  const axis = cross(u, v);
  const cosine = dot(u, v);
  const scale = 1 / (1 + cosine);
  return (p) => {
    const once = cross(axis, p);
    const along = dot(axis, p) * scale;
    return p.map((x, k) => cosine * x + once[k]! + along * axis[k]!) as Point;
  };
}
