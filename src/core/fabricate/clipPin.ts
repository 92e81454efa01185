import { boltSystem } from '@/core/materials/boltSize';
import { coarsePitch } from '@/core/materials/threads';
import { MM_PER_INCH } from '@/core/units/tape';
import { NUT, OUT, WASHER, type Stack } from './boltStack';
import { line, outline, rectangle, ring, through, type Drawing, type Place } from './drawing';

/**
 * A pin that a clip through its end holds, mm: with a head where it goes through two plates; with a shoulder and a threaded tail through the
 * one plate that it stands out of. From under head or shoulder to the middle of the clip's hole, and to its end; the hole; what its head or
 * shoulder is across and how thick; its tail.
 */
export type ClipPin = {
  kind: 'pin' | 'stud';
  diameter: number;
  toHole: number;
  length: number;
  hole: number;
  collar: { od: number; thick: number };
  tail: number;
};

/** Holes for a split pin or clip by the pin's diameter, mm (ASME B18.8.1 and ISO 2341, clevis pins, from memory). */
const HOLES = {
  inch: [
    [5 / 16, 5 / 64],
    [7 / 16, 7 / 64],
    [5 / 8, 9 / 64],
    [Infinity, 11 / 64],
  ].map(([to, hole]) => ({ to: to! * MM_PER_INCH, hole: hole! * MM_PER_INCH })),
  mm: [
    { to: 8, hole: 2 },
    { to: 12, hole: 3.2 },
    { to: 16, hole: 4 },
    { to: 22, hole: 5 },
    { to: Infinity, hole: 6.3 },
  ],
};

/** In diameters of the pin: a head or shoulder, across and thick; of the hole: from its middle to the end (common practice, no published source). */
const COLLAR = { od: 1.5, thick: 0.3 };
const TO_END = 1.75;
/** So loose is what a clip holds, mm. */
const PLAY = MM_PER_INCH / 32;

/** The pin for a stack, with a washer under its clip and, of a stud, one on its shoulder. */
export function clipPinFor({ bolt: diameter, plate, planes, middle, spacer }: Stack): ClipPin {
  const washer = WASHER * diameter;
  const hole = HOLES[boltSystem(diameter)].find(({ to }) => diameter <= to + 0.1)!.hole;
  const isStud = planes === 1;
  const held = middle + 2 * spacer + (isStud ? 2 * washer : 2 * plate + washer);
  const toHole = held + PLAY + hole / 2;
  return {
    kind: isStud ? 'stud' : 'pin',
    diameter,
    toHole,
    length: toHole + TO_END * hole,
    hole,
    collar: { od: COLLAR.od * diameter, thick: COLLAR.thick * diameter },
    // Through its plate, a washer, a locking nut and the threads that stand out of it.
    tail: isStud ? plate + washer + NUT * diameter + OUT * coarsePitch(diameter) : 0,
  };
}

/** What is left round a drawing on its paper, mm. */
const MARGIN = MM_PER_INCH / 2;

/** A pin at its own size, seen so that its hole is round; its tail to the left, mm from under head or shoulder. */
export function clipPinDrawing({ diameter: d, toHole, length, hole, collar, tail }: ClipPin): Drawing {
  const left = -collar.thick - tail;
  const y = collar.od / 2 + MARGIN;
  const box = (from: number, to: number, wide: number) => {
    const corners = rectangle([from, -wide / 2], [to, wide / 2]);
    return through('SCRIBE', [...corners, corners[0]!] as Place[]);
  };
  return {
    paths: [
      ...outline(rectangle([left - MARGIN, -y], [length + MARGIN, y])),
      ...box(0, length, d),
      ...box(-collar.thick, 0, collar.od),
      ...(tail > 0 ? box(left, -collar.thick, d) : []),
      line('SCRIBE', [left, 0], [length, 0]),
      ring('DRILL', [toHole, 0], hole / 2),
    ],
    words: [],
  };
}
