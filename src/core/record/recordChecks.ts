import { LIMITS } from '@/core/materials/limits';
import { division, MM_PER_INCH, type Tape } from '@/core/units/tape';
import { formatDegrees, sayLength } from '@/core/units/length';
import type { SurveyUnit } from '@/core/survey/quantities/quantity';
import { sayValue, roundUp } from '@/core/units/values';
import type { Verdict } from '@/core/verdict/verdict';
import type { Agreement, Contradiction } from '@/core/survey/agreement';
import { floorOf, type Floor } from '@/core/survey/floor';
import { mayDropLines, type Approach } from './plan';
import { bothSides, found, measured, oddOneOut, squareness, type Readings } from '@/core/survey/readings';
import { quantity, spotAt, spotName, SPOTS, type QuantityKey } from '@/core/survey/quantities/quantities';
import { SIDES } from '@/core/geometry/side';
import { memberName } from '@/core/rig/names';
import { PANHARD } from '@/core/rig/roles';
import { COVERAGE } from '@/core/survey/uncertainty';

/** What is said where left and right differ by more than they may. */
const SIDE_ADVICE: Partial<Record<QuantityKey, { mm: number; advice: string }>> = {
  tireRadius: {
    mm: LIMITS.readings.tireRadius,
    advice: 'Set both pressures alike and measure again before anything is built on it.',
  },
  rideHeight: {
    mm: LIMITS.readings.rideHeight,
    advice:
      'The car leans: look at springs and tyres first. The bar is set level to the axle, not to a leaning frame.',
  },
};

/** Whether repeats are farther apart than honest readings are. */
export const isSpread = (spread: number, unit: SurveyUnit, tape: Tape): boolean =>
  spread > honestSpread(unit, tape) + 1e-6;

/** What a tape can be out by between two honest readings: two of its lines, and never less than 1/16 in. */
function honestSpread(unit: SurveyUnit, tape: Tape): number {
  const { honest } = LIMITS.readings;
  return unit === 'length' ? Math.max(2 * division(tape), honest.length) : honest[unit];
}

/** Looks over the readings of a car: the one that the others contradict, repeats that disagree, sides that differ, an axle off its place. */
export function checkRecord(
  readings: Readings,
  agreement: Agreement | null,
  approach: Approach,
  tape: Tape,
): Verdict[] {
  return [
    ...(agreement ? agreement.wrong.map((wrong) => wrongReading(wrong, tape)) : []),
    ...spreadChecks(readings, tape),
    ...floorChecks(readings, approach, tape),
    ...sideChecks(readings, tape),
    ...axleChecks(readings, approach, tape),
    ...travelChecks(readings, tape),
    ...yokeChecks(readings, approach),
  ];
}

/** Slips of the hand that leave a round error behind, mm. */
const SLIPS: [mm: number, what: string][] = [
  [MM_PER_INCH, 'A whole inch: read from the wrong number, or from a tape begun at its one-inch mark.'],
  [MM_PER_INCH / 2, 'Half an inch: a line taken for its neighbour.'],
  [MM_PER_INCH / 4, 'A quarter inch: a line taken for its neighbour.'],
];

function wrongReading({ residual, alike }: Contradiction, tape: Tape): Verdict {
  const spot = spotAt(residual.key)!;
  const { unit } = spot.quantity;
  const { value, u } = residual.others!;
  const off = residual.value - value;
  const slip = SLIPS.find(([mm]) => Math.abs(Math.abs(off) - mm) < Math.max(COVERAGE * u, 1))?.[1];
  const names = alike.map((key) => spotName(spotAt(key)!).toLowerCase());
  return {
    id: `wrong-${residual.key}`,
    state: 'stop',
    title: names.length
      ? `One of ${names.length + 1} readings is off by about ${sayValue(Math.abs(off), unit, tape)}.`
      : `${spotName(spot)}: ${sayValue(Math.abs(off), unit, tape)} ${off > 0 ? 'more' : 'less'} than everything else says.`,
    reason: `${names.length ? `${spotName(spot)}, say. ` : ''}It reads ${sayValue(residual.value, unit, tape)}; the other readings make it ${sayValue(value, unit, tape)} ± ${sayValue(roundUp(COVERAGE * u, unit, tape), unit, tape)}.${slip ? ` ${slip}` : ''}`,
    remedies: [
      {
        text: names.length
          ? `Measure it again, and ${names.join(', ')}: from the rest alone they cannot be told apart.`
          : 'Measure it again. If it stays, something is bent there; if not, strike the old one.',
      },
    ],
  };
}

function spreadChecks(readings: Readings, tape: Tape): Verdict[] {
  return SPOTS.flatMap((spot): Verdict[] => {
    const { key, unit } = spot.quantity;
    const m = measured(readings, key, spot.side);
    if (!isSpread(m.spread, unit, tape)) return [];
    const honest = honestSpread(unit, tape);
    const odd = oddOneOut(readings[spot.key]);
    return [
      {
        id: `spread-${spot.key}`,
        state: 'look',
        title: `${spotName(spot)}: readings are ${sayValue(m.spread, unit, tape)} apart.`,
        reason: `Read twice, it agrees within ${sayValue(honest, unit, tape)}. One of these is a slip, or the car moved.`,
        remedies: [
          {
            text: odd
              ? `${odd.typed} is the odd one. Measure again; if it stays odd, strike it.`
              : 'Measure again to see which one is off.',
          },
        ],
      },
    ];
  });
}

const FLOOR_WORDS: Record<Floor['verdict'], (floor: Floor, say: (mm: number) => string) => string> = {
  true: () => 'Level enough to drop lines to.',
  corrected: ({ along, across }) =>
    `${formatDegrees(Math.abs(along), 2)} ${along > 0 ? 'down' : 'up'} to the front, ${formatDegrees(Math.abs(across), 2)} ${across > 0 ? 'down' : 'up'} to the right. Pellik takes it out of dropped lines and angles.`,
  twisted: ({ twist }, say) =>
    `One corner stands ${say(twist)} off the other three: the car stands twisted on it. Shim that tyre, or move the car.`,
  steep: () =>
    'More than a degree of slope is past correcting. Move the car, or measure from the frame with a square.',
  slip: ({ misclosure }, say) =>
    `The four levels miss each other by ${say(misclosure)} round the car: read them again.`,
};
const FLOOR_TITLES: Record<Floor['verdict'], string> = {
  true: 'The floor is level.',
  corrected: 'The floor slopes a little.',
  twisted: 'The floor is twisted.',
  steep: 'The floor slopes too much.',
  slip: 'The floor levels do not agree.',
};

function floorChecks(readings: Readings, { method }: Approach, tape: Tape): Verdict[] {
  const floor = floorOf(readings);
  const say = (mm: number) => sayLength(mm, tape);
  if (!floor) {
    if (method !== 'plumb-bob') return [];
    return [
      {
        id: 'floor',
        state: 'stop',
        title: 'Lines are dropped to a floor that was not checked.',
        reason: 'On a floor that slopes, a line from the frame lands beside its place.',
        remedies: [{ text: 'Read the floor along both sides and across both ends, or use a T-square.' }],
      },
    ];
  }
  const fit = mayDropLines(readings);
  return [
    {
      id: 'floor',
      state: fit ? 'ok' : method === 'plumb-bob' ? 'stop' : 'look',
      title: FLOOR_TITLES[floor.verdict],
      reason: FLOOR_WORDS[floor.verdict](floor, say),
      remedies: [],
    },
  ];
}

function sideChecks(readings: Readings, tape: Tape): Verdict[] {
  return Object.entries(SIDE_ADVICE).flatMap(([key, limit]) => {
    const both = bothSides(readings, key as QuantityKey);
    const difference = both ? both.left.value - both.right.value : 0;
    if (Math.abs(difference) <= limit.mm) return [];
    return {
      id: `sides-${key}`,
      state: 'look' as const,
      title: `${quantity(key as QuantityKey).label}: ${difference > 0 ? 'left' : 'right'} is ${sayLength(Math.abs(difference), tape)} more.`,
      reason: 'Left and right should agree before brackets are built to them.',
      remedies: [{ text: limit.advice }],
    };
  });
}

function axleChecks(readings: Readings, approach: Approach, tape: Tape): Verdict[] {
  const { end } = approach;
  const verdicts: Verdict[] = [];
  const angle = squareness(readings, end);
  const bases = bothSides(readings, 'wheelbase');
  const longer = bases ? bases.left.value - bases.right.value : 0;
  if (angle !== null && Math.abs(longer) > LIMITS.readings.square) {
    verdicts.push({
      id: 'square',
      state: 'look',
      title: `Axle stands ${formatDegrees(Math.abs(angle), 2)} out of square.`,
      reason: `The wheelbase is ${sayLength(Math.abs(longer), tape)} longer on the ${longer > 0 ? 'left' : 'right'}. The car will run slightly crabwise.`,
      remedies: [{ text: howToSquare(approach) }],
    });
  }
  const gaps = bothSides(readings, 'gapFrame');
  const offset = gaps ? (gaps.left.value - gaps.right.value) / 2 : 0;
  if (gaps && Math.abs(offset) > LIMITS.readings.offset) {
    verdicts.push({
      id: 'offset',
      state: 'look',
      title: `Axle sits ${sayLength(Math.abs(offset), tape)} to the ${offset > 0 ? 'left' : 'right'} of the frame.`,
      reason: `Tyre to frame: ${sayLength(gaps.left.value, tape)} left, ${sayLength(gaps.right.value, tape)} right; half of the difference.`,
      remedies: [{ text: howToCentre(approach) }],
    });
  }
  return verdicts;
}

/** What squares an axle, before anything is built parallel to it. */
function howToSquare({ heldBy, bar, end }: Approach): string {
  const by = {
    links: 'with its links',
    arms: 'by the feet or the front joints of its arms',
    leaves: 'on its springs, U-bolts slack: centre pins in their holes first, then perches and shackles',
  };
  const name = memberName(PANHARD, end);
  return bar
    ? `Square the axle ${by[heldBy]}, before the ${name} is laid out: the bar is set parallel to the axle.`
    : `Square the axle ${by[heldBy]}.`;
}

/** What brings an axle to the middle. Leaves hold it sideways themselves: a bar is made to suit, not to pull it over. */
function howToCentre({ heldBy, bar }: Approach): string {
  if (heldBy === 'leaves')
    return `Find out why first: centre pins, perches, a bent hanger, bushings.${bar ? ' The bar is made to suit the axle as its springs hold it, and does not pull it over against them.' : ''}`;
  return bar
    ? 'No harm yet: the finished bar brings it to the middle at Ride. Hold it centred while the brackets are set.'
    : 'Look why: links of unlike length, a bent bracket, worn bushings.';
}

/** The way up to the stop, against the room between axle tube and rail, where both were read. */
/** A yoke that points the unusual way is more often a sign mistaken than a car like that: it is asked about, degrees. */
const UNUSUAL = { transmissionAngle: 1, pinionAngle: 8 };

/** Asks about a tail that points up, and a pinion far from level: at the rear, where an engine hangs tail down. */
function yokeChecks(readings: Readings, { end }: Approach): Verdict[] {
  if (end === 'front') return [];
  const [tail, nose] = [found(readings, 'transmissionAngle'), found(readings, 'pinionAngle')];
  const asked = (title: string): Verdict => ({
    id: 'yoke-way',
    state: 'look',
    title,
    reason:
      'Most cars stand otherwise; a gauge read from its other side gives just this figure with the other sign.',
    remedies: [{ text: 'Look again which way it points. If it does, nothing is wrong with the reading.' }],
  });
  return [
    ...(tail && tail.value > UNUSUAL.transmissionAngle
      ? [asked(`The transmission’s tail reads ${formatDegrees(tail.value)} up: does it point up?`)]
      : []),
    ...(nose && Math.abs(nose.value) > UNUSUAL.pinionAngle
      ? [
          asked(
            `The pinion’s nose reads ${formatDegrees(Math.abs(nose.value))} ${nose.value > 0 ? 'down' : 'up'}: is that so?`,
          ),
        ]
      : []),
  ];
}

function travelChecks(readings: Readings, tape: Tape): Verdict[] {
  const bump = found(readings, 'bump');
  const rooms = SIDES.flatMap((side) => {
    const room = found(readings, 'axleToFrame', side);
    return room ? [{ side, ...room }] : [];
  });
  const [least] = rooms.sort((a, b) => a.value - b.value);
  if (!bump || !least || bump.value <= least.value) return [];
  const short = bump.value - least.value;
  const certain = short > COVERAGE * Math.hypot(bump.u, least.u);
  return [
    {
      id: 'bump-room',
      state: certain ? 'stop' : 'look',
      title: certain
        ? 'The axle meets the frame before its stop.'
        : 'The axle may meet the frame before its stop.',
      reason: `From tube to rail there are ${sayLength(least.value, tape)} on the ${least.side}; the travel up to the stop was read as ${sayLength(bump.value, tape)}.`,
      remedies: [
        {
          text: `Read both again. If they stay: space the stop down by ${sayLength(short, tape)} at the least, and read the travel to it anew; everything here is looked at over that travel.`,
        },
      ],
    },
  ];
}
