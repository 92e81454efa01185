import type { CandidateNumbers } from '@/core/choose/candidates/compare';
import { valueOf, type OTHER_ROWS, type RowName } from '@/core/choose/candidates/givesUp';
import { COSTS, EFFORTS } from '@/core/choose/candidates/toMake';
import type { Figure } from '@/core/bench/figures';
import { WANTED, type WantedName } from '@/core/choose/wanted';
import { NOISES } from '@/core/materials/joints';
import { CHECKS } from '@/core/prove/types';
import { memberName } from '@/core/rig/names';
import type { AxleEnd } from '@/core/rig/schema';
import { sayLength } from '@/core/units/length';
import { MASS } from '@/core/units/unit';
import type { Tape } from '@/core/units/tape';
import { figureWord, sayFigure, TOLD_BY } from './figureWords';

const OTHER_WORDS: Record<Exclude<(typeof OTHER_ROWS)[number], WantedName>, string> = {
  tightest: 'Tightest place',
  kept: 'Up-travel clear of the bars',
  weakest: 'Weakest, of what is wanted',
  mass: 'Bars, plates and sway bar',
  brackets: 'Brackets to make',
  effort: 'Work, roughly',
  cost: 'Money, roughly',
  noise: 'Noise of its joints',
  stuck: 'Parts that no longer come out',
  stops: 'Stops the work',
};

const isFigure = (row: RowName): row is WantedName => (WANTED as readonly string[]).includes(row);

export const rowWord = (row: RowName, end: AxleEnd): string =>
  isFigure(row) ? figureWord(row, end) : OTHER_WORDS[row];

/** A row's value as it is said. */
export function sayRow(row: RowName, value: number, tape: Tape): string {
  if (isFigure(row)) return sayFigure(row, value, tape);
  switch (row) {
    case 'weakest':
      return `${(100 * value).toFixed(0)} %`;
    case 'tightest':
      return value > 0 ? sayLength(value, tape) : 'hits';
    case 'kept':
      return sayLength(value, tape);
    case 'mass':
      return MASS.say(value, tape);
    case 'effort':
      return EFFORTS[value]!;
    case 'cost':
      return COSTS[value]!;
    case 'noise':
      return NOISES[value]!;
    default:
      return value === 0 ? 'none' : String(value);
  }
}

/** The figures of the stations that a row is told by, where it may hang on a guess. */
const ROW_TOLD_BY: Partial<Record<RowName, Figure>> = { ...TOLD_BY, kept: 'shift-bump' };

/** Whether a row of a candidate hangs on what nobody has read or said. */
export function isRowGuessed(row: RowName, { guessed, tightest, weakest }: CandidateNumbers): boolean {
  if (row === 'tightest') return tightest?.guessed === true;
  if (row === 'weakest') return weakest?.guessed === true;
  const figure = ROW_TOLD_BY[row];
  return figure !== undefined && guessed.includes(figure);
}

/** What a row's value is of, where it is of something: the two that come so near, the part that is weakest. */
export function ofWhat(
  row: RowName,
  { tightest, weakest, stuck, bump, kept }: CandidateNumbers,
  end: AxleEnd,
): string {
  if (row === 'tightest' && tightest) return `${memberName(tightest.a, end)}, ${memberName(tightest.b, end)}`;
  if (row === 'weakest' && weakest) return `${weakest.part}: ${CHECKS[weakest.check].toLowerCase()}`;
  if (row === 'stuck') return stuck.join(', ');
  if (row === 'kept' && kept >= bump) return 'all of it';
  return '';
}

/** Rows that some candidate has a value in; what squats in front is another matter. */
export const rowsOf = (rows: readonly RowName[], all: CandidateNumbers[], end: AxleEnd): RowName[] =>
  rows.filter(
    (row) =>
      !(row === 'antiSquat' && end === 'front') && all.some((numbers) => valueOf(row, numbers) !== null),
  );
