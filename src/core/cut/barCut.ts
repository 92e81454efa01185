import { toDegrees } from '@/core/geometry/angle';
import type { BendSheet } from '@/core/geometry/bends';
import { cross, distance, dot, minus, unit, type Point } from '@/core/geometry/vector';
import { saddleDepth, saddleFault, type Saddle } from '@/core/fabricate/saddle';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { areaOf } from '@/core/fabricate/drawing';
import { plateBarDrawing } from '@/core/fabricate/plates/plateBar';
import { plateBarOf } from '@/core/job/made/plateBar';
import {
  barOf,
  bendsOf,
  heightOf,
  isPlateBar,
  thicknessOf,
  type Bar,
  type BarEndName,
} from '@/core/job/made/parts';
import { METALS } from '@/core/materials/metals';
import type { LinkMember } from '@/core/rig/members/link';
import { sectionValues } from '@/core/strength/bar';

/** How an end of a bar is prepared: cut square, slotted for the plate of its eye, or to a saddle on a barrel; a plate's own eye is rounded past its hole. */
type EndCut =
  | { kind: 'square' | 'eye'; takes: number }
  | { kind: 'slotted'; takes: number; lap: number; slot: number }
  | { kind: 'saddle'; saddle: Saddle; tip: number; throat: number };

/** What an end takes of a bar's length from its eye, mm: of the saddle of one, to its throat or to its tip. */
const takenBy = (cut: EndCut, of: 'throat' | 'tip'): number => (cut.kind === 'saddle' ? cut[of] : cut.takes);

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
  const takes = (of: 'throat' | 'tip'): number => takenBy(ends.frame, of) + takenBy(ends.axle, of);
  const bends = bendsOf(job, link);
  // Its ends stand on the legs that they are part of: what a bent bar is cut to is measured along it.
  const along = bends?.blank ?? eyeToEye;
  const finished = along - takes('throat');
  const blank = along - takes('tip');
  const { A } = sectionValues(bar.section);
  const plate = plateBarOf(job, link);
  return {
    id: link.id,
    bar,
    eyeToEye,
    finished,
    blank,
    mass:
      METALS[bar.metal].density *
      (plate
        ? areaOf(plateBarDrawing(plate)) * thicknessOf(bar.section)
        : A * Math.max(0, (finished + blank) / 2)),
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

/** How an end is cut: a saddle on a barrel is met in its middle, leaning from it as the bar leans from its bolt. */
function endCut(bar: Bar, end: BarEndName, angleDeg: number): EndCut {
  const { section } = bar;
  const eye = bar.eyes[end];
  if (isPlateBar(bar)) return { kind: 'eye', takes: -heightOf(section) / 2 };
  // The plates of a fork lie on the bar's outside; that of an eye is let into a slot.
  if (eye?.kind === 'eye' && section.shape !== 'flat')
    return { kind: 'slotted', takes: eye.reach, lap: eye.lap, slot: eye.plate };
  if (eye) return { kind: 'square', takes: eye.reach };
  const { toShoulder, showing } = bar.ends[end];
  const barrel = bar.barrels[end];
  if (!barrel) return { kind: 'square', takes: toShoulder + showing };
  // What is not round stands square against its barrel.
  if (section.shape === 'flat') return { kind: 'square', takes: barrel.od / 2 };
  const wall = section.shape === 'tube' ? section.wall : section.od / 2;
  const saddle: Saddle = { od: section.od, wall, barrel: barrel.od, angleDeg, offset: 0 };
  if (saddleFault(saddle)) return { kind: 'square', takes: barrel.od / 2 };
  const { tip, throat } = saddleDepth(saddle);
  return { kind: 'saddle', saddle, tip, throat };
}
