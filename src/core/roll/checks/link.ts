import { LIMITS } from '@/core/materials/limits';
import { memberName } from '@/core/rig/names';
import { sayCorner, sayLinks } from '@/core/roll/words';
import { SIDES } from '@/core/geometry/side';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';
import type { RollResult } from '@/core/roll/analyse';
import type { BarResult } from '@/core/swaybar/swayBarOverTravel';
import { armInUse, linkHeight, linkOn, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { oneWayOnly } from '@/core/swaybar/endLinks';
import { tooNear } from '@/core/swaybar/packaging';
import type { RollInput } from '@/core/roll/input';
import { toDegrees } from '@/core/geometry/angle';
import { LINK_JOINTS } from '@/core/materials/joints';
import { FORCE } from '@/core/units/unit';

/** Whether the end links follow the axle without force. */
export function linkChecks(bar: BarDesign, { links }: BarResult, tape: Tape): Verdict[] {
  if (!links) return [];
  const verdicts: Verdict[] = [];
  const lying = SIDES.map((side) => linkOn(bar, side)).find((one) => linkHeight(one) < one.link / 2);
  if (lying)
    verdicts.push({
      id: 'linkLeans',
      state: 'stop',
      title: 'The end links lie more than they stand.',
      reason: `Of ${sayLength(lying.link, tape)} only ${sayLength(linkHeight(lying), tape)} is upright at ride height.`,
      remedies: [{ text: 'Stand the foot nearer under the eye, or lengthen the link.' }],
    });
  if (links.lost.length)
    verdicts.push({
      id: 'linkLost',
      state: 'stop',
      title: `An end link cannot follow the axle ${sayCorner(links.lost[0]!)}.`,
      reason: 'Arm and link come into one line: past that the arm snaps over, or the link breaks.',
      remedies: [{ text: 'A longer link or a longer arm; and arms about level at ride height.' }],
    });
  else if (links.square.least < LIMITS.endLinkSquare.look)
    verdicts.push({
      id: 'linkSquare',
      state: links.square.least < LIMITS.endLinkSquare.stop ? 'stop' : 'look',
      title: `Arm and link come within ${Math.round(links.square.least)}° of one line ${sayCorner(links.square.at)}.`,
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
      remedies: [
        { text: 'Turn one clevis by a quarter: pin across at the bar, along at the foot.' },
        { text: 'An elbow of two forks at one end; the other stays plain.' },
      ],
    });
  for (const { end, allowed, atRide, most, at } of links.cocked) {
    const where = end === 'bar' ? 'at the bar' : 'at its foot';
    const joint = LINK_JOINTS[bar.ends[end].joint].name.toLowerCase();
    if (most > allowed + 0.05)
      verdicts.push({
        id: `linkCocked ${end}`,
        state: 'stop',
        title: `The end link’s joint ${where} is forced ${sayCorner(at)}.`,
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

/** Links that come off by a pin: what that does, and whether they are out of the way. */
export function stowChecks(
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
      reason: `An end link of ${sayLinks(bar, tape)} on its turned arm never comes there.`,
      remedies: [{ text: 'Put the stow pin nearer to the path of the eye.' }],
    });
  else {
    const [hit] = tooNear(input, made.stowed.gaps);
    verdicts.push(
      hit
        ? {
            id: 'stowRoom',
            state: 'stop',
            title: `Stowed, the ${hit.part} ${hit.distance <= 0 ? 'hits' : 'comes too near to'} the ${memberName(hit.body, input.rig.end)} ${sayCorner(hit.corner)}.`,
            reason: `With the links off the axle moves farther than ever: ${sayLength(LIMITS.clearance.least, tape)} is wanted.`,
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

/** Both eyes measured with the links off: what stands apart is wound into the bar when they go on. */
export function clockChecks({ measured, ...bar }: BarDesign, { rate }: BarResult, tape: Tape): Verdict[] {
  const { left, right } = measured;
  if (left === null || right === null) return [];
  const apart = left - right;
  const angle = toDegrees(Math.asin(Math.min(1, Math.abs(apart) / armInUse(bar as BarDesign))));
  if (Math.abs(apart) <= LIMITS.swayBar.clocked)
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
      reason: `Hooked up like that, ${FORCE.say(Math.abs(apart) * rate, tape)} pulls at each link with the car standing still, and it corners unlike to the left and to the right.`,
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
