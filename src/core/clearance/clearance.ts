import { segmentToBox, segmentToCylinder, segmentToSegment } from '@/core/geometry/closestApproach';
import { boxToCylinder, cornersOfBox } from '@/core/geometry/boxToCylinder';
import { convexDistance, start, type Support } from '@/core/geometry/convexDistance';
import { distance, type Point } from '@/core/geometry/vector';
import { carries, type Attitude } from '@/core/kinematics/attitude';
import type { Rig } from '@/core/rig/schema';
import { bentLine } from './barPath';
import { bodiesOf, type Body, type Solid, type Tube } from './bodies';

/** Surface-to-surface distance of two bodies, mm; negative where they overlap. */
export type Clearance = { a: string; b: string; distance: number };

/** Mounts nearer to each other than this are one, mm. */
const SHARED = 1;

/** How points of either body of the car are seen from the other in a pose. */
type Seen = ReturnType<typeof carries>;

/** A body, and its line in the pose last looked at, in chassis axes and, where a solid of the axle asks for it, in the axle's. */
type Placed = { body: Body; chassis: Point[]; axle: Point[] };

/** Two bodies and how far apart they are in the pose last looked at. */
type Pair = { a: string; b: string; distance: () => number };

/**
 * How gaps are looked at. `bracket`: length at each end of a bar, mm, that belongs to the bracket and is not looked at against what
 * the same body carries; without it bars are taken from eye to eye. `lockDeg`: how far the front wheels are steered, left
 * positive. `deep`: how far the line of a bar reaches into a solid counts, by the least way out; else it is as far in once it is in,
 * as an answer states it. `only`: the pairs that are looked at, by ids; all without it.
 */
export type Looking = {
  bracket?: number;
  lockDeg?: number;
  deep?: boolean;
  only?: (a: string, b: string) => boolean;
};

/**
 * Makes ready to ask, pose by pose, how far every body of a rig is from every other: all but those of one carrier, those that share
 * a mount and those that are joined. Of a version 1 file, bars are compared even where they share a mount, as ever.
 */
export function clearancesOf(
  rig: Rig,
  { bracket = 0, lockDeg, deep = false, only }: Looking = {},
): (pose: Attitude) => Clearance[] {
  const bodies = bodiesOf(rig, lockDeg);
  const pose: { seen: Seen } = { seen: carries({ ...AT_REST, z: rig.tireRadius }, rig.tireRadius) };
  const wanted = pairsOf(rig, bodies).filter(([i, k]) => !only || only(bodies[i]!.id, bodies[k]!.id));
  const asked = new Set(wanted.flat());
  const fromAxle = new Set(
    wanted.flatMap(([i, k]) => [
      ...(isTube(bodies[i]!) && standsOnAxle(bodies[k]!) ? [i] : []),
      ...(isTube(bodies[k]!) && standsOnAxle(bodies[i]!) ? [k] : []),
    ]),
  );
  const places = bodies.map((body) => ({ body, chassis: [] as Point[], axle: [] as Point[] }));
  const moves = [...asked].flatMap((i) => moveOf(places[i]!, fromAxle.has(i)));
  const pairs = wanted.map(([i, k]) => pairOf(places[i]!, places[k]!, pose, { bracket, deep }));
  return (attitude) => {
    pose.seen = carries(attitude, rig.tireRadius);
    for (const move of moves) move(pose.seen);
    return pairs.map(({ a, b, distance: apart }) => ({ a, b, distance: apart() }));
  };
}

const AT_REST = { x: 0, y: 0, rollDeg: 0, pitchDeg: 0, steerDeg: 0 };

/** The same in one pose. */
export const clearances = (rig: Rig, pose: Attitude, looking?: Looking): Clearance[] =>
  clearancesOf(rig, looking)(pose);

/** Whether a rig states anything between which a gap could be measured. */
export const hasClearances = (rig: Rig): boolean => rig.obstacles !== undefined || bodiesOf(rig).length > 1;

/** Each body with what is in the way and with the bodies after it, then what the axle carries with what the chassis carries. */
function pairsOf(rig: Rig, bodies: Body[]): [number, number][] {
  const joined = new Set((rig.joined ?? []).flatMap(([p, q]) => [`${p}\n${q}`, `${q}\n${p}`]));
  const compared = (a: Body, b: Body): boolean =>
    (a.on === 'both' || b.on === 'both' || a.on !== b.on || a.turned !== b.turned) &&
    !joined.has(`${a.id}\n${b.id}`) &&
    (rig.version === 1 || !shareMount(a, b));
  const all = bodies.map((_, i) => i);
  const [things, parts] = [all.filter((i) => bodies[i]!.obstacle), all.filter((i) => !bodies[i]!.obstacle)];
  const carriedBy = (on: Body['on']) => things.filter((i) => bodies[i]!.on === on);
  return [
    ...parts.flatMap((i) => [...things, ...parts.filter((k) => k > i)].map((k): [number, number] => [i, k])),
    ...carriedBy('axle').flatMap((i) => carriedBy('chassis').map((k): [number, number] => [i, k])),
  ].filter(([i, k]) => compared(bodies[i]!, bodies[k]!));
}

const shareMount = (a: Body, b: Body): boolean =>
  a.mounts.some((p) => b.mounts.some((q) => p.on === q.on && distance(p.point, q.point) < SHARED));

const isTube = (body: Body): body is Body & { shape: Tube } => body.shape.kind === 'tube';

/** Whether a body is looked at in the axle's axes, where it stands still. */
const standsOnAxle = (body: Body): boolean => !isTube(body) && body.on === 'axle';

/** The line of something long in a pose, chassis axes. */
export function lineOf({ line, bends }: Tube, toChassis: (p: Point) => Point): Point[] {
  const ends = line.map(({ on, point }) => (on === 'axle' ? toChassis(point) : point));
  return bends?.length ? bentLine(line, bends, ends) : ends;
}

/** What brings a line to a pose: nothing of a solid, or of a line that stands still wherever it is seen from. */
function moveOf(place: Placed, fromAxle: boolean): ((seen: Seen) => void)[] {
  const { shape } = place.body;
  if (shape.kind !== 'tube') return [];
  const { line, bends } = shape;
  if (bends?.length)
    return [
      ({ toChassis, toAxle }) => {
        place.chassis = lineOf(shape, (p) => toChassis(p));
        place.axle = fromAxle ? place.chassis.map((p) => toAxle(p)) : [];
      },
    ];
  // Points are written over from pose to pose.
  place.chassis = line.map(({ point }) => [...point]);
  place.axle = line.map(({ point }) => [...point]);
  return [
    ({ toChassis, toAxle }) => {
      for (let i = 0; i < line.length; i++) {
        const { on, point } = line[i]!;
        if (on === 'axle') toChassis(point, place.chassis[i]!);
        else if (fromAxle) toAxle(point, place.axle[i]!);
      }
    },
  ];
}

function pairOf(
  p: Placed,
  q: Placed,
  pose: { seen: Seen },
  { bracket, deep }: { bracket: number; deep: boolean },
): Pair {
  const ids = { a: p.body.id, b: q.body.id };
  if (isTube(p.body) && isTube(q.body)) return { ...ids, distance: betweenTubes(p, q, bracket) };
  if (isTube(p.body)) return { ...ids, distance: tubeToSolid(p, q.body, bracket, deep) };
  if (isTube(q.body)) return { ...ids, distance: tubeToSolid(q, p.body, bracket, deep) };
  const [moving, still] = p.body.on === 'axle' ? [p, q] : [q, p];
  const [carried, fixed] = [supportOf(moving.body.shape as Solid), supportOf(still.body.shape as Solid)];
  const seen = still.body.on === 'axle' ? carried : carriedAlong(carried, pose);
  // Where the two last were nearest changes little from pose to pose.
  const from = start();
  const hard = () => convexDistance(seen, fixed, from);
  const easy = boxAndCylinder(moving.body, still.body, pose);
  return { ...ids, distance: easy ? () => easy() ?? hard() : hard };
}

/** How far a box and a cylinder are apart, where one of each they are and a face of the box stands between them. */
function boxAndCylinder(moving: Body, still: Body, pose: { seen: Seen }): (() => number | null) | null {
  const [box, cylinder] = moving.shape.kind === 'box' ? [moving, still] : [still, moving];
  const [{ shape: flat }, { shape: round }] = [box, cylinder];
  if (flat.kind !== 'box' || round.kind !== 'cylinder') return null;
  const corners = cornersOfBox(flat.min, flat.max);
  if (box.on === cylinder.on) return () => boxToCylinder(corners, round);
  const seen = cornersOfBox(flat.min, flat.max);
  const carry = box.on === 'axle' ? 'toChassis' : 'toAxle';
  return () => {
    for (let i = 0; i < 8; i++) pose.seen[carry](corners[i]!, seen[i]!);
    return boxToCylinder(seen, round);
  };
}

function betweenTubes(p: Placed, q: Placed, bracket: number): () => number {
  const [a, b] = [p.body, q.body] as (Body & { shape: Tube })[];
  const thick = (a!.shape.od + b!.shape.od) / 2;
  if (bracket > 0 && a!.on !== b!.on)
    return () =>
      pathToPath(freeOf(a!, p.chassis, b!.on, bracket), freeOf(b!, q.chassis, a!.on, bracket)) - thick;
  return () => {
    const one = p.chassis;
    const other = q.chassis;
    if (one.length > 2 || other.length > 2) return pathToPath(one, other) - thick;
    return segmentToSegment(one[0]!, one[1]!, other[0]!, other[1]!) - thick;
  };
}

function tubeToSolid(place: Placed, solid: Body, bracket: number, deep: boolean): () => number {
  const tube = place.body as Body & { shape: Tube };
  const shape = solid.shape as Solid;
  const where = solid.on === 'axle' ? 'axle' : 'chassis';
  const thick = tube.shape.od / 2;
  return () => {
    const path = place[where];
    const free = bracket > 0 ? freeOf(tube, path, solid.on, bracket) : path;
    const apart = toSolid(free, shape);
    return (apart === 0 && deep ? wayOut(free, shape) : apart) - thick;
  };
}

/** A bar without the ends that are bracketed to another's carrier: they are meant to be near. */
function freeOf(body: Body & { shape: Tube }, path: Point[], carrier: Body['on'], bracket: number): Point[] {
  const { mounts, shape } = body;
  const [first, last] = [shape.line[0]!.point, shape.line.at(-1)!.point];
  const bracketed = (end: Point) => mounts.some((m) => m.on === carrier && distance(m.point, end) < SHARED);
  const start = bracketed(first) ? trimmed(path, 'start', bracket) : path;
  return bracketed(last) ? trimmed(start, 'end', bracket) : start;
}

/** A path without its first or last piece, but never without its middle. */
export function trimmed(path: Point[], end: 'start' | 'end', by: number): Point[] {
  const at = end === 'start' ? 0 : path.length - 1;
  const [eye, next] = [path[at]!, path[end === 'start' ? 1 : at - 1]!];
  const share = Math.min(by / distance(eye, next), 0.4);
  return path.map((p, i) => (i === at ? (p.map((v, k) => v + share * (next[k]! - v)) as Point) : p));
}

/** The least distance of a path from a solid that stands still, mm; 0 where they meet. */
function toSolid(path: Point[], solid: Solid): number {
  let best = Infinity;
  for (let i = 1; i < path.length; i++) {
    const a = path[i - 1]!;
    const b = path[i]!;
    const apart =
      solid.kind === 'box' ? segmentToBox(a, b, solid.min, solid.max) : segmentToCylinder(a, b, solid);
    if (apart < best) best = apart;
  }
  return best;
}

/** How far a path that meets a solid reaches into it, mm: minus the least way by which its deepest piece comes out. */
const wayOut = (path: Point[], solid: Solid): number =>
  least(path, (a, b) => {
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

/** The least distance between two paths, mm. */
export const pathToPath = (p: Point[], q: Point[]): number =>
  least(p, (a, b) => least(q, (c, d) => segmentToSegment(a, b, c, d)));

function least(path: Point[], of: (a: Point, b: Point) => number): number {
  let best = Infinity;
  for (let i = 1; i < path.length; i++) best = Math.min(best, of(path[i - 1]!, path[i]!));
  return best;
}

function supportOf(solid: Solid): Support {
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
    const r = size > 0 ? radius / size : 0;
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
const NOUGHT: Point = [0, 0, 0];
