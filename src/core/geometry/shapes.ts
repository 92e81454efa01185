import type { Point } from './vector';

/**
 * Segments one after another in one list of numbers: of each its start (x, y, z) and its run (x, y, z), mm, and the square of its
 * length, mm². Numbers in one list are read several times as fast as points of points, and gaps are asked for by the million.
 */
export type Segments = Float64Array;
/** How many numbers a segment takes. */
export const SEGMENT = 7;

/** A point, mm, by itself or somewhere in a list of numbers. */
export type Coordinates = Point | Float64Array;

/** Writes the segment from one point to another, each at a place of its list, into a list at a place of it. */
export function putSegment(
  list: Segments,
  at: number,
  from: Coordinates,
  i: number,
  to: Coordinates,
  k: number,
): void {
  const px = from[i]!;
  const py = from[i + 1]!;
  const pz = from[i + 2]!;
  const x = to[k]! - px;
  const y = to[k + 1]! - py;
  const z = to[k + 2]! - pz;
  list[at] = px;
  list[at + 1] = py;
  list[at + 2] = pz;
  list[at + 3] = x;
  list[at + 4] = y;
  list[at + 5] = z;
  list[at + 6] = x * x + y * y + z * z;
}

/** The pieces of a path, one after another. */
export function segmentsOf(path: Point[]): Segments {
  const list = new Float64Array((path.length - 1) * SEGMENT);
  for (let i = 1; i < path.length; i++) putSegment(list, (i - 1) * SEGMENT, path[i - 1]!, 0, path[i]!, 0);
  return list;
}

/** A box in axes along its edges, mm, in one list: its low corner (x, y, z), its high one. */
export type Box = Float64Array;
export const boxOf = (min: Point, max: Point): Box => Float64Array.of(...min, ...max);

/** A solid cylinder with flat ends, mm, in one list: its middle (x, y, z), its axis (unit), half its length, its radius. */
export type Cylinder = Float64Array;
export const cylinderOf = (centre: Point, axis: Point, half: number, radius: number): Cylinder =>
  Float64Array.of(...centre, ...axis, half, radius);
