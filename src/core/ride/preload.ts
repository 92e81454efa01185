import type { Job } from '@/core/job/jobSchema';
import { kindOf, type Member } from '@/core/rig/members/members';
import { leavesOf } from '@/core/rig/roles';
import { adjusterOf, perTurn } from './turns/adjusters';
import { alignmentBars } from './alignmentBars';

/** Preload of a bar across the car where springs locate the axle sideways too. */
export type Preload = {
  /** turns past centred, and how far that draws the axle, mm */
  turns: number;
  mm: number;
  /** what the bar then carries with the car at rest, N */
  force: number;
};

/** An eighth of a turn: enough that no joint hangs loose between two pulls (common practice, no published source). */
const TURNS = 0.125;

/**
 * A very small preload: leaf springs hold the axle where they want it, and a bar set to just that place carries nothing at
 * rest and knocks as it is taken up each way. Force = lateral stiffness of both leaves × how far the bar draws the axle.
 *
 * @returns null where no spring locates the axle sideways, or no bar can be turned
 */
export function preloadOf(job: Job): Preload | null {
  const leaves = leavesOf(job.rig);
  const [bar] = alignmentBars(job.rig).centre;
  const each = bar && perTurn(adjusterOf(job, bar));
  if (leaves.length === 0 || !bar || !each) return null;
  const mm = TURNS * each;
  return { turns: TURNS, mm, force: mm * lateralRateOf(leaves) };
}

/**
 * What a bar carries at rest, N, when it draws the axle so many mm off where its leaf springs hold it, and what each turn of it adds;
 * `turn` null where it has no thread. Null where no spring locates the axle sideways.
 */
export function pullOnLeaves(job: Job, mm: number): { force: number; turn: number | null } | null {
  const leaves = leavesOf(job.rig);
  const [bar] = alignmentBars(job.rig).centre;
  if (leaves.length === 0 || !bar) return null;
  const each = perTurn(adjusterOf(job, bar));
  const rate = lateralRateOf(leaves);
  return { force: rate * Math.abs(mm), turn: each === null ? null : rate * each };
}

const lateralRateOf = (springs: Member[]): number =>
  springs.reduce((sum, spring) => sum + kindOf(spring).spring!(spring).lateralRate, 0);
