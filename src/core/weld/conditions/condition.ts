import type { Job } from '@/core/job/jobSchema';
import { stripeState, type Basis, type StripeState } from '@/core/job/stripes';
import type { Side } from '@/core/geometry/side';
import type { Body } from '@/core/rig/members/kind';
import { sayLength } from '@/core/units/length';

export type Step = 'tack' | 'weld';

/** One thing to be measured for a condition; `key` is where the job keeps it, among what belongs to the member. */
type Field = { key: string; label: string };

/** Something that must be true before a bracket is tacked or finish-welded. */
export type Condition = {
  id: string;
  step: Step;
  label: string;
  /** how to check it, in one line */
  how: string;
  designed: string;
  fields: Field[];
  /** true: a plain yes, no measurement */
  confirm: boolean;
  /** known from another station, and set right there */
  known: boolean;
  /** null until it is measured or answered */
  holds: boolean | null;
  /** what is wrong and what to do about it, when it does not hold */
  problem: string | null;
  basis: Basis;
  stripe: StripeState;
};

export type Draft = Omit<Condition, 'stripe' | 'basis' | 'confirm' | 'known' | 'fields'> & {
  fields?: Field[];
  basis?: Basis;
  known?: true;
};

/** What another station knows to stand in the way: what it is, where it is set right, and each trouble in words. */
export type Trouble = { id: string; label: string; how: string; found: string[] };

/**
 * What is known of a car from other stations while its brackets are set. `raised`: how much farther off the floor something stands than at
 * ride height, mm, by the body it is on and its side; null where that is not known.
 */
export type Around = { troubles: Trouble[]; raised: (on: Body, side: Side) => number | null };

/** Where the job keeps what was measured of a member, and the stripe across one of its conditions. */
export const measuredKey = (member: string, key: string): string => `${member}/${key}`;
export const stripeKey = (member: string, condition: string): string => `weld.${member}/${condition}`;

/** Gaps read at Ride count as measured here too: on the ground, after the tacking, is where they are read again. */
function fromRide({ ride }: Job, key: string): number | undefined {
  const [id, side] = key.split('.');
  return id === 'centredAgain' && (side === 'left' || side === 'right') ? ride.gaps[side] : undefined;
}

/** What was measured of a member for a condition, mm; null where it was not. */
export function measuredFor(job: Job, member: string, key: string): number | null {
  const value = job.weld.measured[measuredKey(member, key)] ?? fromRide(job, key);
  return typeof value === 'number' ? value : null;
}

/** What is looked at for one member: the job, its id, and how lengths are said and read. */
export type Check = {
  job: Job;
  member: string;
  /** all of its brackets are fastened by bolts of their own */
  bolted: boolean;
  say: (mm: number) => string;
  read: (key: string) => number | null;
};

export const checkOf = (job: Job, member: string, bolted: boolean): Check => ({
  job,
  member,
  bolted,
  say: (mm) => sayLength(mm, job.tape),
  read: (key) => measuredFor(job, member, key),
});

export function conditionOf({ job, member, read }: Check, draft: Draft): Condition {
  const fields = draft.fields ?? [];
  const asMeasured = Object.fromEntries(
    fields.map((f) => [`measured, ${f.label}`, read(f.key) ?? 'not measured']),
  );
  const answer: Basis = fields.length ? asMeasured : { answer: draft.holds === true };
  const basis: Basis = { ...draft.basis, ...answer };
  return {
    ...draft,
    fields,
    confirm: fields.length === 0,
    known: draft.known ?? false,
    problem: draft.holds === false ? draft.problem : null,
    basis,
    stripe: stripeState(job.stripes[stripeKey(member, draft.id)], basis, job.tape),
  };
}

/** A condition that is answered by a plain yes. */
export const confirm = (
  { job, member }: Check,
  id: string,
  step: Step,
  label: string,
  how: string,
  designed = '–',
): Draft => ({
  id,
  step,
  label,
  how,
  designed,
  holds: job.weld.measured[measuredKey(member, id)] === true ? true : null,
  problem: null,
});
