import { signOf, type Side, SIDES } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { bodyAt } from '@/core/job/made/parts';
import type { Bracket } from '@/core/job/slices/fields';
import type { LinkMember } from '@/core/rig/members/link';

/** Nearer than this, seen from above, a spring stands in the heat of a weld, mm (common practice, no published source: some six inches). */
const HEAT = 150;

/** The side on which a coil or air spring stands over or under a bracket; null where none is near. */
export function seatNear({ roll: { springs } }: Job, link: LinkMember, bracket: Bracket): Side | null {
  if (!springs || springs.kind === 'leaf') return null;
  const [ahead, left] = link[bodyAt(bracket)];
  const stand = bracket === 'frame' ? springs.frame : springs.axle;
  return (
    SIDES.find((side) => Math.hypot(stand.ahead - ahead, signOf(side) * stand.out - left) < HEAT) ?? null
  );
}
