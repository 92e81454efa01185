import type { Tape } from './tape';

const N_PER_POUND = 4.4482216152605;
const KG_PER_POUND = 0.45359237;

/** A force for people: pounds beside inches, newtons beside millimetres; three figures are plenty. */
export function sayForce(newtons: number, tape: Tape): string {
  return `${grouped(toForce(newtons, tape))} ${forceUnit(tape)}`;
}

export const forceUnit = (tape: Tape): string => (tape === 'mm' ? 'N' : 'lb');
export const toForce = (newtons: number, tape: Tape): number =>
  tape === 'mm' ? newtons : newtons / N_PER_POUND;
export const fromForce = (shown: number, tape: Tape): number => (tape === 'mm' ? shown : shown * N_PER_POUND);

export const massUnit = (tape: Tape): string => (tape === 'mm' ? 'kg' : 'lb');
export const toMass = (kg: number, tape: Tape): number => (tape === 'mm' ? kg : kg / KG_PER_POUND);
export const fromMass = (shown: number, tape: Tape): number => (tape === 'mm' ? shown : shown * KG_PER_POUND);

function grouped(value: number): string {
  const size = Math.abs(value);
  const step = size >= 1000 ? 10 : size >= 100 ? 5 : 1;
  return (Math.round(value / step) * step).toLocaleString('en-US');
}
