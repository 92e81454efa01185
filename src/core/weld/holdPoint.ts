import type { Job } from '@/core/job/jobSchema';
import type { Bracket } from '@/core/job/slices/fields';
import type { JointState } from '@/core/job/slices/weld';
import type { Condition, Step } from './conditions';

/** Verified means: it holds, and the builder's stripe across it is unbroken. */
export const isVerified = (c: Condition): boolean => c.holds === true && c.stripe.kind === 'whole';

export type Release = { step: Step; open: Condition[]; released: boolean };

/** What still stands between the brackets and a step. Finish-welding wants everything that tacking wanted, still unbroken. */
export function release(conditions: Condition[], step: Step): Release {
  const open = conditions.filter((c) => (step === 'weld' || c.step === 'tack') && !isVerified(c));
  return { step, open, released: open.length === 0 };
}

/** The order in which a joint is made; each state is entered from the one before. */
export const NEXT_STATE: Record<JointState, JointState | null> = {
  scribed: 'tacked',
  tacked: 'welded',
  welded: 'torqued',
  torqued: 'striped',
  striped: null,
};

const HELD: Partial<Record<JointState, Step>> = { tacked: 'tack', welded: 'weld' };

/** A bracket of a member, where the job keeps its state. */
type Joint = { member: string; bracket: Bracket };
const jointKey = ({ member, bracket }: Joint): string => `${member}/${bracket}`;

/** How far a bracket of a member has come. */
export const jointState = ({ weld }: Pick<Job, 'weld'>, joint: Joint): JointState =>
  weld.joints[jointKey(joint)] ?? 'scribed';

export type Advance = { ok: true; job: Job } | { ok: false; open: Condition[] };

/**
 * Takes a bracket to its next state. Tacking and finish-welding are hold points: they are refused while a condition is
 * open, unless the builder writes why; the reason and what was open stay in the job's record.
 */
export function advanced(
  job: Job,
  joint: Joint,
  conditions: Condition[],
  at: string,
  reason: string,
): Advance {
  const to = NEXT_STATE[jointState(job, joint)];
  if (to === null) return { ok: true, job };
  const step = HELD[to];
  const open = step ? release(conditions, step).open : [];
  if (open.length && !reason.trim()) return { ok: false, open };
  const note = open.length ? { reason: reason.trim(), open: open.map((c) => c.label) } : {};
  return { ok: true, job: entered(job, joint, to, at, note) };
}

/** Takes a bracket back to scribed: tacks ground off, or a weld cut out. Kept in the record with its reason. */
export const cutLoose = (job: Job, joint: Joint, at: string, reason: string): Job =>
  entered(job, joint, 'scribed', at, { reason: reason.trim() });

function entered(
  job: Job,
  joint: Joint,
  to: JointState,
  at: string,
  note: { reason?: string; open?: string[] },
): Job {
  const { weld } = job;
  return {
    ...job,
    weld: {
      ...weld,
      joints: { ...weld.joints, [jointKey(joint)]: to },
      log: [...weld.log, { at, ...joint, to, ...note }],
    },
  };
}
