import { segmentToSegment } from '@/core/geometry/closestApproach';
import { between, distance, type Point } from '@/core/geometry/vector';
import type { carries } from '@/core/kinematics/attitude';
import { bentLine } from './barPath';
import type { Body, Tube } from './bodies';
import { SHARED } from './pairs';

/** How points of either body of the car are seen from the other in a pose. */
export type Seen = ReturnType<typeof carries>;

/** The line of something long in a pose, chassis axes. */
export function lineOf({ line, bends }: Tube, toChassis: (p: Point) => Point): Point[] {
  const ends = line.map(({ on, point }) => (on === 'axle' ? toChassis(point) : point));
  return bends?.length ? bentLine(line, bends, ends) : ends;
}

type Frame = 'chassis' | 'axle';

/** Lines that follow a pose: each is a list of points that are written over. */
export type Lines = {
  /** the line of something long in the axes of chassis or axle, without what is bracketed to a carrier */
  of: (tube: Body & { shape: Tube }, frame: Frame, free: Body['on']) => Point[];
  /** brings all lines that were asked for to a pose */
  move: (seen: Seen) => void;
};

/** @param bracket length at each end of a bar, mm, that belongs to its bracket; 0: bars are taken from eye to eye */
export function linesOf(bracket: number): Lines {
  const known = new Map<Body, Map<string, Point[]>>();
  const moves: ((seen: Seen) => void)[] = [];
  const once = (body: Body, key: string, make: () => Point[]): Point[] => {
    const own = known.get(body) ?? new Map<string, Point[]>();
    const line = own.get(key) ?? make();
    known.set(body, own.set(key, line));
    return line;
  };
  const whole = (tube: Body & { shape: Tube }, frame: Frame): Point[] =>
    once(tube, frame, () => {
      const line = startOf(tube.shape);
      const move = moveOf(tube.shape, line, frame);
      if (move) moves.push(move);
      return line;
    });
  return {
    of: (tube, frame, free) => {
      const path = whole(tube, frame);
      const [first, last] = bracket > 0 ? bracketedTo(tube, free) : [false, false];
      if (!first && !last) return path;
      return once(tube, `${frame} free of ${free}`, () => {
        const line = path.map((p): Point => [...p]);
        const end = path.length - 1;
        moves.push(() => {
          for (let i = 0; i <= end; i++) toward(path[i]!, path[i]!, 0, line[i]!);
          if (first) toward(path[0]!, path[1]!, shareOf(path[0]!, path[1]!, bracket), line[0]!);
          if (last)
            toward(path[end]!, path[end - 1]!, shareOf(path[end]!, path[end - 1]!, bracket), line[end]!);
        });
        return line;
      });
    },
    move: (seen) => {
      for (const move of moves) move(seen);
    },
  };
}

/** The points of a line as they are at ride height. */
const startOf = ({ line, bends = [] }: Tube): Point[] => {
  const ends = line.map(({ point }): Point => [...point]);
  return bends.length ? [ends[0]!, ...bends.map((p): Point => [...p]), ends.at(-1)!] : ends;
};

/** What brings a line to a pose; null where it stands still in that frame. */
function moveOf(tube: Tube, line: Point[], frame: Frame): ((seen: Seen) => void) | null {
  if (tube.bends?.length)
    return ({ toChassis, toAxle }) => {
      const now = lineOf(tube, (p) => toChassis(p));
      now.forEach((p, i) => (frame === 'axle' ? toAxle(p, line[i]!) : toward(p, p, 0, line[i]!)));
    };
  const moving = tube.line.flatMap(({ on, point }, i) => (on === frame ? [] : [{ point, into: line[i]! }]));
  if (moving.length === 0) return null;
  return frame === 'axle'
    ? ({ toAxle }) => {
        for (const { point, into } of moving) toAxle(point, into);
      }
    : ({ toChassis }) => {
        for (const { point, into } of moving) toChassis(point, into);
      };
}

/** Whether a line's first and its last end are bracketed to a carrier. */
function bracketedTo(
  { mounts, shape: { line } }: Body & { shape: Tube },
  carrier: Body['on'],
): [boolean, boolean] {
  const bracketed = (end: Point) => mounts.some((m) => m.on === carrier && distance(m.point, end) < SHARED);
  return [bracketed(line[0]!.point), bracketed(line.at(-1)!.point)];
}

/** Which share of a piece of a bar its bracket takes: never its middle. */
const shareOf = (eye: Point, next: Point, by: number): number => Math.min(by / distance(eye, next), 0.4);

function toward(eye: Point, next: Point, share: number, into: Point): void {
  for (let k = 0; k < 3; k++) into[k] = eye[k]! + share * (next[k]! - eye[k]!);
}

/** A path without its first or last piece, but never without its middle. */
export function trimmed(path: Point[], end: 'start' | 'end', by: number): Point[] {
  const at = end === 'start' ? 0 : path.length - 1;
  const [eye, next] = [path[at]!, path[end === 'start' ? 1 : at - 1]!];
  return path.map((p, i) => (i === at ? between(eye, next, shareOf(eye, next, by)) : p));
}

/** The least distance between two paths, mm. */
export const pathToPath = (p: Point[], q: Point[]): number =>
  leastOf(p, (a, b) => leastOf(q, (c, d) => segmentToSegment(a, b, c, d)));

/** The least of something asked of each piece of a path. */
export function leastOf(path: Point[], of: (a: Point, b: Point) => number): number {
  let best = Infinity;
  for (let i = 1; i < path.length; i++) best = Math.min(best, of(path[i - 1]!, path[i]!));
  return best;
}
