import { freeMotion } from '@/core/kinematics/freedom';
import { compileLinkage } from '@/core/kinematics/linkage';
import { PoseSolver } from '@/core/kinematics/solver';
import { memberName } from '@/core/layouts/names';
import { PANHARD } from '@/core/layouts/patterns';
import type { Member, Rig } from '@/core/rig/schema';

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

/** What carries the car's length first, what turns the pinion next, what holds it sideways last. */
function rank({ id, type }: Member): number {
  if (id === PANHARD || type === 'watts') return 3;
  if (type === 'leaf') return 2;
  return /upper|torque/.test(id) ? 1 : 0;
}

/**
 * The order in which members come off a car that is together: one at a time, each replaced before the next, since the axle
 * moves when two are gone. What each removal lets go is found by taking it out of the linkage.
 */
export function removalOrder(rig: Rig): Removal[] {
  return [...rig.members]
    .sort((a, b) => rank(a) - rank(b))
    .map((member) => {
      const frees = freedWithout(rig, member.id);
      const hold =
        member.type === 'leaf'
          ? CARRIES
          : (HOLDS.find(([about]) => frees !== null && about.test(frees))?.[1] ?? STILL);
      return { id: member.id, name: memberName(member.id), frees, hold };
    });
}

function freedWithout(rig: Rig, id: string): string | null {
  const members = rig.members.filter((m) => m.id !== id);
  const { residuals, q } = new PoseSolver(compileLinkage({ ...rig, members }));
  residuals.evaluate(q, 0, 0);
  return freeMotion(residuals);
}
