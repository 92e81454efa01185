import { MM_PER_INCH } from '@/core/units/tape';

/** Fine threads of rod ends, by diameter and threads per inch (ASME B1.1, UNF series; from memory). */
export const THREADS = {
  '1/2-20': { diameter: 0.5 * MM_PER_INCH, pitch: MM_PER_INCH / 20 },
  '5/8-18': { diameter: 0.625 * MM_PER_INCH, pitch: MM_PER_INCH / 18 },
  '3/4-16': { diameter: 0.75 * MM_PER_INCH, pitch: MM_PER_INCH / 16 },
  '7/8-14': { diameter: 0.875 * MM_PER_INCH, pitch: MM_PER_INCH / 14 },
} as const;

export type ThreadName = keyof typeof THREADS;
export const THREAD_NAMES = Object.keys(THREADS) as [ThreadName, ...ThreadName[]];

/** Change of length (mm) of one turn of a tube with a left-hand thread at one end and a right-hand one at the other. */
export const lengthPerTurn = (thread: ThreadName): number => 2 * THREADS[thread].pitch;
