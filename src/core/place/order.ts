import { kindOf, type Member } from '@/core/rig/members/members';
import { armsOf, cranksOf, lateralBarOf, upperLinks } from '@/core/rig/roles';
import { freeMotion } from '@/core/kinematics/solver/freeMotion';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { memberName } from '@/core/rig/names';
import type { Rig } from '@/core/rig/schema';

/** One member taken off and replaced while all the others stay on: what that lets go, and what holds it meanwhile. */
export type Removal = { id: string; name: string; frees: string | null; hold: string };

/** By the words of the free motion. */
const HOLDS: [about: RegExp, hold: string][] = [
  [/forward or back/, 'The strips on the rests must touch the tube front and back.'],
  [/sideways/, 'A ratchet strap from the axle to each rail, both snug.'],
  [/pinion/, 'A block under the pinion and a strap over it, before the bolt comes out.'],
  [/steering/, 'Strips on both sides, so that neither end can swing.'],
  [/crank/, 'A clamp on the crank, so that it stays where it was.'],
];
const CARRIES =
  'It carries this corner: frame on its stand, axle held, spring slack, before a bolt is undone.';
const STILL =
  'Nothing moves without it; the bolt should slide out by hand. If it does not, the load is on it.';

/** What carries the car's length first, what turns the pinion next, what carries it then, what holds it sideways last. */
function rankIn(rig: Rig): (member: Member) => number {
  const across = [lateralBarOf(rig), ...cranksOf(rig)];
  const pinion: Member[] = [
    ...upperLinks(rig),
    ...armsOf(rig).filter((m) => kindOf(m).adjustables[0]?.by === 'pin'),
  ];
  return (m) => (across.includes(m) ? 3 : kindOf(m).spring ? 2 : pinion.includes(m) ? 1 : 0);
}

/**
 * The order in which members come off a car that is together: one at a time, each replaced before the next, since the axle
 * moves when two are gone. What each removal lets go is found by taking it out of the linkage.
 */
export function removalOrder(rig: Rig): Removal[] {
  const rank = rankIn(rig);
  return [...rig.members]
    .sort((a, b) => rank(a) - rank(b))
    .map((member) => {
      const frees = freedWithout(rig, member.id);
      const hold = kindOf(member).spring
        ? CARRIES
        : (HOLDS.find(([about]) => frees !== null && about.test(frees))?.[1] ?? STILL);
      return { id: member.id, name: memberName(member.id, rig.end), frees, hold };
    });
}

function freedWithout(rig: Rig, id: string): string | null {
  const members = rig.members.filter((m) => m.id !== id);
  const { residuals, q } = new PoseSolver(compileLinkage({ ...rig, members }));
  residuals.evaluate(q, 0, 0);
  return freeMotion(residuals);
}
