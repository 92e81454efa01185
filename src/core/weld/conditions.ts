import { bracketOf } from '@/core/job/made/bracketParts';
import { barOf, LINK_ENDS, madeUp, specOf, threadedEnds } from '@/core/job/made/parts';
import { sideOf } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { drivenTravel, heldLift, travelOf } from '@/core/job/jobValues';
import { axleToChassis } from '@/core/kinematics/attitude';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { stripeState, type Basis, type StripeState } from '@/core/job/stripes';
import { LIMITS } from '@/core/materials/limits';
import { describeBar, meantRise } from '@/core/rig/lateralBar';
import type { LinkMember } from '@/core/rig/members/link';
import { lateralBarOf } from '@/core/rig/roles';
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

type Draft = Omit<Condition, 'stripe' | 'basis' | 'confirm' | 'known' | 'fields'> & {
  fields?: Field[];
  basis?: Basis;
  known?: true;
};

/** What another station knows to stand in the way: what it is, where it is set right, and each trouble in words. */
export type Trouble = { id: string; label: string; how: string; found: string[] };

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

/** What is looked at for one member: the job, the bar, and how lengths are said and read. */
type Check = {
  job: Job;
  bar: LinkMember;
  /** where the axle is held while the bracket is set, if that is not at ride height */
  parked: Parked | null;
  /** both of its brackets are fastened by bolts of their own */
  bolted: boolean;
  say: (mm: number) => string;
  read: (key: string) => number | null;
};

/** How the axle stands at the parked height: how far the bar's eye on it has come up, and the axle has gone to the left, mm. */
type Parked = { eyeUp: number; aside: number };

/** All that must be true before the brackets of a member are tacked and finish-welded, as designed and as measured. */
export function holdConditions(job: Job, bar: LinkMember, troubles: Trouble[]): Condition[] {
  const check: Check = {
    job,
    bar,
    parked: parkedAt(job, bar),
    bolted: LINK_ENDS.every((end) => bracketOf(job, bar, end).bolted),
    say: (mm) => sayLength(mm, job.tape),
    read: (key) => measuredFor(job, bar.id, key),
  };
  return [...known(troubles), ...beforeTacking(check), ...beforeWelding(check)].map((draft) =>
    conditionOf(check, draft),
  );
}

function conditionOf({ job, bar, read }: Check, draft: Draft): Condition {
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
    stripe: stripeState(job.stripes[stripeKey(bar.id, draft.id)], basis, job.tape),
  };
}

/** What other stations know to stand in the way; nothing where they know of nothing. */
const known = (troubles: Trouble[]): Draft[] =>
  troubles
    .filter(({ found }) => found.length > 0)
    .map(({ id, label, how, found }) => ({
      id,
      step: 'tack',
      label,
      how,
      designed: '–',
      holds: false,
      problem: `${found.join('; ')}.`.replace('..', '.'),
      known: true,
    }));

function beforeTacking(check: Check): Draft[] {
  const drafts: (Draft | null)[] = [
    held(check),
    ...level(check, 'level', 'tack', (stands) => `Bar ${stands}, frame end against axle end`),
    eyeToEye(check),
    clearance(check),
    thread(check),
    centred(check, 'centred', 'tack', 'Axle centred, tyre to frame left and right'),
    check.bolted
      ? confirm(
          check,
          'fitBolted',
          'tack',
          'Brackets level and plumb, flat on what they are bolted to',
          'Holes centre-punched through the brackets themselves, what is behind looked at, bolt heads on the side that stays clear.',
        )
      : confirm(
          check,
          'fit',
          'tack',
          'Brackets level and plumb, bright metal all round',
          'Ground back past the paint, weld-through primer where it will be closed in, mock-up bushings in, bolt heads on the side that stays clear.',
        ),
  ];
  return drafts.filter((draft) => draft !== null);
}

/** How the car stands while the bracket is set: as the builder has picked at Place. */
function held(check: Check): Draft {
  const { job } = check;
  if (job.place.holding !== 'rests')
    return confirm(
      check,
      'onWheels',
      'tack',
      'Weight is on the tyres, car bounced and rolled',
      'Nobody under it while it is bounced. A bar set level in droop is wrong at ride height.',
    );
  const parked = heldLift(job) > 0;
  return confirm(
    check,
    parked ? 'onRestsParked' : 'onRests',
    'tack',
    `Axle on its rests at the ${parked ? 'parked' : 'driving'} height, frame level on its stands`,
    'Both ends at the heights that Place gives, strapped down. A bar set level in droop is wrong at ride height.',
  );
}

/** Null at ride height, and where the members do not reach that far. */
function parkedAt(job: Job, bar: LinkMember): Parked | null {
  const lift = heldLift(job);
  if (lift === 0) return null;
  const { at, ride } = assemble(job.rig);
  const pose = at({ left: lift, right: lift });
  if (!isReached(pose)) return null;
  const eye = axleToChassis(pose, job.rig.tireRadius)(bar.axle);
  return { eyeUp: eye[2] - bar.axle[2], aside: pose.y - ride.y };
}

function beforeWelding(check: Check): Draft[] {
  return [
    confirm(
      check,
      'cycled',
      'weld',
      `Cycled bump to droop since ${check.bolted ? 'it was bolted up' : 'tacking'}`,
      check.bolted
        ? 'Nothing touches, nothing binds, no bracket has crept.'
        : 'Nothing touches, nothing binds, the tacks have not cracked.',
    ),
    ...level(check, 'levelAgain', 'weld', (stands) => `Bar still ${stands}, measured again`),
    centred(check, 'centredAgain', 'weld', 'Axle still centred, measured again'),
    check.bolted
      ? confirm(
          check,
          'allIn',
          'weld',
          'Every bolt of the job is in before one is tightened',
          'Soft bushings free to turn until the car stands on its weight; nothing is left over on the bench.',
        )
      : confirm(
          check,
          'partsOut',
          'weld',
          'Bushings and rod ends safe from the heat',
          'Real bushings out; a spare rod end wound into each bung to sink the heat and keep the thread.',
        ),
  ];
}

const confirm = ({ job, bar }: Check, id: string, step: Step, label: string, how: string): Draft => ({
  id,
  step,
  label,
  how,
  designed: '–',
  holds: job.weld.measured[measuredKey(bar.id, id)] === true ? true : null,
  problem: null,
});

const mountsOf = ({ chassis, axle }: LinkMember): Basis => ({
  'frame end, off the floor': chassis[2],
  'axle end, off the floor': axle[2],
});
const layoutOf = (bar: LinkMember): Basis => ({
  'designed eye to eye': describeBar(bar).eyeToEye,
  ...mountsOf(bar),
});

/** Asked of the lateral bar alone: the others slope as they are designed. */
function level(
  { job, bar, parked, say, read }: Check,
  id: string,
  step: Step,
  label: (stands: string) => string,
): Draft[] {
  if (lateralBarOf(job.rig)?.id !== bar.id) return [];
  const { bump, droop } = drivenTravel(job);
  // Beside a drag link a bar leans as it is drawn, which Locate holds against the drag link.
  const meant = meantRise(job.rig, bar, job.locate.school, bump, droop);
  const wanted = (meant.by === 'level' ? meant.rise : describeBar(bar).rise) - (parked?.eyeUp ?? 0);
  const limit = LIMITS.weld.level;
  const [frame, axle] = [read(`${id}.frame`), read(`${id}.axle`)];
  const error = frame === null || axle === null ? null : frame - axle - wanted;
  return [
    {
      id,
      step,
      label: label(
        parked ? 'standing as it will, parked' : meant.by === 'level' ? 'level' : 'leaning as drawn',
      ),
      how: `Floor to the middle of each eye, ${job.place.holding === 'rests' ? 'axle on its rests' : 'car on its weight'}.`,
      designed:
        wanted === 0
          ? `level ± ${say(limit)}`
          : `frame end ${say(Math.abs(wanted))} ${wanted > 0 ? 'up' : 'down'} ± ${say(limit)}`,
      fields: [
        { key: `${id}.frame`, label: 'frame end' },
        { key: `${id}.axle`, label: 'axle end' },
      ],
      holds: error === null ? null : Math.abs(error) <= limit + 1e-6,
      problem:
        error === null
          ? null
          : `${say(Math.abs(error))} too ${error > 0 ? 'high' : 'low'} at the frame end. Move the bracket ${error > 0 ? 'down' : 'up'} before it is fixed.`,
      basis: mountsOf(bar),
    },
  ];
}

function centred({ job, parked, say, read }: Check, id: string, step: Step, label: string): Draft {
  const { tolerance } = job.ride;
  const [left, right] = [read(`${id}.left`), read(`${id}.right`)];
  // At the parked height its bar has swung the axle a little to one side.
  const swung = id === 'centred' ? (parked?.aside ?? 0) : 0;
  const offset = left === null || right === null ? null : (left - right) / 2 - swung;
  return {
    id,
    step,
    label,
    how: 'Tyre to frame, both sides, level with the hub.',
    designed: `${Math.abs(swung) < 0.5 ? '' : `${say(Math.abs(swung))} to the ${sideOf(swung)}, `}within ${say(tolerance)}`,
    fields: [
      { key: `${id}.left`, label: 'left' },
      { key: `${id}.right`, label: 'right' },
    ],
    holds: offset === null ? null : Math.abs(offset) <= tolerance + 1e-6,
    problem:
      offset === null
        ? null
        : `Axle sits ${say(Math.abs(offset))} to the ${sideOf(offset)}. Push it over and hold it there.`,
  };
}

function eyeToEye({ bar, say, read }: Check): Draft {
  const designed = describeBar(bar).eyeToEye;
  const seen = read('eyeToEye');
  return {
    id: 'eyeToEye',
    step: 'tack',
    label: 'Eye to eye',
    how: 'Centre of one bolt to centre of the other, along the bar.',
    designed: say(designed),
    fields: [{ key: 'eyeToEye', label: 'measured' }],
    holds: seen === null ? null : Math.abs(seen - designed) <= LIMITS.weld.eyeToEye + 1e-6,
    problem:
      seen === null
        ? null
        : `${say(Math.abs(seen - designed))} ${seen > designed ? 'longer' : 'shorter'} than designed. Move a bracket, or correct the ends on Locate.`,
    basis: layoutOf(bar),
  };
}

function clearance({ job, bar, say, read }: Check): Draft {
  const least = LIMITS.weld.clearance;
  const seen = read('clearance');
  return {
    id: 'clearance',
    step: 'tack',
    label: 'Nearest anything, at full bump',
    how: 'Lift the axle to the stop, measure the tightest place, lower it.',
    designed: `at least ${say(least)}`,
    fields: [{ key: 'clearance', label: 'measured' }],
    holds: seen === null ? null : seen >= least - 1e-6,
    problem:
      seen === null
        ? null
        : `${say(least - seen)} short. What clears at rest hits at bump: move the bar before it is fixed.`,
    basis: {
      ...layoutOf(bar),
      'frame end, behind the axle': -bar.chassis[0],
      'axle end, behind the axle': -bar.axle[0],
      'travel up': travelOf(job).bump,
    },
  };
}

/** What thread each end of a bar has; null of one that is welded at both. */
function thread({ job, bar, say, read }: Check): Draft | null {
  const { ends, thread } = specOf(job, bar.id);
  const { limit } = madeUp(job, bar);
  const threaded = threadedEnds(barOf(job, bar.id));
  if (threaded.length === 0) return null;
  const inside = (end: 'frame' | 'axle'): number | null => {
    const showing = read(`thread.${end}`);
    return showing === null ? null : Math.min(ends[end].shank - showing, ends[end].bung);
  };
  const seen = threaded.map(inside).filter((mm) => mm !== null);
  const shortest = seen.length < threaded.length ? null : Math.min(...seen);
  return {
    id: 'thread',
    step: 'tack',
    label: threaded.length === 2 ? 'Thread in each end' : `Thread in the ${threaded[0]} end`,
    how: 'Measure the thread left showing at each end; Pellik takes it off the shank.',
    designed: `at least ${say(limit)}`,
    fields: threaded.map((end) => ({ key: `thread.${end}`, label: `showing, ${end}` })),
    holds: shortest === null ? null : shortest >= limit - 1e-6,
    problem:
      shortest === null
        ? null
        : `Only ${say(Math.max(0, shortest))} is in the tube. A bar that is long enough only because its threads are nearly out is too short: make a longer tube.`,
    basis: {
      thread,
      'least engagement': limit,
      ...Object.fromEntries(threaded.map((end) => [`shank, ${end} end`, ends[end].shank])),
    },
  };
}
