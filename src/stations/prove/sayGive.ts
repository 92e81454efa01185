import { MM_PER_INCH, type Tape } from '@/core/units/tape';

/** How far something gives, in thousandths of an inch or hundredths of a millimetre. */
export const sayGive = (mm: number, tape: Tape): string =>
  tape === 'mm' ? `${mm.toFixed(2)} mm` : `${(mm / MM_PER_INCH).toFixed(3)} in`;
