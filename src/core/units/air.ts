import { MM_PER_INCH, type Tape } from './tape';

/** A pound to the square inch, N/mm². */
const PSI = 4.4482216152605 / MM_PER_INCH ** 2;
const BAR = 0.1;

/** Pressures, areas and volumes for people: psi and cubic inches beside inches, bar and litres beside millimetres. */
export const pressureUnit = (tape: Tape): string => (tape === 'mm' ? 'bar' : 'psi');
export const showPressure = (p: number, tape: Tape): number => p / (tape === 'mm' ? BAR : PSI);
export const readPressure = (shown: number, tape: Tape): number => shown * (tape === 'mm' ? BAR : PSI);
export const sayPressure = (p: number, tape: Tape): string =>
  `${showPressure(p, tape).toFixed(tape === 'mm' ? 1 : 0)} ${pressureUnit(tape)}`;

export const areaUnit = (tape: Tape): string => (tape === 'mm' ? 'cm²' : 'sq in');
const AREA = { mm: 100, inch: MM_PER_INCH ** 2 };
export const showArea = (a: number, tape: Tape): number => a / (tape === 'mm' ? AREA.mm : AREA.inch);
export const readArea = (shown: number, tape: Tape): number => shown * (tape === 'mm' ? AREA.mm : AREA.inch);

export const volumeUnit = (tape: Tape): string => (tape === 'mm' ? 'l' : 'cu in');
const VOLUME = { mm: 1e6, inch: MM_PER_INCH ** 3 };
export const showVolume = (v: number, tape: Tape): number => v / (tape === 'mm' ? VOLUME.mm : VOLUME.inch);
export const readVolume = (shown: number, tape: Tape): number =>
  shown * (tape === 'mm' ? VOLUME.mm : VOLUME.inch);

/** How an area grows for each unit of travel: sq in per inch, cm² per cm. */
export const growthUnit = (tape: Tape): string => (tape === 'mm' ? 'cm²/cm' : 'sq in/in');
export const showGrowth = (g: number, tape: Tape): number => g / (tape === 'mm' ? 10 : MM_PER_INCH);
export const readGrowth = (shown: number, tape: Tape): number => shown * (tape === 'mm' ? 10 : MM_PER_INCH);
