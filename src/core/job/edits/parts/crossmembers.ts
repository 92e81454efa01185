import { withBodies } from '@/core/job/bodies/bodies';
import { railsOf } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';
import { USUAL_CROSSMEMBER } from '@/core/job/made/crossmember';
import { MOST_CROSSMEMBERS, type CrossmemberPart, type Parts } from '@/core/job/slices/parts';
import type { LinkMember } from '@/core/rig/members/link';
import { MM_PER_INCH } from '@/core/units/tape';
import { mountId } from '@/core/job/placed';
import { told, without } from '../omit';
import { withParts } from './parts';

/** The job with a crossmember drawn, or said otherwise; what is undefined is said no more. */
export const withCrossmember = (job: Job, id: string, part: CrossmemberPart): Job =>
  withBodies({
    ...job,
    parts: { ...job.parts, crossmembers: { ...job.parts.crossmembers, [id]: told(part, {})! } },
  });

/** The job without one of its crossmembers; what was said to hang on it hangs on what is nearest. */
export function withoutCrossmember(job: Job, id: string): Job {
  const { crossmembers = {}, brackets, ...parts } = job.parts;
  const left = without(crossmembers, id);
  const freed = Object.entries(brackets).map(([mount, part]) => [
    mount,
    part.carrier === id ? without(part, 'carrier') : part,
  ]);
  return withBodies({
    ...job,
    parts: {
      ...parts,
      brackets: Object.fromEntries(freed) as Parts['brackets'],
      ...(Object.keys(left).length > 0 && { crossmembers: left }),
    },
  });
}

/** Whether another crossmember may be drawn. */
export const roomForCrossmember = ({ parts }: Job): boolean =>
  Object.keys(parts.crossmembers ?? {}).length < MOST_CROSSMEMBERS;

/** How far an eye usually hangs out from a crossmember, mm (common practice, no published source). */
const HANGS = 2.5 * MM_PER_INCH;

/** The job with a crossmember drawn over the eye of a link's frame bracket: between the rails where they are as high as that, else a hoop. */
export function withCrossmemberOver(job: Job, link: LinkMember): { job: Job; id: string } {
  const taken = job.parts.crossmembers ?? {};
  const numbers = Array.from({ length: MOST_CROSSMEMBERS }, (_, i) =>
    i ? `crossmember ${i + 1}` : 'crossmember',
  );
  const id = numbers.find((name) => !taken[name])!;
  const rails = railsOf(job);
  const under = rails.reduce((sum, { underside }) => sum + underside, 0) / rails.length;
  const { od } = USUAL_CROSSMEMBER.section;
  const low = under - (link.chassis[2] + HANGS + od / 2);
  const isBetween = rails.every(({ height }) => low <= -od / 2 && low >= od / 2 - height);
  const drawn = withCrossmember(job, id, {
    ahead: link.chassis[0],
    low,
    meets: 'between',
    ...(!isBetween && { hoop: {} }),
  });
  return { id, job: withParts(drawn, { brackets: { [mountId(link.id, 'chassis')]: { carrier: id } } }) };
}
