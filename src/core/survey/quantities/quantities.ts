import { CAR, type CarKey } from './carQuantities';
import { datumQuantities, isAsked, type DatumPart } from './datumQuantities';
import { DATUM_NAMES, type Datum } from './datums';
import type { QuantityFacts } from './quantity';
import { SIDES, type Side } from '@/core/geometry/side';

export type QuantityKey = CarKey | `${Datum}.${DatumPart}`;
export type Quantity = QuantityFacts & { key: QuantityKey };

const built = (key: QuantityKey, asked: QuantityFacts): Quantity => ({ key, ...asked });

/** Everything that can be read of a car, in no particular order: `plan.ts` says what this job wants, and when. */
export const QUANTITIES: Quantity[] = [
  ...(Object.keys(CAR) as CarKey[]).map((key) => built(key, CAR[key])),
  ...DATUM_NAMES.flatMap((datum) =>
    Object.entries(datumQuantities(datum))
      .filter(([part]) => isAsked(datum, part))
      .map(([part, asked]) => built(`${datum}.${part as DatumPart}`, asked)),
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
