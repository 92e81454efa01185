import type { Job } from '@/core/job/jobSchema';
import type { JointState } from '@/core/job/slices/work/weld';
import { bracketBasis } from './bracketBasis';
import type { Condition, Step } from './conditions/condition';
import { fastening, type Joint } from './fastening';

/** Verified means: it holds, and the builder's stripe across it is unbroken. */
export const isVerified = (c: Condition): boolean => c.holds === true && c.stripe.kind === 'whole';

export type Release = { step: Step; open: Condition[]; released: boolean };

/** What still stands between the brackets and a step. Finish-welding wants everything that tacking wanted, still unbroken. */
export function release(conditions: Condition[], step: Step): Release {
  const open = conditions.filter((c) => (step === 'weld' || c.step === 'tack') && !isVerified(c));
  return { step, open, released: open.length === 0 };
}

/** The order in which a joint is made, welded on or bolted on; each state is entered from the one before. */
export const STATES = {
  welded: ['scribed', 'tacked', 'welded', 'torqued', 'striped'],
  bolted: ['scribed', 'drilled', 'loose', 'snug', 'torqued', 'striped'],
} as const satisfies Record<string, JointState[]>;

/** What is held until its conditions are checked: what makes a bracket stay where it is, and what makes it final. */
const HELD: Record<keyof typeof STATES, Partial<Record<JointState, Step>>> = {
  welded: { tacked: 'tack', welded: 'weld' },
  bolted: { drilled: 'tack', torqued: 'weld' },
};

/** What comes next for a bracket, and what holds it; null once it is striped, and where it was fastened the other way before. */
export function nextState(job: Job, joint: Joint): { to: JointState; held: Step | null } | null {
  const way = fastening(job, joint);
  const states: readonly JointState[] = STATES[way];
  const at = states.indexOf(jointState(job, joint));
  const to = at < 0 ? undefined : states[at + 1];
  return to === undefined ? null : { to, held: HELD[way][to] ?? null };
}

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
  const next = nextState(job, joint);
  if (next === null) return { ok: true, job };
  const { to, held } = next;
  const open = held ? release(conditions, held).open : [];
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
      log: [
        ...weld.log,
        { at, ...joint, to, ...note, basis: bracketBasis(job, joint.member, joint.bracket) },
      ],
    },
  };
}
