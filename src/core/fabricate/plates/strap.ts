import { bendAllowance } from './bendAllowance';
import { hole, line, LOOSE, outline, rectangle, type Drawing, type Place } from '@/core/fabricate/drawing';

/**
 * A strap over a sway bar's bushing, mm: the bushing as wide and as high as it stands, and how far the strap squeezes it; how round its
 * top is; the strap's thickness and width, the inside radius of its bends, its feet from the side's face outward, and the bolts through
 * them.
 */
export type Strap = {
  wide: number;
  high: number;
  squeeze: number;
  round: number;
  thickness: number;
  width: number;
  bend: number;
  foot: number;
  bolt: number;
};

/** One stretch of a strap's flat, mm, straight or a quarter turn; which way it turns, seen from the outside of the strap. */
type Stretch = { mm: number; turn: 'up' | 'down' | null };

/** A strap laid flat, from the end of one foot to the end of the other. */
function stretches({ wide, high, squeeze, round, thickness, bend, foot }: Strap): Stretch[] {
  const top = Math.min(round, wide / 2);
  const side = high - squeeze - top - thickness - bend;
  const half: Stretch[] = [
    { mm: foot - bend, turn: null },
    { mm: bendAllowance(bend, thickness), turn: 'up' },
    { mm: side, turn: null },
    { mm: bendAllowance(top, thickness), turn: 'down' },
  ];
  return [...half, { mm: wide - 2 * top, turn: null }, ...half.toReversed()];
}

/** How long a strap is flat; how far apart its bolts are on the car, mm. */
export function strapSizes(strap: Strap): { flat: number; apart: number } {
  const { wide, thickness, foot } = strap;
  return {
    flat: stretches(strap).reduce((sum, { mm }) => sum + mm, 0),
    apart: wide + 2 * thickness + foot,
  };
}

/** Why a strap cannot be made: its feet end within their bends, or its sides are shorter than what their bends take. */
export function strapFault(strap: Strap): 'foot' | 'side' | null {
  const [foot, , side] = stretches(strap) as [Stretch, Stretch, Stretch];
  if (foot.mm < strap.bolt / 2) return 'foot';
  return side.mm < 0 ? 'side' : null;
}

/** A strap laid flat, its length along x from the end of one foot: its bolts, and the middle of each bend with the way it goes. */
export function strapDrawing(strap: Strap): Drawing {
  const { width, foot, bolt } = strap;
  const { flat } = strapSizes(strap);
  let from = 0;
  const bends = stretches(strap).flatMap(({ mm, turn }) => {
    const x = from + mm / 2;
    from += mm;
    return turn ? [{ x, turn }] : [];
  });
  const holes = [foot / 2, flat - foot / 2].map((x): Place => [x, width / 2]);
  return {
    paths: [
      ...outline(rectangle([0, 0], [flat, width])),
      line('SCRIBE', [0, width / 2], [flat, width / 2]),
      ...bends.map(({ x }) => line('BEND', [x, 0], [x, width])),
      ...holes.flatMap((at) => hole(at, bolt + LOOSE)),
    ],
    words: bends.map(({ x, turn }) => ({ at: [x, width + 5], text: turn })),
  };
}
