import type { Member, Rig } from '@/core/rig/schema';
import type { Linkage } from './linkage';

/**
 * What the tensions in a linkage's rows mean for each member, N: the axial force of a link (tension positive), the force across
 * a sliding arm's pin, the resultant of a rigid arm's three, the larger of a crank's two links, the axial and lateral
 * resultant of a leaf. The wind-up moments of leaves stand beside them, N·mm.
 *
 * @param tensions one for each row
 */
export function memberForces(
  rig: Rig,
  linkage: Linkage,
  tensions: ArrayLike<number>,
): { forces: Record<string, number>; moments: Record<string, number> } {
  const forces: Record<string, number> = {};
  const moments: Record<string, number> = {};
  let at = 0;
  for (const member of rig.members) {
    const count = ROWS[member.type];
    const own = Array.from({ length: count }, (_, k) => tensions[at + k]!);
    at += count;
    forces[member.id] = combine(member.type, own);
    if (member.type === 'leaf') moments[member.id] = own[2]!;
  }
  return { forces, moments };
}

/** Rows that each type of member is flattened into. */
export const ROWS: Record<Member['type'], number> = {
  link: 1,
  'slider-arm': 1,
  'rigid-arm': 3,
  watts: 2,
  leaf: 3,
};

function combine(type: Member['type'], own: number[]): number {
  switch (type) {
    case 'link':
    case 'slider-arm':
      return own[0]!;
    case 'rigid-arm':
      return Math.hypot(...own);
    case 'watts':
      return Math.abs(own[0]!) >= Math.abs(own[1]!) ? own[0]! : own[1]!;
    case 'leaf':
      return Math.hypot(own[0]!, own[1]!);
  }
}
