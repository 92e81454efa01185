import { MM_PER_INCH, type Tape } from './tape';

const PSI = 4.4482216152605 / MM_PER_INCH ** 2;

/** Stress for people: psi beside inches, N/mm² beside millimetres; where there is little room, thousands of psi. */
export const stressUnit = (tape: Tape): string => (tape === 'mm' ? 'N/mm²' : '1,000 psi');
export const showStress = (s: number, tape: Tape): number => (tape === 'mm' ? s : s / PSI / 1000);

/** In no more figures than anybody knows it to. */
export function sayStress(s: number, tape: Tape): string {
  const [value, unit, fine] = tape === 'mm' ? [s, 'N/mm²', 1] : [s / PSI, 'psi', 100];
  const step = value >= 300 * fine ? 5 * fine : fine;
  return `${(Math.round(value / step) * step).toLocaleString('en-US')} ${unit}`;
}
