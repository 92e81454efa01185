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
