import type { Agreement } from '@/core/survey/agreement';
import type { Datum } from '@/core/survey/quantities/datums';
import { slopeAlong } from '@/core/survey/floor';
import type { AxleEnd } from '@/core/rig/schema';
import type { QuantityKey } from '@/core/survey/quantities/quantities';
import { aheadByWheelbase, bothSides, found, type Measured, type Readings } from '@/core/survey/readings';
import type { Finding } from '@/core/survey/finding';
import { propagate, type Estimate } from '@/core/survey/uncertainty';
import { toDegrees } from '@/core/geometry/angle';
import { SIDES } from '@/core/geometry/side';

const OFFSET = ['to the left', 'to the right'] as const;
const AHEAD = ['left wheel ahead', 'right wheel ahead'] as const;
const ALONG = ['down to the front', 'up to the front'] as const;
const MORE = ['more on the left', 'more on the right'] as const;

/** The car as found: where its axle and wheels sit, how it stands, and which way things point. Only what was read appears. */
export function asFound(
  readings: Readings,
  agreement: Agreement | null,
  datum: Datum,
  end: AxleEnd,
): Finding[] {
  return [
    ...sideways(readings),
    ...lengthways(readings, agreement, datum, end),
    ...openings(readings),
    ...heights(readings, end),
    ...angles(readings),
    ...weights(readings),
  ];
}

type Line = Pick<Finding, 'id' | 'label' | 'unit' | 'by'> & { ways?: Finding['ways'] };

/** A line for a number computed from readings; none where one of them is missing. */
function line(
  facts: Line,
  inputs: (Measured | null | undefined)[],
  f: (values: number[]) => number,
): Finding[] {
  if (inputs.some((m) => !m)) return [];
  const result = propagate(inputs as Measured[], f);
  return result ? [{ ...facts, ...result }] : [];
}

const given = (facts: Line, estimate: Estimate): Finding => ({ ...facts, ...estimate });

const sidesOf = (readings: Readings, key: QuantityKey) =>
  [found(readings, key, 'left'), found(readings, key, 'right')] as const;
const otherEnd = (end: AxleEnd): AxleEnd => (end === 'rear' ? 'front' : 'rear');
const half = ([left, right]: number[]) => (left! - right!) / 2;
const degrees = (rise: number, run: number) => toDegrees(Math.atan2(rise, run));

function sideways(readings: Readings): Finding[] {
  return [
    ...line(
      {
        id: 'offset',
        label: 'Axle off the middle of the frame',
        unit: 'length',
        ways: OFFSET,
        by: 'tyre to frame',
      },
      [...sidesOf(readings, 'gapFrame')],
      half,
    ),
    ...line(
      {
        id: 'offsetBody',
        label: 'Axle off the middle of the body',
        unit: 'length',
        ways: OFFSET,
        by: 'tyre to fender',
      },
      [...sidesOf(readings, 'gapFender')],
      // A wider gap to the left lip means the axle stands to the right.
      ([l, r]) => half([r!, l!]),
    ),
    ...line(
      {
        id: 'bodyOnFrame',
        label: 'Body off the middle of its frame',
        unit: 'length',
        ways: OFFSET,
        by: 'the two gaps together',
      },
      [...sidesOf(readings, 'gapFrame'), ...sidesOf(readings, 'gapFender')],
      ([fl, fr, bl, br]) => half([fl!, fr!]) - half([br!, bl!]),
    ),
  ];
}

function lengthways(readings: Readings, agreement: Agreement | null, datum: Datum, end: AxleEnd): Finding[] {
  const placed = agreement?.placements.find((p) => p.datum === datum);
  const by = agreement ? 'all readings underneath, fitted together' : '';
  return [
    ...(placed
      ? [
          given(
            { id: 'middle.left', label: 'Datum to the middle of the axle, left', unit: 'length', by },
            placed.middle.left,
          ),
          given(
            { id: 'middle.right', label: 'Datum to the middle of the axle, right', unit: 'length', by },
            placed.middle.right,
          ),
          given(
            { id: 'square', label: 'Out of square to the frame', unit: 'angle', ways: AHEAD, by },
            placed.square,
          ),
          given(
            { id: 'squareAtTire', label: 'That is, at the tyre', unit: 'length', ways: AHEAD, by },
            placed.aheadAtTire,
          ),
        ]
      : []),
    ...line(
      {
        id: 'squareWheels',
        label: `Out of square to the ${otherEnd(end)} wheels`,
        unit: 'angle',
        ways: AHEAD,
        by: 'the two wheelbases',
      },
      [...sidesOf(readings, 'wheelbase'), found(readings, 'track')],
      ([left, right, width]) => degrees(aheadByWheelbase(left!, right!, end), width!),
    ),
  ];
}

function openings(readings: Readings): Finding[] {
  return SIDES.flatMap((side) =>
    line(
      {
        id: `opening.${side}`,
        label: `Wheel in its opening, ${side}`,
        unit: 'length',
        ways: ['ahead of the middle', 'behind the middle'],
        by: 'hub to both edges',
      },
      [found(readings, 'openingFront', side), found(readings, 'openingRear', side)],
      ([front, rear]) => (rear! - front!) / 2,
    ),
  );
}

function heights(readings: Readings, end: AxleEnd): Finding[] {
  const here = sidesOf(readings, 'rideHeight');
  const other = sidesOf(readings, 'frontHeight');
  const [rear, front] = end === 'rear' ? [here, other] : [other, here];
  const width = found(readings, 'frameWidth') ?? found(readings, 'marksAcross');
  const bases = bothSides(readings, 'wheelbase');
  return [
    ...line(
      { id: 'rideHeight', label: `Ride height, ${end}, mean`, unit: 'length', by: 'both rails' },
      [...here],
      ([l, r]) => (l! + r!) / 2,
    ),
    ...line(
      {
        id: 'lean',
        label: `Lean at the ${end}, rail against rail`,
        unit: 'length',
        ways: MORE,
        by: 'ride heights',
      },
      [...here],
      ([l, r]) => l! - r!,
    ),
    ...line(
      { id: 'rake', label: 'Rake of the frame', unit: 'angle', ways: ALONG, by: 'heights front and rear' },
      [...rear, ...front, bases?.left],
      ([rl, rr, fl, fr, run]) => degrees((rl! + rr! - fl! - fr!) / 2, run!),
    ),
    ...line(
      {
        id: 'twist',
        label: 'Twist of the frame, rear against front',
        unit: 'angle',
        ways: ['left rear up', 'right rear up'],
        by: 'four heights of the rails',
      },
      [...rear, ...front, width],
      ([rl, rr, fl, fr, w]) => degrees(rl! - rr!, w!) - degrees(fl! - fr!, w!),
    ),
    ...line(
      {
        id: 'axleTilt',
        label: 'Axle out of level with the frame',
        unit: 'angle',
        ways: ['left end up', 'right end up'],
        by: 'axle to frame, both sides',
      },
      [...sidesOf(readings, 'axleToFrame'), width],
      ([l, r, w]) => degrees(r! - l!, w!),
    ),
  ];
}

/** Angles are read against plumb, and given against the floor the car stands on. */
function angles(readings: Readings): Finding[] {
  const slope = slopeAlong(readings);
  const by = slope === 0 ? 'gauge' : 'gauge, less the slope of the floor';
  const one = (key: 'pinionAngle' | 'transmissionAngle', label: string) =>
    line({ id: key, label, unit: 'angle', ways: ALONG, by }, [found(readings, key)], ([a]) => a! - slope);
  return [
    ...one('transmissionAngle', 'Transmission'),
    ...one('pinionAngle', 'Pinion'),
    ...line(
      {
        id: 'jointsApart',
        label: 'Pinion against transmission',
        unit: 'angle',
        ways: ALONG,
        by: 'the two gauges',
      },
      [found(readings, 'pinionAngle'), found(readings, 'transmissionAngle')],
      ([p, t]) => p! - t!,
    ),
    ...line(
      {
        id: 'railTwist',
        label: 'Rails against each other',
        unit: 'angle',
        ways: ['left down more', 'right down more'],
        by: 'gauge on both rails',
      },
      [...sidesOf(readings, 'railAngle')],
      ([l, r]) => l! - r!,
    ),
  ];
}

function weights(readings: Readings): Finding[] {
  const four = [...sidesOf(readings, 'weightFront'), ...sidesOf(readings, 'weightRear')];
  const of = (id: string, label: string, f: (v: number[]) => number) =>
    line({ id, label, unit: 'weight', by: 'four scales' }, four, f);
  return [
    ...of('weight', 'Weight of the car', ([a, b, c, d]) => a! + b! + c! + d!),
    ...of('weightRearEnd', 'Of that, on the rear axle', ([, , c, d]) => c! + d!),
    ...of('cross', 'Left front and right rear carry', ([fl, , , rr]) => fl! + rr!),
  ];
}
