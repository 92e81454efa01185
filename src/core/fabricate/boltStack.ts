import { boltSystem } from '@/core/materials/boltSize';
import { coarsePitch } from '@/core/materials/threads';
import { MM_PER_INCH } from '@/core/units/tape';

/** What a bolt goes through, mm: its diameter, each plate, how many of them, what is between them, and a spacer on each side of that. */
export type Stack = { bolt: number; plate: number; planes: 1 | 2; middle: number; spacer: number };

/**
 * A bolt for a stack, mm: what it clamps with a washer under head and nut; its standard length; how much of its end is thread; how far its
 * plain shank goes past the last place where it is sheared; and how many more washers the nut wants so that it does not run out of thread.
 */
export type BoltChoice = {
  grip: number;
  length: number;
  thread: number;
  plainPast: number;
  extraWashers: number;
};

/** A washer under head and nut, and a locking nut, in diameters; threads that stand out of a nut (common practice, no published source). */
export const WASHER = 0.16;
export const NUT = 0.95;
export const OUT = 2;

/** Lengths that bolts are sold in, mm: by the quarter inch, or by five. */
const STEP = { inch: MM_PER_INCH / 4, mm: 5 };

/** Length of thread at the end of a bolt, mm: 2d + 1/4 in to 6 in long, 2d + 1/2 in past it (ASME B18.2.1); 2d + 6 to 125 mm, 2d + 12 past it (ISO 4014). From memory. */
function threadLength(bolt: number, length: number, system: 'inch' | 'mm'): number {
  if (system === 'mm') return 2 * bolt + (length <= 125 ? 6 : 12);
  return 2 * bolt + (length <= 6 * MM_PER_INCH ? MM_PER_INCH / 4 : MM_PER_INCH / 2);
}

/** Longer than this no bolt of a stack is looked for, in steps. */
const MOST_STEPS = 40;

/**
 * The shortest standard bolt that goes through a stack with its washers, a locking nut and two threads to spare, and whose thread begins
 * past the last plane in which it is sheared.
 */
export function boltFor({ bolt, plate, planes, middle, spacer }: Stack): BoltChoice {
  const system = boltSystem(bolt);
  const washer = WASHER * bolt;
  const grip = planes * plate + middle + 2 * spacer + 2 * washer;
  const needed = grip + NUT * bolt + OUT * coarsePitch(bolt);
  // From the head: a washer, a plate, and what stands between it and the last plane in which the bolt is sheared.
  const lastPlane = washer + plate + (planes === 2 ? middle + 2 * spacer : 0);
  const first = Math.ceil(needed / STEP[system] - 1e-9);
  const lengths = Array.from({ length: MOST_STEPS }, (_, i) => (first + i) * STEP[system]);
  const plain = (length: number) => length - Math.min(length, threadLength(bolt, length, system));
  const length = lengths.find((mm) => plain(mm) >= lastPlane - 1e-9) ?? lengths.at(-1)!;
  return {
    grip,
    length,
    thread: length - plain(length),
    plainPast: plain(length) - lastPlane,
    extraWashers: Math.max(0, Math.ceil((plain(length) - grip) / washer - 1e-9)),
  };
}
