import { overlapDepth, type Support } from './overlapDepth';
import type { Point } from './vector';

const MOST_STEPS = 64;
/** How much nearer than the place found the bodies might still be, mm. */
const CLOSE = 5e-7;
/** Bodies nearer than this meet, mm. */
const TOUCHING = 1e-7;

// What follows is asked many times a pose: it works in these and allocates nothing.
const four = (): [Point, Point, Point, Point] => [
  [0, 0, 0],
  [0, 0, 0],
  [0, 0, 0],
  [0, 0, 0],
];
/** Corners of the simplex, of the difference of the two bodies, and the directions in which they were found. */
const corners = four();
const ways = four();
const onA: Point = [0, 0, 0];
const onB: Point = [0, 0, 0];
const nearest: Point = [0, 0, 0];
/** Products of the corners with each other, row by row of four. */
const products = new Float64Array(16);
const shares = new Float64Array(4);

/**
 * Surface-to-surface distance of two convex bodies, mm; where they overlap, minus the least way by which one must be moved to be
 * clear of the other. Gilbert, Johnson and Keerthi (1988), on the difference of the two; from memory.
 *
 * @param from where to start: at the last answer, where the bodies have moved little since; it is set to this answer
 */
export const convexDistance = (a: Support, b: Support, from: Start = start()): number =>
  separation(a, b, from) ?? -overlapDepth(a, b);

/** Whether two convex bodies touch or overlap. */
export const convexMeet = (a: Support, b: Support): boolean => (separation(a, b, start()) ?? 0) <= 0;

/** The distance of two convex bodies, mm; null where they touch or overlap. */
function separation(a: Support, b: Support, from: Start): number | null {
  let count = 0;
  for (let i = 0; i < from.count; i++) {
    const [x, y, z] = from.ways[i]!;
    apart(a, b, x, y, z, count);
    count = count === 0 ? alone() : reduced(count + 1);
  }
  let square = dot(nearest, nearest);
  for (let n = 0; n < MOST_STEPS && square > TOUCHING * TOUCHING; n++) {
    if (count === 4) return null;
    apart(a, b, -nearest[0], -nearest[1], -nearest[2], count);
    const far = Math.sqrt(square);
    if (square - dot(nearest, corners[count]!) <= CLOSE * far) return kept(far, count, from);
    count = reduced(count + 1);
    const now = dot(nearest, nearest);
    // Where rounding lets it come no nearer, this is as near as it is.
    if (count < 4 && !(now < square)) return kept(far, count, from);
    square = now;
  }
  return square > TOUCHING * TOUCHING ? Math.sqrt(square) : null;
}

/** Directions of the corners between which an answer was found. */
export type Start = { ways: [Point, Point, Point]; count: number };
export const start = (): Start => ({
  ways: [
    [1, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ],
  count: 1,
});

function kept(distance: number, count: number, from: Start): number {
  from.count = count;
  for (let i = 0; i < count; i++) copy(ways[i]!, from.ways[i]!);
  return distance;
}

/** Puts the difference's farthest point in a direction into a corner of the simplex. */
function apart(a: Support, b: Support, x: number, y: number, z: number, at: number): void {
  a(x, y, z, onA);
  b(-x, -y, -z, onB);
  const corner = corners[at]!;
  corner[0] = onA[0] - onB[0];
  corner[1] = onA[1] - onB[1];
  corner[2] = onA[2] - onB[2];
  const way = ways[at]!;
  way[0] = x;
  way[1] = y;
  way[2] = z;
}

function alone(): number {
  copy(corners[0], nearest);
  return 1;
}

const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

function copy(a: Point, into: Point): void {
  into[0] = a[0];
  into[1] = a[1];
  into[2] = a[2];
}

/** Sets of corners that have the newest among them, by how many corners there are: the sets as bits, the smaller first. */
const SETS = [0, 1, 2, 3, 4].map((count) =>
  count === 0 ? [] : Array.from({ length: 1 << (count - 1) }, (_, rest) => rest | (1 << (count - 1))),
);

/**
 * Keeps those corners between which the simplex comes nearest to the origin, and sets `nearest` to that point. Of every set of
 * corners the nearest point of its plane is a mean of them with shares that a small linear system gives; it is the simplex's own
 * where all shares are positive.
 *
 * @returns how many corners are kept; 4 where the origin is inside
 */
function reduced(count: number): number {
  for (let i = 0; i < count; i++)
    for (let k = i; k < count; k++) {
      const product = dot(corners[i]!, corners[k]!);
      products[4 * i + k] = product;
      products[4 * k + i] = product;
    }
  let best = Infinity;
  let bestSet = 0;
  for (const set of SETS[count]!) {
    if (!sharesOf(set, count)) continue;
    let x = 0;
    let y = 0;
    let z = 0;
    for (let i = 0; i < count; i++) {
      if (!(set & (1 << i))) continue;
      const share = shares[i]!;
      x += share * corners[i]![0];
      y += share * corners[i]![1];
      z += share * corners[i]![2];
    }
    const square = x * x + y * y + z * z;
    if (square >= best) continue;
    best = square;
    bestSet = set;
    nearest[0] = x;
    nearest[1] = y;
    nearest[2] = z;
    // No corner lies beyond it: no other set comes nearer.
    if (allBeyond(count, square)) break;
  }
  let left = 0;
  for (let i = 0; i < count; i++)
    if (bestSet & (1 << i)) {
      if (left !== i) {
        copy(corners[i]!, corners[left]!);
        copy(ways[i]!, ways[left]!);
      }
      left++;
    }
  return left;
}

function allBeyond(count: number, square: number): boolean {
  for (let i = 0; i < count; i++) if (dot(nearest, corners[i]!) < square * (1 - FLAT)) return false;
  return true;
}

const rows = new Float64Array(12);

/** Shares of the corners of a set in the point of their plane nearest to the origin; false where one is not positive. */
function sharesOf(set: number, count: number): boolean {
  let base = -1;
  let size = 0;
  for (let i = 0; i < count; i++)
    if (set & (1 << i)) {
      if (base < 0) base = i;
      else members[size++] = i;
    }
  if (size === 0) {
    shares[base] = 1;
    return true;
  }
  // (cᵢ − c₀)·(c₀ + Σ sₖ(cₖ − c₀)) = 0 for each i.
  const width = size + 1;
  const own = products[5 * base]!;
  for (let r = 0; r < size; r++) {
    const i = members[r]!;
    for (let c = 0; c < size; c++) {
      const k = members[c]!;
      rows[r * width + c] = products[4 * i + k]! - products[4 * i + base]! - products[4 * base + k]! + own;
    }
    rows[r * width + size] = own - products[4 * i + base]!;
  }
  if (!eliminated(size, width)) return false;
  let rest = 1;
  for (let r = 0; r < size; r++) {
    const share = rows[r * width + size]!;
    if (!(share > 0)) return false;
    shares[members[r]!] = share;
    rest -= share;
  }
  if (!(rest > 0)) return false;
  shares[base] = rest;
  return true;
}
const members = new Uint8Array(3);
/** Corners this nearly on one line or in one plane make no larger set of their own. */
const FLAT = 1e-12;

/** Solves the small symmetric system in `rows`; its answer stands in the last column. False where it is flat. */
function eliminated(size: number, width: number): boolean {
  for (let c = 0; c < size; c++) {
    const pivot = rows[c * width + c]!;
    const scale = c === 0 ? Math.abs(pivot) : Math.abs(rows[0]!) + Math.abs(pivot);
    if (!(Math.abs(pivot) > FLAT * scale) || pivot === 0) return false;
    for (let r = 0; r < size; r++) {
      if (r === c) continue;
      const factor = rows[r * width + c]! / pivot;
      for (let k = c; k < width; k++) rows[r * width + k]! -= factor * rows[c * width + k]!;
    }
    for (let k = c + 1; k < width; k++) rows[c * width + k]! /= pivot;
  }
  return true;
}
