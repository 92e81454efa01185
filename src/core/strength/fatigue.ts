/** A detail by how its steel cracks under loads that come and go: its category, the constant and exponent of its life, and the range under which it never does, 1,000 psi; and both as a formula. */
type Detail = { category: string; constant: number; exponent: number; endless: number; formula: string };

/** Categories of AISC 360 appendix 3, from memory: C, the toe of a fillet across the pull; F, the throat of a fillet; G, a thread's root. */
export const DETAILS = {
  toe: {
    category: 'C',
    constant: 44e8,
    exponent: 1 / 3,
    endless: 10,
    formula: '(44e8 / times)^(1/3), at least 10',
  },
  throat: {
    category: 'F',
    constant: 150e10,
    exponent: 0.167,
    endless: 8,
    formula: '(150e10 / times)^0.167, at least 8',
  },
  thread: {
    category: 'G',
    constant: 3.9e8,
    exponent: 1 / 3,
    endless: 7,
    formula: '(3.9e8 / times)^(1/3), at least 7',
  },
} as const satisfies Record<string, Detail>;
export type DetailName = keyof typeof DETAILS;

/** N/mm² in 1,000 psi. */
const KSI = 6.894757;

/**
 * The range of stress, from one end of it to the other, that a detail bears so often, N/mm²: (constant/times)^exponent, never less than what
 * it bears without end.
 */
export function rangeFor(detail: DetailName, times: number): number {
  const { constant, exponent, endless } = DETAILS[detail];
  return KSI * Math.max(endless, (constant / times) ** exponent);
}
