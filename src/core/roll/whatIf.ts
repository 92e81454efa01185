import type { Motion } from '@/core/kinematics/smallMotions';
import { type RollInput } from './input';
import { changed, LEVERS, type Lever, type LeverId } from './levers';
import { setUpIfAny, type SetUp } from './setUp';

/** An inch and an eighth, in round figures of either tape. */
const STEPS: Record<LeverId, number> = {
  panhard: 25,
  springs: 0.1,
  bar: 3,
  hole: 1,
  other: 0.1,
  grip: 0.1,
};
/** How far each may be turned either way before it is another car. */
const REACH: Record<Exclude<LeverId, 'hole'>, number> = {
  panhard: 4 * 25.4,
  springs: 0.5,
  bar: 25.4 / 2,
  other: 0.5,
  grip: 0.6,
};
const NOTHING = 1e-6;

/** What each change by itself would do: the same balance through every lever, so that the cheapest can be picked. */
export function leversOf(input: RollInput, motion: Motion, now: SetUp): Lever[] {
  const corner = now.car?.corner;
  if (!corner) return [];
  const effect = (other: RollInput | null) => {
    const then = other && setUpIfAny(other, motion)?.car?.corner;
    return then ? { share: then.frontShare - corner.frontShare, roll: then.rollDeg - corner.rollDeg } : null;
  };
  return LEVERS.flatMap((id): Lever[] => {
    // At the innermost hole there is only the way out.
    const step = changed(input, id, STEPS[id]) ? STEPS[id] : -STEPS[id];
    const made = effect(changed(input, id, step));
    if (!made) return [];
    const perStep = Math.abs(made.share) > NOTHING ? -0.01 / made.share : null;
    return [
      {
        id,
        step,
        reach: reachOf(input, id),
        ...made,
        forOne: perStep === null ? null : perStep * step,
      },
    ];
  });
}

function reachOf({ bar }: RollInput, id: LeverId): Lever['reach'] {
  if (id === 'hole') return bar ? [-bar.hole, bar.holes - 1 - bar.hole] : [0, 0];
  return [-REACH[id], REACH[id]];
}
