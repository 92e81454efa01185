import { LIMITS } from '@/core/materials/limits';
import { memberName } from '@/core/rig/names';
import { PANHARD } from '@/core/rig/roles';
import { FORCE } from '@/core/units/unit';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';
import type { LeafGive, LocateInput } from '../types';
import { sayGive } from './linkVerdicts';

/** With the bar and without it: what the springs alone give sideways in the corner. */
export function leafGiveVerdict(input: LocateInput, give: LeafGive | null, tape: Tape): Verdict | null {
  if (!give) return null;
  const bar = memberName(PANHARD, input.rig.end);
  const corner = `a ${input.loads.cornerG} g corner, ${FORCE.say(give.force, tape)} sideways`;
  const [alone, held] = [sayGive(give.alone, tape), sayGive(give.withBar, tape)];
  if (give.hasBar)
    return {
      id: 'leaf-give',
      state: 'ok',
      title: `The bar takes the side load off the leaves.`,
      reason: `In ${corner}, the leaves alone would let the axle go ${alone}; with the bar, ${held}.`,
      remedies: [],
    };
  const much = give.alone > LIMITS.leafGive;
  return {
    id: 'leaf-give',
    state: much ? 'look' : 'ok',
    title: `The leaves alone let the axle go ${alone} sideways.`,
    reason: `In ${corner}. A level ${bar} would leave ${held}. How leaves give sideways is an estimate until it is typed.`,
    remedies: much ? [{ text: `Put a ${bar} on, at Members.` }] : [],
  };
}
