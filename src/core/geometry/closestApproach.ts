import type { Box, Cylinder, Segments } from './shapes';

/**
 * Least distance between two segments, mm, each at a place of its list. Each may be a point. Clamped closest-point solution; from
 * memory of Ericson, Real-Time Collision Detection (2005) §5.1.9.
 */
export function segmentToSegment(one: Segments, i: number, other: Segments, k: number): number {
  const ux = one[i + 3]!;
  const uy = one[i + 4]!;
  const uz = one[i + 5]!;
  const vx = other[k + 3]!;
  const vy = other[k + 4]!;
  const vz = other[k + 5]!;
  const rx = one[i]! - other[k]!;
  const ry = one[i + 1]! - other[k + 1]!;
  const rz = one[i + 2]! - other[k + 2]!;
  const a = one[i + 6]!;
  const e = other[k + 6]!;
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

/**
 * Where along a segment its nearest place was found, 0 to 1: where a search begins that is asked again, moved a little. A list of
 * one number, which is written over without a new one being made.
 */
export type Near = Float64Array;
export const nearStart = (): Near => new Float64Array(1);

/**
 * Least distance from a segment to an axis-aligned box, mm; 0 where they meet.
 *
 * The square of the distance along the segment is convex, a chain of parabolas that join where the segment passes a plane of the
 * box: Newton's method goes from parabola to parabola within a bracket that keeps the least place.
 */
export function segmentToBox(list: Segments, at: number, box: Box, near = nearStart()): number {
  const px = list[at]!;
  const py = list[at + 1]!;
  const pz = list[at + 2]!;
  const ux = list[at + 3]!;
  const uy = list[at + 4]!;
  const uz = list[at + 5]!;
  const lowX = box[0]!;
  const lowY = box[1]!;
  const lowZ = box[2]!;
  const highX = box[3]!;
  const highY = box[4]!;
  const highZ = box[5]!;
  // What is outside of 0 to 1 has not been looked at.
  let from = -1;
  let to = 2;
  let t = near[0]!;
  let square = 0;
  for (let n = 0; n < MOST_STEPS; n++) {
    const x = px + t * ux;
    const y = py + t * uy;
    const z = pz + t * uz;
    const dx = x < lowX ? x - lowX : x > highX ? x - highX : 0;
    const dy = y < lowY ? y - lowY : y > highY ? y - highY : 0;
    const dz = z < lowZ ? z - lowZ : z > highZ ? z - highZ : 0;
    square = dx * dx + dy * dy + dz * dz;
    // Half of the slope over the segment, and half of the slope's own.
    const slope = dx * ux + dy * uy + dz * uz;
    if (slope * slope <= CLOSE * square || (t === 0 && slope > 0) || (t === 1 && slope < 0)) break;
    if (slope > 0) to = t;
    else from = t;
    const bend = (dx === 0 ? 0 : ux * ux) + (dy === 0 ? 0 : uy * uy) + (dz === 0 ? 0 : uz * uz);
    t = within(t - slope / bend, from, to);
  }
  near[0] = t;
  return Math.sqrt(square);
}

/** The next place to look at: the one foretold if it is new and on the segment, its end where it is past that, else the middle of what is left. */
function within(foretold: number, from: number, to: number): number {
  const t = foretold < 0 ? 0 : foretold > 1 ? 1 : foretold;
  return t > from && t < to ? t : (Math.max(0, from) + Math.min(1, to)) / 2;
}

/**
 * Least distance from a segment to a cylinder with flat ends, mm; 0 where they meet. Where it is nearest beside the cylinder, or over
 * one of its ends, that is told at once; where the rim is nearest it is looked for, convex along the segment, as for a box.
 */
export function segmentToCylinder(
  list: Segments,
  at: number,
  cylinder: Cylinder,
  near = nearStart(),
): number {
  const ux = list[at + 3]!;
  const uy = list[at + 4]!;
  const uz = list[at + 5]!;
  const wx = list[at]! - cylinder[0]!;
  const wy = list[at + 1]! - cylinder[1]!;
  const wz = list[at + 2]! - cylinder[2]!;
  const ex = cylinder[3]!;
  const ey = cylinder[4]!;
  const ez = cylinder[5]!;
  const half = cylinder[6]!;
  const radius = cylinder[7]!;
  const run = ux * ex + uy * ey + uz * ez;
  const start = wx * ex + wy * ey + wz * ez;
  // Square of the distance from the axis: a·t² + 2b·t + c.
  const a = list[at + 6]! - run * run;
  const b = ux * wx + uy * wy + uz * wz - run * start;
  const c = wx * wx + wy * wy + wz * wz - start * start;
  const beside = b >= 0 ? 0 : -b >= a ? 1 : -b / a;
  const atBeside = start + beside * run;
  if (atBeside <= half && atBeside >= -half) {
    near[0] = beside;
    const round = (a * beside + 2 * b) * beside + c;
    return round > radius * radius ? Math.sqrt(round) - radius : 0;
  }
  const end = start + run;
  if ((start > half && end > half) || (start < -half && end < -half)) {
    const nearer = Math.abs(start) <= Math.abs(end) ? 0 : 1;
    if ((a * nearer + 2 * b) * nearer + c <= radius * radius) {
      near[0] = nearer;
      return Math.abs(start + nearer * run) - half;
    }
  }
  let from = -1;
  let to = 2;
  let t = near[0]!;
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
  near[0] = t;
  return Math.sqrt(square);
}

const clamp = (t: number): number => Math.min(1, Math.max(0, t));
