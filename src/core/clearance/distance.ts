import type { Point } from '@/core/rig/schema';

/**
 * Least distance between two segments, mm. Each may be a point. Clamped closest-point solution; from memory of
 * Ericson, Real-Time Collision Detection (2005) §5.1.9.
 */
export function segmentToSegment(p1: Point, q1: Point, p2: Point, q2: Point): number {
  const d1 = minus(q1, p1);
  const d2 = minus(q2, p2);
  const r = minus(p1, p2);
  const a = dot(d1, d1);
  const e = dot(d2, d2);
  const f = dot(d2, r);
  let s = 0;
  let t = 0;
  if (a > 0 && e > 0) {
    const b = dot(d1, d2);
    const c = dot(d1, r);
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
    s = clamp(-dot(d1, r) / a);
  }
  return Math.hypot(r[0] + s * d1[0] - t * d2[0], r[1] + s * d1[1] - t * d2[1], r[2] + s * d1[2] - t * d2[2]);
}

/**
 * Least distance from a segment to an axis-aligned box, mm; 0 where they meet. The distance along the segment is a
 * convex function, so a golden-section search cannot miss its least value.
 */
export function segmentToBox(p: Point, q: Point, low: Point, high: Point): number {
  const at = (t: number) =>
    Math.hypot(
      ...[0, 1, 2].map((k) => {
        const v = p[k]! + t * (q[k]! - p[k]!);
        return Math.max(low[k]! - v, 0, v - high[k]!);
      }),
    );
  const ratio = (Math.sqrt(5) - 1) / 2;
  let from = 0;
  let to = 1;
  while (to - from > 1e-9) {
    const left = to - ratio * (to - from);
    const right = from + ratio * (to - from);
    if (at(left) <= at(right)) to = right;
    else from = left;
  }
  return Math.min(at(0), at(1), at((from + to) / 2));
}

const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const clamp = (t: number): number => Math.min(1, Math.max(0, t));
