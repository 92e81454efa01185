import { withParts } from '@/core/job/edits/parts/parts';
import type { Job } from '@/core/job/jobSchema';
import { bodyAt, mirrorOf } from '@/core/job/made/parts';
import { mountId } from '@/core/job/placed';
import { BRACKETS, type Bracket } from '@/core/job/slices/fields';
import { linksOf } from '@/core/rig/members/members';
import { fastening } from '@/core/weld/fastening';
import { jointState } from '@/core/weld/holdPoint';

/** How brackets go on. */
export type BracketsOn = 'welded' | 'bolted';

type LinkBracket = { member: string; bracket: Bracket };

const bracketsOf = ({ rig }: Job): LinkBracket[] =>
  linksOf(rig).flatMap(({ id }) => BRACKETS.map((bracket) => ({ member: id, bracket })));

/** How the brackets of all bars go on; null where some are welded and some bolted, and of a car without bars. */
export function bracketsOn(job: Job): BracketsOn | null {
  const ways = new Set(bracketsOf(job).map((one) => fastening(job, one)));
  const [way] = ways;
  return ways.size === 1 ? way! : null;
}

/** Whether nothing of a bracket has been done yet, nor of its like on the other side, which goes on as it does. */
export function isUntouched(job: Job, { member, bracket }: LinkBracket): boolean {
  const mirrored = mirrorOf(member);
  return [member, ...(mirrored ? [mirrored] : [])].every(
    (id) => jointState(job, { member: id, bracket }) === 'scribed',
  );
}

/** The job with the brackets of all bars welded on, or bolted; those that have been begun with stay as they are. */
export const withBracketsOn = (job: Job, way: BracketsOn): Job =>
  bracketsOf(job)
    .filter((one) => isUntouched(job, one))
    .reduce(
      (j, { member, bracket }) =>
        withParts(j, {
          brackets: { [mountId(member, bodyAt(bracket))]: { bolted: way === 'bolted' } },
        }),
      job,
    );
