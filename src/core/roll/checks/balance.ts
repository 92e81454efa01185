import { handlingIn, handlingOf, outsideRise, softened, wordsOfEnds } from '@/core/roll/handling';
import { LIMITS } from '@/core/materials/limits';
import { G } from '@/core/units/gravity';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';
import type { RollResult } from '@/core/roll/analyse';
import type { RollInput } from '@/core/roll/input';
import type { Use } from '@/core/materials/uses';
import { FORCE, ROLL_RATE } from '@/core/units/unit';

const say = (share: number) => `${(100 * share).toFixed(0)} %`;

/** What is to be said of the whole car in a corner, and at the launch. */
export function balanceChecks(input: RollInput, result: RollResult, tape: Tape): Verdict[] {
  const weight = input.rig.masses?.frontFraction;
  const { balance, corner } = result;
  if (weight === undefined) return [];
  if (!balance)
    return input.springs && input.rig.otherEnd
      ? [
          {
            id: 'cannotHold',
            state: 'stop',
            title: 'Springs and bars cannot hold this car upright.',
            reason: 'The first lean tips it further than they push back.',
            remedies: [
              { text: 'Stiffer springs; or check the weight, the other end and the springs’ places.' },
            ],
          },
        ]
      : [];
  if (!corner)
    return [
      {
        id: 'goesOver',
        state: 'stop',
        title: `At ${input.cornerG} g both inside wheels are off the ground.`,
        reason: 'If the tyres hold that much, the car goes over before it slides.',
        remedies: [
          { text: 'A lower car, a wider track, or stiffer against roll at the end that is still down.' },
        ],
      },
    ];
  return [
    ...barChoice(input, result),
    ...bindCheck(result, tape),
    ...lift(input, result),
    leanCheck(input.use, balance.rollGradientDegPerG),
    balanceCheck(input, result, corner.frontShare, weight),
    ...launchCheck(input, result, tape),
  ];
}

function leanCheck(use: Use, roll: number): Verdict {
  const [least, most] = LIMITS.rollGradient[use];
  return {
    id: 'rollAngle',
    state: roll > most || roll < least ? 'look' : 'ok',
    title: `Leans ${roll.toFixed(1)}° at 1 g.`,
    reason:
      roll > most
        ? 'More than most cars of this use: it takes its time to settle in a corner.'
        : roll < least
          ? 'Very little: it skips over bumps that a softer car swallows.'
          : 'As cars of this use mostly do.',
    remedies: [],
  };
}

function balanceCheck(
  input: RollInput,
  { neutralRollRate: even, balance, corner }: RollResult,
  frontShare: number,
  weight: number,
): Verdict {
  const { use, rig } = input;
  const way = handlingOf(frontShare, weight);
  // A car that leans much or little already is evened out at the end that does not make that worse.
  const [least, most] = LIMITS.rollGradient[use];
  const gradient = balance!.rollGradientDegPerG;
  const leansMuch = gradient > most || (corner !== null && outsideRise(rig, corner) > input.bump);
  const leansLittle = gradient < least;
  const titles = {
    even: 'Neither tight nor loose.',
    tight: 'It will push: tight.',
    loose: 'Its tail will step out: loose.',
  };
  const cures = {
    even: null,
    tight: leansLittle
      ? 'Less roll stiffness in front.'
      : leansMuch
        ? 'More roll stiffness behind, or a higher roll centre there.'
        : 'More roll stiffness behind, or a higher roll centre there; less in front.',
    loose:
      use === 'drag'
        ? 'On the strip that is the price of even tyres; on the road drive it so.'
        : leansLittle
          ? 'Less roll stiffness behind, or a lower roll centre there.'
          : leansMuch
            ? 'More roll stiffness in front.'
            : 'Less roll stiffness behind, or a lower roll centre there; more in front.',
  };
  const never = even !== null && !Number.isFinite(even) && way !== 'even' && use !== 'drag';
  const cure = never ? beyondHere(rig.end, even) : cures[way];
  return {
    id: 'balance',
    state: way === 'even' ? 'ok' : 'look',
    title: titles[way],
    reason: `The front takes ${say(frontShare)} of the load transfer and carries ${say(weight)} of the weight; about ${say(LIMITS.balance.neutral)} over is even, with the same tyres all round and nobody on the throttle.`,
    remedies: cure === null ? [] : [{ text: cure }],
  };
}

/** Where no stiffness of the end that is built makes the car even: it takes the other end, or the heights of the roll centres. */
function beyondHere(end: RollInput['rig']['end'], even: number): string {
  const { here, there } = wordsOfEnds({ end });
  const more = even > 0;
  return `No stiffness ${here} evens it out, be it ever so ${more ? 'hard' : 'soft'}: ${more ? 'less' : 'more'} stiffness ${there}, or the heights of the roll centres.`;
}

/** A rear bar that makes the car loose, or lifts its driven wheel, is worse than none; said only where taking it off mends that. */
export function barChoice(
  { rig, cornerG, use }: RollInput,
  { corner, without, wheelLiftG: lifts }: RollResult,
): Verdict[] {
  const weight = rig.masses?.frontFraction;
  if (!without || !corner || !lifts || weight === undefined || rig.end !== 'rear') return [];
  // On the strip it evens the tyres at the launch, and corners are not what it is for.
  if (use === 'drag') return [];
  const [now, then] = [handlingOf(corner.frontShare, weight), handlingOf(without.frontShare, weight)];
  const lifting = lifts.rear < cornerG && without.lifts.rear > cornerG;
  const looser = now === 'loose' && then !== 'loose';
  if (!looser && !lifting) return [];
  return [
    {
      id: 'barWrong',
      state: 'stop',
      title: 'This rear bar is wrong for this car.',
      reason: `With it the front takes ${say(corner.frontShare)} of the load transfer${lifting ? ' and the inside rear wheel, which should drive, comes off the ground' : ''}; without it ${say(without.frontShare)}, which is ${then === 'even' ? 'neither tight nor loose' : then}. It buys ${Math.abs(without.rollDeg - corner.rollDeg).toFixed(1)}° less lean at ${cornerG} g.`,
      remedies: [
        { text: 'Run without it', roll: { bar: null } },
        { text: 'If it leans too much then: a bar in front, or stiffer springs there.' },
      ],
    },
  ];
}

/** Without a bar: whether this end asks for one, and how stiff it would have to be. */
export function barNeeded(
  { rig, use, bar }: RollInput,
  { corner, neutralRollRate: even }: RollResult,
  tape: Tape,
): Verdict[] {
  const weight = rig.masses?.frontFraction;
  if (bar || !corner || weight === undefined) return [];
  const way = handlingOf(corner.frontShare, weight);
  // A bar here helps where the other end does too little: a pushing car wants one behind, a loose one in front.
  const wanted = way === (rig.end === 'rear' ? 'tight' : 'loose');
  const helps = wanted && even !== null && even > 0;
  const { here } = wordsOfEnds(rig);
  const reason = `It leans ${corner.rollDeg.toFixed(1)}° at ${corner.g} g and the front takes ${say(corner.frontShare)} of the load transfer.`;
  if (use === 'drag' && rig.end === 'rear')
    return [
      {
        id: 'barNeeded',
        state: 'look',
        title: 'A strip car is given a stiff bar behind.',
        reason: 'Not for corners: to carry the driveshaft’s torque, so that both rear tyres push alike.',
        remedies: [{ text: 'Balance tells what stands between the tyres at a launch.' }],
      },
    ];
  return [
    {
      id: 'barNeeded',
      state: helps ? 'look' : 'ok',
      title: helps
        ? Number.isFinite(even)
          ? `A bar ${here} of about ${ROLL_RATE.say(even, tape)} would make it even.`
          : `No bar ${here} is stiff enough to make it even.`
        : way === 'even'
          ? 'It needs no bar at this end.'
          : wanted
            ? `What a bar ${here} would do is not known.`
            : `A bar ${here} would make it worse.`,
      reason: `${reason} ${wanted ? `It is ${way} as it stands.` : way === 'even' ? 'That is neither tight nor loose.' : `It is ${way} already.`}`,
      remedies: !helps
        ? []
        : Number.isFinite(even)
          ? [{ text: 'Fit one below, and look through the stock sizes for it.' }]
          : [{ text: beyondHere(rig.end, even) }],
    },
  ];
}

/** More members than the axle has motions hold the car against roll by bending their joints: past a share it is theirs. */
function bindCheck({ stiffness: { sprung, bind } }: RollResult, tape: Tape): Verdict[] {
  // Springs that nobody told of give nothing that it could be held against.
  if (sprung <= 0 || bind < LIMITS.balance.bindShare * (sprung + bind)) return [];
  return [
    {
      id: 'bindRoll',
      state: 'look',
      title: bind > sprung ? 'The links hold it against roll, not the springs.' : 'The links bind in roll.',
      reason: `Springs and bar give ${ROLL_RATE.say(sprung, tape)}, the links by their bind ${ROLL_RATE.say(bind, tape)}: every joint and bracket carries that in every corner, and a bar is hardly felt.`,
      remedies: [
        { text: 'Softer bushings where they bind, or a layout that rolls freely (Locate, Lengthwise).' },
      ],
    },
  ];
}

function lift(input: RollInput, result: RollResult): Verdict[] {
  const { wheelLiftG: lifts } = result;
  const { cornerG } = input;
  if (!lifts) return [];
  const end = lifts.front < lifts.rear ? 'front' : 'rear';
  if (lifts[end] > cornerG) return [];
  return [
    {
      id: 'inside',
      state: 'look',
      title: `The inside ${end} wheel lifts at ${lifts[end].toFixed(2)} g.`,
      reason:
        end === 'rear'
          ? 'From there on it drives nothing, and the front takes all that comes on top.'
          : 'From there on the rear takes all that comes on top, and the steering goes light.',
      remedies: [
        {
          text:
            handlingIn(input, result) === softened({ end })
              ? 'A lower centre of gravity, or a wider track: less roll stiffness there would put it out of balance the more.'
              : `Less roll stiffness at the ${end}, more at the other end.`,
        },
      ],
    },
  ];
}

function launchCheck({ rig, use, bar }: RollInput, { tuning }: RollResult, tape: Tape): Verdict[] {
  const launch = tuning?.launch;
  if (!launch || use !== 'drag' || !rig.masses) return [];
  const driven = rig.masses.total * (1 - rig.masses.frontFraction) * G;
  const uneven = launch.difference > LIMITS.balance.uneven * driven;
  const preload = tuning?.preload;
  return [
    {
      id: 'launch',
      state: uneven ? 'look' : 'ok',
      title: uneven
        ? `At the launch one rear tyre carries ${FORCE.say(launch.difference, tape)} more than the other.`
        : `At the launch the rear tyres carry alike within ${FORCE.say(launch.difference, tape)}.`,
      reason: `The driveshaft presses the left one down and lifts the right one; the body leans ${launch.rollDeg.toFixed(1)}° against it. What the front springs and bar take of that stays on the tyres.`,
      remedies: uneven
        ? [
            { text: 'A stiffer bar behind and none in front bring them together.' },
            ...(bar && preload
              ? [
                  {
                    text: `Or preload: one link ${sayLength(preload.longer, tape)} longer than the other carries all of it, with ${FORCE.say(preload.pull, tape)} at each link.`,
                  },
                ]
              : []),
          ]
        : [],
    },
  ];
}
