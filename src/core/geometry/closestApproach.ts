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

/** A bracket halved so often is narrower than a number's last digit. */
const MOST_STEPS = 60;
/** How much nearer than the place found another of the segment might still be, mm; its square. */
const CLOSE = 1e-6 ** 2;

/** Where along a segment its nearest place was found, 0 to 1: where a search begins that is asked again, moved a little. */
export type Near = { share: number };

/**
 * Least distance from a segment to an axis-aligned box, mm; 0 where they meet.
 *
 * The square of the distance along the segment is convex, a chain of parabolas that join where the segment passes a plane of the
 * box: Newton's method goes from parabola to parabola within a bracket that keeps the least place.
 */
export function segmentToBox(p: Point, q: Point, low: Point, high: Point, near: Near = { share: 0 }): number {
  const ux = q[0] - p[0];
  const uy = q[1] - p[1];
  const uz = q[2] - p[2];
  // What is outside of 0 to 1 has not been looked at.
  let from = -1;
  let to = 2;
  let t = near.share;
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
    if (slope * slope <= CLOSE * square || (t === 0 && slope > 0) || (t === 1 && slope < 0)) break;
    if (slope > 0) to = t;
    else from = t;
    const bend = (dx === 0 ? 0 : ux * ux) + (dy === 0 ? 0 : uy * uy) + (dz === 0 ? 0 : uz * uz);
    t = within(t - slope / bend, from, to);
  }
  near.share = t;
  return Math.sqrt(square);
}

/** The next place to look at: the one foretold if it is new and on the segment, its end where it is past that, else the middle of what is left. */
function within(foretold: number, from: number, to: number): number {
  const t = foretold < 0 ? 0 : foretold > 1 ? 1 : foretold;
  return t > from && t < to ? t : (Math.max(0, from) + Math.min(1, to)) / 2;
}

/** A solid cylinder with flat ends: its middle, its axis (unit), half its length and its radius, mm. */
export type Cylinder = { centre: Point; axis: Point; half: number; radius: number };

/**
 * Least distance from a segment to a cylinder with flat ends, mm; 0 where they meet. Where it is nearest beside the cylinder, or over
 * one of its ends, that is told at once; where the rim is nearest it is looked for, convex along the segment, as for a box.
 */
export function segmentToCylinder(
  p: Point,
  q: Point,
  { centre, axis, half, radius }: Cylinder,
  near: Near = { share: 0 },
): number {
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
  const beside = b >= 0 ? 0 : -b >= a ? 1 : -b / a;
  const atBeside = start + beside * run;
  if (atBeside <= half && atBeside >= -half) {
    near.share = beside;
    const round = (a * beside + 2 * b) * beside + c;
    return round > radius * radius ? Math.sqrt(round) - radius : 0;
  }
  const end = start + run;
  if ((start > half && end > half) || (start < -half && end < -half)) {
    const nearer = Math.abs(start) <= Math.abs(end) ? 0 : 1;
    if ((a * nearer + 2 * b) * nearer + c <= radius * radius) {
      near.share = nearer;
      return Math.abs(start + nearer * run) - half;
    }
  }
  let from = -1;
  let to = 2;
  let t = near.share;
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
    if (slope * slope <= CLOSE * square || (t === 0 && slope > 0) || (t === 1 && slope < 0)) break;
    if (slope > 0) to = t;
    else from = t;
    t = within(t - slope / bend, from, to);
  }
  near.share = t;
  return Math.sqrt(square);
}

const clamp = (t: number): number => Math.min(1, Math.max(0, t));
