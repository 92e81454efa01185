import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import type { Bracket } from '@/core/job/slices/fields';
import type { StripeState } from '@/core/job/stripes';
import { outOfPlace } from '@/core/place/placeChecks';
import { toBeMended } from '@/core/record/inspection';
import type { Agreement } from '@/core/survey/agreement';
import { linksOf } from '@/core/rig/members/members';
import { spotAt, spotName } from '@/core/survey/quantities/quantities';
import { holdConditions, stripeKey, type Condition, type Trouble } from '@/core/weld/conditions';
import { advanced, jointState, type Advance } from '@/core/weld/holdPoint';

/**
 * What must be true before the brackets of the bar on the saw are welded, with what the other stations know.
 *
 * @param agreement of the job's readings; undefined while they are still being fitted together, which holds too
 * @param stops what Locate and Prove say of this bar that stops the work, in words; undefined while the car is still being looked over
 */
export const jobConditions = (
  job: Job,
  agreement: Agreement | null | undefined,
  stops?: string[],
): Condition[] => {
  const bar = workBar(job);
  return bar ? holdConditions(job, bar, troublesOf(job, agreement, stops)) : [];
};

/**
 * Takes a bracket of the bar on the saw to its next state; held while a condition is open, unless the builder writes why. Without
 * such a bar nothing is taken anywhere.
 */
export function advanceBracket(
  job: Job,
  agreement: Agreement | null | undefined,
  stops: string[] | undefined,
  bracket: Bracket,
  at: string,
  reason = '',
): Advance {
  const bar = workBar(job);
  if (!bar) return { ok: true, job };
  return advanced(job, { member: bar.id, bracket }, jobConditions(job, agreement, stops), at, reason);
}

function troublesOf(
  job: Job,
  agreement: Agreement | null | undefined,
  stops: string[] | undefined,
): Trouble[] {
  return [
    {
      id: 'sound',
      label: 'Nothing left to be mended first',
      how: 'From the inspection list at Record: mark it mended there.',
      found: toBeMended(job.record.inspection),
    },
    {
      id: 'agree',
      label: 'No reading contradicts the rest',
      how: 'Measure it again at Record, or strike it there.',
      found:
        agreement === undefined
          ? ['The readings are still being fitted together']
          : (agreement?.wrong ?? []).map((w) => spotName(spotAt(w.residual.key)!)),
    },
    {
      id: 'placed',
      label: 'Axle held in its place',
      how: 'As measured at Place: set it right there.',
      found: outOfPlace(job),
    },
    {
      id: 'laidOut',
      label: 'Nothing at Locate or Prove stops this bar',
      how: 'As it is laid out at Locate and made at Prove: cure it there.',
      found: stops ?? ['The car is still being looked over'],
    },
  ];
}

/**
 * The stripe across Weld: broken where a condition of any member is no longer as it was checked; whole when every member that
 * was begun has both its brackets striped.
 */
export function weldStripe(job: Job): StripeState {
  const begun = linksOf(job.rig).filter((bar) =>
    (['frame', 'axle'] as const).some(
      (bracket) => jointState(job, { member: bar.id, bracket }) !== 'scribed',
    ),
  );
  const done =
    begun.length > 0 &&
    begun.every((bar) =>
      (['frame', 'axle'] as const).every(
        (bracket) => jointState(job, { member: bar.id, bracket }) === 'striped',
      ),
    );
  // Without a stripe none can be broken: asked at every movement of a drag.
  const striped = linksOf(job.rig).filter((bar) =>
    Object.keys(job.stripes).some((key) => key.startsWith(stripeKey(bar.id, ''))),
  );
  const broken = striped
    .flatMap((bar) => holdConditions(job, bar, []))
    .flatMap((c) => (c.stripe.kind === 'broken' ? [c.stripe] : []));
  if (broken.length) return { kind: 'broken', at: broken[0]!.at, changes: broken.flatMap((s) => s.changes) };
  return done ? { kind: 'whole', at: job.weld.log.at(-1)?.at ?? '' } : { kind: 'none' };
}
