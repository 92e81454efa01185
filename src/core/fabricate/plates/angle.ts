import { bendAllowance } from './bendAllowance';
import { hole, line, LOOSE, outline, rectangle, type Drawing, type Place } from '@/core/fabricate/drawing';
import { MM_PER_INCH } from '@/core/units/tape';

/**
 * An angle that a sway bar's strap stands on, folded from plate, mm: how wide its two legs are outside, the one under the strap and the one
 * against what it is bolted to; its thickness and the inside radius of its fold; what is left of it past its bolts; how far apart these
 * stand in both legs, and how thick they are; how wide the strap on it is.
 */
export type Angle = {
  under: number;
  against: number;
  thickness: number;
  bend: number;
  edge: number;
  apart: number;
  bolt: number;
  strap: number;
};

/** How wide a leg is flat, from where the fold ends, mm. */
const flatOf = ({ thickness, bend }: Angle, leg: number): number => leg - thickness - bend;

/** How long and how wide an angle is before it is folded, mm. */
export const angleSizes = (angle: Angle): { length: number; flat: number } => ({
  length: angle.apart + 2 * angle.edge,
  flat:
    flatOf(angle, angle.under) + bendAllowance(angle.bend, angle.thickness) + flatOf(angle, angle.against),
});

/** Why an angle cannot be made: its strap does not lie flat on its leg, its other leg or its ends are too short for a bolt. */
export function angleFault(angle: Angle): 'under' | 'against' | 'edge' | null {
  if (flatOf(angle, angle.under) < angle.strap) return 'under';
  if (flatOf(angle, angle.against) < 2 * angle.bolt) return 'against';
  return angle.edge < angle.bolt ? 'edge' : null;
}

/** An angle laid flat, its length along x, the leg under the strap below: bolts in the middle of what is flat of each leg, and its fold. */
export function angleDrawing(angle: Angle): Drawing {
  const { edge, apart, bolt, bend, thickness } = angle;
  const { length, flat } = angleSizes(angle);
  const under = flatOf(angle, angle.under);
  const fold = under + bendAllowance(bend, thickness) / 2;
  const rows = [under / 2, flat - flatOf(angle, angle.against) / 2];
  const holes = rows.flatMap((y) => [edge, edge + apart].map((x): Place => [x, y]));
  return {
    paths: [
      ...outline(rectangle([0, 0], [length, flat])),
      line('SCRIBE', [length / 2, 0], [length / 2, flat]),
      line('BEND', [0, fold], [length, fold]),
      ...holes.flatMap((at) => hole(at, bolt + LOOSE)),
    ],
    words: [{ at: [length / 2, fold + 5], text: 'up' }],
  };
}

/** What is cut round a drill sheet's marks, mm. */
const MARGIN = MM_PER_INCH / 2;

/**
 * A paper that the two bolts of a strap are drilled by, at its own size, the car's length along x: its bolts so far apart, the bar's middle
 * line, and the middle of the strap, so wide.
 */
export function drillSheet(apart: number, width: number, bolt: number): Drawing {
  const [x, y] = [apart / 2 + bolt + MARGIN, width / 2 + MARGIN];
  return {
    paths: [
      ...outline(rectangle([-x, -y], [x, y])),
      line('SCRIBE', [0, -y], [0, y]),
      line('SCRIBE', [-x, 0], [x, 0]),
      ...[-apart / 2, apart / 2].flatMap((at) => hole([at, 0], bolt + LOOSE)),
    ],
    words: [],
  };
}
