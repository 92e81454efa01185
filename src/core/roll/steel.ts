/**
 * Steels that bars are made of. Von Mises stress at full roll, N/mm²: past the first it tires, past the second it takes a
 * set; welds ask for the lower figures of welded tube (orders of magnitude, from memory; no published source).
 */
export const STEELS = {
  spring: { name: 'Spring steel, heat-treated', tires: 550, sets: 850 },
  chromoly: { name: '4130 tube, normalised', tires: 280, sets: 430 },
  mild: { name: 'DOM tube', tires: 200, sets: 380 },
} as const;

export type SteelName = keyof typeof STEELS;
export const STEEL_NAMES = Object.keys(STEELS) as [SteelName, ...SteelName[]];

/** N/mm², alike for all of them. */
export const ELASTIC = { E: 205_000, G: 79_300 };
/** kg/mm³ */
export const DENSITY = 7850e-9;

const INCH = 25.4;

/** Common stock of round bar and tube by inch sizes: diameter and wall, mm; null: solid. Standard sizes, from memory. */
export const STOCK: { od: number; wall: number | null }[] = [
  ...[5 / 8, 11 / 16, 3 / 4, 13 / 16, 7 / 8, 15 / 16, 1, 17 / 16, 9 / 8, 5 / 4, 11 / 8, 3 / 2].map(
    (inch) => ({
      od: inch * INCH,
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
  ).map(([od, wall]) => ({ od: od * INCH, wall: wall * INCH })),
];
