import { MM_PER_INCH } from '@/core/units/tape';

/** Common stock of round bar and tube by inch sizes: diameter and wall, mm; null: solid. Standard sizes, from memory. */
export const STOCK: { od: number; wall: number | null }[] = [
  ...[5 / 8, 11 / 16, 3 / 4, 13 / 16, 7 / 8, 15 / 16, 1, 17 / 16, 9 / 8, 5 / 4, 11 / 8, 3 / 2].map(
    (inch) => ({
      od: inch * MM_PER_INCH,
      wall: null,
    }),
  ),
  ...(
    [
      [1, 0.12],
      [1, 0.188],
      [1.25, 0.12],
      [1.25, 0.188],
      [1.25, 0.25],
      [1.5, 0.12],
      [1.5, 0.188],
      [1.5, 0.25],
      [1.75, 0.12],
      [2, 0.12],
      [2, 0.25],
    ] as const
  ).map(([od, wall]) => ({ od: od * MM_PER_INCH, wall: wall * MM_PER_INCH })),
];

const inches = (sizes: number[]): number[] => sizes.map((n) => n * MM_PER_INCH);

/** Round tubes that bars are made of, mm, the lightest first. */
export const TUBES: { od: number; wall: number }[] = STOCK.filter(
  (s): s is { od: number; wall: number } => s.wall !== null,
).sort((a, b) => (a.od - a.wall) * a.wall - (b.od - b.wall) * b.wall);

/** Rectangular tubes that crossmembers are made of, mm, the lightest first: high, wide and wall. Standard sizes, from memory. */
export const BOXES: { high: number; wide: number; wall: number }[] = (
  [
    [2, 2, 0.12],
    [2, 3, 0.12],
    [2, 2, 0.188],
    [2, 3, 0.188],
    [2, 4, 0.188],
    [2, 3, 0.25],
    [3, 3, 0.25],
    [2, 4, 0.25],
    [3, 4, 0.25],
  ] as const
).map(([high, wide, wall]) => ({
  high: high * MM_PER_INCH,
  wide: wide * MM_PER_INCH,
  wall: wall * MM_PER_INCH,
}));

/** Thicknesses that plate is sold in, mm. Standard sizes, from memory. */
export const PLATES = {
  inch: inches([1 / 8, 3 / 16, 1 / 4, 5 / 16, 3 / 8, 1 / 2]),
  mm: [3, 4, 5, 6, 8, 10, 12],
};

/** Diameters of bolts, mm. Standard sizes, from memory. */
export const BOLTS = {
  inch: inches([3 / 8, 7 / 16, 1 / 2, 9 / 16, 5 / 8, 3 / 4, 7 / 8, 1]),
  mm: [10, 12, 14, 16, 18, 20, 22, 24],
};

/** Legs of fillet welds, mm (common practice, no published source). */
export const FILLETS = { inch: inches([1 / 8, 3 / 16, 1 / 4, 5 / 16, 3 / 8]), mm: [3, 4, 5, 6, 8, 10] };
