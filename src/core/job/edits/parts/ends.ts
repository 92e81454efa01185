import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import {
  barOf,
  bodyAt,
  heightOf,
  thicknessOf,
  type Bar,
  type BarEndName,
  type EndKind,
} from '@/core/job/made/parts';
import type { BarEye, BarPart } from '@/core/job/slices/parts';
import { jointsOf } from '@/core/materials/joints';
import { linksOf } from '@/core/rig/members/members';
import { MM_PER_INCH } from '@/core/units/tape';
import { withJoints } from '../mounts';
import { isParted, withParts } from './parts';

/** A barrel for a bushing, outside; the plate of an eye or a fork, and how much farther than its bracket it stands out (common practice, no published source). */
const USUAL = {
  barrel: 1.75 * MM_PER_INCH,
  eye: MM_PER_INCH / 2,
  fork: MM_PER_INCH / 4,
  clear: MM_PER_INCH / 4,
};

/** A bar's ends otherwise than they were, as parts are said: an end that is none of its kind is not said. */
const said = <T>(
  ends: Record<BarEndName, T | null>,
  end: BarEndName,
  one: T | null,
): Partial<Record<BarEndName, T>> => {
  const next = { ...ends, [end]: one };
  return { ...(next.frame && { frame: next.frame }), ...(next.axle && { axle: next.axle }) };
};

/** A bar's part with the barrel of an end said otherwise, or with none. */
export const withBarrel = ({ barrels }: Bar, end: BarEndName, od: number | null): BarPart => ({
  barrels: said(barrels, end, od === null ? null : { od }),
});

/** A bar's part with the plates of an end said otherwise, or with none. */
export const withEye = ({ eyes }: Bar, end: BarEndName, eye: BarEye | null): BarPart => ({
  eyes: said(eyes, end, eye),
});

/** The job with an end of a bar, and of its mirror image where both are alike, of another kind; its joint goes with it. */
export function withEndKind(job: Job, member: string, end: BarEndName, kind: EndKind): Job {
  const bar = barOf(job, member);
  const part: BarPart = {
    ...withBarrel(bar, end, kind === 'barrel' ? USUAL.barrel : null),
    ...withEye(bar, end, kind === 'eye' || kind === 'fork' ? usualEye(job, member, end, kind) : null),
  };
  const of = bodyAt(end);
  const pinned = jointsOf(job.joints, member)[of] === 'clevis';
  const onPin = kind === 'eye' || kind === 'fork' || kind === 'clevis';
  const next = withParts(job, { bars: { [member]: part } });
  if (onPin === pinned) return next;
  return withJoints(next, member, { [of]: onPin ? 'clevis' : 'rod-end' }, !isParted(job, member));
}

/** The plates of an end as they are usually made for a bar and its bracket. */
function usualEye(job: Job, member: string, end: BarEndName, kind: 'eye' | 'fork'): BarEye {
  const { section } = barOf(job, member);
  const link = linksOf(job.rig).find(({ id }) => id === member)!;
  const of = bodyAt(end);
  const { edge, hole } = bracketOf(job, link, of);
  const high = heightOf(section);
  const thick = thicknessOf(section);
  const width = Math.max(high, 2.5 * hole);
  const plate = kind === 'fork' ? USUAL.fork : Math.min(USUAL.eye, thick / 2);
  return { kind, plate, width, reach: Math.max(edge, width / 2) + USUAL.clear, lap: 1.5 * high };
}
