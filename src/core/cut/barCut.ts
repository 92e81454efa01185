import type { BendSheet } from '@/core/geometry/bends';
import { distance } from '@/core/geometry/vector';
import { saddleDepth, saddleFault, type Saddle } from '@/core/fabricate/saddle';
import type { Job } from '@/core/job/jobSchema';
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
  /** how it is bent, from its frame eye to its axle eye; null of a straight bar */
  bends: BendSheet | null;
};

/** What a bar is cut to. */
export function barCut(job: Job, link: LinkMember): BarCut {
  const bar = barOf(job, link.id);
  const eyeToEye = distance(link.chassis, link.axle);
  const ends = { frame: endCut(bar, 'frame'), axle: endCut(bar, 'axle') };
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
    bends,
  };
}

/** A saddle on a barrel, which a tube meets square and in its middle. */
function endCut(bar: Bar, end: BarEndName): EndCut {
  const { toShoulder, showing } = bar.ends[end];
  const barrel = bar.barrels[end];
  const square = { kind: 'square', takes: toShoulder + showing } as const;
  if (!barrel) return square;
  const { section } = bar;
  // What is not round stands square against its barrel.
  if (section.shape === 'flat') return { kind: 'square', takes: barrel.od / 2 };
  const wall = section.shape === 'tube' ? section.wall : section.od / 2;
  const saddle: Saddle = { od: section.od, wall, barrel: barrel.od, angleDeg: 90, offset: 0 };
  if (saddleFault(saddle)) return { kind: 'square', takes: barrel.od / 2 };
  const { tip, throat } = saddleDepth(saddle);
  return { kind: 'saddle', saddle, tip, throat };
}
