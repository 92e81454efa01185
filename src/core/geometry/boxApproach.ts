import { segmentToBox, segmentToCylinder, type Cylinder, type Near } from './closestApproach';
import type { Point } from './vector';

/** A box by its low and its high corner, in axes along its edges, mm. */
export type Box = { min: Point; max: Point };

/** Pairs of a box's corners that an edge joins; corner i is high in x, y, z where bits 1, 2, 4 of i are set. */
const EDGES: [number, number][] = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) =>
  [1, 2, 4].filter((bit) => !(i & bit)).map((bit): [number, number] => [i, i | bit]),
);
const FACES = 6;

/** The corners of a box in the order in which the functions here take them. */
export const cornersOfBox = (min: Point, max: Point): Point[] =>
  [0, 1, 2, 3, 4, 5, 6, 7].map((i) => [0, 1, 2].map((k) => ((i >> k) & 1 ? max[k]! : min[k]!)) as Point);

/**
 * Which edge or face of a box something was found nearest to, and where along the edge: asked first when the two have moved a
 * little. −1: not yet known.
 */
export type NearBox = Near & { part: number };
export const nowhere = (): NearBox => ({ part: -1, share: 0 });

/** How much nearer than the place found another of the box might still be, mm. */
const CLOSE = 1e-6;

/** The place of the cylinder farthest along a direction, less that of a corner, along it and the two other edges, mm. */
const off = new Float64Array(3);
const lengths = new Float64Array(3);
const axes = new Float64Array(9);
/** A place on an edge, and the way from the other body to it, not of unit length. */
const place: Point = [0, 0, 0];
const away: Point = [0, 0, 0];

/**
 * Least distance from a box that lies anyhow to a cylinder with flat ends, mm: the nearest place of the box is on one of its edges,
 * or it is inside a face, and then the cylinder's is where it reaches farthest towards that face.
 *
 * @param corners of the box, as `cornersOfBox` orders them, in the axes in which the cylinder is told
 * @returns null where no face of the box stands between the two: they may overlap
 */
export function boxToCylinder(corners: Point[], cylinder: Cylinder, near: NearBox): number | null {
  if (near.part >= FACES) {
    const distance = edgeToCylinder(corners, near.part - FACES, cylinder, near);
    if (distance > 0 && allBeyond(corners, awayFromCylinder(cylinder), distance)) return distance;
  }
  if (!measureEdges(corners)) return null;
  const [low, high] = [corners[0]!, corners[7]!];
  let best = Infinity;
  let apart = false;
  for (let face = 0; face < FACES; face++) {
    const [k, side] = [face >> 1, face & 1 ? 1 : -1];
    const height = heightOver(k, side, side < 0 ? low : high, low, cylinder);
    if (height <= 0) continue;
    apart = true;
    if (!isOver(k)) continue;
    // Nearer than over a face that stands between them the two cannot be.
    near.part = face;
    return height;
  }
  if (!apart) return null;
  let share = 0;
  for (let edge = 0; edge < EDGES.length; edge++) {
    near.share = 0;
    const distance = edgeToCylinder(corners, edge, cylinder, near);
    if (distance >= best) continue;
    best = distance;
    near.part = FACES + edge;
    ({ share } = near);
  }
  near.share = share;
  return best;
}

function edgeToCylinder(corners: Point[], edge: number, cylinder: Cylinder, near: Near): number {
  const [from, to] = EDGES[edge]!;
  const [p, q] = [corners[from]!, corners[to]!];
  const distance = segmentToCylinder(p, q, cylinder, near);
  along(p, q, near.share);
  return distance;
}

/** Puts the place that far along a segment into `place`. */
function along(p: Point, q: Point, share: number): void {
  for (let k = 0; k < 3; k++) place[k] = p[k]! + share * (q[k]! - p[k]!);
}

/** The way from the nearest place of the cylinder to `place`. */
function awayFromCylinder({ centre: c, axis: e, half, radius }: Cylinder): Point {
  const x = place[0] - c[0];
  const y = place[1] - c[1];
  const z = place[2] - c[2];
  const s = x * e[0] + y * e[1] + z * e[2];
  const past = s > half ? s - half : s < -half ? s + half : 0;
  const rx = x - s * e[0];
  const ry = y - s * e[1];
  const rz = z - s * e[2];
  const rho = Math.sqrt(rx * rx + ry * ry + rz * rz);
  const out = rho > radius ? (rho - radius) / rho : 0;
  away[0] = past * e[0] + out * rx;
  away[1] = past * e[1] + out * ry;
  away[2] = past * e[2] + out * rz;
  return away;
}

/** Whether no corner is nearer to the other body than `place`, seen along the way between the two: then nothing of the box is. */
function allBeyond(corners: Point[], way: Point, distance: number): boolean {
  const here = way[0] * place[0] + way[1] * place[1] + way[2] * place[2] - CLOSE * distance;
  for (let i = 0; i < 8; i++) {
    const c = corners[i]!;
    if (way[0] * c[0] + way[1] * c[1] + way[2] * c[2] < here) return false;
  }
  return true;
}

/**
 * Least distance between two boxes that lie anyhow, mm: the nearest place of one of them is on one of its edges.
 *
 * @param seen corners of each, in the axes of the other
 * @returns null where an edge of one passes through the other, or stands in it: they overlap
 */
export function boxToBox(
  boxes: readonly [Box, Box],
  seen: readonly [Point[], Point[]],
  near: NearBox,
): number | null {
  if (near.part >= 0) {
    const whose = near.part < EDGES.length ? 0 : 1;
    const [corners, box] = [seen[whose]!, boxes[1 - whose]!];
    const distance = edgeToBox(corners, near.part % EDGES.length, box, near);
    if (distance > 0 && allBeyond(corners, awayFromBox(box), distance)) return distance;
  }
  let best = Infinity;
  let share = 0;
  for (let part = 0; part < 2 * EDGES.length; part++) {
    const whose = part < EDGES.length ? 0 : 1;
    near.share = 0;
    const distance = edgeToBox(seen[whose]!, part % EDGES.length, boxes[1 - whose]!, near);
    if (distance >= best) continue;
    best = distance;
    near.part = part;
    ({ share } = near);
  }
  near.share = share;
  return best > 0 ? best : null;
}

function edgeToBox(corners: Point[], edge: number, { min, max }: Box, near: Near): number {
  const [from, to] = EDGES[edge]!;
  const [p, q] = [corners[from]!, corners[to]!];
  const distance = segmentToBox(p, q, min, max, near);
  along(p, q, near.share);
  return distance;
}

/** The way from the nearest place of a box to `place`, in that box's axes. */
function awayFromBox({ min, max }: Box): Point {
  for (let k = 0; k < 3; k++)
    away[k] = place[k]! < min[k]! ? place[k]! - min[k]! : place[k]! > max[k]! ? place[k]! - max[k]! : 0;
  return away;
}

/** Measures the three edges of a box from its low corner; false where one has no length. */
function measureEdges(corners: Point[]): boolean {
  const low = corners[0]!;
  for (let k = 0; k < 3; k++) {
    const far = corners[1 << k]!;
    const x = far[0] - low[0];
    const y = far[1] - low[1];
    const z = far[2] - low[2];
    const length = Math.sqrt(x * x + y * y + z * z);
    // A box may be as flat as a plate, or as thin as a wire.
    if (length < 1e-9) return false;
    lengths[k] = length;
    axes[3 * k] = x / length;
    axes[3 * k + 1] = y / length;
    axes[3 * k + 2] = z / length;
  }
  return true;
}

/** Whether the place found by `heightOver` is over the face across edge k, not beside it. */
function isOver(k: number): boolean {
  const i = k === 0 ? 1 : 0;
  const j = k === 2 ? 1 : 2;
  return off[i]! >= 0 && off[i]! <= lengths[i]! && off[j]! >= 0 && off[j]! <= lengths[j]!;
}

/**
 * How far the cylinder stays over a face of the box, mm, by its place that comes nearest; that place from the low corner along the
 * three edges is left in `off`.
 */
function heightOver(k: number, side: number, face: Point, low: Point, cylinder: Cylinder): number {
  const { centre: c, axis: e, half, radius } = cylinder;
  const nx = side * axes[3 * k]!;
  const ny = side * axes[3 * k + 1]!;
  const nz = side * axes[3 * k + 2]!;
  const on = nx * e[0] + ny * e[1] + nz * e[2];
  const rx = nx - on * e[0];
  const ry = ny - on * e[1];
  const rz = nz - on * e[2];
  const size = Math.sqrt(rx * rx + ry * ry + rz * rz);
  const s = on > 0 ? -half : half;
  const r = size > 1e-12 ? radius / size : 0;
  const px = c[0] + s * e[0] - r * rx;
  const py = c[1] + s * e[1] - r * ry;
  const pz = c[2] + s * e[2] - r * rz;
  const dx = px - low[0];
  const dy = py - low[1];
  const dz = pz - low[2];
  for (let i = 0; i < 3; i++) off[i] = dx * axes[3 * i]! + dy * axes[3 * i + 1]! + dz * axes[3 * i + 2]!;
  return (px - face[0]) * nx + (py - face[1]) * ny + (pz - face[2]) * nz;
}
