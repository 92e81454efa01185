import { clearBump } from '@/core/clearance/closestOverTravel';
import { comesOut } from '@/core/clearance/comesOut';
import { guessesBehind, type Figure } from '@/core/bench/figures';
import { lookAt, type Look } from '@/core/advice/look';
import { jobCut } from '@/core/cut/jobCut';
import { COVER } from '@/core/job/bodies/bodyNames';
import { designOf, withDesign } from '@/core/job/edits/candidates';
import type { Job } from '@/core/job/jobSchema';
import { drivenTravel, ownObstacles, travelOf } from '@/core/job/jobValues';
import { isPlaced, mountId } from '@/core/job/placed';
import type { Candidate, Design } from '@/core/job/slices/choose';
import { assemble } from '@/core/kinematics/mechanism';
import { heightsAnswer, type HeightValues } from '@/core/locate/heights';
import { reachedPoints } from '@/core/locate/travel/travelCurve';
import { swayBarPlaces } from '@/core/locate/travel/swayBarPlaces';
import type { Gap } from '@/core/locate/types';
import { JOINTS, jointsOf, NOISES, type Noise } from '@/core/materials/joints';
import { atOnce, type Steps } from '@/core/numerics/steps';
import { margin, weakestFirst } from '@/core/prove/prove';
import { proveRestsOn } from '@/core/prove/restsOn';
import type { CheckName } from '@/core/prove/types';
import { guessesAmong, partName } from '@/core/provenance/inputs';
import { isLink, linksOf } from '@/core/rig/members/members';
import { mountsOf } from '@/core/rig/mounts';
import { memberName } from '@/core/rig/names';
import { InputError, orRefusal } from '@/core/rig/read';
import { massOf } from '@/core/swaybar/mass';
import { figuresOf, type Figures } from '../figures';
import { toMake, type ToMake } from './toMake';

/**
 * What one way of building a car comes to. `loaded` is with the load that Locate looks at, and how much lower the car then stands, mm; null
 * where no weights or springs say that. `lean`: degrees in the corner asked about, and the front's share of what it moves across. `kept`: how far up both
 * wheels go before a bar touches anything, mm, out of `bump`. `weakest`: the check that has the least of what is wanted, of which part, and that share.
 * `mass`: of bars, plates and sway bar, kg; null where arms, cranks or leaves are among them, which are not weighed. `noise`: the loudest of its joints. `stuck`: what no longer comes out on a straight way, by name.
 * `guessed`: figures that hang on what nobody has read or said.
 */
export type CandidateNumbers = {
  figures: Figures;
  loaded: { lower: number; values: HeightValues } | null;
  lean: number | null;
  frontShare: number | null;
  tightest: (Gap & { guessed: boolean }) | null;
  kept: number;
  bump: number;
  weakest: { part: string; check: CheckName; share: number; guessed: boolean } | null;
  mass: number | null;
  make: ToMake;
  noise: Noise;
  stuck: string[];
  says: { stop: string[]; look: string[]; unknown: number };
  curve: { lift: number; y: number; rollCentre: number | null }[];
  guessed: Figure[];
  /** how many mounts stand where a pattern put them, of how many */
  byPattern: { mounts: number; of: number };
};

/** A candidate worked out on the car as it is measured; why not, where it cannot be. */
export type Compared = Pick<Candidate, 'id' | 'name' | 'found'> &
  ({ numbers: CandidateNumbers; refusal?: never } | { refusal: string; numbers?: never });

/** Figures of a comparison that may hang on guesses. */
const GUESSABLE: Figure[] = [
  'rollCentre',
  'antiSquat',
  'rollSteer',
  'shift-bump',
  'eyeToEye',
  'frontShare',
  'rollAngle',
  'plunge',
  'bumpSteer',
  'pinion',
];

/** Every candidate of a job, worked out on the same car, in their order. */
export const compareCandidates = (job: Job): Compared[] => atOnce(comparingCandidates(job));

/** The same, step by step. */
export function* comparingCandidates(job: Job): Steps<Compared[]> {
  const candidates = job.choose?.candidates ?? [];
  const found = candidates.find((one) => one.found)?.design ?? designOf(job);
  const all: Compared[] = [];
  for (const { id, name, found: isFound, design } of candidates) {
    yield all.length / candidates.length;
    const numbers = orRefusal(() => numbersOf(withDesign(job, design), found));
    const named = { id, name, ...(isFound && { found: isFound }) };
    all.push(numbers instanceof InputError ? { ...named, refusal: numbers.expected } : { ...named, numbers });
  }
  return all;
}

/**
 * What a car comes to. @param found what was drawn on it before anything was built
 *
 * @throws InputError where its members cannot hold the axle or do not reach the ends of its travel
 */
export function numbersOf(job: Job, found: Design): CandidateNumbers {
  const { rig, roll } = job;
  const figures = figuresOf(rig, drivenTravel(job));
  if (!figures) throw new InputError('members', 'members that reach both ends of the travel: these do not');
  const look = lookAt(job, { cures: false });
  const { settled, load } = job.locate.states;
  const { loaded } = heightsAnswer(job, { settled, load, move: 0 });
  const travel = travelOf(job);
  const mounts = rig.members.flatMap(({ id }) => mountsOf(rig, id).map(({ key }) => mountId(id, key)));
  const mechanism = assemble(rig);
  const [gap] = [...look.gaps, ...swayBarPlaces(job, mechanism)].toSorted((a, b) => a.distance - b.distance);
  const [weakest] = look.checks.toSorted(weakestFirst);
  const { bars, pieces, flats } = jobCut(job);
  const of = (all: { mass: number; quantity?: number }[]) =>
    all.reduce((sum, { mass, quantity = 1 }) => sum + mass * quantity, 0);
  return {
    figures,
    loaded: loaded?.values && loaded.springs ? { lower: loaded.lower, values: loaded.values } : null,
    lean: look.numbers.lean,
    frontShare: look.numbers.frontShare,
    tightest: gap ? { ...gap, guessed: guessesBehind(job, gap).length > 0 } : null,
    kept: Math.min(travel.bump, ...linksOf(rig).map(({ id }) => clearBump(rig, mechanism, id, travel))),
    bump: travel.bump,
    weakest: weakest
      ? {
          part: partName(job, weakest.part),
          check: weakest.check,
          share: margin(weakest),
          guessed: guessesAmong(job, proveRestsOn(job, weakest.part)).length > 0,
        }
      : null,
    mass: rig.members.every(isLink)
      ? of(bars) + of(pieces) + of(flats) + (roll.bar ? massOf(roll.bar) : 0)
      : null,
    make: toMake(job, found),
    noise: loudestOf(job),
    stuck: comesOut(rig, { drawn: ownObstacles(rig).map(({ id }) => id), cover: COVER })
      .filter(({ way }) => way === null)
      .map(({ part }) => memberName(part, rig.end)),
    says: saidOf(look),
    curve: reachedPoints(look.curve).map(({ lift, y, rollCentreHeight }) => ({
      lift,
      y,
      rollCentre: rollCentreHeight,
    })),
    guessed: GUESSABLE.filter((figure) => guessesBehind(job, figure).length > 0),
    byPattern: { mounts: mounts.filter((id) => !isPlaced(job, id)).length, of: mounts.length },
  };
}

/** What is said of a car, each thing once. */
function saidOf({ said }: Look): CandidateNumbers['says'] {
  const titles = (state: 'stop' | 'look') => [
    ...new Set(said.filter(({ verdict }) => verdict.state === state).map(({ verdict }) => verdict.title)),
  ];
  return {
    stop: titles('stop'),
    look: titles('look'),
    unknown: said.filter(({ verdict }) => verdict.state === 'unknown').length,
  };
}

/** How much of the road is heard through the loudest joint that a car's bars have; leaves in rubber are quiet. */
function loudestOf({ rig, joints }: Job): CandidateNumbers['noise'] {
  const all = linksOf(rig).flatMap(({ id }) => {
    const { chassis, axle } = jointsOf(joints, id);
    return [JOINTS[chassis].noise, JOINTS[axle].noise];
  });
  return NOISES[Math.max(0, ...all.map((one) => NOISES.indexOf(one)))]!;
}
