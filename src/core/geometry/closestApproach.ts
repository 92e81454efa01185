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

/** A bracket halved so often is narrower than a number's last digit; a slope this small, mm² over the whole segment, is level. */
const MOST_STEPS = 60;
const LEVEL = 1e-10;

/**
 * Least distance from a segment to an axis-aligned box, mm; 0 where they meet.
 *
 * The square of the distance along the segment is convex, a chain of parabolas that join where the segment passes a plane of the
 * box: its ends are looked at, then Newton's method goes from parabola to parabola within a bracket that keeps the least place.
 */
export function segmentToBox(p: Point, q: Point, low: Point, high: Point): number {
  const ux = q[0] - p[0];
  const uy = q[1] - p[1];
  const uz = q[2] - p[2];
  let from = 0;
  let to = 1;
  /** whether the far end has been looked at */
  let beyond = false;
  let t = 0;
  let square = 0;
  for (let n = 0; n < MOST_STEPS; n++) {
    const x = p[0] + t * ux;
    const y = p[1] + t * uy;
    const z = p[2] + t * uz;
    const dx = x < low[0] ? x - low[0] : x > high[0] ? x - high[0] : 0;
    const dy = y < low[1] ? y - low[1] : y > high[1] ? y - high[1] : 0;
    const dz = z < low[2] ? z - low[2] : z > high[2] ? z - high[2] : 0;
    square = dx * dx + dy * dy + dz * dz;
    // Half of the slope over the segment, and half of the slope's own.
    const slope = dx * ux + dy * uy + dz * uz;
    if (n === 0 ? slope >= 0 : t === 1 ? slope <= 0 : Math.abs(slope) <= LEVEL) break;
    if (slope > 0) to = t;
    else from = t;
    beyond ||= t === 1;
    const bend = (dx === 0 ? 0 : ux * ux) + (dy === 0 ? 0 : uy * uy) + (dz === 0 ? 0 : uz * uz);
    t -= slope / bend;
    if (t >= 1 && !beyond) t = 1;
    else if (!(t > from && t < to)) t = (from + to) / 2;
  }
  return Math.sqrt(square);
}

/** A solid cylinder with flat ends: its middle, its axis (unit), half its length and its radius, mm. */
export type Cylinder = { centre: Point; axis: Point; half: number; radius: number };

/** Least distance from a segment to a cylinder with flat ends, mm; 0 where they meet. Convex along the segment, as for a box. */
export function segmentToCylinder(p: Point, q: Point, { centre, axis, half, radius }: Cylinder): number {
  const ux = q[0] - p[0];
  const uy = q[1] - p[1];
  const uz = q[2] - p[2];
  const wx = p[0] - centre[0];
  const wy = p[1] - centre[1];
  const wz = p[2] - centre[2];
  const run = ux * axis[0] + uy * axis[1] + uz * axis[2];
  const start = wx * axis[0] + wy * axis[1] + wz * axis[2];
  // Square of the distance from the axis: a·t² + 2b·t + c.
  const a = ux * ux + uy * uy + uz * uz - run * run;
  const b = ux * wx + uy * wy + uz * wz - run * start;
  const c = wx * wx + wy * wy + wz * wz - start * start;
  let from = 0;
  let to = 1;
  /** whether the far end has been looked at */
  let beyond = false;
  let t = 0;
  let square = 0;
  for (let n = 0; n < MOST_STEPS; n++) {
    const s = start + t * run;
    const past = s > half ? s - half : s < -half ? s + half : 0;
    square = past * past;
    let slope = past * run;
    let bend = past === 0 ? 0 : run * run;
    const round = (a * t + 2 * b) * t + c;
    if (round > radius * radius) {
      const rho = Math.sqrt(round);
      const out = rho - radius;
      const rate = (a * t + b) / rho;
      square += out * out;
      slope += out * rate;
      bend += rate * rate + (out * (a - rate * rate)) / rho;
    }
    if (n === 0 ? slope >= 0 : t === 1 ? slope <= 0 : Math.abs(slope) <= LEVEL) break;
    if (slope > 0) to = t;
    else from = t;
    beyond ||= t === 1;
    t -= slope / bend;
    if (t >= 1 && !beyond) t = 1;
    else if (!(t > from && t < to)) t = (from + to) / 2;
  }
  return Math.sqrt(square);
}

const clamp = (t: number): number => Math.min(1, Math.max(0, t));
