import { distance, type Point } from '@/core/geometry/vector';

export type Body = 'chassis' | 'axle';

/** The points by which members, drag link and driveshaft are mounted. */
export type MountKey =
  | 'chassis'
  | 'axle'
  | 'frontEye'
  | 'seat'
  | 'rearEye'
  | 'pivot'
  | 'crank.top'
  | 'crank.bottom'
  | 'ends.top'
  | 'ends.bottom'
  | 'pitman'
  | 'knuckle'
  | 'kingpin'
  | 'transmission'
  | 'pinion';

/** A point by which something is mounted: its name in the trade, the body that carries it, where it is at ride height, mm. */
export type Mount = { key: MountKey; name: string; on: Body; point: Point };

/**
 * One equation that a member asks the axle to satisfy; all points at ride height, mm. `rate` is its stiffness, N/mm (windup
 * N·mm/rad), where it has one of its own.
 *
 * distance: of an axle point from a chassis point, `length`. acrossSlider: the chassis pin stays where it was along an
 * axle-fixed direction. along: an axle point stays where it was along a chassis-fixed direction. windup: pitch at a seat stays 0. crank:
 * the distance of a point of the other body from the tip of an arm that turns about `axis` at `pivot`, one unknown a crank.
 */
export type Constraint =
  | { kind: 'distance'; chassis: Point; axle: Point; length: number; rate?: number }
  | { kind: 'acrossSlider'; chassis: Point; direction: Point; rate?: number }
  | { kind: 'along'; chassis: Point; axle: Point; direction: Point; rate?: number }
  | { kind: 'windup'; seat: Point; rate: number }
  | {
      kind: 'crank';
      pivotOn: Body;
      pivot: Point;
      arm: Point;
      end: Point;
      axis: Point;
      length: number;
      rate?: number;
    };

/**
 * The body of a member: round, `od` mm thick, along a line of points that each go with one of the two bodies. A bar bent between
 * its eyes has the points of its bends in `bends`, where they are at ride height: they go with the bar itself.
 */
export type MemberBody = { od: number; line: OutlinePoint[]; bends?: Point[] };

/** What makes a member of the right shape unusable, and at which key. */
export type Fault = { path: string[]; message: string };

/** A corner of a line that a member is drawn with, and the body it goes with. */
export type OutlinePoint = { on: Body; point: Point };

/**
 * Something of a member that is set on the ground: the length of one of its bars, the foot of an arm along the axle's saddle,
 * or the height of its pin; and which of the member's constraints it changes. `part` tells two bars of one member apart.
 */
export type Adjustable = { by: 'length' | 'foot' | 'pin'; constraint: number; part?: 'top' | 'bottom' };

/** All that tells one type of member from another. A new type is a file with one of these, listed in `members.ts`. */
export type MemberKind<M> = {
  fault: (member: M) => Fault | null;
  mounts: (member: M) => Mount[];
  /** the member with one of its mounts put elsewhere */
  withMount: (member: M, key: MountKey, point: Point) => M;
  constraints: (member: M, axleCentre: Point) => Constraint[];
  /** N: what the tensions of its constraints come to for the member; they stand in a list from `at` on */
  force: (tensions: ArrayLike<number>, at: number) => number;
  /** N·mm: the wind-up moment among them, where it has one */
  windup?: (tensions: ArrayLike<number>, at: number) => number;
  /** its bars, end to end, mm: none where it is an arm rigid to the axle */
  bars: (member: M) => [Point, Point][];
  /** the ball or pin by which an arm rigid to the axle hangs on the chassis */
  pin?: (member: M) => Point;
  /** how it is drawn, and the lines it is drawn with, in a car of that size */
  drawnAs: 'bar' | 'arm' | 'crank' | 'leaf';
  outline: (member: M, car: { track: number; tireRadius: number }) => OutlinePoint[][];
  /** the room that it takes; null where its thickness is not stated */
  body: (member: M, car: { tireRadius: number }) => MemberBody | null;
  adjustables: Adjustable[];
  /** it holds the axle sideways by itself, and is moved up or down whole */
  acrossTheCar?: { raised: (member: M, mm: number) => M };
  /** what a spring among members does beside holding: where it carries the axle, and its stiffness sideways, N/mm */
  spring?: (member: M) => { seat: Point; lateralRate: number };
};

export const onChassis = (point: Point): OutlinePoint => ({ on: 'chassis', point });
export const onAxle = (point: Point): OutlinePoint => ({ on: 'axle', point });

/** Ends of a bar nearer than this are one point, mm. */
const SAME_POINT = 1e-6;
export const SAME_ENDS = 'the two ends are the same point; a link needs length';
export const coincide = (a: Point, b: Point): boolean => distance(a, b) < SAME_POINT;
