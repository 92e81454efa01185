import { sayLength } from '@/core/units/format';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict';
import { armInUse, type BarDesign } from './design';
import type { RollInput, RollResult } from './analyse';

/** Von Mises stress of spring steel at full roll, N/mm²: past the first it tires, past the second it sets (common practice, no published source). */
const TIRES = 550;
const SETS = 850;
/** Fingers fit, mm. */
const CLEAR = 12.7;
/** Roll at 1 g of a street car, degrees: less is harsh, more is loose on its springs (common practice). */
const ROLL = { least: 1.5, most: 6 };
/** The front carries about this much more of the transfer than of the weight on a car that is neither tight nor loose (common practice). */
const NEUTRAL = 0.05;
const BAND = 0.03;

/** What is to be said of springs, bar and balance, as they are meant. */
export function rollChecks({ bar, rig }: RollInput, result: RollResult, tape: Tape): Verdict[] {
  return [...(bar ? barChecks(bar, result, tape) : []), ...balanceChecks(rig.masses?.frontFraction, result)];
}

function barChecks(bar: BarDesign, { answer, mostRoll, shaftGap }: RollResult, tape: Tape): Verdict[] {
  const verdicts: Verdict[] = [];
  const full = (answer.swayBars?.[0]?.maxStress ?? 0) * mostRoll;
  const stress = `${Math.round(full / 5) * 5} N/mm² at the farthest roll of ${mostRoll.toFixed(1)}°`;
  verdicts.push({
    id: 'barStress',
    state: full > SETS ? 'stop' : full > TIRES ? 'look' : 'ok',
    title:
      full > SETS
        ? 'The bar takes a set in full roll.'
        : full > TIRES
          ? 'The bar tires in full roll.'
          : 'The bar stays elastic in full roll.',
    reason: `It is worked to ${stress}; spring steel lasts below about ${TIRES}.`,
    remedies:
      full > TIRES
        ? [
            {
              text: 'A thinner bar or a longer arm is worked less; the rest of the roll stiffness belongs to the springs.',
            },
          ]
        : [],
  });
  if (shaftGap && shaftGap.distance < CLEAR)
    verdicts.push({
      id: 'barShaft',
      state: 'stop',
      title:
        shaftGap.distance <= 0
          ? `The bar hits the driveshaft ${shaftGap.at}.`
          : `Only ${sayLength(shaftGap.distance, tape)} to the driveshaft ${shaftGap.at}.`,
      reason: `At least ${sayLength(CLEAR, tape)} is wanted: what clears at rest hits as the axle moves.`,
      remedies: [{ text: 'Dip the middle under it, hump it over, or move the bar along the car.' }],
    });
  if (armInUse(bar) < 60)
    verdicts.push({
      id: 'barArm',
      state: 'stop',
      title: 'No arm is left at that hole.',
      reason: `${sayLength(Math.max(0, armInUse(bar)), tape)} from the middle to the link: a bar needs its levers.`,
      remedies: [{ text: 'Use a hole nearer to the end.' }],
    });
  if (bar.bushings > bar.middle)
    verdicts.push({
      id: 'barBushings',
      state: 'stop',
      title: 'The bushings sit outside the straight middle.',
      reason: 'A bushing must ride on a straight piece: on a bend it binds and wears.',
      remedies: [{ text: `Bring them in to ${sayLength(bar.middle - 40, tape)} apart or less.` }],
    });
  return verdicts;
}

function balanceChecks(frontWeight: number | undefined, { answer }: RollResult): Verdict[] {
  const { balance } = answer;
  if (!balance || frontWeight === undefined) return [];
  const roll = balance.rollGradientDegPerG;
  const off = balance.frontShare - frontWeight - NEUTRAL;
  const say = (share: number) => `${(100 * share).toFixed(0)} %`;
  const leaning = off > BAND ? 'tight' : off < -BAND ? 'loose' : 'even';
  return [
    {
      id: 'rollAngle',
      state: roll > ROLL.most || roll < ROLL.least ? 'look' : 'ok',
      title: `Leans ${roll.toFixed(1)}° at 1 g.`,
      reason:
        roll > ROLL.most
          ? 'More than most street cars: it takes its time to settle in a corner.'
          : roll < ROLL.least
            ? 'Very little: it skips over bumps that a softer car swallows.'
            : 'As street cars do.',
      remedies: [],
    },
    {
      id: 'balance',
      state: leaning === 'even' ? 'ok' : 'look',
      title:
        leaning === 'even'
          ? 'Neither tight nor loose.'
          : leaning === 'tight'
            ? 'It will push: tight.'
            : 'Its tail will step out: loose.',
      reason: `The front takes ${say(balance.frontShare)} of the load transfer and carries ${say(frontWeight)} of the weight; about ${say(NEUTRAL)} over is even, with the same tyres all round and nobody on the throttle.`,
      remedies:
        leaning === 'even'
          ? []
          : [
              {
                text:
                  leaning === 'tight'
                    ? 'More roll stiffness behind, or a higher roll centre there; less in front.'
                    : 'Less roll stiffness behind, or a lower roll centre there; more in front.',
              },
            ],
    },
  ];
}
