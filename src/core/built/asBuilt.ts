import { effectsOf, type Effect } from '@/core/advice/effects';
import { gravities, lookAt } from '@/core/advice/look';
import { worsened } from '@/core/advice/tried';
import { mainAxis } from '@/core/geometry/vector';
import { told, without } from '@/core/job/edits/omit';
import { withMounts } from '@/core/job/edits/mounts';
import { holesKey, nearestHole } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes } from '@/core/job/made/bracketParts';
import { LINK_ENDS, type LinkEnd } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import type { BuiltEye } from '@/core/job/slices/work/weld';
import { raisedNow } from '@/core/place/heights';
import { sideOf } from '@/core/geometry/side';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import type { MountChange } from '@/core/rig/mounts';
import { describeBar } from '@/core/rig/lateralBar';
import { adjusterOf, turnsFor } from '@/core/ride/turns/adjusters';
import { sayTurns } from '@/core/units/turns';
import { sayLength } from '@/core/units/length';

export const BUILT_AXES = ['ahead', 'left', 'up'] as const;
export type BuiltAxis = (typeof BUILT_AXES)[number];

/** Where an eye was measured to be, mm as at ride height; as designed where it was not measured. */
export const builtEye = ({ weld }: Pick<Job, 'weld'>, link: string, end: LinkEnd): BuiltEye =>
  weld.built?.[mountId(link, end)] ?? {};

/**
 * How much farther off the floor an eye is while its bracket is set than at ride height, mm; null where the frame stands on its stands
 * and nobody has said how high.
 */
export function raisedWhileSet(job: Job, link: LinkMember, end: LinkEnd): number | null {
  if (job.place.holding !== 'rests') return 0;
  return raisedNow(job, end === 'axle' ? 'axle' : 'chassis', sideOf(link[end][1]));
}

/** The job with an eye measured along one of its directions, mm as at ride height; null takes it back. */
export function withBuilt(job: Job, link: string, end: LinkEnd, axis: BuiltAxis, mm: number | null): Job {
  const { built = {} } = job.weld;
  const id = mountId(link, end);
  const eye = told(built[id], { [axis]: mm ?? undefined });
  return { ...job, weld: { ...job.weld, built: eye ? { ...built, [id]: eye } : without(built, id) } };
}

/** Every measured coordinate of a link's eyes, as a change of where it is drawn. */
function changesOf(job: Job, link: LinkMember): MountChange[] {
  return LINK_ENDS.flatMap((end) => {
    const eye = builtEye(job, link.id, end);
    return BUILT_AXES.flatMap((key, axis): MountChange[] => {
      const mm = eye[key];
      return mm === undefined ? [] : [{ member: link.id, end, axis: axis as 0 | 1 | 2, mm }];
    });
  });
}

/** The job with every eye where it was measured, its bars set to what is between them; null where none was measured. */
export function builtJob(job: Job): Job | null {
  const changes = linksOf(job.rig).flatMap((link) => changesOf(job, link));
  return changes.length ? withMounts(job, changes) : null;
}

/** The job drawn as a link was built: what was measured becomes the design, and is measured no more. */
export function withBuiltAsDesigned(job: Job, link: LinkMember): Job {
  const changes = changesOf(job, link);
  const { built = {} } = job.weld;
  const left = LINK_ENDS.reduce((rest, end) => without(rest, mountId(link.id, end)), built);
  return { ...withMounts(job, changes), weld: { ...job.weld, built: left } };
}

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
  const turns = turnsFor(adjusterOf(job, { id: link.id, by: 'length' }), by);
  const way = by > 0 ? 'longer' : 'shorter';
  const far = sayLength(Math.abs(by), job.tape);
  return turns === null
    ? [
        `The bar is then ${far} too ${by > 0 ? 'short' : 'long'}, and cannot be set: made anew to what is there.`,
      ]
    : [`Bar ${far} ${way}: ${sayTurns(Math.abs(turns))} of it, and the axle stands where it is drawn.`];
}

/** An eye that is off along its bolt is shifted by washers; one that is too high or low goes to another hole, where that is nearer. */
function takenUp(job: Job, link: LinkMember, { end, axis, mm }: BuiltOff['off'][number]): string[] {
  const where = end === 'chassis' ? 'frame' : 'axle';
  const far = sayLength(Math.abs(mm), job.tape);
  if (mainAxis(bracketAxes(job, link, end).bolt)[BUILT_AXES.indexOf(axis)] !== 0)
    return [
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
