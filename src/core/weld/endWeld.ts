import { type BarEndName, barOf, heightOf, threadedEnds } from '@/core/job/made/parts';
import type { Job } from '@/core/job/jobSchema';
import { MM_PER_INCH } from '@/core/units/tape';

/** Plugs through the tube's wall onto the bung under it, mm: how large their holes are, and how far their middle is from the tube's face. */
type Plugs = { hole: number; fromFace: number; count: number };

/** The weld of a threaded bung in a tube, mm: the tube, how deep the bung sits in it, the seam round its face, and its plugs. */
export type BungWeld = { ends: BarEndName[]; od: number; bung: number; seam: number; plugs: Plugs | null };

/** Plug holes are half an inch, and no more than this share of the tube's diameter (common practice, no published source). */
const HOLE = MM_PER_INCH / 2;
const SHARE = 0.4;
/** A plug stands as far from the tube's face as its hole is wide, and has bung under all of it (common practice, no published source). */
const DEEP_ENOUGH = 1.5;
/** Across from each other, so that one pulls against the other. */
const COUNT = 2;

/** The bungs of a bar that are welded into its tube, ends that are alike as one; empty where it has none. */
export function bungWelds(job: Pick<Job, 'parts' | 'cut'>, member: string): BungWeld[] {
  const bar = barOf(job, member);
  if (bar.section.shape !== 'tube') return [];
  const od = heightOf(bar.section);
  return threadedEnds(bar).reduce<BungWeld[]>((welds, end) => {
    const { bung } = bar.ends[end];
    if (bung === 0) return welds;
    const alike = welds.find((weld) => weld.bung === bung);
    if (!alike) return [...welds, { ends: [end], od, bung, seam: Math.PI * od, plugs: plugsOf(od, bung) }];
    return welds.map((weld) => (weld === alike ? { ...weld, ends: [...weld.ends, end] } : weld));
  }, []);
}

/** Null where the bung is too short to lie under them. */
function plugsOf(od: number, bung: number): Plugs | null {
  const hole = Math.min(HOLE, SHARE * od);
  if (bung < DEEP_ENOUGH * hole) return null;
  return { hole, fromFace: Math.max(hole, bung / 2), count: COUNT };
}
