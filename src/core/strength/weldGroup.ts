import { cross, minus, plus, type Point } from '@/core/geometry/vector';

/** A fillet weld along a straight line, from end to end, mm. */
export type WeldLine = readonly [from: Point, to: Point];

/** What weld lines are in all: length, mm; middle; and second moments of the lines about it, mm³, row by row. */
type Group = { length: number; middle: Point; inertia: number[] };

/** Points of each line at which the force is looked at: it is greatest at an end. */
const ENDS = [0, 1] as const;

/**
 * The greatest force on a millimetre of a group of fillet welds, N/mm: direct F/L, and that of the moment about the group's middle as ω × r
 * with the lines' second moments, added as vectors in three dimensions (elastic vector method, Blodgett, AISC; from memory).
 *
 * @param force N, and where it acts, mm
 */
export function weldLineForce(lines: readonly WeldLine[], force: Point, at: Point): number {
  const { length, middle, inertia } = groupOf(lines);
  const moment = cross(minus(at, middle), force);
  const turn = solve3(inertia, moment);
  let most = 0;
  for (const line of lines)
    for (const end of ENDS) {
      const f = cross(turn, minus(line[end], middle));
      most = Math.max(most, Math.hypot(...f.map((v, k) => v + force[k]! / length)));
    }
  return most;
}

function groupOf(lines: readonly WeldLine[]): Group {
  let length = 0;
  let sum: Point = [0, 0, 0];
  for (const [a, b] of lines) {
    const L = Math.hypot(...minus(b, a));
    length += L;
    sum = plus(sum, plus(a, b).map((v) => (v * L) / 2) as Point);
  }
  const middle = sum.map((v) => v / length) as Point;
  const inertia = new Array<number>(9).fill(0);
  for (const [a, b] of lines) {
    const [p, q] = [minus(a, middle), minus(b, middle)];
    const L = Math.hypot(...minus(b, a));
    // ∫ x_i x_j along a straight line: L/6 · (2p_i p_j + 2q_i q_j + p_i q_j + q_i p_j)
    const product = (i: number, j: number) =>
      (L / 6) * (2 * p[i]! * p[j]! + 2 * q[i]! * q[j]! + p[i]! * q[j]! + q[i]! * p[j]!);
    const square = product(0, 0) + product(1, 1) + product(2, 2);
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) inertia[3 * i + j]! += (i === j ? square : 0) - product(i, j);
  }
  return { length, middle, inertia };
}

/** The turn that a moment gives a group: none about an axis in which lines on one line resist nothing. */
function solve3(m: number[], b: Point): Point {
  const row = (k: number): Point => [m[3 * k]!, m[3 * k + 1]!, m[3 * k + 2]!];
  const [r0, r1, r2] = [row(0), row(1), row(2)];
  const det = r0.reduce((s, v, k) => s + v * cross(r1, r2)[k]!, 0);
  const scale = Math.max(...m.map(Math.abs)) ** 3;
  if (Math.abs(det) < 1e-12 * scale) return [Infinity, Infinity, Infinity];
  const [c0, c1, c2] = [cross(r1, r2), cross(r2, r0), cross(r0, r1)];
  return [0, 1, 2].map((k) => (c0[k]! * b[0] + c1[k]! * b[1] + c2[k]! * b[2]) / det) as Point;
}

/** Throat of a fillet weld, mm: 0.707 of its leg (AWS D1.1, from memory). */
export const throatOf = (leg: number): number => 0.707 * leg;

/** What a fillet's throat is allowed, N/mm²: 0.3 of what the weld metal breaks at (AWS D1.1, from memory). */
export const allowedOnThroat = (ultimate: number): number => 0.3 * ultimate;
