import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import type { HoldPoint } from '@/core/job/slices/fields';
import type { StripeState } from '@/core/job/stripes';
import { raisedNow } from '@/core/place/heights';
import { outOfPlace } from '@/core/place/placeChecks';
import { toBeMended } from '@/core/record/inspection';
import type { Agreement } from '@/core/survey/agreement';
import { spotAt, spotName } from '@/core/survey/quantities/quantities';
import { stripeKey, type Around, type Condition, type Trouble } from '@/core/weld/conditions/condition';
import { holdConditions } from '@/core/weld/conditions/holdConditions';
import { heldIds, heldPoints } from '@/core/weld/held';
import { advanced, jointState, type Advance } from '@/core/weld/holdPoint';

/** What has hold points is looked at by its id: without one, the bar on the saw. */
const workedOn = (job: Job): string | undefined => workBar(job)?.id;

/**
 * What must be true before what a member is mounted by is welded, with what the other stations know.
 *
 * @param agreement of the job's readings; undefined while they are still being fitted together, which holds too
 * @param stops what Locate and Prove say of this member that stops the work, in words; undefined while the car is still being looked over
 */
export const jobConditions = (
  job: Job,
  agreement: Agreement | null | undefined,
  stops?: string[],
  member = workedOn(job),
): Condition[] =>
  member === undefined
    ? []
    : holdConditions(job, member, { ...aroundOf(job), troubles: troublesOf(job, agreement, stops) });

/** How the car stands while brackets are set; of what other stations know, nothing. */
const aroundOf = (job: Job): Around => ({
  troubles: [],
  raised: (on, side) => (job.place.holding === 'rests' ? raisedNow(job, on, side) : 0),
});

/**
 * Takes something of a member, or of the bar on the saw, to its next state; held while a condition is open, unless the builder writes why. Without
 * such a member nothing is taken anywhere.
 */
export function advanceBracket(
  job: Job,
  agreement: Agreement | null | undefined,
  stops: string[] | undefined,
  { bracket, member = workedOn(job) }: { bracket: HoldPoint; member?: string },
  at: string,
  reason = '',
): Advance {
  if (member === undefined) return { ok: true, job };
  return advanced(job, { member, bracket }, jobConditions(job, agreement, stops, member), at, reason);
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
 * was begun is striped wherever it is fastened.
 */
export function weldStripe(job: Job): StripeState {
  const held = heldIds(job);
  const statesOf = (member: string) =>
    heldPoints(job, member).map(({ bracket }) => jointState(job, { member, bracket }));
  // Asked at every movement of a drag: what was not begun is not looked at.
  const begun = held
    .filter((member) => Object.keys(job.weld.joints).some((joint) => joint.startsWith(`${member}/`)))
    .map(statesOf)
    .filter((states) => states.some((state) => state !== 'scribed'));
  const done = begun.length > 0 && begun.flat().every((state) => state === 'striped');
  // Without a stripe none can be broken.
  const striped = held.filter((member) =>
    Object.keys(job.stripes).some((key) => key.startsWith(stripeKey(member, ''))),
  );
  const broken = striped
    .flatMap((member) => holdConditions(job, member, aroundOf(job)))
    .flatMap((c) => (c.stripe.kind === 'broken' ? [c.stripe] : []));
  if (broken.length) return { kind: 'broken', at: broken[0]!.at, changes: broken.flatMap((s) => s.changes) };
  return done ? { kind: 'whole', at: job.weld.log.at(-1)?.at ?? '' } : { kind: 'none' };
}
