import { boxOf, type Box } from '@/core/geometry/shapes';
import type { Point } from '@/core/geometry/vector';
import { atRideHeight, axleFrame, toChassis, type AxleFrame } from '@/core/kinematics/attitude';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { Rig } from '@/core/rig/schema';
import { bodiesOf, type Body, type Tube } from './bodies';
import { gapsAmong, type Looking } from './clearance';
import { closestAmong, OVER_TRAVEL, type ClosestApproach } from './closestOverTravel';
import { pairsOf } from './pairs';

/**
 * Which pairs are asked for: all that come nearer than `within`, mm; and of each group, whatever room that leaves, the one that
 * comes nearest.
 */
export type Wanted = { within: number; group: (a: string, b: string) => string };

/**
 * Two bodies by their places in the list, by how much both together get from where they are at ride height, mm, and what is at least
 * between them ever, mm: less than there is, until it has been measured.
 */
type Pair = { of: [number, number]; group: string; moved: number; atLeast: number; isMeasured: boolean };

/** Looked at first is what may come so near, mm; then what may come twice as near, until the nearest is among it. */
const FIRST_REACH = 50;

/**
 * Where in a set of poses those pairs of bodies come nearest that are asked for, mm, the tightest first: what `closestApproaches`
 * has of them, without following what stays far apart. Two bodies cannot come nearer than they stand at ride height by more than
 * both move.
 */
export function tightApproaches(
  rig: Rig,
  poses: SweptPose[],
  { lockDeg, flops, only }: Pick<Looking, 'lockDeg' | 'flops' | 'only'>,
  { within, group }: Wanted,
): ClosestApproach[] {
  const bodies = bodiesOf(rig, lockDeg);
  const groupOf = ([i, k]: Pair['of']) => group(bodies[i]!.id, bodies[k]!.id);
  const pairs = pairsOf(rig, bodies, only);
  const gapsOfPairs = (some: Pair[]) =>
    gapsAmong(
      rig,
      bodies,
      some.map(({ of }) => of),
      { flops, ...OVER_TRAVEL },
    );
  let waiting = apartAtLeast(bodies, pairs, framesOf(rig, poses), groupOf);
  const open = new Set(waiting.map((pair) => pair.group));
  const nearest = new Map<string, ClosestApproach>();
  const found: ClosestApproach[] = [];
  for (let reach = Math.max(FIRST_REACH, within); open.size > 0; reach *= 2) {
    const isNear = (pair: Pair) => open.has(pair.group) && pair.atLeast <= reach;
    const loose = waiting.filter((pair) => isNear(pair) && !pair.isMeasured);
    const distances = gapsOfPairs(loose).in(atRideHeight(rig));
    loose.forEach((pair, i) => {
      pair.atLeast = distances[i]! - pair.moved;
      pair.isMeasured = true;
    });
    const near = waiting.filter(isNear);
    waiting = waiting.filter((pair) => !isNear(pair));
    for (const gap of closestAmong(gapsOfPairs(near), poses, lockDeg)) {
      const its = group(gap.a, gap.b);
      if (gap.distance < (nearest.get(its)?.distance ?? Infinity)) nearest.set(its, gap);
      found.push(gap);
    }
    for (const name of open) {
      const isFound = (nearest.get(name)?.distance ?? Infinity) <= reach;
      if (isFound || !waiting.some((pair) => pair.group === name)) open.delete(name);
    }
  }
  return found
    .filter((gap) => gap.distance < within || nearest.get(group(gap.a, gap.b)) === gap)
    .sort((p, q) => p.distance - q.distance);
}

const framesOf = (rig: Rig, poses: SweptPose[]): AxleFrame[] =>
  poses.filter(isReached).map((pose) => axleFrame(pose, rig.tireRadius));

/** Pairs by what is at least between them over the poses: that of the boxes along the car's axes that they stand in at ride height. */
function apartAtLeast(
  bodies: Body[],
  pairs: Pair['of'][],
  frames: AxleFrame[],
  groupOf: (of: Pair['of']) => string,
): Pair[] {
  const boxes = bodies.map(boxAround);
  const moves = bodies.map((body, i) => moved(body, boxes[i]!, frames));
  return pairs.map((of): Pair => {
    const [i, k] = of;
    const both = moves[i]! + moves[k]!;
    const atLeast = apart(boxes[i]!, boxes[k]!) - both;
    return { of, group: groupOf(of), moved: both, atLeast, isMeasured: false };
  });
}

/** The box along the car's axes that holds a body at ride height, mm. */
function boxAround({ shape }: Body): Box {
  switch (shape.kind) {
    case 'box':
      return boxOf(shape.min, shape.max);
    case 'cylinder': {
      const { centre, axis, half, radius } = shape;
      const out = axis.map((e) => half * Math.abs(e) + radius);
      return boxOf(shifted(centre, out, -1), shifted(centre, out, 1));
    }
    case 'tube': {
      const points = [...shape.line.map(({ point }) => point), ...(shape.bends ?? [])];
      const of = (least: (...v: number[]) => number, out: number) =>
        [0, 1, 2].map((k) => least(...points.map((p) => p[k]!)) + out) as Point;
      return boxOf(of(Math.min, -shape.od / 2), of(Math.max, shape.od / 2));
    }
  }
}

const shifted = (p: Point, by: number[], sign: number): Point => p.map((v, k) => v + sign * by[k]!) as Point;

/** How far two boxes along the same axes are apart, mm. */
function apart(p: Box, q: Box): number {
  let square = 0;
  for (let k = 0; k < 3; k++) {
    const out = Math.max(0, p[k]! - q[k + 3]!, q[k]! - p[k + 3]!);
    square += out * out;
  }
  return Math.sqrt(square);
}

/**
 * How far any place of a body gets from where it is at ride height, mm. Of what the axle carries: as far as the middle of the box
 * around it, and as far as the turn takes a corner of that from there. Of a straight bar from frame to axle: as far as its axle end,
 * but for the length that its bracket takes, at most two fifths of it, which turns with the bar. A bent bar may turn about its eyes
 * besides: without end.
 */
function moved(body: Body, box: Box, frames: AxleFrame[]): number {
  if (body.on === 'chassis') return 0;
  if (body.on === 'axle') {
    const half = [0, 1, 2].map((k) => (box[k + 3]! - box[k]!) / 2);
    const middle = half.map((v, k) => box[k]! + v) as Point;
    return farthest(middle, Math.hypot(...half), frames);
  }
  const { line, bends } = body.shape as Tube;
  if (bends?.length) return Infinity;
  const ends = line.filter(({ on }) => on === 'axle');
  return TRIMMED * Math.max(...ends.map(({ point }) => farthest(point, 0, frames)));
}
const TRIMMED = 1.4;

/** How far a point of the axle, and whatever is within an arm of it, gets from where it is at ride height, mm. */
function farthest(point: Point, arm: number, frames: AxleFrame[]): number {
  let most = 0;
  for (const frame of frames) {
    toChassis(frame, point, 0, there, 0);
    const [x, y, z] = [there[0] - point[0], there[1] - point[1], there[2] - point[2]];
    // A turn by t takes what is an arm away by 2·sin(t/2) arms; 1 + 2·cos(t) is the trace.
    const turn = Math.sqrt(Math.max(0, 3 - frame[0]! - frame[4]! - frame[8]!));
    most = Math.max(most, Math.sqrt(x * x + y * y + z * z) + turn * arm);
  }
  return most;
}
const there: Point = [0, 0, 0];
