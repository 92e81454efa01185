import { boxToBox, boxToCylinder, cornersOfBox, edgesOf, nowhere } from '@/core/geometry/boxApproach';
import { nearStart, segmentToBox, segmentToCylinder, type Near } from '@/core/geometry/closestApproach';
import { convexDistance, start } from '@/core/geometry/convexDistance';
import type { Support } from '@/core/geometry/overlapDepth';
import { boxOf, cylinderOf, SEGMENT, segmentsOf, type Cylinder, type Segments } from '@/core/geometry/shapes';
import type { Point } from '@/core/geometry/vector';
import { toAxle, toChassis, type AxleFrame } from '@/core/kinematics/attitude';
import type { Body, Solid } from './bodies';
import { allOf, betweenPieces, type Pieces } from './lines';

/** A solid as it is asked how far the pieces of a line are from it. */
export type Asked = { box: boolean; shape: Float64Array; support: Support };

export const askedOf = (solid: Solid): Asked => ({
  box: solid.kind === 'box',
  shape: numbersOf(solid),
  support: supportOf(solid),
});

const numbersOf = (solid: Solid): Float64Array =>
  solid.kind === 'box'
    ? boxOf(solid.min, solid.max)
    : cylinderOf(solid.centre, solid.axis, solid.half, solid.radius);

/**
 * The least distance of a line from a solid that stands still, mm; where they meet 0, or as far as it reaches in.
 *
 * @param near of the last time it was asked
 * @param deep how far it reaches into the solid counts
 */
export function toSolid(
  list: Segments,
  { from, to }: Pieces,
  { box, shape, support }: Asked,
  near: Near,
  deep: boolean,
): number {
  let best = Infinity;
  for (let at = from; at < to; at += SEGMENT) {
    const apart = box ? segmentToBox(list, at, shape, near) : segmentToCylinder(list, at, shape, near);
    if (apart < best) best = apart;
  }
  return best === 0 && deep ? wayOut(list, { from, to }, support) : best;
}

/** How far a line that meets a solid reaches into it, mm: minus the least way by which its deepest piece comes out. */
function wayOut(list: Segments, { from, to }: Pieces, solid: Support): number {
  let best = Infinity;
  for (let at = from; at < to; at += SEGMENT) {
    const piece: Support = (x, y, z, out) => {
      const far = x * list[at + 3]! + y * list[at + 4]! + z * list[at + 5]! > 0 ? 1 : 0;
      for (let k = 0; k < 3; k++) out[k] = list[at + k]! + far * list[at + 3 + k]!;
    };
    best = Math.min(best, convexDistance(piece, solid));
  }
  return best;
}

/** How far a path is at its nearest from the surface of what is in the way, in the axes of its carrier, mm. */
export function gapTo({ shape }: Body): (path: Segments) => number {
  if (shape.kind === 'tube') {
    const line = segmentsOf(shape.line.map(({ point: p }) => p));
    return (path) => betweenPieces(path, allOf(path), line, allOf(line)) - shape.od / 2;
  }
  const asked = askedOf(shape);
  return (path) => toSolid(path, allOf(path), asked, nearStart(), false);
}

/** How far two solids are apart in a pose, mm; negative where they overlap: the least way out. */
export function betweenSolids(p: Body, q: Body, frame: AxleFrame): () => number {
  const [moving, still] = p.on === 'axle' ? [p, q] : [q, p];
  const [carried, fixed] = [supportOf(moving.shape as Solid), supportOf(still.shape as Solid)];
  const seen = still.on === 'axle' ? carried : carriedAlong(carried, frame);
  // Where the two last were nearest changes little from pose to pose.
  const from = start();
  const hard = () => convexDistance(seen, fixed, from);
  const easy = boxAndCylinder(moving, still, frame) ?? boxAndBox(moving, still, frame);
  return easy ? () => easy() ?? hard() : hard;
}

/** How far a box and a cylinder are apart, where one of each they are and a face of the box stands between them. */
function boxAndCylinder(moving: Body, still: Body, frame: AxleFrame): (() => number | null) | null {
  const [box, cylinder] = moving.shape.kind === 'box' ? [moving, still] : [still, moving];
  const [{ shape: flat }, { shape: round }] = [box, cylinder];
  if (flat.kind !== 'box' || round.kind !== 'cylinder') return null;
  const near = nowhere();
  const [asked, edges] = [boxOf(flat.min, flat.max), edgesOf(cornersOfBox(flat.min, flat.max))];
  const seen = cylinderOf(round.centre, round.axis, round.half, round.radius);
  if (box.on === cylinder.on) return () => boxToCylinder(asked, edges, seen, near);
  const carry = box.on === 'axle' ? toAxle : toChassis;
  const tip = round.centre.map((v, k) => v + round.axis[k]!) as Point;
  return () => {
    carryCylinder(frame, carry, round.centre, tip, seen);
    return boxToCylinder(asked, edges, seen, near);
  };
}

const middle: Point = [0, 0, 0];
const point: Point = [0, 0, 0];

/** Writes where a cylinder is carried, by its middle and the point one along its axis. */
function carryCylinder(
  frame: AxleFrame,
  carry: typeof toAxle,
  centre: Point,
  tip: Point,
  into: Cylinder,
): void {
  carry(frame, centre, 0, middle, 0);
  carry(frame, tip, 0, point, 0);
  for (let k = 0; k < 3; k++) {
    into[k] = middle[k]!;
    into[3 + k] = point[k]! - middle[k]!;
  }
}

/** How far a box of the axle and one of the chassis are apart, where they do not overlap. */
function boxAndBox(moving: Body, still: Body, frame: AxleFrame): (() => number | null) | null {
  const [{ shape: a }, { shape: b }] = [moving, still];
  if (a.kind !== 'box' || b.kind !== 'box') return null;
  const near = nowhere();
  const boxes = [boxOf(a.min, a.max), boxOf(b.min, b.max)] as const;
  const corners = [cornersOfBox(a.min, a.max), cornersOfBox(b.min, b.max)] as const;
  const seen = [cornersOfBox(a.min, a.max), cornersOfBox(b.min, b.max)] as const;
  return () => {
    for (let i = 0; i < 8; i++) {
      toChassis(frame, corners[0][i]!, 0, seen[0][i]!, 0);
      toAxle(frame, corners[1][i]!, 0, seen[1][i]!, 0);
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
function carriedAlong(support: Support, frame: AxleFrame): Support {
  const way: Point = [0, 0, 0];
  const origin: Point = [0, 0, 0];
  return (x, y, z, out) => {
    toAxle(frame, NOUGHT, 0, origin, 0);
    way[0] = x;
    way[1] = y;
    way[2] = z;
    toAxle(frame, way, 0, way, 0);
    support(way[0] - origin[0], way[1] - origin[1], way[2] - origin[2], out);
    toChassis(frame, out, 0, out, 0);
  };
}
const ROUNDING = 1e-9;
const NOUGHT: Point = [0, 0, 0];

/** A body at ride height; what is bent is taken with the room between its bends. */
export function supportOfBody({ shape }: Body): Support {
  if (shape.kind !== 'tube') return supportOf(shape);
  const points = [...shape.line.map(({ point }) => point), ...(shape.bends ?? [])];
  const radius = shape.od / 2;
  return (x, y, z, out) => {
    let best = -Infinity;
    let far = points[0]!;
    for (const p of points) {
      const along = x * p[0] + y * p[1] + z * p[2];
      if (along > best) [best, far] = [along, p];
    }
    const length = Math.sqrt(x * x + y * y + z * z);
    const r = length > 0 ? radius / length : 0;
    out[0] = far[0] + r * x;
    out[1] = far[1] + r * y;
    out[2] = far[2] + r * z;
  };
}

/** A body moved by so much, mm. */
export function shifted(body: Support, by: Point): Support {
  return (x, y, z, out) => {
    body(x, y, z, out);
    for (let k = 0; k < 3; k++) out[k]! += by[k]!;
  };
}
