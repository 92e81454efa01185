import { boltSystem } from '@/core/materials/boltSize';
import { coarsePitch } from '@/core/materials/threads';
import { MM_PER_INCH } from '@/core/units/tape';
import { toDegrees } from '@/core/geometry/angle';
import type { IPath } from 'makerjs';
import {
  arc,
  hole,
  line,
  LOOSE,
  outline,
  rectangle,
  through,
  type Drawing,
  type Place,
} from '@/core/fabricate/drawing';

/**
 * A plate that clamps a leaf spring to a round axle tube, mm: the tube's diameter; the spring's width and how thick its pack is at the seat;
 * the pad between the two; the plate and what is left of it round its holes; the U-bolts, the head of the centring pin, and how far the axle
 * is to be set to and fro on it; an ear for a stud or the boss of a link, by its hole: ahead of the pin, and out from the car's middle.
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
  ear: { ahead: number; out: number; hole: number } | null;
};

/** Where the legs of both U-bolts go through, mm from the pin: either side of the tube, either side of the spring. */
export function legsOf({ tube, leafWidth, uBolt }: SpringPlate): Place[] {
  const [x, y] = [(tube + uBolt) / 2, (leafWidth + uBolt) / 2];
  return rectangle([-x, -y], [x, y]);
}

/** Half of the plate along the car and across it, without its ear, mm. */
export const halfPlate = (of: SpringPlate): Place =>
  legsOf(of)[2]!.map((v) => v + (of.uBolt + LOOSE) / 2 + of.edge) as [number, number];

/** The hole of the ear on the left plate as it is drawn, mm. */
export const earAt = ({ ahead, out }: NonNullable<SpringPlate['ear']>): Place => [ahead, -out];

/** Why an ear cannot be: its hole leaves no steel beside a U-bolt's, or lies where the spring is clamped; null where it can. */
export function earFault(of: SpringPlate): 'at-u-bolt' | 'under-spring' | null {
  const { ear, uBolt, edge, tube, leafWidth } = of;
  if (!ear) return null;
  const [x, y] = earAt(ear);
  const least = (ear.hole + uBolt + LOOSE) / 2 + edge;
  if (legsOf(of).some((leg) => Math.hypot(leg[0] - x, leg[1] - y) < least)) return 'at-u-bolt';
  const under = Math.abs(y) < (leafWidth + ear.hole) / 2 && Math.abs(x) < (tube + uBolt) / 2;
  return under ? 'under-spring' : null;
}

/** A straight line that touches a disc at an angle, and the corner that it goes on from. */
type Touch = { corner: number; angle: number };

/** An arc shorter than this breaks an outline for those who read the file, mm: what stands out by it is no ear. */
const NO_ARC = 0.03;

/** The least outline round a rectangle and a disc: the disc's arcs where it stands out, and straight lines from them to the corners they touch. */
function outlineRound(corners: Place[], [x, y]: Place, radius: number): IPath[] {
  const turn = (from: number, to: number): number => (((to - from) % FULL) + FULL) % FULL;
  const touches = (way: 1 | -1): Touch[] =>
    corners.flatMap((corner, i) => {
      const [dx, dy] = [x - corner[0], y - corner[1]];
      const far = Math.hypot(dx, dy);
      if (far <= radius) return [];
      const angle = Math.atan2(dy, dx) + way * Math.acos(-radius / far);
      // A line along the outline has its corner farthest out.
      const out = ([px, py]: Place) => px * Math.cos(angle) + py * Math.sin(angle);
      return corners.every((other) => out(other) <= out(corner) + 1e-9) ? [{ corner: i, angle }] : [];
    });
  const ends = touches(1);
  const arcs = touches(-1)
    .flatMap((from) => {
      const [to] = ends.toSorted((a, b) => turn(from.angle, a.angle) - turn(from.angle, b.angle));
      return to && radius * turn(from.angle, to.angle) > NO_ARC ? [{ from, to }] : [];
    })
    .sort((a, b) => a.from.angle - b.from.angle);
  if (arcs.length === 0) return outline(corners);
  const at = (angle: number): Place => [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  return arcs.flatMap(({ from, to }, k) => {
    const next = arcs[(k + 1) % arcs.length]!.from;
    const along = (next.corner - to.corner + corners.length) % corners.length;
    const passed = Array.from({ length: along + 1 }, (_, i) => corners[(to.corner + i) % corners.length]!);
    return [
      arc('CUT', [x, y], radius, toDegrees(turn(0, from.angle)), toDegrees(turn(0, to.angle))),
      ...through('CUT', [at(to.angle), ...passed, at(next.angle)]),
    ];
  });
}
const FULL = 2 * Math.PI;

/** Words stand so far out from the pin, as a share of the way to the edge. */
const SIGN = 0.62;

/**
 * The plate from below, the car's front to the right, mm from the pin: four holes, and the pin's, drawn out to a slot where the axle is set
 * on it. With an ear it is that of the left side; the right one is the same turned over.
 */
export function springPlateDrawing(of: SpringPlate): Drawing {
  const { uBolt, edge, pin, trim, ear } = of;
  const diameter = uBolt + LOOSE;
  const legs = legsOf(of);
  const [x, y] = halfPlate(of);
  const plain = rectangle([-x, -y], [x, y]);
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
      ...(ear ? outlineRound(plain, earAt(ear), ear.hole / 2 + edge) : outline(plain)),
      // The middle of the tube, and of the spring.
      line('SCRIBE', [0, -y], [0, y]),
      line('SCRIBE', [-x, 0], [x, 0]),
      ...legs.flatMap((leg) => hole(leg, diameter)),
      ...slot,
      ...(ear ? hole(earAt(ear), ear.hole) : []),
    ],
    // Which way round it goes on matters where it has an ear.
    words: ear
      ? [
          { at: [SIGN * x, 3], text: 'front' },
          { at: [0, SIGN * y], text: 'inboard' },
        ]
      : [],
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
