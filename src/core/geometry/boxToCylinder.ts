import { segmentToCylinder, type Cylinder } from './closestApproach';
import type { Point } from './vector';

/** Pairs of a box's corners that an edge joins; corner i is high in x, y, z where bits 1, 2, 4 of i are set. */
const EDGES: [number, number][] = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) =>
  [1, 2, 4].filter((bit) => !(i & bit)).map((bit): [number, number] => [i, i | bit]),
);

/** The corners of a box in the order in which `boxToCylinder` takes them. */
export const cornersOfBox = (min: Point, max: Point): Point[] =>
  [0, 1, 2, 3, 4, 5, 6, 7].map((i) => [0, 1, 2].map((k) => ((i >> k) & 1 ? max[k]! : min[k]!)) as Point);

/** The place of the cylinder farthest along a direction, less that of a corner, along it and the two other edges, mm. */
const off = new Float64Array(3);
const lengths = new Float64Array(3);
const axes = new Float64Array(9);

/**
 * Least distance from a box that lies anyhow to a cylinder with flat ends, mm: the nearest place of the box is on one of its edges,
 * or it is inside a face, and then the cylinder's is where it reaches farthest towards that face.
 *
 * @param corners of the box, as `cornersOfBox` orders them, in the axes in which the cylinder is told
 * @returns null where no face of the box stands between the two: they may overlap
 */
export function boxToCylinder(corners: Point[], cylinder: Cylinder): number | null {
  const [low, high] = [corners[0]!, corners[7]!];
  for (let k = 0; k < 3; k++) {
    const far = corners[1 << k]!;
    const x = far[0] - low[0];
    const y = far[1] - low[1];
    const z = far[2] - low[2];
    const length = Math.sqrt(x * x + y * y + z * z);
    // A box may be as flat as a plate, or as thin as a wire.
    if (length < 1e-9) return null;
    lengths[k] = length;
    axes[3 * k] = x / length;
    axes[3 * k + 1] = y / length;
    axes[3 * k + 2] = z / length;
  }
  let best = Infinity;
  let apart = false;
  for (let k = 0; k < 3; k++)
    for (let side = -1; side <= 1; side += 2) {
      const height = heightOver(k, side, side < 0 ? low : high, low, cylinder);
      if (height <= 0) continue;
      apart = true;
      const [i, j] = k === 0 ? [1, 2] : k === 1 ? [0, 2] : [0, 1];
      const inside = off[i!]! >= 0 && off[i!]! <= lengths[i!]! && off[j!]! >= 0 && off[j!]! <= lengths[j!]!;
      if (inside && height < best) best = height;
    }
  if (!apart) return null;
  const { centre: c, axis: e, half } = cylinder;
  const along = (p: Point) => (p[0] - c[0]) * e[0] + (p[1] - c[1]) * e[1] + (p[2] - c[2]) * e[2];
  for (const [from, to] of EDGES) {
    const [p, q] = [corners[from]!, corners[to]!];
    const s = along(p);
    const t = along(q);
    // Both beyond one end of it: no nearer than that.
    if (s * t > 0 && Math.min(Math.abs(s), Math.abs(t)) - half >= best) continue;
    const distance = segmentToCylinder(p, q, cylinder);
    if (distance < best) best = distance;
  }
  return best;
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
