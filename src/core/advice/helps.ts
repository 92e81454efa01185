import { withMounts } from '@/core/job/edits/mounts';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { travelOf } from '@/core/job/jobValues';
import { mountId } from '@/core/job/placed';
import { assemble } from '@/core/kinematics/mechanism';
import { antiSquatOf, isReached } from '@/core/kinematics/pose';
import { guessesAmong, type InputId } from '@/core/provenance/inputs';
import { mountOwners, mountsOf, type MountChange } from '@/core/rig/mounts';
import { orNone } from '@/core/rig/read';
import { PANHARD } from '@/core/rig/roles';
import type { Rig } from '@/core/rig/schema';
import { analyseRoll } from '@/core/roll/analyse';
import { rollInput } from '@/core/roll/input';
import { stiffened } from '@/core/springs/springDesign';

/** What verdicts are given by, each a number of the car. */
type Result = 'tilt' | 'shift' | 'rollCentre' | 'antiSquat' | 'rollSteer' | 'swing' | 'lean' | 'frontShare';

const RESULT_OF: Record<string, Result> = {
  level: 'tilt',
  length: 'shift',
  shift: 'shift',
  migration: 'rollCentre',
  'anti-squat': 'antiSquat',
  'roll-steer': 'rollSteer',
  pinion: 'swing',
  caster: 'swing',
  rollAngle: 'lean',
  balance: 'frontShare',
  barWrong: 'frontShare',
  barNeeded: 'frontShare',
};

/** How far what nobody has read may well be off, mm, or as a share of itself (common practice, no published source). */
const OFF = { mount: 25, size: 25, gravity: 50, weight: 0.1, stiffness: 0.3 };

/** A guess a little otherwise: its id, and the job with it so much more or less. */
type Guess = { id: InputId; otherwise: (job: Job, way: 1 | -1) => Job };

/**
 * Of all that is guessed of a car, what most widens what each verdict is given by: by the verdict's id, the id of the input. Each guess
 * is solved a little more and a little less; those that change nothing are not named.
 */
export function readingsThatHelp(job: Job): Record<string, InputId> {
  const guesses = guessesOf(job);
  const spread = new Map<Result, Map<InputId, number>>();
  for (const { id, otherwise } of guesses) {
    const [more, less] = ([1, -1] as const).map((way) => orNone(() => resultsOf(otherwise(job, way))));
    if (!more || !less) continue;
    for (const result of Object.keys(more) as Result[]) {
      const [a, b] = [more[result], less[result]];
      if (a === null || b === null) continue;
      const of = spread.get(result) ?? new Map<InputId, number>();
      spread.set(result, of.set(id, (of.get(id) ?? 0) + ((a - b) / 2) ** 2));
    }
  }
  return Object.fromEntries(
    Object.entries(RESULT_OF).flatMap(([verdict, result]) => {
      const widest = [...(spread.get(result) ?? [])].reduce<[InputId | null, number]>(
        (most, [id, square]) => (square > most[1] ? [id, square] : most),
        [null, 1e-12],
      );
      return widest[0] === null ? [] : [[verdict, widest[0]]];
    }),
  );
}

function resultsOf(job: Job): Record<Result, number | null> {
  const { ride, at } = assemble(job.rig);
  const { bump, droop } = travelOf(job);
  const [up, down] = [at({ left: bump, right: bump }), at({ left: -droop, right: -droop })];
  const ends = isReached(up) && isReached(down) ? { up, down } : null;
  const bar = mountsOf(job.rig, PANHARD);
  const [frame, axle] = ['chassis', 'axle'].map((end) => bar.find(({ key }) => key === end)?.point[2]);
  const corner = job.roll.springs && job.rig.otherEnd ? cornerOf(job) : null;
  return {
    tilt: frame === undefined || axle === undefined ? null : frame - axle,
    shift: ends && Math.max(...[ends.up, ends.down].map((pose) => Math.abs(pose.y - ride.y))),
    rollCentre: ends && (ends.up.rollCentreHeight ?? 0) - (ends.down.rollCentreHeight ?? 0),
    antiSquat: antiSquatOf(job.rig, ride),
    rollSteer: ride.rollSteer,
    swing: ends && ends.up.pitchDeg - ends.down.pitchDeg,
    lean: corner?.rollDeg ?? null,
    frontShare: corner?.frontShare ?? null,
  };
}

const cornerOf = (job: Job) => analyseRoll(rollInput(job, { left: 0, right: 0 }), 'springs').corner;

const SIZES = { tireRadius: 'read.tireRadius', track: 'read.track', wheelbase: 'read.wheelbase' } as const;

function guessesOf(job: Job): Guess[] {
  const { rig } = job;
  const mounts = mountOwners(rig).flatMap((member) =>
    mountsOf(rig, member).flatMap(({ key, point }) =>
      ([0, 1, 2] as const).map((axis): Guess => {
        const to = (way: number): MountChange => ({
          member,
          end: key,
          axis,
          mm: point[axis] + way * OFF.mount,
        });
        return { id: `mount.${mountId(member, key)}`, otherwise: (j, way) => withMounts(j, [to(way)]) };
      }),
    ),
  );
  const sizes = (Object.keys(SIZES) as (keyof typeof SIZES)[]).map((key): Guess => ({
    id: SIZES[key],
    otherwise: (j, way) => withRig(j, { [key]: (j.rig[key] ?? 0) + way * OFF.size }),
  }));
  const others: Guess[] = [
    {
      id: 'cgHeight',
      otherwise: (j, way) => withRig(j, { cgHeight: (j.rig.cgHeight ?? 0) + way * OFF.gravity }),
    },
    {
      id: 'weights',
      otherwise: (j, way) =>
        withRig(j, {
          masses: j.rig.masses && { ...j.rig.masses, total: j.rig.masses.total * (1 + way * OFF.weight) },
        }),
    },
    {
      id: 'otherEnd',
      otherwise: (j, way) =>
        withRig(j, {
          otherEnd: j.rig.otherEnd && {
            ...j.rig.otherEnd,
            rollRate: j.rig.otherEnd.rollRate * (1 + way * OFF.stiffness),
          },
        }),
    },
    {
      id: 'springs',
      otherwise: (j, way) =>
        j.roll.springs ? withRoll(j, { springs: stiffened(j.roll.springs, 1 + way * OFF.stiffness) }) : j,
    },
  ];
  const all = [...mounts, ...sizes, ...others];
  const guessed = new Set(
    guessesAmong(
      job,
      all.map(({ id }) => id),
    ).map(({ id }) => id),
  );
  return all.filter(({ id }) => guessed.has(id));
}

const withRig = (job: Job, change: Partial<Rig>): Job => ({ ...job, rig: { ...job.rig, ...change } });
