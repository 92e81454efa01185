import { barOf, madeUp, specOf, threadedEnds } from '@/core/job/made/parts';
import { fastenedTo } from '@/core/job/made/bracketRoot';
import { mainAxis, minus } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { drivenTravel, heldLift } from '@/core/job/jobValues';
import { axleToChassis } from '@/core/kinematics/attitude';
import { assemble } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import type { Basis } from '@/core/job/stripes';
import { LIMITS } from '@/core/materials/limits';
import { describeBar, meantRise } from '@/core/rig/lateralBar';
import type { LinkMember } from '@/core/rig/members/link';
import { lateralBarOf } from '@/core/rig/roles';
import { placeTolerance, tellsIn, type Tolerance } from '../placeTolerance';
import { centred, clearance, cycled, fit, held, lastOfAll } from './car';
import { confirm, type Check, type Draft, type Step } from './condition';

/** What is looked at for a bar; `parked`: where the axle is held while its brackets are set, if that is not at ride height. */
type LinkCheck = Check & { bar: LinkMember; parked: Parked | null };

/** How the axle stands at the parked height: how far the bar's eye on it has come up, and the axle has gone to the left, mm. */
type Parked = { eyeUp: number; aside: number };

/** What must be true of a bar and its two brackets. */
export function linkDrafts(of: Check, bar: LinkMember): Draft[] {
  const check: LinkCheck = { ...of, bar, parked: parkedAt(of.job, bar) };
  const standing = {
    ...layoutOf(bar),
    'frame end, behind the axle': -bar.chassis[0],
    'axle end, behind the axle': -bar.axle[0],
  };
  const level = levelOf(check);
  const drafts: (Draft | null)[] = [
    held(check),
    ...level('level', 'tack', (stands) => `Bar ${stands}, frame end against axle end`),
    eyeToEye(check),
    clearance(check, standing),
    thread(check),
    // At the parked height its bar has swung the axle a little to one side.
    centred(check, 'centred', 'tack', 'Axle centred, tyre to frame left and right', check.parked?.aside ?? 0),
    carrier(check),
    fit(check),
    cycled(check),
    ...level('levelAgain', 'weld', (stands) => `Bar still ${stands}, measured again`),
    centred(check, 'centredAgain', 'weld', 'Axle still centred, measured again'),
    lastOfAll(check),
  ];
  return drafts.filter((draft) => draft !== null);
}

/** What the frame bracket hangs on where that is no rail; null where it is one. */
const carrier = (check: LinkCheck): Draft | null =>
  fastenedTo(check.job, check.bar, 'chassis') !== 'rail'
    ? confirm(
        check,
        'carrier',
        'tack',
        'What the frame bracket hangs on is centred and fixed',
        'A crossmember or hoop that slides is set as far from both rails and fixed for good before anything is set on it.',
      )
    : null;

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

const HELD_SO = {
  rests: 'axle on its rests',
  weight: 'car on its weight',
  unsaid: 'axle held where it will live',
} as const;

const mountsOf = ({ chassis, axle }: LinkMember): Basis => ({
  'frame end, off the floor': chassis[2],
  'axle end, off the floor': axle[2],
});
const layoutOf = (bar: LinkMember): Basis => ({
  'designed eye to eye': describeBar(bar).eyeToEye,
  ...mountsOf(bar),
});

/**
 * How far off the frame end may be set along an axis, mm: as bars commonly are, or nearer where this car would feel that, and what it would
 * tell in.
 */
function toleranceOf({ job, bar }: LinkCheck, usual: number, axis: 0 | 1 | 2): Tolerance {
  const own = placeTolerance(job, { member: bar.id, end: 'chassis', axis }, bar.chassis[axis]);
  return own.mm < usual ? own : { mm: usual, costs: null };
}

/** The axis that a bar runs along most. */
const runsAlong = ({ chassis, axle }: LinkMember): 0 | 1 | 2 =>
  mainAxis(minus(axle, chassis)).findIndex((v) => v !== 0) as 0 | 1 | 2;

/** How level a bar stands, at a step; asked of the lateral bar alone: the others slope as they are designed. */
function levelOf(check: LinkCheck): (id: string, step: Step, label: (stands: string) => string) => Draft[] {
  const { job, bar, parked, say, read } = check;
  if (lateralBarOf(job.rig)?.id !== bar.id) return () => [];
  const { bump, droop } = drivenTravel(job);
  // Beside a drag link a bar leans as it is drawn, which Locate holds against the drag link.
  const meant = meantRise(job.rig, bar, job.locate.school, bump, droop);
  const wanted = (meant.by === 'level' ? meant.rise : describeBar(bar).rise) - (parked?.eyeUp ?? 0);
  const may = toleranceOf(check, LIMITS.weld.level, 2);
  return (id, step, label) => {
    const [frame, axle] = [read(`${id}.frame`), read(`${id}.axle`)];
    const error = frame === null || axle === null ? null : frame - axle - wanted;
    return [
      {
        id,
        step,
        label: label(
          parked ? 'standing as it will, parked' : meant.by === 'level' ? 'level' : 'leaning as drawn',
        ),
        how: `Floor to the middle of each eye, ${HELD_SO[job.place.holding ?? 'unsaid']}.`,
        designed:
          wanted === 0
            ? `level ± ${say(may.mm)}`
            : `frame end ${say(Math.abs(wanted))} ${wanted > 0 ? 'up' : 'down'} ± ${say(may.mm)}`,
        fields: [
          { key: `${id}.frame`, label: 'frame end' },
          { key: `${id}.axle`, label: 'axle end' },
        ],
        holds: error === null ? null : Math.abs(error) <= may.mm + 1e-6,
        problem:
          error === null
            ? null
            : `${say(Math.abs(error))} too ${error > 0 ? 'high' : 'low'} at the frame end${tellsIn(may)}. Move the bracket ${error > 0 ? 'down' : 'up'} before it is fixed.`,
        basis: mountsOf(bar),
      },
    ];
  };
}

function eyeToEye(check: LinkCheck): Draft {
  const { bar, say, read } = check;
  const designed = describeBar(bar).eyeToEye;
  const may = toleranceOf(check, LIMITS.weld.eyeToEye, runsAlong(bar));
  const seen = read('eyeToEye');
  return {
    id: 'eyeToEye',
    step: 'tack',
    label: 'Eye to eye',
    how: 'Centre of one bolt to centre of the other, along the bar.',
    designed: `${say(designed)} ± ${say(may.mm)}`,
    fields: [{ key: 'eyeToEye', label: 'measured' }],
    holds: seen === null ? null : Math.abs(seen - designed) <= may.mm + 1e-6,
    problem:
      seen === null
        ? null
        : `${say(Math.abs(seen - designed))} ${seen > designed ? 'longer' : 'shorter'} than designed${tellsIn(may)}. Move a bracket, or correct the ends on Locate.`,
    basis: layoutOf(bar),
  };
}

/** What thread each end of a bar has; null of one that is welded at both. */
function thread({ job, bar, say, read }: LinkCheck): Draft | null {
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
