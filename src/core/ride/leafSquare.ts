import type { Job } from '@/core/job/jobSchema';
import { LIMITS } from '@/core/materials/limits';
import { leavesOf } from '@/core/rig/roles';
import { kindOf } from '@/core/rig/members/members';
import { alignmentBars } from './alignmentBars';
import { onGround } from './onGround';

/**
 * How far the axle is to go back on its left spring, mm, forward negative, or as far forward on its right one, to stand square; null
 * where it does, where that was not read, and where bars square it.
 *
 * Ahead a over the track t, seats 2s apart: a · 2s/t at a seat.
 */
export function leafSquare(job: Job): number | null {
  const { rig } = job;
  const leaves = leavesOf(rig);
  const ahead = onGround(job).ahead?.value ?? null;
  if (leaves.length < 2 || ahead === null || alignmentBars(rig).square.length > 0) return null;
  if (Math.abs(ahead) <= LIMITS.onGround.square + 1e-6) return null;
  const seats = leaves.map((leaf) => kindOf(leaf).spring!(leaf).seat[1]);
  return (ahead * (Math.max(...seats) - Math.min(...seats))) / rig.track;
}
