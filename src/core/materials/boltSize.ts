import { formatLength } from '@/core/units/length';
import { MM_PER_INCH } from '@/core/units/tape';

/** How far a diameter may be from a size that bolts are made in and still be it, mm: as a tape in millimetres shows one of inches. */
const SAME = 0.06;
const STEP = MM_PER_INCH / 16;

const isWithin = (mm: number, step: number): boolean => Math.abs(mm - Math.round(mm / step) * step) < SAME;

/** Metric sizes that bolts are made in, mm (ISO 261, first and second choice, from memory). */
const METRIC = [5, 6, 8, 10, 12, 14, 16, 18, 20, 22, 24, 27, 30];

/** What a bolt, mm, is made and sold by: inches where its diameter is so many sixteenths and no metric size, else millimetres. */
export const boltSystem = (diameter: number): 'inch' | 'mm' =>
  isWithin(diameter, STEP) && !METRIC.includes(diameter) ? 'inch' : 'mm';

const inches = (mm: number): string => formatLength(mm, 'in16');
const millimetres = (mm: number): string => String(Number(mm.toFixed(1)));

/** A bolt's size, of a diameter in mm, as it is asked for over the counter: `5/8 in` or `M16`. */
export const sayBolt = (diameter: number): string =>
  boltSystem(diameter) === 'inch' ? `${inches(diameter)} in` : `M${millimetres(diameter)}`;

/** The same with its length, mm: `5/8 × 2 3/4 in` or `M16 × 70`. */
export const sayBoltBy = (diameter: number, length: number): string =>
  boltSystem(diameter) === 'inch'
    ? `${inches(diameter)} × ${inches(length)} in`
    : `M${millimetres(diameter)} × ${millimetres(length)}`;

/** A drill's size, mm, as it is asked for over the counter: `9/64 in` or `3.2 mm`. */
export function sayDrill(mm: number, system: 'inch' | 'mm'): string {
  if (system === 'mm') return `${millimetres(mm)} mm`;
  const halvings = [64, 32, 16, 8, 4, 2, 1];
  const parts = halvings.findLast((of) => isWithin(mm, MM_PER_INCH / of)) ?? 64;
  return `${Math.round((mm / MM_PER_INCH) * parts)}/${parts} in`;
}
