import { judgeCut } from '@/core/bench/judge/cut';
import { judgeLocate } from '@/core/bench/judge/locate';
import { judgeProve } from '@/core/bench/judge/prove';
import { judgeRoll } from '@/core/bench/judge/roll';
import type { Job } from '@/core/job/jobSchema';
import { antiSquatOf } from '@/core/kinematics/pose';
import { analyseLocate, findLocate } from '@/core/locate/analyse';
import { mostSideways } from '@/core/locate/travel/travelCurve';
import { locateInput, type CurvePoint, type Gap } from '@/core/locate/types';
import { LIMITS } from '@/core/materials/limits';
import type { Corner } from '@/core/balance/steadyCorner';
import { curesIn } from '@/core/prove/cures/cures';
import { proveJob } from '@/core/prove/prove';
import type { Check } from '@/core/prove/types';
import { InputError, orRefusal } from '@/core/rig/read';
import { analyseRoll, ROLL_PARTS } from '@/core/roll/analyse';
import { cannotBeWorkedOut } from '@/core/roll/checks/checks';
import { rollInput } from '@/core/roll/input';
import { aboutOf, judged, type Finding, type Judged } from '@/core/verdict/verdict';

/** The numbers by which changes of a car are told: mm, per cent, degrees of steer for a degree of roll, degrees. */
export type Numbers = {
  rollCentre: number | null;
  antiSquat: number | null;
  rollSteer: number | null;
  sideways: number;
  frontShare: number | null;
  lean: number | null;
};

/** A car as it was looked at: what is said of what is laid out, how near its bodies come, and its numbers. */
export type Look = {
  said: { station: 'locate' | 'roll' | 'prove' | 'cut'; part?: string; verdict: Judged }[];
  gaps: Gap[];
  numbers: Numbers;
  /** its travel, and what its parts bear */
  curve: CurvePoint[];
  checks: Check[];
};

const AT_RIDE = { left: 0, right: 0 };

/**
 * Everything that is said of what is laid out, springs and bars, their strength, and the bar on the saw: what a remedy can change, and
 * where it is asked for, which remedies there might be. Springs and a bar that
 * cannot be worked out are said to be so, and leave what is laid out as it is.
 *
 * @throws InputError where the members cannot hold the axle or be assembled
 */
export function lookAt(job: Job, { cures = true } = {}): Look {
  const input = locateInput(job, AT_RIDE);
  const result = (cures ? analyseLocate : findLocate)(input);
  const { sideways, lengthwise, room } = judgeLocate(job, input, result);
  const rolling = rolled(job);
  const { ride, driven } = result;
  const proof = proveJob(job);
  return {
    said: [
      ...sideways.map(at('locate', 'bar')),
      ...lengthwise.map(at('locate', 'links')),
      ...room.map(at('locate', 'room')),
      ...rolling.said,
      ...judgeProve(job, proof, cures ? curesIn(job) : undefined).map((verdict) => ({
        station: 'prove' as const,
        verdict,
      })),
      ...judgeCut(job).map((verdict) => ({ station: 'cut' as const, verdict })),
    ],
    gaps: result.gaps,
    curve: result.curve,
    checks: proof.checks,
    numbers: {
      rollCentre: ride.rollCentreHeight,
      antiSquat: antiSquatOf(job.rig, ride),
      rollSteer: ride.rollSteer,
      sideways: mostSideways(driven, ride.y),
      frontShare: rolling.corner?.frontShare ?? null,
      lean: rolling.corner?.rollDeg ?? null,
    },
  };
}

/** What is said at Roll, each thing once, and the car in the corner asked about. */
function rolled(job: Job): { said: Look['said']; corner: Corner | null } {
  const input = rollInput(job, AT_RIDE);
  const parts = orRefusal(() => ROLL_PARTS.map((part) => ({ part, found: analyseRoll(input, part) })));
  if (parts instanceof InputError) {
    const verdict = judged(job, cannotBeWorkedOut(parts.expected), []);
    return { said: [at('roll', 'bar')(verdict)], corner: null };
  }
  const said = parts.flatMap(({ part, found }) => judgeRoll(job, input, part, found).map(at('roll', part)));
  return {
    said: [...new Map(said.map((one) => [one.verdict.id, one])).values()],
    corner: parts[0]!.found.corner,
  };
}

const at =
  <S extends 'locate' | 'roll'>(station: S, part: string) =>
  (verdict: Judged) => ({ station, part, verdict });

export const RANK: Record<Finding, number> = { ok: 0, look: 1, stop: 2 };

const gapRank = ({ distance }: Gap): number =>
  distance <= 0 ? RANK.stop : distance < LIMITS.clearance.least - 1e-6 ? RANK.look : RANK.ok;
const pairOf = ({ a, b }: Gap): string => `clearance ${a} / ${b}`;

/** What goes first is told, and no reason to leave a weak part as it is. */
const countsAsStrength = ({ id, state }: Judged, guessedParts: boolean): boolean =>
  id !== 'first-to-go' && (guessedParts || state !== 'unknown');

/**
 * How grave each thing is that is said of a car: 0 holds, 1 wants a look, 2 stops the work. Of what comes near to what, every pair
 * counts, as only the tightest are spoken of.
 *
 * @param guessedParts whether the strength of parts whose sizes nobody has told counts: a mount is not left where it is for a bracket that
 *   has yet to be made
 */
export function gravities({ said, gaps }: Look, guessedParts = false): Map<string, number> {
  const spoken = said
    .filter(({ station, verdict }) => station !== 'prove' || countsAsStrength(verdict, guessedParts))
    .filter(({ verdict }) => verdict.id !== 'clearance')
    .map(({ station, verdict }) => [`${station} ${aboutOf(verdict)}`, RANK[verdict.would]] as const);
  const worst = new Map<string, number>();
  for (const [about, rank] of [
    ...spoken,
    ...gaps.map((gap) => [`locate ${pairOf(gap)}`, gapRank(gap)] as const),
  ])
    worst.set(about, Math.max(rank, worst.get(about) ?? 0));
  return worst;
}
