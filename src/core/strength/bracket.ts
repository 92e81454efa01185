import { dot, type Point } from '@/core/geometry/vector';

/**
 * Two plates side by side that stand out from what they are fastened to, mm: each plate's thickness, its depth where it is fastened, the
 * space between the two; whether a web boxes them, so that they bend as one.
 */
export type PlatePair = { thickness: number; depth: number; apart: number; boxed: boolean };

/** How a pair of plates lies: the bolt's way, the way out from the root to the eye, and the way across both, each a unit vector. */
export type BracketAxes = { bolt: Point; out: Point; along: Point };

/** Section moduli at the root, mm³: bent in the plane of the plates, and across them; and the area, mm². */
export function rootSection({ thickness: t, depth: h, apart, boxed }: PlatePair): {
  inPlane: number;
  across: number;
  A: number;
} {
  const A = 2 * t * h;
  const inPlane = (2 * t * h ** 2) / 6;
  if (!boxed) return { inPlane, across: (2 * h * t ** 2) / 6, A };
  const lever = (apart + t) / 2;
  return { inPlane, across: (2 * ((h * t ** 3) / 12 + h * t * lever ** 2)) / (lever + t / 2), A };
}

/** What a force on the eye of a bracket does at its root, N and N·mm: pull along the way out, moments in the plates' plane and across them. */
export function rootLoads(force: Point, { bolt, out, along }: BracketAxes, reach: number) {
  return {
    pull: dot(force, out),
    inPlane: Math.abs(dot(force, along)) * reach,
    across: Math.abs(dot(force, bolt)) * reach,
  };
}

/**
 * What a brace to the other rail takes of the force on a bracket, N: the bracket an arm held at its root, the brace a strut that props it
 * (Roark's, cantilever with a spring prop, from memory).
 *
 * @param force along the brace at the eye, N
 * @param reach root to eye, mm
 * @param at root to where the brace meets the bracket, mm
 * @param EI of the bracket, N·mm²
 * @param rate of the brace along itself, N/mm
 */
export const braceShare = (force: number, reach: number, at: number, EI: number, rate: number): number =>
  (force * ((at ** 2 * (3 * reach - at)) / (6 * EI))) / (at ** 3 / (3 * EI) + 1 / rate);

/** How a bracket sits on a wall between two edges that hold it, mm: its depth the way it is pushed, its plates' middles apart, and whether it is pushed along the edges or from one to the other. */
export type OnWall = { depth: number; apart: number; thickness: number; along: boolean };

/** A wall between its two edges, mm. */
export type Wall = { span: number; thickness: number };

/**
 * Bending of the wall that a bracket is fastened to, N/mm²: the bracket's moment as a pair of forces M/depth on a strip of the wall that is
 * held at both edges. Pushed along the edges, each force is shared by the two plates, (R/2)·a·(1 − a/b); pushed from edge to edge the pair
 * tips the strip, R·a·(L − a)·(2L − a)/2L², L = b/2. a is from the edge to the plate: what stands over an edge bends no wall. A force spreads
 * by half the span to each side (Roark's, fixed beams, from memory).
 */
export function wallBending(moment: number, on: OnWall, { span, thickness }: Wall): number {
  const push = moment / on.depth;
  const a = Math.max(0, (span - (on.along ? on.apart : on.depth)) / 2);
  const half = span / 2;
  const bending = on.along
    ? (push / 2) * a * (1 - a / span)
    : (push * a * (half - a) * (2 * half - a)) / (2 * half ** 2);
  const strip = (on.along ? on.depth / 3 : on.apart + on.thickness) + span;
  return (6 * bending) / (strip * thickness ** 2);
}
