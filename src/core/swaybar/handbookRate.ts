/**
 * The handbook formula, N/mm of relative travel of the eyes: K = 500000 D⁴/(0.4244 A²B + 0.2264 C³) lb/in,
 * all in inches (Puhn, *How to Make Your Car Handle*, from memory). It knows a solid steel bar of one straight middle and two
 * straight arms, held at its corners.
 *
 * @param od diameter, mm
 * @param lever arm square to the middle, mm
 * @param middle length of the middle, mm
 * @param arm length of an arm along itself, mm
 */
export function handbookRate(od: number, lever: number, middle: number, arm: number): number {
  const inch = (mm: number) => mm / 25.4;
  const lbPerInch =
    (500_000 * inch(od) ** 4) / (0.4244 * inch(lever) ** 2 * inch(middle) + 0.2264 * inch(arm) ** 3);
  return (lbPerInch * 4.4482216152605) / 25.4;
}
