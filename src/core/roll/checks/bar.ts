import { LIMITS } from '@/core/materials/limits';
import { memberName } from '@/core/rig/names';
import type { AxleEnd } from '@/core/rig/schema';
import { DRIVESHAFT } from '@/core/rig/mounts';
import { sayCorner } from '@/core/roll/words';
import { formatDegrees, sayLength, sayPast } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Remedy, Verdict } from '@/core/verdict/verdict';
import type { RollResult } from '@/core/roll/analyse';
import type { BarResult } from '@/core/swaybar/swayBarOverTravel';
import { armInUse, swayBarOf, type BarDesign, type Dip } from '@/core/swaybar/swayBarDesign';
import { frameChecks } from './frame';
import { clockChecks, linkChecks, stowChecks } from './link';
import { ownBody, tooNear, type Gap } from '@/core/swaybar/packaging';
import type { RollInput } from '@/core/roll/input';
import { STEELS } from '@/core/materials/steels';
import { STRESS } from '@/core/units/unit';

/** What is to be said of a sway bar as it is meant. */
export function barChecks(input: RollInput & { bar: BarDesign }, result: RollResult, tape: Tape): Verdict[] {
  const made = result.bar;
  if (!made) return [];
  return [
    ...roomChecks(input, made, tape),
    ...linkChecks(input.bar, made, tape),
    ...stowChecks(input, result, tape),
    ...madeChecks(input.bar, tape),
    ...frameChecks(input.bar, input.rails, tape),
    ...clockChecks(input.bar, made, tape),
    stressCheck(input, made, result, tape),
  ];
}

/** How far a bar is twisted in the corner, and as the inside wheel of its end lifts, degrees; null where that is not known. */
function twists({ cornerG, rig: { end } }: RollInput, { corner, wheelLiftG }: RollResult) {
  const lean = corner && Math.abs(corner.rollDeg);
  const lift = wheelLiftG?.[end];
  return {
    corner: lean,
    // Up to where a wheel lifts the car leans in proportion.
    lift: lean && lift && lift > cornerG ? (lean * lift) / cornerG : null,
  };
}

function stressCheck(
  input: RollInput & { bar: BarDesign },
  { maxStress }: BarResult,
  result: RollResult,
  tape: Tape,
): Verdict {
  const { steel, stow } = input.bar;
  const { tires, sets, name } = STEELS[steel];
  const { corner, lift } = twists(input, result);
  const farthest = result.mostRoll;
  const full = maxStress * farthest;
  // How far it is worked in a corner hangs on the whole car, and is told; the judgement hangs on the travel alone.
  // Links that come off by a pin are off where the axle goes that far: it must only not be forgotten.
  const state = full > sets && !stow ? 'stop' : full > tires ? 'look' : 'ok';
  const say = (degrees: number) => STRESS.say(maxStress * degrees, tape);
  const cases = [
    ...(corner === null
      ? []
      : [`about ${say(corner)} leaning ${formatDegrees(corner)} in the corner at ${input.cornerG} g`]),
    ...(lift === null ? [] : [`about ${say(lift)} as the inside wheel lifts`]),
    `${say(farthest)} at the farthest roll of ${formatDegrees(farthest)}`,
  ];
  return {
    id: 'barStress',
    state,
    title:
      full > sets
        ? 'The bar takes a set in full roll.'
        : full > tires
          ? 'The bar tires in full roll.'
          : 'The bar stays elastic in full roll.',
    reason: `It is worked to ${cases.join(', ')}; ${name.toLowerCase()} lasts below about ${STRESS.say(tires, tape)}, which is ${formatDegrees(tires / maxStress)} of roll.`,
    remedies:
      state === 'ok'
        ? []
        : [
            {
              text: stow
                ? 'Take its pins out before the axle is asked to go that far.'
                : 'A thinner bar or a longer arm is worked less; the rest of the roll stiffness belongs to the springs.',
            },
          ],
  };
}

const MOST_NAMED = 4;

function roomChecks(
  input: RollInput & { bar: BarDesign },
  { gaps, clearing }: BarResult,
  tape: Tape,
): Verdict[] {
  const near = tooNear(input, gaps);
  if (near.length) return near.slice(0, MOST_NAMED).map((gap) => nearness(input, clearing, gap, tape));
  const nearest = gaps.find((gap) => !ownBody(input, gap));
  return nearest
    ? [
        {
          id: 'barRoom',
          state: 'ok',
          title: 'Bar and links clear everything over the travel.',
          reason: `Nearest: ${nearest.part} to ${memberName(nearest.body, input.rig.end)}, ${sayLength(nearest.distance, tape)}, ${sayCorner(nearest.corner)}.`,
          remedies: [],
        },
      ]
    : [];
}

const isAtShaft = ({ part, body }: Pick<Gap, 'part' | 'body'>): boolean =>
  part === 'bar' && body === DRIVESHAFT;

/** Id of what is said of a bar or its links that come too near to something. */
export const roomId = (gap: Pick<Gap, 'part' | 'body'>, end: AxleEnd): string =>
  isAtShaft(gap) ? 'barShaft' : `barRoom ${gap.part} ${memberName(gap.body, end)}`;

function nearness(
  { bar, rig }: RollInput & { bar: BarDesign },
  clearing: Dip | null,
  gap: Gap,
  tape: Tape,
): Verdict {
  const { part, distance } = gap;
  const [thing, at] = [memberName(gap.body, rig.end), sayCorner(gap.corner)];
  const shaft = isAtShaft(gap);
  return {
    id: roomId(gap, rig.end),
    state: 'stop',
    title:
      distance <= 0
        ? `The ${part} hits the ${thing} ${at}.`
        : `Only ${sayPast(distance, LIMITS.clearance.least, tape)} from the ${part} to the ${thing} ${at}.`,
    reason: `At least ${sayLength(LIMITS.clearance.least, tape)} is wanted: what clears at rest hits as the axle moves.`,
    remedies: [
      ...(shaft && clearing ? [dipped(bar, clearing, tape)] : []),
      {
        text:
          part === 'bar'
            ? 'Dip or hump the middle, drag the bar along the car, or point its arms the other way.'
            : 'Move the eyes in or out, stand the link’s foot elsewhere, or use another hole.',
      },
    ],
  };
}

const dipped = (bar: BarDesign, dip: Dip, tape: Tape): Remedy => ({
  text: `${dip.depth > 0 ? 'Dip its middle' : 'Hump its middle up'} ${sayLength(Math.abs(dip.depth), tape)}, ${dip.depth > 0 ? 'under' : 'over'} the driveshaft`,
  roll: { bar: { ...bar, dips: [dip] } },
});

function madeChecks(bar: BarDesign, tape: Tape): Verdict[] {
  const verdicts: Verdict[] = [];
  if (armInUse(bar) < LIMITS.swayBar.leastArm)
    verdicts.push({
      id: 'barArm',
      state: 'stop',
      title: 'No arm is left at that hole.',
      reason: `${sayLength(Math.max(0, armInUse(bar)), tape)} from the middle to the link: a bar needs its levers.`,
      remedies: [{ text: 'Use a hole nearer to the end.' }],
    });
  const low = Math.min(...swayBarOf(bar).centreline.map((p) => p[2])) - bar.od / 2;
  if (low < LIMITS.swayBar.offFloor)
    verdicts.push({
      id: 'barLow',
      state: low <= 0 ? 'stop' : 'look',
      title: low <= 0 ? 'The bar is in the floor.' : `The bar hangs ${sayLength(low, tape)} off the floor.`,
      reason: 'At ride height; it comes lower over every bump and is the first thing a kerb finds.',
      remedies: [{ text: 'Raise the middle, or hump it instead of dipping it.' }],
    });
  const onDip = bar.dips.some(
    ({ at, depth, width }) =>
      depth !== 0 &&
      [1, -1].some(
        (s) =>
          Math.abs((s * bar.bushings) / 2 - at) < width / 2 + Math.abs(depth) + LIMITS.swayBar.halfBushing,
      ),
  );
  if (bar.bushings > bar.middle || onDip)
    verdicts.push({
      id: 'barBushings',
      state: 'stop',
      title: onDip ? 'A bushing sits on a dip.' : 'The bushings sit outside the straight middle.',
      reason: 'A bushing must ride on a straight piece: on a bend it binds and wears.',
      remedies: [
        {
          text: onDip
            ? 'Move the dip, make it narrower, or move the bushings.'
            : `Bring them in to ${sayLength(bar.middle - 40, tape)} apart or less.`,
        },
      ],
    });
  if (bar.bushings < bar.middle / 3)
    verdicts.push({
      id: 'barOverhang',
      state: 'look',
      title: 'The bushings sit far from the arms.',
      reason: 'What stands out beyond them bends like a fishing rod instead of twisting.',
      remedies: [{ text: 'Bushings near the bends make a stiffer bar of the same steel.' }],
    });
  return verdicts;
}
