import { nearStart, segmentToBox, segmentToCylinder, type Near } from './closestApproach';
import { putSegment, SEGMENT, type Box, type Cylinder, type Segments } from './shapes';
import type { Point } from './vector';

/** Pairs of a box's corners that an edge joins; corner i is high in x, y, z where bits 1, 2, 4 of i are set. */
const EDGES: [number, number][] = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) =>
  [1, 2, 4].filter((bit) => !(i & bit)).map((bit): [number, number] => [i, i | bit]),
);
const FACES = 6;

/** The corners of a box in the order in which the functions here take them. */
export const cornersOfBox = (min: Point, max: Point): Point[] =>
  [0, 1, 2, 3, 4, 5, 6, 7].map((i) => [0, 1, 2].map((k) => ((i >> k) & 1 ? max[k]! : min[k]!)) as Point);

/** The edges of a box by its corners. */
export function edgesOf(
  corners: Point[],
  list: Segments = new Float64Array(EDGES.length * SEGMENT),
): Segments {
  for (let edge = 0; edge < EDGES.length; edge++) {
    const [from, to] = EDGES[edge]!;
    putSegment(list, edge * SEGMENT, corners[from]!, 0, corners[to]!, 0);
  }
  return list;
}

/**
 * Which edge or face of a box something was found nearest to, and where along the edge: asked first when the two have moved a
 * little. −1: not yet known.
 */
export type NearBox = { part: number; share: Near };
export const nowhere = (): NearBox => ({ part: -1, share: nearStart() });

/** How much nearer than the place found another of the box might still be, mm. */
const CLOSE = 1e-6;

/** A place on an edge, and the way from the other body to it, not of unit length. */
const place = new Float64Array(3);
const away = new Float64Array(3);
/** The place of a cylinder that comes nearest to a face. */
const extreme = new Float64Array(3);

/**
 * Least distance from a box to a cylinder with flat ends that lies anyhow, mm: the nearest place of the box is on one of its edges,
 * or it is inside a face, and then the cylinder's is where it reaches farthest towards that face.
 *
 * @param edges of the box, and the cylinder, both in the box's axes
 * @returns null where no face of the box stands between the two: they may overlap
 */
export function boxToCylinder(box: Box, edges: Segments, cylinder: Cylinder, near: NearBox): number | null {
  if (near.part >= FACES) {
    const distance = edgeToCylinder(edges, near.part - FACES, cylinder, near.share);
    wayFromCylinder(cylinder);
    if (distance > 0 && isAllBeyond(box, distance)) return distance;
  }
  let best = Infinity;
  let apart = false;
  const first = near.part >= 0 && near.part < FACES ? near.part : 0;
  for (let n = 0; n < FACES; n++) {
    const face = (first + n) % FACES;
    const height = heightOver(box, face, cylinder);
    if (height <= 0) continue;
    apart = true;
    if (!isOver(box, face >> 1)) continue;
    // Nearer than over a face that stands between them the two cannot be.
    near.part = face;
    return height;
  }
  if (!apart) return null;
  let share = 0;
  for (let edge = 0; edge < EDGES.length; edge++) {
    near.share[0] = 0;
    const distance = edgeToCylinder(edges, edge, cylinder, near.share);
    if (distance >= best) continue;
    best = distance;
    near.part = FACES + edge;
    share = near.share[0]!;
  }
  near.share[0] = share;
  return best;
}

function edgeToCylinder(edges: Segments, edge: number, cylinder: Cylinder, near: Near): number {
  const distance = segmentToCylinder(edges, edge * SEGMENT, cylinder, near);
  along(edges, edge * SEGMENT, near[0]!);
  return distance;
}

/** Puts the place that far along a segment into `place`. */
function along(list: Segments, at: number, share: number): void {
  for (let k = 0; k < 3; k++) place[k] = list[at + k]! + share * list[at + 3 + k]!;
}

/** Puts the way from the nearest place of a cylinder to `place` into `away`. */
function wayFromCylinder(cylinder: Cylinder): void {
  const ex = cylinder[3]!;
  const ey = cylinder[4]!;
  const ez = cylinder[5]!;
  const half = cylinder[6]!;
  const radius = cylinder[7]!;
  const x = place[0]! - cylinder[0]!;
  const y = place[1]! - cylinder[1]!;
  const z = place[2]! - cylinder[2]!;
  const s = x * ex + y * ey + z * ez;
  const past = s > half ? s - half : s < -half ? s + half : 0;
  const rx = x - s * ex;
  const ry = y - s * ey;
  const rz = z - s * ez;
  const rho = Math.sqrt(rx * rx + ry * ry + rz * rz);
  const out = rho > radius ? (rho - radius) / rho : 0;
  away[0] = past * ex + out * rx;
  away[1] = past * ey + out * ry;
  away[2] = past * ez + out * rz;
}

/** Whether nothing of a box is nearer to the other body than `place`, seen along the way between the two; all in the box's axes. */
function isAllBeyond(box: Box, distance: number): boolean {
  let beyond = CLOSE * distance;
  for (let k = 0; k < 3; k++) beyond += away[k]! * ((away[k]! > 0 ? box[k]! : box[k + 3]!) - place[k]!);
  return beyond >= 0;
}

/**
 * Least distance between two boxes that lie anyhow, mm: the nearest place of one of them is on one of its edges.
 *
 * @param corners of each, in the axes of the other
 * @returns null where an edge of one passes through the other, or stands in it: they overlap
 */
export function boxToBox(
  boxes: readonly [Box, Box],
  corners: readonly [Point[], Point[]],
  near: NearBox,
): number | null {
  if (near.part >= 0) {
    const whose = near.part < EDGES.length ? 0 : 1;
    const box = boxes[1 - whose]!;
    const distance = edgeToBox(corners[whose]!, near.part % EDGES.length, box, near.share);
    wayFromBox(box);
    if (distance > 0 && areAllBeyond(corners[whose]!, distance)) return distance;
  }
  let best = Infinity;
  let share = 0;
  for (let part = 0; part < 2 * EDGES.length; part++) {
    const whose = part < EDGES.length ? 0 : 1;
    near.share[0] = 0;
    const distance = edgeToBox(corners[whose]!, part % EDGES.length, boxes[1 - whose]!, near.share);
    if (distance >= best) continue;
    best = distance;
    near.part = part;
    share = near.share[0]!;
  }
  near.share[0] = share;
  return best > 0 ? best : null;
}

const oneEdge: Segments = new Float64Array(SEGMENT);

function edgeToBox(corners: Point[], edge: number, box: Box, near: Near): number {
  const [from, to] = EDGES[edge]!;
  putSegment(oneEdge, 0, corners[from]!, 0, corners[to]!, 0);
  const distance = segmentToBox(oneEdge, 0, box, near);
  along(oneEdge, 0, near[0]!);
  return distance;
}

/** Puts the way from the nearest place of a box to `place`, in that box's axes, into `away`. */
function wayFromBox(box: Box): void {
  for (let k = 0; k < 3; k++) {
    const [at, low, high] = [place[k]!, box[k]!, box[k + 3]!];
    away[k] = at < low ? at - low : at > high ? at - high : 0;
  }
}

/** The same as `isAllBeyond` of a box by its corners, seen from the other body's axes. */
function areAllBeyond(corners: Point[], distance: number): boolean {
  const [x, y, z] = [away[0]!, away[1]!, away[2]!];
  const here = x * place[0]! + y * place[1]! + z * place[2]! - CLOSE * distance;
  for (let i = 0; i < 8; i++) {
    const c = corners[i]!;
    if (x * c[0] + y * c[1] + z * c[2] < here) return false;
  }
  return true;
}

/** How far a cylinder stays over a face of a box, mm, by its place that comes nearest, which is left in `extreme`. */
function heightOver(box: Box, face: number, cylinder: Cylinder): number {
  const k = face >> 1;
  const high = (face & 1) === 1;
  const on = high ? cylinder[3 + k]! : -cylinder[3 + k]!;
  const s = on > 0 ? -cylinder[6]! : cylinder[6]!;
  // How much of the way to the face is square to the axis.
  const [i, j] = BESIDE[k]!;
  const size = Math.sqrt(cylinder[3 + i]! * cylinder[3 + i]! + cylinder[3 + j]! * cylinder[3 + j]!);
  const r = size > 1e-12 ? cylinder[7]! / size : 0;
  extreme[i] = cylinder[i]! + (s + r * on) * cylinder[3 + i]!;
  extreme[j] = cylinder[j]! + (s + r * on) * cylinder[3 + j]!;
  // Not by `r`: where the axis is all but square to the face that is so long that rounding of the axis would show.
  const round = r && cylinder[7]! * size;
  extreme[k] = cylinder[k]! + s * cylinder[3 + k]! + (high ? -round : round);
  return high ? extreme[k]! - box[3 + k]! : box[k]! - extreme[k]!;
}

/** Whether the place found by `heightOver` is over the face across axis k, not beside it. */
function isOver(box: Box, k: number): boolean {
  const [i, j] = BESIDE[k]!;
  return (
    extreme[i]! >= box[i]! &&
    extreme[i]! <= box[3 + i]! &&
    extreme[j]! >= box[j]! &&
    extreme[j]! <= box[3 + j]!
  );
}

/** The two other axes. */
const BESIDE = [
  [1, 2],
  [0, 2],
  [0, 1],
] as const;
