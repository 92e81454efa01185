import { boltSystem } from '@/core/materials/boltSize';
import { coarsePitch } from '@/core/materials/threads';
import { MM_PER_INCH } from '@/core/units/tape';
import { hole, line, LOOSE, outline, rectangle, type Drawing, type Place } from '@/core/fabricate/drawing';

/**
 * A plate that clamps a leaf spring to a round axle tube, mm: the tube's diameter; the spring's width and how thick its pack is at the seat;
 * the pad between the two; the plate and what is left of it round its holes; the U-bolts, the head of the centring pin, and how far the axle
 * is to be set to and fro on it.
 */
export type SpringPlate = {
  tube: number;
  leafWidth: number;
  pack: number;
  pad: number;
  plate: number;
  edge: number;
  uBolt: number;
  pin: number;
  trim: number;
};

/** Where the legs of both U-bolts go through, mm from the pin: either side of the tube, either side of the spring. */
export function legsOf({ tube, leafWidth, uBolt }: SpringPlate): Place[] {
  const [x, y] = [(tube + uBolt) / 2, (leafWidth + uBolt) / 2];
  return rectangle([-x, -y], [x, y]);
}

/** The plate from below, the car's front to the right, mm from the pin: four holes, and the pin's, drawn out to a slot where the axle is set on it. */
export function springPlateDrawing(of: SpringPlate): Drawing {
  const { uBolt, edge, pin, trim } = of;
  const diameter = uBolt + LOOSE;
  const legs = legsOf(of);
  const [x, y] = legs[2]!.map((v) => v + diameter / 2 + edge) as [number, number];
  const pinHole = pin + LOOSE;
  const slot =
    trim > 0
      ? [
          ...hole([-trim, 0], pinHole),
          ...hole([trim, 0], pinHole),
          line('DRILL', [-trim, pinHole / 2], [trim, pinHole / 2]),
          line('DRILL', [-trim, -pinHole / 2], [trim, -pinHole / 2]),
        ]
      : hole([0, 0], pinHole);
  return {
    paths: [
      ...outline(rectangle([-x, -y], [x, y])),
      // The middle of the tube, and of the spring.
      line('SCRIBE', [0, -y], [0, y]),
      line('SCRIBE', [-x, 0], [x, 0]),
      ...legs.flatMap((leg) => hole(leg, diameter)),
      ...slot,
    ],
    words: [],
  };
}

/** A hardened washer and a deep nut, in diameters, and threads that stand out of it (common practice, no published source). */
const WASHER = 0.2;
const DEEP_NUT = 1.1;
const OUT = 3;

/** Lengths that U-bolts are made in, mm: by the eighth of an inch, or by five. */
const STEP = { inch: MM_PER_INCH / 8, mm: 5 };

/** A U-bolt round the tube, mm: between its legs, and from inside its bend to the ends of its legs, at least; how much of them is thread. */
export function uBoltFor({ tube, pad, pack, plate, uBolt }: SpringPlate): {
  inside: number;
  length: number;
  thread: number;
} {
  const step = STEP[boltSystem(uBolt)];
  const nut = (WASHER + DEEP_NUT) * uBolt + OUT * coarsePitch(uBolt);
  // Enough thread to draw the pack together from half as thick again.
  const up = (mm: number) => Math.ceil(mm / step - 1e-9) * step;
  return { inside: tube, length: up(tube + pad + pack + plate + nut), thread: up(nut + pack / 2) };
}
