import { DATUM_NAMES, DATUMS, type Datum } from './datums';
import type { Unit } from '@/core/units/values';
import type { ToolName } from './tools';

/** Where the builder is while measuring, in the order that walks round the car once. */
export const PLACES = ['floor', 'left', 'right', 'behind', 'under', 'scales'] as const;
export type Place = (typeof PLACES)[number];

/** Readings in the core are mm, degrees and kg. */
export type Quantity = {
  key: QuantityKey;
  label: string;
  unit: Unit;
  /** how to take it, in one line */
  how: string;
  /** what it is for */
  why: string;
  tool: ToolName;
  place: Place;
  /** measured on each side of the car */
  sided: boolean;
  /** the model is drawn from it: a stand-in is used until it is measured */
  needed: boolean;
  /** readings outside this are taken for slips */
  least: number;
  most: number;
  /** a plausible value, for drawing and for practice */
  standIn: number;
  /** the words for its two ways, the first positive */
  ways?: readonly [string, string];
};

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

type CarKey =
  | 'floorAlong'
  | 'floorAcrossRear'
  | 'floorAcrossFront'
  | 'tireRadius'
  | 'wheelbase'
  | 'gapFender'
  | 'fenderHeight'
  | 'hubToFender'
  | 'openingFront'
  | 'openingRear'
  | 'rideHeight'
  | 'frontHeight'
  | 'gapFrame'
  | 'tireWidth'
  | 'track'
  | 'insideTires'
  | 'frameWidth'
  | 'marksAcross'
  | 'tubeDiameter'
  | 'cover'
  | 'axleToFrame'
  | 'bump'
  | 'droop'
  | 'railAngle'
  | 'transmissionAngle'
  | 'pinionAngle'
  | 'weightFront'
  | 'weightRear';
export const DATUM_PARTS = ['front', 'rear', 'across', 'diagonal', 'tie', 'cross'] as const;
type DatumPart = (typeof DATUM_PARTS)[number];
export type QuantityKey = CarKey | `${Datum}.${DatumPart}`;

type Draft = Omit<Quantity, 'key'>;

const length = (place: Place, least: number, most: number, standIn: number) => ({
  unit: 'length' as const,
  tool: 'tape' as const,
  place,
  sided: true,
  needed: false,
  least,
  most,
  standIn,
});

const across = (place: Place, least: number, most: number, standIn: number) => ({
  ...length(place, least, most, standIn),
  sided: false,
});

const angle = (place: Place, most: number, ways: readonly [string, string]) => ({
  unit: 'angle' as const,
  tool: 'angle-gauge' as const,
  place,
  sided: false,
  needed: false,
  least: -most,
  most,
  standIn: 0,
  ways,
});

const NOSE = ['down to the front', 'up to the front'] as const;
const LEAN = ['down to the right', 'up to the right'] as const;

/** What every car is asked for. */
const CAR: Record<CarKey, Draft> = {
  floorAlong: {
    ...angle('floor', 6, NOSE),
    label: 'Floor, along the tyres',
    tool: 'level',
    sided: true,
    how: 'Straightedge on the floor from front tyre to rear tyre, level on top, shim the low end.',
    why: 'Plumb lines, angles and heights all lean with the floor. Pellik takes the slope out again.',
  },
  floorAcrossRear: {
    ...angle('floor', 6, LEAN),
    label: 'Floor, across at the rear',
    tool: 'level',
    how: 'Straightedge across the floor behind the rear tyres.',
    why: 'A floor that leans makes a level axle look crooked.',
  },
  floorAcrossFront: {
    ...angle('floor', 6, LEAN),
    label: 'Floor, across at the front',
    tool: 'level',
    how: 'Straightedge across the floor ahead of the front tyres.',
    why: 'With the other three it shows whether the floor is twisted: that cannot be taken out.',
  },
  tireRadius: {
    ...length('left', 150, 700, 330.2),
    label: 'Loaded tyre radius',
    needed: true,
    how: 'Floor to the middle of the hub, car on its weight, pressures set.',
    why: 'The height of the axle: everything else stands on it.',
  },
  wheelbase: {
    ...length('left', 1200, 6500, 2844.8),
    label: 'Wheelbase',
    needed: true,
    how: 'Front hub centre to rear hub centre, wheels straight ahead.',
    why: 'Left against right shows an axle out of square; the length itself sets anti-squat.',
  },
  fenderHeight: {
    ...length('left', 300, 1500, 711.2),
    label: 'Floor to fender lip',
    how: 'Straight up from the floor, through the hub, to the lip of the opening.',
    why: 'The ride height people see. Less the tyre radius it must give hub to lip.',
  },
  hubToFender: {
    ...length('left', 100, 900, 381),
    label: 'Hub to fender lip',
    how: 'Middle of the hub straight up to the lip.',
    why: 'Does not change with tyre pressure: the height to come back to.',
  },
  openingFront: {
    ...length('left', 150, 900, 406.4),
    label: 'Hub to front edge of the opening',
    how: 'Level from the middle of the hub forward to the edge of the opening.',
    why: 'Where the wheel sits in its opening.',
  },
  openingRear: {
    ...length('left', 150, 900, 406.4),
    label: 'Hub to rear edge of the opening',
    how: 'Level from the middle of the hub back to the edge of the opening.',
    why: 'With the front edge, how far the wheel is from the middle and which way.',
  },
  gapFender: {
    ...length('left', 0, 500, 50.8),
    tool: 'square',
    label: 'Tyre to fender',
    how: 'Sidewall to the inside of the lip, square across, straight above the hub.',
    why: 'Against tyre to frame it tells whether the body sits straight on its frame.',
  },
  gapFrame: {
    ...length('left', 0, 700, 127),
    tool: 'square',
    label: 'Tyre to frame',
    needed: true,
    how: 'Sidewall to the outside of the frame rail, square across, level with the hub.',
    why: 'Left less right, halved, is how far the axle sits off the middle.',
  },
  rideHeight: {
    ...length('left', 50, 1200, 431.8),
    label: 'Ride height',
    needed: true,
    how: 'Floor to the underside of the frame rail, straight above the axle.',
    why: 'The height the brackets are built to, and to come back to.',
  },
  frontHeight: {
    ...length('left', 50, 1200, 406.4),
    label: 'Frame height at the front',
    how: 'Floor to the underside of the rail, straight in from the front hub.',
    why: 'Against the rear: rake along, and twist of the frame across.',
  },
  tireWidth: {
    ...across('behind', 90, 600, 228.6),
    label: 'Tyre width',
    needed: true,
    how: 'Sidewall to sidewall, away from the bulge at the floor.',
    why: 'How much room the tyre takes.',
  },
  track: {
    ...across('behind', 700, 2600, 1447.8),
    label: 'Track',
    needed: true,
    how: 'Tread centre to tread centre, along the floor.',
    why: 'How wide the axle stands.',
  },
  insideTires: {
    ...across('behind', 400, 2300, 1219.2),
    label: 'Between the tyres',
    how: 'Inside sidewall to inside sidewall, level with the hubs.',
    why: 'Checks track, tyre width, frame and both gaps against each other.',
  },
  frameWidth: {
    ...across('under', 300, 2000, 965.2),
    label: 'Frame, outside to outside',
    how: 'Square across the rails, straight above the axle.',
    why: 'With the two gaps it must make up the room between the tyres.',
  },
  tubeDiameter: {
    ...across('under', 30, 250, 76.2),
    label: 'Axle tube diameter',
    needed: true,
    tool: 'calipers',
    how: 'Calipers, or a tape round the tube divided by 3.14.',
    why: 'Brackets, saddles and the stands are cut to it; the two T-square marks must be this far apart.',
  },
  axleToFrame: {
    ...length('under', 0, 700, 63.5),
    label: 'Axle tube to frame',
    how: 'Top of the tube straight up to the underside of the rail.',
    why: 'Ride height must be this, the tyre radius and half of the tube together.',
  },
  marksAcross: {
    ...across('under', 300, 2000, 965.2),
    label: 'Across the axle, mark to mark',
    how: 'From the split mark on one rail to the split mark on the other.',
    why: 'One side of the rectangle that the diagonals check.',
  },
  cover: {
    ...across('under', 60, 400, 165.1),
    label: 'Differential, centre to cover',
    needed: true,
    how: 'Middle of the axle tube back to the farthest face of the cover.',
    why: 'A bar across the car must clear it.',
  },
  bump: {
    ...across('under', 6, 500, 76.2),
    label: 'Travel up to the stop',
    needed: true,
    how: 'Axle to bump stop, car on its weight.',
    why: 'How far everything must clear on the way up.',
  },
  droop: {
    ...across('under', 6, 500, 76.2),
    label: 'Travel down',
    needed: true,
    how: 'How far the axle drops from ride height before strap or shock stops it.',
    why: 'How far everything must reach on the way down.',
  },
  railAngle: {
    ...angle('under', 20, NOSE),
    label: 'Frame rail, rake',
    sided: true,
    how: 'Gauge along the underside of the rail, where it is straight.',
    why: 'What pinion and transmission angles are compared with; left against right shows twist.',
  },
  transmissionAngle: {
    ...angle('under', 30, NOSE),
    label: 'Transmission angle',
    how: 'Gauge along the tailshaft housing, or square on the yoke and take off 90.',
    why: 'The joint at this end works through the angle between it and the shaft.',
  },
  pinionAngle: {
    ...angle('under', 30, NOSE),
    label: 'Pinion angle',
    how: 'Gauge square on the face of the yoke, or along a machined face of the housing.',
    why: 'Set at ride height; the two ends must cancel.',
  },
  weightFront: {
    ...length('scales', 50, 1500, 390),
    unit: 'weight',
    tool: 'scales',
    label: 'Weight, front wheel',
    how: 'All four scales level, car rolled on and settled, driver or ballast in.',
    why: 'The four together give the weight, its place, and what a twisted car hides.',
  },
  weightRear: {
    ...length('scales', 50, 1500, 330),
    unit: 'weight',
    tool: 'scales',
    label: 'Weight, rear wheel',
    how: 'Read with the front pair, nobody touching the car.',
    why: 'Loads on brackets and bars are reckoned from it.',
  },
};

/** What one datum is asked for: the axle's two marks on each side, the rectangle's other sides, and how it ties to the holes. */
function datumQuantities(datum: Datum): Record<DatumPart, Draft> {
  const { short, pair, way, standIn, name } = DATUMS[datum];
  const apart = Math.abs(standIn * way - DATUMS.holes.standIn);
  return {
    front: {
      ...length('under', 50, 4000, standIn - way * 38.1),
      label: `From the ${short}, to the mark at the front of the tube`,
      tool: 't-square',
      how: 'Square on the floor, blade up against the front of the axle tube; mark the rail, measure along it.',
      why: 'One edge of the tube. Split with the other, it is the middle of the axle.',
    },
    rear: {
      ...length('under', 50, 4000, standIn + way * 38.1),
      label: `From the ${short}, to the mark at the back of the tube`,
      tool: 't-square',
      how: 'The same with the blade against the back of the tube.',
      why: 'Splitting the two takes the width of tube and blade out of it.',
    },
    across: {
      ...across('under', 300, 2200, 965.2),
      label: `Across, between ${pair}`,
      how: `${name}: from the left one straight across to the right one.`,
      why: 'One side of the rectangle that the diagonals check.',
    },
    diagonal: {
      ...length('under', 300, 5000, Math.hypot(standIn, 965.2)),
      label: `Diagonal from the ${short} to the other side's split mark`,
      how: 'Corner to corner of the rectangle between this and the axle.',
      why: 'Equal diagonals: square. If not, by how much.',
    },
    tie: {
      ...length('under', 0, 5000, apart),
      label: `From the ${short} to the frame hole`,
      how: 'Along the rail, from one to the other.',
      why: 'Ties two datums together, so that one wrong reading can be told from the right ones.',
    },
    cross: {
      ...length('under', 50, 5000, Math.hypot(apart, 965.2)),
      label: `Diagonal from the ${short} to the other side's frame hole`,
      how: 'Corner to corner of the rectangle between the two datums.',
      why: 'With the other diagonals it shows which of them is the wrong one.',
    },
  };
}

/** What ties a datum to the holes makes no sense for the holes themselves. */
export const isAsked = (datum: Datum, part: string): boolean =>
  datum !== 'holes' || (part !== 'tie' && part !== 'cross');

const built = (key: QuantityKey, draft: Draft): Quantity => ({ key, ...draft });

/** Everything that can be read of a car, in no particular order: `plan.ts` says what this job wants, and when. */
export const QUANTITIES: Quantity[] = [
  ...(Object.keys(CAR) as CarKey[]).map((key) => built(key, CAR[key])),
  ...DATUM_NAMES.flatMap((datum) =>
    Object.entries(datumQuantities(datum))
      .filter(([part]) => isAsked(datum, part))
      .map(([part, draft]) => built(`${datum}.${part as DatumPart}`, draft)),
  ),
];

const BY_KEY = new Map(QUANTITIES.map((q) => [q.key, q]));

export function quantity(key: QuantityKey): Quantity {
  return BY_KEY.get(key)!;
}

/** Where readings of a quantity are kept: `track`, or `tireRadius.left`. */
export const readingKey = (key: QuantityKey, side?: Side): string => (side ? `${key}.${side}` : key);

export type Spot = { quantity: Quantity; side?: Side; key: string };

/** The places a quantity is read at: both sides, or one. */
export const spotsOf = (q: Quantity): Spot[] =>
  q.sided
    ? SIDES.map((side) => ({ quantity: q, side, key: readingKey(q.key, side) }))
    : [{ quantity: q, key: readingKey(q.key) }];

export const SPOTS: Spot[] = QUANTITIES.flatMap(spotsOf);
export const READING_KEYS: string[] = SPOTS.map((spot) => spot.key);
const SPOT_BY_KEY = new Map(SPOTS.map((spot) => [spot.key, spot]));

/** The spot whose readings are kept under a key; undefined where nothing is read under it. */
export const spotAt = (key: string): Spot | undefined => SPOT_BY_KEY.get(key);

/** What a spot is called: `Ride height, left`. */
export const spotName = ({ quantity, side }: Pick<Spot, 'quantity' | 'side'>): string =>
  side ? `${quantity.label}, ${side}` : quantity.label;
