import { cross, dot, minus, plus, unit, type Point } from '@/core/geometry/vector';
import { onAxle, onChassis, type OutlinePoint } from '@/core/rig/members/kind';
import type { LinkMember } from '@/core/rig/members/link';

/**
 * The centreline of a bar in a pose, eye to eye, chassis axes.
 *
 * @param axleEye where the axle end now is, chassis axes
 */
export function pathAt(bar: LinkMember, axleEye: Point): Point[] {
  const ends = [bar.chassis, axleEye];
  const bends = bar.path?.chassis ?? [];
  return bends.length ? bentLine([onChassis(bar.chassis), onAxle(bar.axle)], bends, ends) : ends;
}

/**
 * A bent bar in a pose. It keeps its shape and is carried by the smallest turn that takes its eyes from where they were to where
 * they are: its joints leave its own twist to friction. Two joints that swing every way let it be turned about its eyes besides.
 *
 * @param line its two eyes at ride height
 * @param bends the points between them at ride height
 * @param eyes where the eyes now are
 * @param roll its turn about the line from its first eye to its last, radians, right-handed
 */
export function bentLine(line: OutlinePoint[], bends: Point[], eyes: Point[], roll = 0): Point[] {
  const [first, last] = [line[0]!.point, line.at(-1)!.point];
  const [eye, far] = [eyes[0]!, eyes.at(-1)!];
  const turn = shortestTurn(minus(last, first), minus(far, eye));
  const about = turnAbout(unit(minus(far, eye)), roll);
  return [eye, ...bends.map((p) => plus(eye, about(turn(minus(p, first))))), far];
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

/** The rotation about a unit vector (Rodrigues). */
function turnAbout(axis: Point, angle: number): (p: Point) => Point {
  if (angle === 0) return (p) => p;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return (p) => {
    const [once, along] = [cross(axis, p), (1 - c) * dot(axis, p)];
    return p.map((x, k) => c * x + s * once[k]! + along * axis[k]!) as Point;
  };
}
