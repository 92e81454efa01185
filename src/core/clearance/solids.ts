import { boxToBox, boxToCylinder, cornersOfBox, nowhere } from '@/core/geometry/boxApproach';
import { segmentToBox, segmentToCylinder, type Near } from '@/core/geometry/closestApproach';
import { convexDistance, start } from '@/core/geometry/convexDistance';
import type { Support } from '@/core/geometry/overlapDepth';
import type { Point } from '@/core/geometry/vector';
import type { Body, Solid } from './bodies';
import { leastOf, pathToPath, type Seen } from './lines';

/**
 * The least distance of a path from a solid that stands still, mm; where they meet 0, or as far as it reaches in.
 *
 * @param near of the last time it was asked
 * @param deep how far it reaches into the solid counts
 */
export function toSolid(path: Point[], solid: Solid, near: Near = { share: 0 }, deep = false): number {
  const apart = leastOf(path, (a, b) =>
    solid.kind === 'box'
      ? segmentToBox(a, b, solid.min, solid.max, near)
      : segmentToCylinder(a, b, solid, near),
  );
  return apart === 0 && deep ? wayOut(path, solid) : apart;
}

/** How far a path that meets a solid reaches into it, mm: minus the least way by which its deepest piece comes out. */
export const wayOut = (path: Point[], solid: Solid): number =>
  leastOf(path, (a, b) => {
    const piece: Support = (x, y, z, out) => {
      const farther = x * (a[0] - b[0]) + y * (a[1] - b[1]) + z * (a[2] - b[2]) > 0 ? a : b;
      [out[0], out[1], out[2]] = farther;
    };
    return convexDistance(piece, supportOf(solid));
  });

/** The least distance of a path from what is in the way, in the axes of its carrier, surface, mm. */
export const toBody = (path: Point[], { shape }: Body): number =>
  shape.kind === 'tube'
    ? pathToPath(
        path,
        shape.line.map((p) => p.point),
      ) -
      shape.od / 2
    : toSolid(path, shape);

/** How far two solids are apart in a pose, mm; negative where they overlap: the least way out. */
export function betweenSolids(p: Body, q: Body, pose: { seen: Seen }): () => number {
  const [moving, still] = p.on === 'axle' ? [p, q] : [q, p];
  const [carried, fixed] = [supportOf(moving.shape as Solid), supportOf(still.shape as Solid)];
  const seen = still.on === 'axle' ? carried : carriedAlong(carried, pose);
  // Where the two last were nearest changes little from pose to pose.
  const from = start();
  const hard = () => convexDistance(seen, fixed, from);
  const easy = boxAndCylinder(moving, still, pose) ?? boxAndBox(moving, still, pose);
  return easy ? () => easy() ?? hard() : hard;
}

/** How far a box and a cylinder are apart, where one of each they are and a face of the box stands between them. */
function boxAndCylinder(moving: Body, still: Body, pose: { seen: Seen }): (() => number | null) | null {
  const [box, cylinder] = moving.shape.kind === 'box' ? [moving, still] : [still, moving];
  const [{ shape: flat }, { shape: round }] = [box, cylinder];
  if (flat.kind !== 'box' || round.kind !== 'cylinder') return null;
  const near = nowhere();
  const corners = cornersOfBox(flat.min, flat.max);
  if (box.on === cylinder.on) return () => boxToCylinder(corners, round, near);
  const seen = cornersOfBox(flat.min, flat.max);
  const carry = box.on === 'axle' ? 'toChassis' : 'toAxle';
  return () => {
    for (let i = 0; i < 8; i++) pose.seen[carry](corners[i]!, seen[i]!);
    return boxToCylinder(seen, round, near);
  };
}

/** How far a box of the axle and one of the chassis are apart, where they do not overlap. */
function boxAndBox(moving: Body, still: Body, pose: { seen: Seen }): (() => number | null) | null {
  const [{ shape: a }, { shape: b }] = [moving, still];
  if (a.kind !== 'box' || b.kind !== 'box') return null;
  const near = nowhere();
  const boxes = [a, b] as const;
  const corners = [cornersOfBox(a.min, a.max), cornersOfBox(b.min, b.max)] as const;
  const seen = [cornersOfBox(a.min, a.max), cornersOfBox(b.min, b.max)] as const;
  return () => {
    for (let i = 0; i < 8; i++) {
      pose.seen.toChassis(corners[0][i]!, seen[0][i]!);
      pose.seen.toAxle(corners[1][i]!, seen[1][i]!);
    }
    return boxToBox(boxes, seen, near);
  };
}

export function supportOf(solid: Solid): Support {
  if (solid.kind === 'box') {
    const { min, max } = solid;
    return (x, y, z, out) => {
      out[0] = x < 0 ? min[0] : max[0];
      out[1] = y < 0 ? min[1] : max[1];
      out[2] = z < 0 ? min[2] : max[2];
    };
  }
  const { centre: c, axis: e, half, radius } = solid;
  return (x, y, z, out) => {
    const on = x * e[0] + y * e[1] + z * e[2];
    const rx = x - on * e[0];
    const ry = y - on * e[1];
    const rz = z - on * e[2];
    const size = Math.sqrt(rx * rx + ry * ry + rz * rz);
    const s = on < 0 ? -half : half;
    // Along its axis no way out from it is told by more than rounding.
    const r = size > ROUNDING * Math.abs(on) ? radius / size : 0;
    out[0] = c[0] + s * e[0] + r * rx;
    out[1] = c[1] + s * e[1] + r * ry;
    out[2] = c[2] + s * e[2] + r * rz;
  };
}

/** A solid that the axle carries, asked in the chassis's axes. */
function carriedAlong(support: Support, pose: { seen: Seen }): Support {
  const way: Point = [0, 0, 0];
  const origin: Point = [0, 0, 0];
  return (x, y, z, out) => {
    const { toAxle, toChassis } = pose.seen;
    toAxle(NOUGHT, origin);
    way[0] = x;
    way[1] = y;
    way[2] = z;
    toAxle(way, way);
    support(way[0] - origin[0], way[1] - origin[1], way[2] - origin[2], out);
    toChassis(out, out);
  };
}
const ROUNDING = 1e-9;
const NOUGHT: Point = [0, 0, 0];
