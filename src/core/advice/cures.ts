import { holesKey } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import { drivenTravel } from '@/core/job/jobValues';
import { assemble, type Mechanism } from '@/core/kinematics/mechanism';
import { isReached } from '@/core/kinematics/pose';
import { LIMITS } from '@/core/materials/limits';
import { guessesAmong } from '@/core/provenance/inputs';
import { orNone } from '@/core/rig/read';
import { withRemedy } from '@/core/verdict/remedy';
import { mountsOf, type MountChange } from '@/core/rig/mounts';
import type { MountKey } from '@/core/rig/members/kind';
import { armsOf, leavesOf, lengthwiseLinks, upperLinks } from '@/core/rig/roles';
import { sayLength, formatDegrees } from '@/core/units/length';
import type { Remedy } from '@/core/verdict/verdict';
import { moveStep } from './trade';

/** How far a mount is tried up and down, mm; how far a pinion is turned, and in what steps, degrees. */
const FARTHEST = 101.6;
const PINION = { farthest: 8, step: 0.5 };

/** Ends that go up and down together, left and right, by the words of the trade. */
type Ends = { name: string; mounts: { member: string; end: MountKey; z: number }[] };

/** Which verdicts are cured by where the lengthwise members are mounted, and which by the pinion. */
const BY_MOUNTS = ['anti-squat', 'roll-steer', 'pinion', 'caster'];
const BY_PINION = ['shaft-angles'];

/**
 * What might cure a verdict that has no remedy of its own, the least change first, and how many changes there were to choose from: by
 * what the verdict itself is about, solved; what else each does to the car is to be tried.
 */
export function curesFor(job: Job, id: string): { cures: Remedy[]; among: number } {
  const changes = BY_MOUNTS.includes(id)
    ? bySize(endsOf(job).flatMap((ends) => movesOf(job, ends)))
    : BY_PINION.includes(id)
      ? bySize(pinionTurns(job))
      : [];
  const cures = changes.filter((remedy) => wouldHold(withRemedy(job, remedy), id));
  return { cures: cures.slice(0, MOST_TRIED), among: changes.length };
}
/** So many are tried on the whole car. */
const MOST_TRIED = 12;

/** Whether a verdict’s own number would be good in a car; a car that cannot be held is none. */
const wouldHold = (job: Job, id: string): boolean =>
  orNone(() => HOLDS[id]!(job, assemble(job.rig))) ?? false;

const within = (v: number | null | undefined, [least, most]: readonly [number, number]): boolean =>
  v != null && v >= least && v <= most;

/** How far the axle turns about its own length from droop to bump, degrees; infinite where it does not get there. */
function swing(job: Job, { at }: Mechanism): number {
  const { bump, droop } = drivenTravel(job);
  const [up, down] = [at({ left: bump, right: bump }), at({ left: -droop, right: -droop })];
  return isReached(up) && isReached(down) ? Math.abs(up.pitchDeg - down.pitchDeg) : Infinity;
}

const HOLDS: Record<string, (job: Job, mechanism: Mechanism) => boolean> = {
  'anti-squat': ({ use }, { ride }) => within(ride.antiSquatPct, LIMITS.antiSquat[use]),
  'roll-steer': (_, { ride }) => within(ride.rollSteer, LIMITS.rollSteer),
  pinion: (job, mechanism) => swing(job, mechanism) <= LIMITS.pinionSwing,
  caster: (job, mechanism) => swing(job, mechanism) <= LIMITS.casterSwing,
  'shaft-angles': (_, { ride: { driveshaft } }) => {
    const { match, atRide } = LIMITS.driveshaft;
    if (!driveshaft) return false;
    const { frontAngleDeg: front, rearAngleDeg: rear } = driveshaft;
    return Math.abs(front - rear) <= match && Math.max(front, rear) <= atRide;
  },
};

type Sized = { size: number; remedy: Remedy };
const bySize = (list: Sized[]): Remedy[] => list.sort((a, b) => a.size - b.size).map(({ remedy }) => remedy);

/** The ends of links that stand above the axle's middle and of those that do not, at the frame and at the axle; the front of arms and leaves. */
function endsOf({ rig }: Job): Ends[] {
  const links = lengthwiseLinks(rig);
  const uppers = upperLinks(rig);
  const lowers = links.filter((m) => !uppers.includes(m));
  const of = (name: string, ids: string[], key: MountKey): Ends => ({
    name,
    mounts: ids.flatMap((member) =>
      mountsOf(rig, member)
        .filter((m) => m.key === key)
        .map(({ point }) => ({ member, end: key, z: point[2] })),
    ),
  });
  const ids = (members: { id: string }[]) => members.map((m) => m.id);
  return [
    of('frame ends of the lower links', ids(lowers), 'chassis'),
    of('axle ends of the lower links', ids(lowers), 'axle'),
    of(
      uppers.length > 1 ? 'frame ends of the upper links' : 'frame end of the upper link',
      ids(uppers),
      'chassis',
    ),
    of(
      uppers.length > 1 ? 'axle ends of the upper links' : 'axle end of the upper link',
      ids(uppers),
      'axle',
    ),
    of(
      armsOf(rig).length > 1 ? 'front joints of the arms' : 'front joint of the arm',
      ids(armsOf(rig)),
      'chassis',
    ),
    of('front eyes of the leaves', ids(leavesOf(rig)), 'frontEye'),
  ].filter(({ mounts }) => mounts.length > 0);
}

/** Up and down by steps of the tape; or from hole to hole, where the brackets have holes. */
function movesOf(job: Job, { name, mounts }: Ends): Sized[] {
  const { tape, holes } = job;
  const row = holes[holesKey(mounts[0]!.member, mounts[0]!.end)];
  const step = row?.pitch ?? moveStep(tape);
  const most = Math.floor(FARTHEST / step);
  return Array.from({ length: most }, (_, i) => i + 1).flatMap((n) =>
    [1, -1].flatMap((way): Sized[] => {
      const by = way * n * step;
      const fits = (z: number) =>
        !row || (z + by >= row.lowest - 0.5 && z + by <= row.lowest + (row.count - 1) * row.pitch + 0.5);
      if (!mounts.every(({ z }) => fits(z) && z + by > 0)) return [];
      const changes = mounts.map(({ member, end, z }): MountChange => ({ member, end, axis: 2, mm: z + by }));
      const far = row
        ? `${n === 1 ? 'one hole' : `${n} holes`} (${sayLength(Math.abs(by), tape)})`
        : sayLength(Math.abs(by), tape);
      return [
        {
          size: Math.abs(by),
          remedy: { text: `${way > 0 ? 'Raise' : 'Lower'} the ${name} ${far}`, changes },
        },
      ];
    }),
  );
}

/** Turns of the pinion towards a transmission whose angle is known: towards a guess nothing is turned. */
function pinionTurns(job: Job): Sized[] {
  const { driveshaft } = job.rig;
  if (!driveshaft || guessesAmong(job, ['angle.transmission']).length > 0) return [];
  const now = driveshaft.pinionAngleDeg;
  const to = Array.from(
    { length: (2 * PINION.farthest) / PINION.step + 1 },
    (_, i) => Math.round(now / PINION.step) * PINION.step + (i * PINION.step - PINION.farthest),
  );
  return to.map((pinionDeg) => ({
    size: Math.abs(pinionDeg - now),
    remedy: {
      text: `Turn the pinion to ${formatDegrees(Math.abs(pinionDeg))} nose ${pinionDeg >= 0 ? 'down' : 'up'}`,
      pinionDeg,
    },
  }));
}
