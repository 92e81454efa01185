import { DATUMS, type Datum } from './datums';
import { across, length, type QuantityFacts } from './quantity';

export const DATUM_PARTS = ['front', 'rear', 'across', 'diagonal', 'tie', 'cross'] as const;
export type DatumPart = (typeof DATUM_PARTS)[number];

/** What one datum is asked for: the axle's two marks on each side, the rectangle's other sides, and how it ties to the holes. */
export function datumQuantities(datum: Datum): Record<DatumPart, QuantityFacts> {
  const { short, pair, towards, standIn } = DATUMS[datum];
  const apart = Math.abs(standIn * towards - DATUMS.holes.standIn);
  return {
    front: {
      ...length('under', 50, 4000, standIn - towards * 38.1),
      label: `From the ${short}, to the mark at the front of the tube`,
      tool: 't-square',
      how: 'Square on the floor, blade up against the front of the axle tube; mark the rail, measure along it.',
      why: 'One edge of the tube. Split with the other, it is the middle of the axle.',
    },
    rear: {
      ...length('under', 50, 4000, standIn + towards * 38.1),
      label: `From the ${short}, to the mark at the back of the tube`,
      tool: 't-square',
      how: 'The same with the blade against the back of the tube.',
      why: 'Splitting the two takes the width of tube and blade out of it.',
    },
    across: {
      ...across('under', 300, 2200, 965.2),
      label: `Across, between ${pair}`,
      how: 'From the left one straight across to the right one.',
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
