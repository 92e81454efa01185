import type { WantedName } from '@/core/choose/wanted';
import type { AxleEnd } from '@/core/rig/schema';
import type { Figure } from '@/core/bench/figures';
import { sayLength } from '@/core/units/length';
import { finer as finerTape, type Tape } from '@/core/units/tape';

/** What each figure is called, and in what it is typed. */
export const FIGURE_WORDS: Record<
  WantedName,
  { name: string; unit: 'length' | 'angle' | 'percent' | 'ratio' | 'share' }
> = {
  rollCentre: { name: 'Roll centre', unit: 'length' },
  rollCentreMoves: { name: 'Roll centre moves', unit: 'length' },
  antiSquat: { name: 'Anti-squat', unit: 'percent' },
  rollSteer: { name: 'Roll steer', unit: 'ratio' },
  sideways: { name: 'Axle goes sideways', unit: 'length' },
  barRise: { name: 'Bar rises to the frame', unit: 'length' },
  barLength: { name: 'Bar, eye to eye', unit: 'length' },
  turns: { name: 'Pinion turns', unit: 'angle' },
  bumpSteer: { name: 'Bumps steer', unit: 'angle' },
  plunge: { name: 'Slip joint goes', unit: 'length' },
  lean: { name: 'Lean in the corner', unit: 'angle' },
  frontShare: { name: 'Front’s share of what goes over', unit: 'share' },
};

/** The figure of a station that one is told by, where it may hang on a guess. */
export const TOLD_BY: Partial<Record<WantedName, Figure>> = {
  rollCentre: 'rollCentre',
  rollCentreMoves: 'shift-bump',
  antiSquat: 'antiSquat',
  rollSteer: 'rollSteer',
  sideways: 'shift-bump',
  barRise: 'eyeToEye',
  barLength: 'eyeToEye',
  turns: 'pinion',
  bumpSteer: 'bumpSteer',
  plunge: 'plunge',
  lean: 'rollAngle',
  frontShare: 'frontShare',
};

export const figureWord = (figure: WantedName, end: AxleEnd): string =>
  figure === 'turns' && end === 'front' ? 'Caster turns' : FIGURE_WORDS[figure].name;

/**
 * A figure as it is said.
 *
 * @param finer decimals more than usual, or a finer tape
 */
export function sayFigure(figure: WantedName, value: number, tape: Tape, finer = 0): string {
  const said = sizeOf(figure, Math.abs(value), tape, finer);
  // What is rounded to nothing has no sign.
  return value < 0 && /[1-9]/.test(said) ? `−${said}` : said;
}

function sizeOf(figure: WantedName, size: number, tape: Tape, finer: number): string {
  switch (FIGURE_WORDS[figure].unit) {
    case 'length':
      return sayLength(size, finer ? finerTape(tape) : tape);
    case 'percent':
      return `${size.toFixed(finer)} %`;
    case 'share':
      return `${(100 * size).toFixed(1 + finer)} %`;
    case 'angle':
      return `${size.toFixed(1 + finer)}°`;
    case 'ratio':
      return size.toFixed(2 + finer);
  }
}

/** So much finer than usual is a figure said at most. */
const FINEST = 2;

/** From a low to a high, and where it is drawn, as finely as tells the two apart. */
export function sayRange(
  figure: WantedName,
  { low, high, designed }: { low: number; high: number; designed: number },
  tape: Tape,
): { low: string; high: string; designed: string } {
  const said = (finer: number) => {
    const say = (value: number) => sayFigure(figure, value, tape, finer);
    return { low: say(low), high: say(high), designed: say(designed) };
  };
  const steps = Array.from({ length: FINEST + 1 }, (_, finer) => said(finer));
  return steps.find((one) => one.low !== one.high) ?? steps[0]!;
}
