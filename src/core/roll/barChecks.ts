import { sayLength } from '@/core/units/format';
import { sayForce } from '@/core/units/force';
import type { Tape } from '@/core/units/tape';
import type { Remedy, Verdict } from '@/core/verdict';
import type { BarResult, RollResult } from './analyse';
import { armInUse, linkHeight, type BarDesign, type Dip } from './barDesign';
import { LINK_JOINTS } from './linkJoints';
import { oneWayOnly } from './links';
import type { Gap } from './room';
import { CLEAR, ownBody } from './search';
import type { RollInput } from './setUp';
import { STEELS } from './steel';

/** What the bar may come near to on its own body, mm: they do not move against each other. */
const CLEAR_OWN = 3;
/** Between arm and link, degrees: past the first the arm loses its leverage, past the second it is about to go over. */
const SQUARE = { look: 45, stop: 25 };
/** A bushing needs this much straight bar on either side of its middle, mm. */
const HALF_BUSHING = 20;
const SHORTEST_ARM = 60;
/** Arms clocked apart by more than this, mm at the eyes, wind the bar when its links go on. */
const CLOCKED = 3;

/** What is to be said of a sway bar as it is meant. */
export function barChecks(input: RollInput & { bar: BarDesign }, result: RollResult, tape: Tape): Verdict[] {
  const made = result.bar;
  if (!made) return [];
  return [
    ...roomChecks(input, made, tape),
    ...linkChecks(input.bar, made, tape),
    ...stowChecks(input, result, tape),
    ...madeChecks(input.bar, tape),
    ...clockChecks(input.bar, made, tape),
    stressCheck(input.bar, made, result.mostRoll),
  ];
}

function stressCheck({ steel, stow }: BarDesign, { maxStress }: BarResult, mostRoll: number): Verdict {
  const { tires, sets, name } = STEELS[steel];
  const full = maxStress * mostRoll;
  // Links that come off by a pin are off where the axle goes that far: it must only not be forgotten.
  const state = full > sets && !stow ? 'stop' : full > tires ? 'look' : 'ok';
  const lasts = `${name.toLowerCase()} lasts below about ${tires}`;
  return {
    id: 'barStress',
    state,
    title:
      full > sets
        ? 'The bar takes a set in full roll.'
        : full > tires
          ? 'The bar tires in full roll.'
          : 'The bar stays elastic in full roll.',
    reason: `It is worked to ${Math.round(full / 5) * 5} N/mm² at the farthest roll of ${mostRoll.toFixed(1)}°; ${lasts}, which is ${(tires / maxStress).toFixed(1)}° of roll.`,
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
  const near = gaps.filter((gap) => gap.distance < (ownBody(input, gap) ? CLEAR_OWN : CLEAR));
  if (near.length) return near.slice(0, MOST_NAMED).map((gap) => tooNear(input.bar, clearing, gap, tape));
  const nearest = gaps.find((gap) => !ownBody(input, gap));
  return nearest
    ? [
        {
          id: 'barRoom',
          state: 'ok',
          title: 'Bar and links clear everything over the travel.',
          reason: `Nearest: ${nearest.part} to ${nearest.thing}, ${sayLength(nearest.distance, tape)}, ${nearest.at}.`,
          remedies: [],
        },
      ]
    : [];
}

function tooNear(bar: BarDesign, clearing: Dip | null, gap: Gap, tape: Tape): Verdict {
  const { part, thing, distance, at } = gap;
  const shaft = part === 'bar' && thing === 'driveshaft';
  return {
    id: shaft ? 'barShaft' : `barRoom ${part} ${thing}`,
    state: 'stop',
    title:
      distance <= 0
        ? `The ${part} hits the ${thing} ${at}.`
        : `Only ${sayLength(distance, tape)} from the ${part} to the ${thing} ${at}.`,
    reason: `At least ${sayLength(CLEAR, tape)} is wanted: what clears at rest hits as the axle moves.`,
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

function linkChecks(bar: BarDesign, { links }: BarResult, tape: Tape): Verdict[] {
  if (!links) return [];
  const verdicts: Verdict[] = [];
  if (linkHeight(bar) < bar.link / 2)
    verdicts.push({
      id: 'linkLeans',
      state: 'stop',
      title: 'The end links lie more than they stand.',
      reason: `Of ${sayLength(bar.link, tape)} only ${sayLength(linkHeight(bar), tape)} is upright at ride height.`,
      remedies: [{ text: 'Stand the foot nearer under the eye, or lengthen the link.' }],
    });
  if (links.lost.length)
    verdicts.push({
      id: 'linkLost',
      state: 'stop',
      title: `An end link cannot follow the axle ${links.lost[0]}.`,
      reason: 'Arm and link come into one line: past that the arm snaps over, or the link breaks.',
      remedies: [{ text: 'A longer link or a longer arm; and arms about level at ride height.' }],
    });
  else if (links.square.least < SQUARE.look)
    verdicts.push({
      id: 'linkSquare',
      state: links.square.least < SQUARE.stop ? 'stop' : 'look',
      title: `Arm and link come within ${Math.round(links.square.least)}° of one line ${links.square.at}.`,
      reason:
        'Square at ride height is best; in one line the arm goes over centre and stays there. The rate told here is for small movements about ride height.',
      remedies: [{ text: 'A longer link or arm, or arms nearer to level at ride height.' }],
    });
  if (oneWayOnly(bar))
    verdicts.push({
      id: 'linkOneWay',
      state: 'stop',
      title: 'The end links can only move one way.',
      reason:
        'The axle goes up and twists at once: two clevises whose pins lie alike bind at the first lean.',
      remedies: [{ text: 'Turn one clevis by a quarter: pin across at the bar, along at the foot.' }],
    });
  for (const { end, allowed, atRide, most, at } of links.cocked) {
    const where = end === 'bar' ? 'at the bar' : 'at its foot';
    const joint = LINK_JOINTS[bar.ends[end].joint].name.toLowerCase();
    if (most > allowed + 0.05)
      verdicts.push({
        id: `linkCocked ${end}`,
        state: 'stop',
        title: `The end link’s joint ${where} is forced ${at}.`,
        reason: `It is cocked ${most.toFixed(1)}°; a ${joint} takes about ${allowed}° either way before it binds.`,
        remedies: [{ text: 'Another joint, its bolt the other way, or the foot straight under the eye.' }],
      });
    else if (atRide > allowed / 2)
      verdicts.push({
        id: `linkCocked ${end}`,
        state: 'look',
        title: `The end link’s joint ${where} is cocked at rest.`,
        reason: `${atRide.toFixed(1)}° of the ${allowed}° it has is gone before anything moves.`,
        remedies: [{ text: 'Stand the foot straight under or over the eye.' }],
      });
  }
  return verdicts;
}

function stowChecks(
  input: RollInput & { bar: BarDesign },
  { bar: made, corner }: RollResult,
  tape: Tape,
): Verdict[] {
  const verdicts: Verdict[] = [];
  const { bar } = input;
  if (!bar.hooked) {
    const lean = corner?.rollDeg;
    verdicts.push({
      id: 'barOff',
      state: 'look',
      title: 'The links are off: the bar does nothing.',
      reason: `For crawling only${lean === undefined ? '' : `: at ${input.cornerG} g the car leans ${lean.toFixed(1)}° without it`}. On a road it comes back on first.`,
      remedies: [{ text: 'Hook the links up', roll: { bar: { ...bar, hooked: true } } }],
    });
  }
  if (!made?.stowed) return verdicts;
  if (!made.stowed.reaches)
    verdicts.push({
      id: 'stowReach',
      state: 'stop',
      title: 'The links do not reach where they are to be stowed.',
      reason: `An end link of ${sayLength(bar.link, tape)} on its turned arm never comes there.`,
      remedies: [{ text: 'Put the stow pin nearer to the path of the eye.' }],
    });
  else {
    const hit = made.stowed.gaps.find(
      (gap) => gap.distance < CLEAR && !ownBody(input, gap) && gap.thing !== 'driveshaft',
    );
    verdicts.push(
      hit
        ? {
            id: 'stowRoom',
            state: 'stop',
            title: `Stowed, the ${hit.part} ${hit.distance <= 0 ? 'hits' : 'comes too near to'} the ${hit.thing} ${hit.at}.`,
            reason: `With the links off the axle moves farther than ever: ${sayLength(CLEAR, tape)} is wanted.`,
            remedies: [{ text: 'Stow it higher, or farther inboard.' }],
          }
        : {
            id: 'stowRoom',
            state: 'ok',
            title: 'Stowed, bar and links are out of the way.',
            reason: 'They clear everything over the travel.',
            remedies: [],
          },
    );
  }
  return verdicts;
}

function madeChecks(bar: BarDesign, tape: Tape): Verdict[] {
  const verdicts: Verdict[] = [];
  if (armInUse(bar) < SHORTEST_ARM)
    verdicts.push({
      id: 'barArm',
      state: 'stop',
      title: 'No arm is left at that hole.',
      reason: `${sayLength(Math.max(0, armInUse(bar)), tape)} from the middle to the link: a bar needs its levers.`,
      remedies: [{ text: 'Use a hole nearer to the end.' }],
    });
  const onDip = bar.dips.some(
    ({ at, depth, width }) =>
      depth !== 0 &&
      [1, -1].some((s) => Math.abs((s * bar.bushings) / 2 - at) < width / 2 + Math.abs(depth) + HALF_BUSHING),
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

/** Both eyes measured with the links off: what stands apart is wound into the bar when they go on. */
function clockChecks({ measured, ...bar }: BarDesign, { rate }: BarResult, tape: Tape): Verdict[] {
  const { left, right } = measured;
  if (left === null || right === null) return [];
  const apart = left - right;
  const angle = (Math.asin(Math.min(1, Math.abs(apart) / armInUse(bar as BarDesign))) * 180) / Math.PI;
  if (Math.abs(apart) <= CLOCKED)
    return [
      {
        id: 'barClocked',
        state: 'ok',
        title: 'Both arms are clocked alike.',
        reason: `Their eyes stand within ${sayLength(Math.abs(apart), tape)} of each other with the links off.`,
        remedies: [],
      },
    ];
  const tooth = bar.made === 'arms' && bar.arms.teeth ? 360 / bar.arms.teeth : null;
  const higher = apart > 0 ? 'left' : 'right';
  return [
    {
      id: 'barClocked',
      state: 'stop',
      title: `The ${higher} arm stands ${sayLength(Math.abs(apart), tape)} higher: the arms are clocked ${angle.toFixed(1)}° apart.`,
      reason: `Hooked up like that, ${sayForce(Math.abs(apart) * rate, tape)} pulls at each link with the car standing still, and it corners unlike to the left and to the right.`,
      remedies: [
        {
          text:
            tooth !== null && angle > tooth / 2
              ? `About ${Math.round(angle / tooth)} ${Math.round(angle / tooth) === 1 ? 'tooth' : 'teeth'} of the spline (${tooth.toFixed(1)}° each).`
              : `Make the ${higher} link ${sayLength(Math.abs(apart), tape)} ${bar.mountedOn === 'chassis' ? 'longer' : 'shorter'} than the other.`,
        },
      ],
    },
  ];
}
