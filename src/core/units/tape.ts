/**
 * How lengths are shown: on a tape in sixteenths or thirty-seconds of an inch, or in millimetres.
 * The core, the files and the solver only ever see millimetres.
 */
export const TAPES = ['in16', 'in32', 'mm'] as const;
export type Tape = (typeof TAPES)[number];

export const MM_PER_INCH = 25.4;

/** Smallest division of a tape, in mm: what one line of it is worth. */
export function division(tape: Tape): number {
  if (tape === 'mm') return 1;
  return MM_PER_INCH / (tape === 'in16' ? 16 : 32);
}

/** What bolts, plate and tube are sold by where a tape is used. */
export const systemOf = (tape: Tape): 'inch' | 'mm' => (tape === 'mm' ? 'mm' : 'inch');

/** The next finer tape, for means of several readings. */
export const finer = (tape: Tape): Tape => (tape === 'in16' ? 'in32' : tape);

/** The next line of the tape at or above `mm`, and the last at or below it. */
export const upToLine = (mm: number, tape: Tape): number =>
  Math.ceil(mm / division(tape) - 1e-9) * division(tape);
export const downToLine = (mm: number, tape: Tape): number =>
  Math.floor(mm / division(tape) + 1e-9) * division(tape);

/** The length nearest to `mm` that lies on a line of the tape. */
export function snap(mm: number, tape: Tape): number {
  const step = division(tape);
  return Math.round(mm / step) * step;
}
