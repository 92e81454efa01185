import { hole, line, outline, rectangle, type Drawing } from '@/core/fabricate/drawing';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import { threadedEnds } from '@/core/job/made/parts';
import { linksOf } from '@/core/rig/members/members';
import type { BarCut } from './barCut';

/**
 * Bars that are made alike on one setting of a jig, mm: pins so far apart and so thick; how far the axle's eye is turned from the frame's,
 * clockwise seen from the frame, degrees, where both are welded in; null where an end turns to suit.
 */
export type JigSet = {
  bars: string[];
  apart: number;
  pins: { frame: number; axle: number };
  clockDeg: number | null;
  bent: boolean;
};

/** Lengths closer than this are one setting, mm. */
const ALIKE = 0.1;

/** The settings of a jig for all bars of a job: what is alike is made on one, left and right among it. */
export function jigSets(job: Job, bars: BarCut[]): JigSet[] {
  const sets: JigSet[] = [];
  for (const bar of bars) {
    const link = linksOf(job.rig).find(({ id }) => id === bar.id)!;
    const pins = { frame: bracketOf(job, link, 'chassis').bolt, axle: bracketOf(job, link, 'axle').bolt };
    const welded = threadedEnds(bar.bar).length === 0;
    const made: JigSet = {
      bars: [bar.id],
      apart: bar.eyeToEye,
      pins,
      clockDeg: welded ? bar.clockDeg : null,
      bent: bar.bends !== null,
    };
    const known = sets.find((set) => isAlike(set, made));
    if (known) known.bars.push(bar.id);
    else sets.push(made);
  }
  return sets;
}

function isAlike(a: JigSet, b: JigSet): boolean {
  const near = (x: number, y: number) => Math.abs(x - y) < ALIKE;
  // What is turned, or bent, is the mirror image of its other side, and no set with it.
  const plain = (set: JigSet) => !set.bent && near(set.clockDeg ?? 0, 0);
  return (
    near(a.apart, b.apart) &&
    near(a.pins.frame, b.pins.frame) &&
    near(a.pins.axle, b.pins.axle) &&
    (a.clockDeg === null) === (b.clockDeg === null) &&
    plain(a) &&
    plain(b)
  );
}

/** How deep a strip is for each setting, and how much stands past its pins, mm. */
const STRIP = 60;

/** A plate with a pair of pin holes for each setting, mm, one under the other, from the frame's pins on one line. */
export function jigDrawing(sets: JigSet[], name: (set: JigSet) => string): Drawing {
  const longest = Math.max(...sets.map(({ apart }) => apart));
  const [left, right, top] = [-STRIP / 2, longest + STRIP / 2, sets.length * STRIP];
  const middle = (i: number) => top - (i + 0.5) * STRIP;
  return {
    paths: [
      ...outline(rectangle([left, 0], [right, top])),
      ...sets.flatMap(({ apart, pins }, i) => [
        line('SCRIBE', [0, middle(i)], [apart, middle(i)]),
        ...hole([0, middle(i)], pins.frame),
        ...hole([apart, middle(i)], pins.axle),
      ]),
    ],
    words: sets.map((set, i) => ({ at: [set.apart / 2, middle(i) + 6], text: name(set) })),
  };
}
