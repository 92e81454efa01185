import { effectsOf, type Effect } from '@/core/advice/effects';
import { gravities, lookAt } from '@/core/advice/look';
import { worsened } from '@/core/advice/tried';
import { mainAxis } from '@/core/geometry/vector';
import { withMounts } from '@/core/job/edits/mounts';
import { holesKey, nearestHole } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes } from '@/core/job/made/bracketRoot';
import { bracketOf } from '@/core/job/made/bracketParts';
import { barOf, specOf, threadedEnds, type BarEndName, type LinkEnd } from '@/core/job/made/parts';
import type { Adjuster } from '@/core/job/slices/work/ride';
import { makeBar, windTube } from '@/core/fabricate/adjustableBar';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import { describeBar } from '@/core/rig/lateralBar';
import { adjusterOf, turnsFor } from '@/core/ride/turns/adjusters';
import { turnsOf } from '@/core/ride/turns/turns';
import { sayTurns } from '@/core/units/turns';
import { sayLength } from '@/core/units/length';
import { BUILT_AXES, changesOf, type BuiltAxis } from './builtEyes';

/**
 * What came out otherwise than drawn: by how much each eye is off, mm; what that changes of the car's numbers, and makes worse, in
 * words; and what takes it up without a grinder.
 */
export type BuiltOff = {
  off: { end: LinkEnd; axis: BuiltAxis; mm: number }[];
  effects: Effect[];
  worse: string[];
  cures: string[];
};

/** Nearer than this to where it is drawn an eye is there, mm. */
const THERE = 0.4;

/**
 * Whether it matters how a link was built. Null where nothing of it was measured.
 *
 * @throws InputError where the car as it is drawn cannot be worked out
 */
export function builtOff(job: Job, link: LinkMember): BuiltOff | null {
  const changes = changesOf(job, link);
  if (changes.length === 0) return null;
  const off = changes
    .map(({ end, axis, mm }) => ({
      end: end as LinkEnd,
      axis: BUILT_AXES[axis],
      mm: mm - link[end as LinkEnd][axis],
    }))
    .filter(({ mm }) => Math.abs(mm) > THERE);
  const built = withMounts(job, changes);
  const [drawn, is] = [job, built].map((j) => lookAt(j, { cures: false })) as [
    ReturnType<typeof lookAt>,
    ReturnType<typeof lookAt>,
  ];
  const now = linksOf(built.rig).find(({ id }) => id === link.id)!;
  return {
    off,
    effects: effectsOf(drawn.numbers, is.numbers),
    worse: worsened(job, gravities(drawn), gravities(is), is),
    cures: [...turnsToFit(job, link, now), ...off.flatMap((one) => takenUp(job, link, one))],
  };
}

/** The bar wound to what is between its eyes now. */
function turnsToFit(job: Job, link: LinkMember, now: LinkMember): string[] {
  const by = describeBar(now).eyeToEye - describeBar(link).eyeToEye;
  if (Math.abs(by) < THERE) return [];
  const adjuster = adjusterOf(job, { id: link.id, by: 'length' });
  const turns = turnsFor(adjuster, by);
  const way = by > 0 ? 'longer' : 'shorter';
  const far = sayLength(Math.abs(by), job.tape);
  return turns === null || !hasThread(job, link, adjuster, turns)
    ? [
        `The bar is then ${far} too ${by > 0 ? 'short' : 'long'}, and cannot be set: made anew to what is there.`,
      ]
    : [`Bar ${far} ${way}: ${sayTurns(Math.abs(turns))} of it, and the axle stands where it is drawn.`];
}

/** Whether a bar has the thread to be wound so far, by its tube or by one of its ends, and holds then. */
function hasThread(job: Job, { id }: LinkMember, { style }: Adjuster, turns: number): boolean {
  const spec = specOf(job, id);
  const wound = windTube(spec, turns + turnsOf(job, id));
  const { ends } = makeBar(0, wound);
  const holds = (end: BarEndName): boolean => ends[end].holds && wound.ends[end].showing >= 0;
  const threaded = threadedEnds(barOf(job, id));
  return style === 'tube' ? threaded.every(holds) : threaded.some(holds);
}

/** An eye that is off along its bolt is shifted by washers, as far as it has any; one that is too high or low goes to another hole, where that is nearer. */
function takenUp(job: Job, link: LinkMember, { end, axis, mm }: BuiltOff['off'][number]): string[] {
  const where = end === 'chassis' ? 'frame' : 'axle';
  const far = sayLength(Math.abs(mm), job.tape);
  if (mainAxis(bracketAxes(job, link, end).bolt)[BUILT_AXES.indexOf(axis)] !== 0)
    return Math.abs(mm) > bracketOf(job, link, end).spacer
      ? []
      : [
          `At the ${where} end it is ${far} off along its own bolt: washers from one side of the eye to the other.`,
        ];
  const row = axis === 'up' ? job.holes[holesKey(link.id, end)] : undefined;
  if (!row) return [];
  // The whole row came out as far off as its eye.
  const wanted = nearestHole({ ...row, lowest: row.lowest + mm }, link[end][2]);
  const left = Math.abs(wanted - link[end][2]);
  return left + THERE < Math.abs(mm)
    ? [`Another hole of the ${where} bracket is nearer: ${sayLength(left, job.tape)} off instead of ${far}.`]
    : [];
}
