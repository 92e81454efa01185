import type { FigureName } from '@/core/choose/figures';
import type { AxleEnd } from '@/core/rig/schema';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

/** What each figure is called, and in what it is typed. */
export const FIGURE_WORDS: Record<
  FigureName,
  { name: string; unit: 'length' | 'angle' | 'percent' | 'ratio' }
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
};

export const figureWord = (figure: FigureName, end: AxleEnd): string =>
  figure === 'turns' && end === 'front' ? 'Caster turns' : FIGURE_WORDS[figure].name;

/** A figure as it is said. */
export function sayFigure(figure: FigureName, value: number, tape: Tape): string {
  const { unit } = FIGURE_WORDS[figure];
  const sign = value < 0 ? '−' : '';
  if (unit === 'length') return `${sign}${sayLength(Math.abs(value), tape)}`;
  if (unit === 'percent') return `${sign}${Math.abs(value).toFixed(0)} %`;
  if (unit === 'angle') return `${sign}${Math.abs(value).toFixed(1)}°`;
  return `${sign}${Math.abs(value).toFixed(2)}`;
}
