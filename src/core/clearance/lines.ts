import { segmentToSegment } from '@/core/geometry/closestApproach';
import { toRadians } from '@/core/geometry/angle';
import { putSegment, SEGMENT, segmentsOf, type Segments } from '@/core/geometry/shapes';
import { between, distance, type Point } from '@/core/geometry/vector';
import { toAxle, toChassis, type AxleFrame } from '@/core/kinematics/attitude';
import { bentLine } from './barPath';
import type { Body, Tube } from './bodies';
import { SHARED } from './pairs';

/** The line of something long in a pose, chassis axes; `roll`: a bent bar turned about its own eyes, radians. */
export function lineOf({ line, bends }: Tube, carry: (p: Point) => Point, roll = 0): Point[] {
  const ends = line.map(({ on, point }) => (on === 'axle' ? carry(point) : point));
  return bends?.length ? bentLine(line, bends, ends, roll) : ends;
}

type Axes = 'chassis' | 'axle';
type LongBody = Body & { shape: Tube };

/** Where the pieces of something long stand in a list of segments: from its first to past its last. */
export type Pieces = { from: number; to: number };

/** Everything long that was asked for, at ride height, and what brings it to a pose: the list is written over. */
type Lines = { list: Segments; move: (frame: AxleFrame) => void };

/** Gathers what is to be followed from pose to pose. */
export type LinesAsked = {
  /** something long in the axes of chassis or axle, without what is bracketed to a carrier */
  of: (tube: LongBody, axes: Axes, free: Body['on']) => Pieces;
  ready: () => Lines;
};

/** A path by its corners, which stand in one list of numbers from a place on, and what brings a bent one to a pose. */
type Path = {
  from: number;
  corners: number;
  still: boolean;
  bent?: (frame: AxleFrame, corners: Float64Array) => void;
};
/** A piece of a path: which corner it starts at, and whether a bracket takes its start and its end. */
type Piece = { corner: number; still: boolean; first: boolean; last: boolean };

/**
 * @param bracket length at each end of a bar, mm, that belongs to its bracket; 0: bars are taken from eye to eye
 * @param flops how far a bent bar may turn about its own eyes each way, degrees: it is then looked at in every such place
 */
export function linesAsked(bracket: number, flops: (id: string) => number): LinesAsked {
  const paths = new Map<LongBody, Partial<Record<Axes, Path[]>>>();
  const known = new Map<LongBody, Map<string, Pieces>>();
  const rest: number[] = [];
  const carried = { chassis: [] as number[], axle: [] as number[] };
  const pieces: Piece[] = [];

  const pathsOf = (tube: LongBody, axes: Axes): Path[] => {
    const own = paths.get(tube) ?? {};
    paths.set(tube, own);
    return (own[axes] ??= rollsOf(tube, flops).map((roll): Path => {
      const from = rest.length;
      const { line, bends } = tube.shape;
      const path = lineOf(tube.shape, (p) => p, roll);
      rest.push(...path.flat());
      if (bends?.length)
        return { from, corners: path.length, still: false, bent: bentAt(tube.shape, axes, roll, from) };
      line.forEach(({ on }, i) => on !== axes && carried[axes].push(from + 3 * i));
      return { from, corners: path.length, still: line.every(({ on }) => on === axes) };
    }));
  };

  return {
    of: (tube, axes, free) => {
      const [first, last] = bracket > 0 ? bracketedTo(tube, free) : [false, false];
      const own = known.get(tube) ?? new Map<string, Pieces>();
      known.set(tube, own);
      const key = [axes, first, last].join();
      const made = own.get(key);
      if (made) return made;
      const from = pieces.length * SEGMENT;
      for (const { from: at, corners, still } of pathsOf(tube, axes))
        for (let i = 0; i < corners - 1; i++)
          pieces.push({
            corner: at + 3 * i,
            still,
            first: first && i === 0,
            last: last && i === corners - 2,
          });
      const asked = { from, to: pieces.length * SEGMENT };
      own.set(key, asked);
      return asked;
    },
    ready: () => {
      const start = Float64Array.from(rest);
      const corners = Float64Array.from(rest);
      const list = new Float64Array(pieces.length * SEGMENT);
      const bent = [...paths.values()].flatMap((of) =>
        Object.values(of).flatMap((p) => p.flatMap((q) => q.bent ?? [])),
      );
      const put = ({ corner, first, last }: Piece, at: number) => {
        putSegment(list, at, corners, corner, corners, corner + 3);
        if (first || last) shorten(list, at, first, last, bracket);
      };
      pieces.forEach((piece, i) => put(piece, i * SEGMENT));
      return {
        list,
        move: (frame) => {
          for (const at of carried.chassis) toChassis(frame, start, at, corners, at);
          for (const at of carried.axle) toAxle(frame, start, at, corners, at);
          for (const bend of bent) bend(frame, corners);
          for (let i = 0; i < pieces.length; i++) if (!pieces[i]!.still) put(pieces[i]!, i * SEGMENT);
        },
      };
    },
  };
}

/** Turns of something long about its own eyes at which it is looked at, radians: of a bent bar that can turn, so few degrees apart. */
function rollsOf({ id, shape }: LongBody, flops: (id: string) => number): number[] {
  const most = shape.bends?.length ? flops(id) : 0;
  const steps = Math.ceil(most / ROLL_STEP);
  if (steps === 0) return [0];
  return Array.from({ length: 2 * steps + 1 }, (_, i) => toRadians((most * (i - steps)) / steps));
}
const ROLL_STEP = 1.5;

/** Brings a bent bar to a pose: its corners from a place of their list on. */
const bentAt =
  (tube: Tube, axes: Axes, roll: number, from: number) =>
  (frame: AxleFrame, corners: Float64Array): void => {
    const carry = (p: Point): Point => {
      const into: Point = [0, 0, 0];
      toChassis(frame, p, 0, into, 0);
      return into;
    };
    lineOf(tube, carry, roll).forEach((p, i) => {
      if (axes === 'axle') toAxle(frame, p, 0, corners, from + 3 * i);
      else corners.set(p, from + 3 * i);
    });
  };

/** Takes what belongs to a bracket off one end of a segment, or both. */
function shorten(list: Segments, at: number, first: boolean, last: boolean, bracket: number): void {
  const share = shareOf(Math.sqrt(list[at + 6]!), bracket);
  const kept = 1 - (first ? share : 0) - (last ? share : 0);
  for (let k = 0; k < 3; k++) {
    if (first) list[at + k] = list[at + k]! + share * list[at + 3 + k]!;
    list[at + 3 + k] = kept * list[at + 3 + k]!;
  }
  list[at + 6] = kept * kept * list[at + 6]!;
}

/** Whether a line's first and its last end are bracketed to a carrier. */
function bracketedTo(
  { mounts, shape: { line } }: LongBody,
  carrier: Body['on'],
): [first: boolean, last: boolean] {
  const bracketed = (end: Point) => mounts.some((m) => m.on === carrier && distance(m.point, end) < SHARED);
  return [bracketed(line[0]!.point), bracketed(line.at(-1)!.point)];
}

/** Which share of a piece of a bar, so long, its bracket takes: never its middle. */
const shareOf = (length: number, by: number): number => Math.min(by / length, 0.4);

/** A path without its first or last piece, but never without its middle. */
export function trimmed(path: Point[], end: 'start' | 'end', by: number): Point[] {
  const at = end === 'start' ? 0 : path.length - 1;
  const [eye, next] = [path[at]!, path[end === 'start' ? 1 : at - 1]!];
  return path.map((p, i) => (i === at ? between(eye, next, shareOf(distance(eye, next), by)) : p));
}

/** Least distance between two lines by their pieces, mm. */
export function betweenPieces(one: Segments, p: Pieces, other: Segments, q: Pieces): number {
  let best = Infinity;
  for (let i = p.from; i < p.to; i += SEGMENT) {
    for (let k = q.from; k < q.to; k += SEGMENT) {
      const apart = segmentToSegment(one, i, other, k);
      if (apart < best) best = apart;
    }
  }
  return best;
}

/** The least distance between two paths, mm. */
export function pathToPath(p: Point[], q: Point[]): number {
  const [one, other] = [segmentsOf(p), segmentsOf(q)];
  return betweenPieces(one, allOf(one), other, allOf(other));
}

export const allOf = (list: Segments): Pieces => ({ from: 0, to: list.length });
