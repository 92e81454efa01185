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
