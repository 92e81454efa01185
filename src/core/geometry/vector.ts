/** A point, or a direction, in space: x forward, y left, z up (ISO 8855); mm where it is a point. */
export type Point = [number, number, number];

export const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const plus = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const scaled = (a: Point, by: number): Point => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** Distance between two points, mm. */
export const distance = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
/** The unit vector along a. */
export function unit(a: Point): Point {
  const length = Math.hypot(...a);
  return [a[0] / length, a[1] / length, a[2] / length];
}
export const cross = (a: Point, b: Point): Point => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** The point that far of the way from a to b: 0 is a, 1 is b. */
export const between = (a: Point, b: Point, share: number): Point => plus(a, scaled(minus(b, a), share));
/** The point that far above another. */
export const raised = ([x, y, z]: Point, mm: number): Point => [x, y, z + mm];
/** A point with one of its coordinates put elsewhere. */
export const withCoordinate = (a: Point, axis: 0 | 1 | 2, v: number): Point =>
  a.map((w, k) => (k === axis ? v : w)) as Point;

/** The axis of the car that a direction is nearest to, a unit vector. */
export function mainAxis(way: Point): Point {
  const most = Math.max(...way.map(Math.abs));
  const k = way.findIndex((v) => Math.abs(v) === most);
  return [0, 1, 2].map((i) => (i === k ? Math.sign(way[k]!) : 0)) as Point;
}
