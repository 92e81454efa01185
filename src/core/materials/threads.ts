import { MM_PER_INCH } from '@/core/units/tape';

const unified = (inches: number, perInch: number) => ({
  diameter: inches * MM_PER_INCH,
  pitch: MM_PER_INCH / perInch,
});
const metric = (diameter: number, pitch: number) => ({ diameter, pitch });

/** Fine threads of rod ends, mm (ASME B1.1, UNF series, and 1-14 UNS; metric fine, ISO 261; from memory). */
export const THREADS = {
  '3/8-24': unified(3 / 8, 24),
  '7/16-20': unified(7 / 16, 20),
  '1/2-20': unified(1 / 2, 20),
  '5/8-18': unified(5 / 8, 18),
  '3/4-16': unified(3 / 4, 16),
  '7/8-14': unified(7 / 8, 14),
  '1-12': unified(1, 12),
  '1-14': unified(1, 14),
  '1 1/8-12': unified(1 + 1 / 8, 12),
  '1 1/4-12': unified(1 + 1 / 4, 12),
  'M12x1.25': metric(12, 1.25),
  'M14x1.5': metric(14, 1.5),
  'M16x1.5': metric(16, 1.5),
  'M18x1.5': metric(18, 1.5),
  'M20x1.5': metric(20, 1.5),
  'M22x1.5': metric(22, 1.5),
  M24x2: metric(24, 2),
} as const;

/** Coarse threads of bolts: diameter and pitch, mm (ASME B1.1, UNC series; ISO 261; from memory). */
const COARSE = [
  ...(
    [
      [3 / 8, 16],
      [7 / 16, 14],
      [1 / 2, 13],
      [9 / 16, 12],
      [5 / 8, 11],
      [3 / 4, 10],
      [7 / 8, 9],
      [1, 8],
    ] as const
  ).map(([inches, perInch]) => unified(inches, perInch)),
  ...(
    [
      [10, 1.5],
      [12, 1.75],
      [14, 2],
      [16, 2],
      [18, 2.5],
      [20, 2.5],
      [22, 2.5],
      [24, 3],
    ] as const
  ).map(([diameter, pitch]) => metric(diameter, pitch)),
];

/** The coarse pitch of a bolt, mm: that of the standard size nearest to it, which of all its threads leaves the least steel. */
export const coarsePitch = (diameter: number): number =>
  [...COARSE].sort((a, b) => Math.abs(a.diameter - diameter) - Math.abs(b.diameter - diameter))[0]!.pitch;

export type ThreadName = keyof typeof THREADS;
export const THREAD_NAMES = Object.keys(THREADS) as [ThreadName, ...ThreadName[]];

/** Change of length (mm) of one turn of a tube with a left-hand thread at one end and a right-hand one at the other. */
export const lengthPerTurn = (thread: ThreadName): number => 2 * THREADS[thread].pitch;
