import type { Point } from './vector';

/**
 * Least distance between two segments, mm. Each may be a point. Clamped closest-point solution; from memory of
 * Ericson, Real-Time Collision Detection (2005) §5.1.9.
 */
export function segmentToSegment(p1: Point, q1: Point, p2: Point, q2: Point): number {
  // Written out: it is asked many times a pose, and a pose is asked many times a second.
  const ux = q1[0] - p1[0];
  const uy = q1[1] - p1[1];
  const uz = q1[2] - p1[2];
  const vx = q2[0] - p2[0];
  const vy = q2[1] - p2[1];
  const vz = q2[2] - p2[2];
  const rx = p1[0] - p2[0];
  const ry = p1[1] - p2[1];
  const rz = p1[2] - p2[2];
  const a = ux * ux + uy * uy + uz * uz;
  const e = vx * vx + vy * vy + vz * vz;
  const f = vx * rx + vy * ry + vz * rz;
  const c = ux * rx + uy * ry + uz * rz;
  let s = 0;
  let t = 0;
  if (a > 0 && e > 0) {
    const b = ux * vx + uy * vy + uz * vz;
    const denominator = a * e - b * b;
    // Parallel segments: any s will do.
    if (denominator > 1e-12 * a * e) s = clamp((b * f - c * e) / denominator);
    t = (b * s + f) / e;
    if (t < 0) {
      t = 0;
      s = clamp(-c / a);
    } else if (t > 1) {
      t = 1;
      s = clamp((b - c) / a);
    }
  } else if (e > 0) {
    t = clamp(f / e);
  } else if (a > 0) {
    s = clamp(-c / a);
  }
  const dx = rx + s * ux - t * vx;
  const dy = ry + s * uy - t * vy;
  const dz = rz + s * uz - t * vz;
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}

/**
 * Least distance from a segment to an axis-aligned box, mm; 0 where they meet.
 *
 * The square of the distance along the segment is a chain of parabolas that join where the segment passes a plane of the
 * box; each is looked at where it is least.
 */
export function segmentToBox(p: Point, q: Point, low: Point, high: Point): number {
  const joins = [0, 1];
  for (let k = 0; k < 3; k++) {
    const run = q[k]! - p[k]!;
    if (run === 0) continue;
    for (const plane of [low[k]!, high[k]!]) {
      const t = (plane - p[k]!) / run;
      if (t > 0 && t < 1) joins.push(t);
    }
  }
  joins.sort((a, b) => a - b);
  let best = Infinity;
  for (let i = 1; i < joins.length; i++) {
    best = Math.min(best, leastSquare(p, q, low, high, joins[i - 1]!, joins[i]!));
  }
  return Math.sqrt(best);
}

/** Least square of the distance on a piece of the segment that passes no plane of the box. */
function leastSquare(p: Point, q: Point, low: Point, high: Point, from: number, to: number): number {
  const middle = (from + to) / 2;
  let [a, b, c] = [0, 0, 0];
  for (let k = 0; k < 3; k++) {
    const run = q[k]! - p[k]!;
    const v = p[k]! + middle * run;
    const off = v < low[k]! ? p[k]! - low[k]! : v > high[k]! ? p[k]! - high[k]! : null;
    if (off === null) continue;
    a += run * run;
    b += 2 * run * off;
    c += off * off;
  }
  const t = a > 0 ? Math.min(to, Math.max(from, -b / (2 * a))) : from;
  return Math.max(0, (a * t + b) * t + c);
}

const clamp = (t: number): number => Math.min(1, Math.max(0, t));
