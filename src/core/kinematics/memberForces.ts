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
  for (const { id, type } of rig.members) {
    forces[id] = combine(type, tensions, at);
    if (type === 'leaf') moments[id] = tensions[at + 2]!;
    at += ROWS[type];
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

function combine(type: Member['type'], tensions: ArrayLike<number>, at: number): number {
  const [a, b] = [tensions[at]!, tensions[at + 1]!];
  switch (type) {
    case 'link':
    case 'slider-arm':
      return a;
    case 'rigid-arm':
      return Math.hypot(a, b, tensions[at + 2]!);
    case 'watts':
      return Math.abs(a) >= Math.abs(b) ? a : b;
    case 'leaf':
      return Math.hypot(a, b);
  }
}
