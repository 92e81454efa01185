import type { Datum } from '@/core/survey/quantities/datums';
import { floorOf, isSound } from '@/core/survey/floor';
import type { Method } from '@/core/survey/network';
import {
  QUANTITIES,
  spotAt,
  spotsOf,
  type Quantity,
  type QuantityKey,
  type Spot,
} from '@/core/survey/quantities/quantities';
import { found, type Readings } from '@/core/survey/readings';
import { MEASURING_PLACES, type MeasuringPlace } from '@/core/survey/quantities/quantity';
import type { ToolName } from '@/core/survey/quantities/tools';
import type { AxleEnd } from '@/core/rig/schema';
import type { Ways } from '@/core/units/ways';
import { SIDES } from '@/core/geometry/side';

/** How this car is being measured. */
export type Approach = {
  method: Method;
  /** what the axle is measured from, and which of those is trusted */
  measuring: Datum[];
  datum: Datum;
  /** wheel scales are at hand */
  scales: boolean;
  /** only what the drawing needs: nothing to check it by */
  brief: boolean;
  /** the axle carries a driveshaft */
  driven: boolean;
  /** what holds it lengthwise, and whether a bar across holds it sideways */
  heldBy: 'links' | 'arms' | 'leaves';
  bar: boolean;
  end: AxleEnd;
};

/** One thing to be read, with the tool and the manner that suit the approach. */
export type Step = Spot & { tool: ToolName; how: string; wanted: 'needed' | 'check' };

const PLUMB: Partial<Record<string, string>> = {
  front:
    'Line dropped from the front of the tube and from the datum to the floor; measure between the two marks.',
  rear: 'The same from the back of the tube.',
};

/**
 * The measuring plan: everything this job wants read, in the order that walks round the car once.
 *
 * @param asked the key of a reading that is asked for beside it; of the scales all, since one tyre’s load by itself says nothing
 */
export function planOf(approach: Approach, asked?: string | null): Step[] {
  const also = asked ? spotAt(asked)?.quantity : undefined;
  const goesWith = (q: Quantity) => q.key === also?.key || (also?.place === 'scales' && q.place === 'scales');
  const wanted = QUANTITIES.filter((q) => isWanted(q, approach) || goesWith(q));
  return MEASURING_PLACES.flatMap((place) => {
    const here = wanted.filter((q) => q.place === place || (place === 'right' && q.place === 'left'));
    const spots = here.flatMap(spotsOf).filter((spot) => placeOf(spot) === place);
    // Underneath, everything on one side before rolling over to the other.
    const bySide = [undefined, ...SIDES].flatMap((side) => spots.filter((s) => s.side === side));
    return (place === 'under' ? bySide : spots).map((spot) => toStep(spot, approach));
  });
}

/** Where a spot is read: what is sided outside is read on its own side. */
const placeOf = ({ quantity, side }: Spot): MeasuringPlace =>
  quantity.place === 'left' && side === 'right' ? 'right' : quantity.place;

function isWanted(q: Quantity, { method, measuring, scales, driven, brief }: Approach): boolean {
  if (brief) return q.needed;
  const [datum, part] = q.key.split('.') as [Datum, string | undefined];
  if (part === 'tie' || part === 'cross') return measuring.includes(datum) && measuring.includes('holes');
  if (part) return measuring.includes(datum);
  if (q.key === 'marksAcross') return measuring.length > 0;
  if (q.place === 'floor') return method === 'plumb-bob' || driven;
  if (q.place === 'scales') return scales;
  if (q.key === 'pinionAngle' || q.key === 'transmissionAngle') return driven;
  return true;
}

/** Where a yoke points, by the words that Locate and Ride have for it; both count down to the front of the car. */
const YOKE_WAYS: Record<AxleEnd, Partial<Record<QuantityKey, Ways>>> = {
  rear: { transmissionAngle: ['tail up', 'tail down'], pinionAngle: ['nose down', 'nose up'] },
  front: { transmissionAngle: ['output down', 'output up'], pinionAngle: ['nose up', 'nose down'] },
};

function toStep(spot: Spot, { method, end }: Approach): Step {
  const ways = YOKE_WAYS[end][spot.quantity.key];
  const quantity = ways ? { ...spot.quantity, ways } : spot.quantity;
  const part = quantity.key.split('.')[1] ?? '';
  const dropped = method === 'plumb-bob' ? PLUMB[part] : undefined;
  return {
    ...spot,
    quantity,
    tool: dropped ? 'plumb-bob' : quantity.tool,
    how: dropped ?? quantity.how,
    wanted: quantity.needed ? 'needed' : 'check',
  };
}

/** What the model is drawn from and has not been read: on either side where it is sided. */
export const stillNeeded = (readings: Readings): QuantityKey[] =>
  QUANTITIES.filter((q) => q.needed && spotsOf(q).some((s) => !found(readings, q.key, s.side))).map(
    (q) => q.key,
  );

/** Whether lines may be dropped to this floor: only on a level one, or one whose slope is known and small. */
export const mayDropLines = (readings: Readings): boolean => {
  const floor = floorOf(readings);
  return floor !== null && isSound(floor);
};
