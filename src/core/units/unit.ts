import { MM_PER_INCH, type Tape } from './tape';

/** How a quantity is shown beside a tape in inches, or in millimetres: its sign, shown and read back, said in a sentence. */
export type Unit = {
  sign: (tape: Tape) => string;
  /** the core's value as the builder sees it */
  shown: (value: number, tape: Tape) => number;
  /** what the builder typed as the core's value */
  read: (shown: number, tape: Tape) => number;
  say: (value: number, tape: Tape) => string;
};

/** One way of showing a quantity: its sign, what one of it is in the core's unit, and how its figure is written. */
type Way = { sign: string; size: number; write: (shown: number) => string };

function unit(metric: Way, imperial: Way): Unit {
  const way = (tape: Tape) => (tape === 'mm' ? metric : imperial);
  const shown = (value: number, tape: Tape) => value / way(tape).size;
  return {
    sign: (tape) => way(tape).sign,
    shown,
    read: (value, tape) => value * way(tape).size,
    say: (value, tape) => `${way(tape).write(shown(value, tape))} ${way(tape).sign}`,
  };
}

const N_PER_POUND = 4.4482216152605;
const KG_PER_POUND = 0.45359237;
const PSI = N_PER_POUND / MM_PER_INCH ** 2;

const fixed = (decimals: number) => (v: number) => v.toFixed(decimals);
// Made once: making it takes longer than all that it writes.
const WITH_COMMAS = new Intl.NumberFormat('en-US');
const inSteps = (v: number, step: number) => WITH_COMMAS.format(Math.round(v / step) * step);

/** Three figures are plenty. */
const threeFigures = (v: number): string => {
  const size = Math.abs(v);
  return inSteps(v, size >= 1000 ? 10 : size >= 100 ? 5 : 1);
};

/** N in the core. */
export const FORCE = unit(
  { sign: 'N', size: 1, write: threeFigures },
  { sign: 'lb', size: N_PER_POUND, write: threeFigures },
);

/** kg in the core. */
export const MASS = unit(
  { sign: 'kg', size: 1, write: fixed(0) },
  { sign: 'lb', size: KG_PER_POUND, write: fixed(0) },
);

/** N/mm in the core; a soft spring is told to a tenth. */
const POUNDS_PER_INCH = N_PER_POUND / MM_PER_INCH;
export const SPRING_RATE = unit(
  { sign: 'N/mm', size: 1, write: (v) => v.toFixed(v < 10 ? 1 : 0) },
  { sign: 'lb/in', size: POUNDS_PER_INCH, write: (v) => v.toFixed(v * POUNDS_PER_INCH < 10 ? 1 : 0) },
);

/** Stiffness against roll: N·mm for a degree in the core. */
export const ROLL_RATE = unit(
  { sign: 'N·m/°', size: 1000, write: (v) => `${Math.round(v)}` },
  { sign: 'lb·ft/°', size: N_PER_POUND * 12 * MM_PER_INCH, write: (v) => `${Math.round(v)}` },
);

/** Stiffness of a tube against twist: N·mm for a radian in the core, shown for a degree. */
const TURN = Math.PI / 180;
export const TWIST_RATE = unit(
  { sign: 'N·m/°', size: 1000 / TURN, write: threeFigures },
  { sign: 'lb·ft/°', size: (N_PER_POUND * 12 * MM_PER_INCH) / TURN, write: threeFigures },
);

/** How far a car was driven: km in the core. */
export const DISTANCE = unit(
  { sign: 'km', size: 1, write: fixed(0) },
  { sign: 'mi', size: 1.609344, write: fixed(0) },
);

/** Torque of a bolt: N·mm in the core. */
export const TORQUE = unit(
  { sign: 'N·m', size: 1000, write: (v) => `${Math.round(v)}` },
  { sign: 'lb·ft', size: N_PER_POUND * 12 * MM_PER_INCH, write: (v) => `${Math.round(v)}` },
);

/** N/mm² in the core; said in no more figures than anybody knows it to. */
export const STRESS: Unit = {
  ...unit(
    { sign: 'N/mm²', size: 1, write: fixed(0) },
    // Where there is little room, thousands of psi.
    { sign: '1,000 psi', size: 1000 * PSI, write: fixed(0) },
  ),
  say: (s, tape) => {
    const [value, sign, fine] = tape === 'mm' ? [s, 'N/mm²', 1] : [s / PSI, 'psi', 100];
    return `${inSteps(value, value >= 300 * fine ? 5 * fine : fine)} ${sign}`;
  },
};

/** Pressure of an air spring, N/mm² over the atmosphere's in the core. */
export const PRESSURE = unit(
  { sign: 'bar', size: 0.1, write: fixed(1) },
  { sign: 'psi', size: PSI, write: fixed(0) },
);

/** mm² in the core. */
export const AREA = unit(
  { sign: 'cm²', size: 100, write: fixed(0) },
  { sign: 'sq in', size: MM_PER_INCH ** 2, write: fixed(1) },
);

/** mm³ in the core. */
export const VOLUME = unit(
  { sign: 'l', size: 1e6, write: fixed(1) },
  { sign: 'cu in', size: MM_PER_INCH ** 3, write: fixed(0) },
);

/** How an area grows for each unit of travel: mm²/mm in the core. */
export const AREA_GROWTH = unit(
  { sign: 'cm²/cm', size: 10, write: fixed(1) },
  { sign: 'sq in/in', size: MM_PER_INCH, write: fixed(2) },
);
