import { makeBar } from '@/core/fabricate/bar';
import { barSpec, workBar } from '@/core/job/job';
import { PANHARD } from '@/core/layouts/patterns';
import type { Bracket, Job, JointState } from '@/core/job/schema';
import { jobAgreement } from '@/core/job/record';
import { toBeMended } from '@/core/measure/inspection';
import { spotAt, spotName } from '@/core/measure/quantities';
import { outOfPlace } from '@/core/place/placeChecks';
import { describeBar } from '@/core/locate/lateralBar';
import { wantedRise } from '@/core/locate/schools';
import { travelOf } from '@/core/job/job';
import { sayLength } from '@/core/units/format';
import { stripeState, type Basis, type StripeState } from './stripes';

/** Tolerances before a weld, mm (common practice, no published source). */
const LEVEL = 3.2;
const EYE_TO_EYE = 3.2;
const CLEARANCE = 12.7;

export type Step = 'tack' | 'weld';

/** One thing to be measured for a condition; `key` is where the job keeps it. */
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

type Draft = Omit<Condition, 'stripe' | 'basis' | 'confirm' | 'known' | 'fields'> & {
  fields?: Field[];
  basis?: Basis;
  known?: true;
};

/** Everything that must be true before tacking and before finish-welding, as designed and as measured. */
export function holdConditions(job: Job): Condition[] {
  const say = (mm: number) => sayLength(mm, job.tape);
  const read = (key: string): number | null => {
    const v = job.weld.measured[key] ?? fromRide(job, key);
    return typeof v === 'number' ? v : null;
  };
  const yes = (key: string): boolean | null => (job.weld.measured[key] === true ? true : null);
  const member = workBar(job);
  const across = member.id === PANHARD;
  const bar = describeBar(member);
  const { bump, droop } = travelOf(job);
  const wanted = wantedRise(job.locate.school, bump, droop);
  const made = makeBar(bar.eyeToEye, barSpec(job));
  const mounts: Basis = {
    'frame end, off the floor': member.chassis[2],
    'axle end, off the floor': member.axle[2],
  };
  const layout: Basis = { 'designed eye to eye': bar.eyeToEye, ...mounts };

  const level = (id: string, step: Step, label: string): Draft => {
    const frame = read(`${id}.frame`);
    const axle = read(`${id}.axle`);
    const error = frame === null || axle === null ? null : frame - axle - wanted;
    return {
      id,
      step,
      label,
      how: 'Floor to the middle of each eye, car on its weight.',
      designed:
        wanted === 0
          ? `level ± ${say(LEVEL)}`
          : `frame end ${say(Math.abs(wanted))} ${wanted > 0 ? 'up' : 'down'} ± ${say(LEVEL)}`,
      fields: [
        { key: `${id}.frame`, label: 'frame end' },
        { key: `${id}.axle`, label: 'axle end' },
      ],
      holds: error === null ? null : Math.abs(error) <= LEVEL + 1e-6,
      problem:
        error === null
          ? null
          : `${say(Math.abs(error))} too ${error > 0 ? 'high' : 'low'} at the frame end. Move the bracket ${error > 0 ? 'down' : 'up'} before it is fixed.`,
      basis: mounts,
    };
  };
  const centred = (id: string, step: Step, label: string): Draft => {
    const left = read(`${id}.left`);
    const right = read(`${id}.right`);
    const offset = left === null || right === null ? null : (left - right) / 2;
    return {
      id,
      step,
      label,
      how: 'Tyre to frame, both sides, level with the hub.',
      designed: `within ${say(job.ride.tolerance)}`,
      fields: [
        { key: `${id}.left`, label: 'left' },
        { key: `${id}.right`, label: 'right' },
      ],
      holds: offset === null ? null : Math.abs(offset) <= job.ride.tolerance + 1e-6,
      problem:
        offset === null
          ? null
          : `Axle sits ${say(Math.abs(offset))} to the ${offset > 0 ? 'left' : 'right'}. Push it over and hold it there.`,
    };
  };
  const confirm = (id: string, step: Step, label: string, how: string): Draft => ({
    id,
    step,
    label,
    how,
    designed: '–',
    holds: yes(id),
    problem: null,
  });

  const eyeToEye = read('eyeToEye');
  const clearance = read('clearance');
  const showing = (['frame', 'axle'] as const).map((end) => {
    const seen = read(`thread.${end}`);
    return seen === null ? null : Math.min(job.cut.ends[end].shank - seen, job.cut.ends[end].bung);
  });
  const shortest = showing.includes(null) ? null : Math.min(...(showing as number[]));

  const drafts: Draft[] = [
    ...knownTroubles(job),
    confirm(
      'onWheels',
      'tack',
      'Weight is on the tyres, car bounced and rolled',
      'Nobody under it while it is bounced. A bar set level in droop is wrong at ride height.',
    ),
    ...(across ? [level('level', 'tack', 'Bar level, frame end against axle end')] : []),
    {
      id: 'eyeToEye',
      step: 'tack',
      label: 'Eye to eye',
      how: 'Centre of one bolt to centre of the other, along the bar.',
      designed: say(bar.eyeToEye),
      fields: [{ key: 'eyeToEye', label: 'measured' }],
      holds: eyeToEye === null ? null : Math.abs(eyeToEye - bar.eyeToEye) <= EYE_TO_EYE + 1e-6,
      problem:
        eyeToEye === null
          ? null
          : `${say(Math.abs(eyeToEye - bar.eyeToEye))} ${eyeToEye > bar.eyeToEye ? 'longer' : 'shorter'} than designed. Move a bracket, or correct the ends on Locate.`,
      basis: layout,
    },
    {
      id: 'clearance',
      step: 'tack',
      label: 'Nearest anything, at full bump',
      how: 'Lift the axle to the stop, measure the tightest place, lower it.',
      designed: `at least ${say(CLEARANCE)}`,
      fields: [{ key: 'clearance', label: 'measured' }],
      holds: clearance === null ? null : clearance >= CLEARANCE - 1e-6,
      problem:
        clearance === null
          ? null
          : `${say(CLEARANCE - clearance)} short. What clears at rest hits at bump: move the bar before it is fixed.`,
      basis: {
        ...layout,
        'frame end, behind the axle': -member.chassis[0],
        'axle end, behind the axle': -member.axle[0],
        'travel up': bump,
      },
    },
    {
      id: 'thread',
      step: 'tack',
      label: 'Thread in each end',
      how: 'Measure the thread left showing at each end; Pellik takes it off the shank.',
      designed: `at least ${say(made.limit)}`,
      fields: [
        { key: 'thread.frame', label: 'showing, frame' },
        { key: 'thread.axle', label: 'showing, axle' },
      ],
      holds: shortest === null ? null : shortest >= made.limit - 1e-6,
      problem:
        shortest === null
          ? null
          : `Only ${say(Math.max(0, shortest))} is in the tube. A bar that is long enough only because its threads are nearly out is too short: make a longer tube.`,
      basis: {
        thread: job.cut.thread,
        'least engagement': made.limit,
        'shank, frame end': job.cut.ends.frame.shank,
        'shank, axle end': job.cut.ends.axle.shank,
      },
    },
    centred('centred', 'tack', 'Axle centred, tyre to frame left and right'),
    confirm(
      'fit',
      'tack',
      'Brackets level and plumb, bright metal all round',
      'Ground back past the paint, weld-through primer where it will be closed in, mock-up bushings in, bolt heads on the side that stays clear.',
    ),
    confirm(
      'cycled',
      'weld',
      'Cycled bump to droop since tacking',
      'Nothing touches, nothing binds, the tacks have not cracked.',
    ),
    ...(across ? [level('levelAgain', 'weld', 'Bar still level, measured again')] : []),
    centred('centredAgain', 'weld', 'Axle still centred, measured again'),
    confirm(
      'partsOut',
      'weld',
      'Bushings and rod ends safe from the heat',
      'Real bushings out; a spare rod end wound into each bung to sink the heat and keep the thread.',
    ),
  ];

  return drafts.map((draft) => {
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
      stripe: stripeState(job.stripes[stripeKey(draft.id)], basis, job.tape),
    };
  });
}

/** What other stations know to stand in the way; nothing where they know of nothing. */
function knownTroubles(job: Job): Draft[] {
  const trouble = (id: string, label: string, how: string, list: string[]): Draft[] =>
    list.length === 0
      ? []
      : [
          {
            id,
            step: 'tack',
            label,
            how,
            designed: '–',
            holds: false,
            problem: `${list.join('; ')}.`.replace('..', '.'),
            known: true,
          },
        ];
  return [
    ...trouble(
      'sound',
      'Nothing left to be mended first',
      'From the inspection list at Record: mark it mended there.',
      toBeMended(job.record.inspection),
    ),
    ...trouble(
      'agree',
      'No reading contradicts the rest',
      'Measure it again at Record, or strike it there.',
      (jobAgreement(job)?.wrong ?? []).map((w) => spotName(spotAt(w.residual.key)!)),
    ),
    ...trouble(
      'placed',
      'Axle held in its place',
      'As measured at Place: set it right there.',
      outOfPlace(job),
    ),
  ];
}

/** Gaps read at Ride count as measured here too: on the ground, after the tacking, is where they are read again. */
export function fromRide(job: Job, key: string): number | undefined {
  const [id, side] = key.split('.');
  return id === 'centredAgain' && (side === 'left' || side === 'right') ? job.ride.gaps[side] : undefined;
}

export const stripeKey = (conditionId: string): string => `weld.${conditionId}`;

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

export type Advance = { ok: true; job: Job } | { ok: false; open: Condition[] };

/**
 * Takes a bracket to its next state. Tacking and finish-welding are hold points: they are refused while a condition is
 * open, unless the builder writes why; the reason and what was open stay in the job's record.
 */
export function advanceJoint(job: Job, bracket: Bracket, at: string, reason = ''): Advance {
  const to = NEXT_STATE[job.weld.joints[bracket]];
  if (to === null) return { ok: true, job };
  const step = HELD[to];
  const open = step ? release(holdConditions(job), step).open : [];
  if (open.length && !reason.trim()) return { ok: false, open };
  const note = open.length ? { reason: reason.trim(), open: open.map((c) => c.label) } : {};
  const weld = {
    ...job.weld,
    joints: { ...job.weld.joints, [bracket]: to },
    log: [...job.weld.log, { at, bracket, to, ...note }],
  };
  return { ok: true, job: { ...job, weld } };
}

/** Takes a bracket back to scribed: tacks ground off, or a weld cut out. Kept in the record with its reason. */
export function cutLoose(job: Job, bracket: Bracket, at: string, reason: string): Job {
  const weld = {
    ...job.weld,
    joints: { ...job.weld.joints, [bracket]: 'scribed' as const },
    log: [...job.weld.log, { at, bracket, to: 'scribed' as const, reason: reason.trim() }],
  };
  return { ...job, weld };
}
