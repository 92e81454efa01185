import { division, type Tape } from '@/core/units/tape';
import { formatDegrees, sayLength } from '@/core/units/format';
import type { Verdict } from '@/core/verdict';
import { measured, oddOneOut, squareness, type Readings } from './readings';
import { quantity, QUANTITIES, readingKey, SIDES, type QuantityKey, type Side } from './quantities';

/** Differences between left and right that call for a look, mm (common practice, no published source). */
const SIDE_LIMITS: Partial<Record<QuantityKey, { mm: number; advice: string }>> = {
  tireRadius: {
    mm: 3.2,
    advice: 'Set both pressures alike and measure again before anything is built on it.',
  },
  rideHeight: {
    mm: 6.4,
    advice:
      'The car leans: look at springs and tyres first. The bar is set level to the axle, not to a leaning frame.',
  },
};
/** A wheelbase difference worth squaring up, mm. */
const SQUARE_LIMIT = 3.2;
/** Offset between axle and frame worth knowing, mm. */
const OFFSET_LIMIT = 1.6;

/** What a tape can be out by between two honest readings: two of its lines, and never less than 1/16 in. */
function honestSpread(tape: Tape): number {
  return Math.max(2 * division(tape), 1.6);
}

/** Looks over the readings of a car: repeats that disagree, sides that differ, an axle off its place. */
export function checkRecord(readings: Readings, tape: Tape): Verdict[] {
  return [...spreadChecks(readings, tape), ...sideChecks(readings, tape), ...axleChecks(readings, tape)];
}

function spreadChecks(readings: Readings, tape: Tape): Verdict[] {
  const verdicts: Verdict[] = [];
  for (const q of QUANTITIES) {
    for (const side of q.sided ? SIDES : [undefined]) {
      const m = measured(readings, q.key, side);
      if (m.spread <= honestSpread(tape) + 1e-6) continue;
      const odd = oddOneOut(readings[readingKey(q.key, side)]);
      verdicts.push({
        id: `spread-${readingKey(q.key, side)}`,
        state: 'look',
        title: `${nameOf(q.key, side)}: readings are ${sayLength(m.spread, tape)} apart.`,
        reason: `A tape read twice agrees within ${sayLength(honestSpread(tape), tape)}. One of these is a slip, or the car moved.`,
        remedies: [
          {
            text: odd
              ? `${odd.typed} is the odd one. Measure again; if it stays odd, strike it.`
              : 'Measure a third time to see which one is off.',
          },
        ],
      });
    }
  }
  return verdicts;
}

function sideChecks(readings: Readings, tape: Tape): Verdict[] {
  return Object.entries(SIDE_LIMITS).flatMap(([key, limit]) => {
    const left = measured(readings, key as QuantityKey, 'left');
    const right = measured(readings, key as QuantityKey, 'right');
    const difference = left.mm - right.mm;
    if (!left.count || !right.count || Math.abs(difference) <= limit.mm) return [];
    return {
      id: `sides-${key}`,
      state: 'look' as const,
      title: `${quantity(key as QuantityKey).label}: ${difference > 0 ? 'left' : 'right'} is ${sayLength(Math.abs(difference), tape)} more.`,
      reason: 'Left and right should agree before brackets are built to them.',
      remedies: [{ text: limit.advice }],
    };
  });
}

function axleChecks(readings: Readings, tape: Tape): Verdict[] {
  const verdicts: Verdict[] = [];
  const angle = squareness(readings);
  const left = measured(readings, 'wheelbase', 'left').mm;
  const right = measured(readings, 'wheelbase', 'right').mm;
  if (angle !== null && Math.abs(left - right) > SQUARE_LIMIT) {
    verdicts.push({
      id: 'square',
      state: 'look',
      title: `Axle stands ${formatDegrees(Math.abs(angle), 2)} out of square.`,
      reason: `The wheelbase is ${sayLength(Math.abs(left - right), tape)} longer on the ${left > right ? 'left' : 'right'}. The car will run slightly crabwise.`,
      remedies: [
        {
          text: 'Square the axle with its links before the panhard bar is laid out: the bar is set parallel to the axle.',
        },
      ],
    });
  }
  const gapLeft = measured(readings, 'gapFrame', 'left');
  const gapRight = measured(readings, 'gapFrame', 'right');
  const offset = (gapLeft.mm - gapRight.mm) / 2;
  if (gapLeft.count && gapRight.count && Math.abs(offset) > OFFSET_LIMIT) {
    verdicts.push({
      id: 'offset',
      state: 'look',
      title: `Axle sits ${sayLength(Math.abs(offset), tape)} to the ${offset > 0 ? 'left' : 'right'} of the frame.`,
      reason: `Tyre to frame: ${sayLength(gapLeft.mm, tape)} left, ${sayLength(gapRight.mm, tape)} right; half of the difference.`,
      remedies: [
        {
          text: 'No harm yet: the finished bar brings it to the middle at Ride. Hold it centred while the brackets are set.',
        },
      ],
    });
  }
  return verdicts;
}

function nameOf(key: QuantityKey, side?: Side): string {
  return side ? `${quantity(key).label}, ${side}` : quantity(key).label;
}
