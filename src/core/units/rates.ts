import { forceUnit, toForce } from './force';
import { MM_PER_INCH, type Tape } from './tape';

/** A spring rate for people: lb/in beside inches, N/mm beside millimetres. */
export const sayRate = (perMm: number, tape: Tape): string =>
  `${showRate(perMm, tape).toFixed(perMm < 10 ? 1 : 0)} ${rateUnit(tape)}`;

export const rateUnit = (tape: Tape): string => (tape === 'mm' ? 'N/mm' : 'lb/in');
export const showRate = (perMm: number, tape: Tape): number =>
  tape === 'mm' ? perMm : toForce(perMm, tape) * MM_PER_INCH;
export const readRate = (shown: number, tape: Tape): number =>
  tape === 'mm' ? shown : shown / (toForce(1, tape) * MM_PER_INCH);

/** Stiffness against roll: N·m or lb·ft for a degree. */
export const sayRollRate = (nmmPerDegree: number, tape: Tape): string =>
  `${Math.round(showRollRate(nmmPerDegree, tape))} ${rollRateUnit(tape)}`;

export const rollRateUnit = (tape: Tape): string => (tape === 'mm' ? 'N·m/°' : `${forceUnit(tape)}·ft/°`);
export const showRollRate = (nmmPerDegree: number, tape: Tape): number =>
  tape === 'mm' ? nmmPerDegree / 1000 : toForce(nmmPerDegree, tape) / (12 * MM_PER_INCH);
export const readRollRate = (shown: number, tape: Tape): number =>
  tape === 'mm' ? shown * 1000 : (shown * 12 * MM_PER_INCH) / toForce(1, tape);
