import { toDegrees } from '@/core/geometry/angle';
import type { BendSheet } from '@/core/geometry/bends';
import { cross, distance, dot, minus, unit, type Point } from '@/core/geometry/vector';
import { saddleDepth, saddleFault, type Saddle } from '@/core/fabricate/saddle';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes } from '@/core/job/bracketParts';
import { barOf, bendsOf, type Bar } from '@/core/job/parts';
import { METALS } from '@/core/materials/metals';
import type { LinkMember } from '@/core/rig/members/link';
import { sectionValues } from '@/core/strength/bar';

/** The two ends of a bar, as it lies on the saw. */
export const BAR_ENDS = ['frame', 'axle'] as const;
export type BarEndName = (typeof BAR_ENDS)[number];

/** How an end of the tube is prepared: cut square for a threaded bung, or to a saddle on a barrel. */
type EndCut =
  { kind: 'square'; takes: number } | { kind: 'saddle'; saddle: Saddle; tip: number; throat: number };

/**
 * A bar on the saw, mm and kg: eye to eye; `finished`, what is left of it between its ends, throat to throat of saddles; `blank`, what is cut
 * off the stock, tip to tip; what the finished piece weighs.
 */
export type BarCut = {
  id: string;
  bar: Bar;
  eyeToEye: number;
  finished: number;
  blank: number;
  mass: number;
  ends: Record<BarEndName, EndCut>;
  /** how its bolts lie to each other, seen along it from its frame eye: the axle's turned so far clockwise from the frame's, -90 to 90 degrees */
  clockDeg: number;
  /** how it is bent, from its frame eye to its axle eye; null of a straight bar */
  bends: BendSheet | null;
};

/** What a bar is cut to. */
export function barCut(job: Job, link: LinkMember): BarCut {
  const bar = barOf(job, link.id);
  const eyeToEye = distance(link.chassis, link.axle);
  const bolts = boltsOf(job, link);
  const way = unit(minus(link.axle, link.chassis));
  const ends = {
    frame: endCut(bar, 'frame', betweenDeg(bolts.frame, way)),
    axle: endCut(bar, 'axle', betweenDeg(bolts.axle, way)),
  };
  const takes = (of: (end: EndCut) => number): number => of(ends.frame) + of(ends.axle);
  const bends = bendsOf(job, link);
  // Its ends stand on the legs that they are part of: what a bent bar is cut to is measured along it.
  const along = bends?.blank ?? eyeToEye;
  const finished = along - takes((end) => (end.kind === 'square' ? end.takes : end.throat));
  const blank = along - takes((end) => (end.kind === 'square' ? end.takes : end.tip));
  const { A } = sectionValues(bar.section);
  return {
    id: link.id,
    bar,
    eyeToEye,
    finished,
    blank,
    mass: A * Math.max(0, (finished + blank) / 2) * METALS[bar.metal].density,
    ends,
    clockDeg: clockDeg(bolts.frame, bolts.axle, way),
    bends,
  };
}

/** The way of the bolt at each end of a bar. */
const boltsOf = (job: Job, link: LinkMember): Record<BarEndName, Point> => ({
  frame: bracketAxes(job, link, 'chassis').bolt,
  axle: bracketAxes(job, link, 'axle').bolt,
});

/** The lesser angle between two lines, degrees. */
const betweenDeg = (a: Point, b: Point): number => toDegrees(Math.acos(Math.min(1, Math.abs(dot(a, b)))));

/** How far a line is turned from another about an axis, by the right hand along it, as lines that have no head: -90 to 90 degrees. */
function clockDeg(from: Point, to: Point, axis: Point): number {
  const square = (line: Point): Point => line.map((v, k) => v - dot(line, axis) * axis[k]!) as Point;
  const [a, b] = [square(from), square(to)];
  const turn = toDegrees(Math.atan2(dot(cross(a, b), axis), dot(a, b)));
  return turn > 90 ? turn - 180 : turn <= -90 ? turn + 180 : turn;
}

/** A saddle on a barrel, which a tube meets in its middle, leaning from it as the bar leans from its bolt. */
function endCut(bar: Bar, end: BarEndName, angleDeg: number): EndCut {
  const { toShoulder, showing } = bar.ends[end];
  const barrel = bar.barrels[end];
  const square = { kind: 'square', takes: toShoulder + showing } as const;
  if (!barrel) return square;
  const { section } = bar;
  // What is not round stands square against its barrel.
  if (section.shape === 'flat') return { kind: 'square', takes: barrel.od / 2 };
  const wall = section.shape === 'tube' ? section.wall : section.od / 2;
  const saddle: Saddle = { od: section.od, wall, barrel: barrel.od, angleDeg, offset: 0 };
  if (saddleFault(saddle)) return { kind: 'square', takes: barrel.od / 2 };
  const { tip, throat } = saddleDepth(saddle);
  return { kind: 'saddle', saddle, tip, throat };
}
