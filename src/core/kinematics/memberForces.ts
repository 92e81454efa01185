import { kindOf } from '@/core/rig/members/members';
import type { Rig } from '@/core/rig/schema';
import type { Linkage } from './solver/linkage';

/**
 * Forces of members, N by member id, from the tensions in a linkage's rows: the axial force of a link (tension positive), the
 * force across a sliding arm's pin, the resultant of a rigid arm's three, the larger of a crank's two links, the axial and
 * lateral resultant of a leaf. The wind-up moments of leaves stand beside them, N·mm.
 *
 * @param tensions one for each row
 */
export function memberForces(
  { members }: Rig,
  { rowsOfMember }: Linkage,
  tensions: ArrayLike<number>,
): { forces: Record<string, number>; moments: Record<string, number> } {
  const forces: Record<string, number> = {};
  const moments: Record<string, number> = {};
  let at = 0;
  members.forEach((member, i) => {
    const kind = kindOf(member);
    forces[member.id] = kind.force(tensions, at);
    if (kind.windup) moments[member.id] = kind.windup(tensions, at);
    at += rowsOfMember[i]!;
  });
  return { forces, moments };
}
