import { FIGURES, type FigureName } from '../figures';
import { NOISES } from '@/core/materials/joints';
import type { CandidateNumbers, Compared } from './compare';
import { EFFORTS, COSTS } from './toMake';

/** A thing by which candidates are held against each other, besides the figures of their geometry. */
export const OTHER_ROWS = [
  'lean',
  'frontShare',
  'tightest',
  'kept',
  'weakest',
  'mass',
  'brackets',
  'effort',
  'cost',
  'noise',
  'stuck',
  'stops',
] as const;
export type RowName = FigureName | (typeof OTHER_ROWS)[number];
export const ROWS: readonly RowName[] = [...FIGURES, ...OTHER_ROWS];

/** A row's value as a number, in the unit of its figure; null where it has none. */
export function valueOf(row: RowName, numbers: CandidateNumbers): number | null {
  switch (row) {
    case 'lean':
    case 'frontShare':
    case 'kept':
    case 'mass':
      return numbers[row];
    case 'tightest':
      return numbers.tightest && numbers.tightest.distance;
    case 'weakest':
      return numbers.weakest && numbers.weakest.share;
    case 'brackets':
      return numbers.make.brackets;
    case 'effort':
      return EFFORTS.indexOf(numbers.make.effort);
    case 'cost':
      return COSTS.indexOf(numbers.make.cost);
    case 'noise':
      return NOISES.indexOf(numbers.noise);
    case 'stuck':
      return numbers.stuck.length;
    case 'stops':
      return numbers.says.stop.length;
    default:
      return numbers.figures[row];
  }
}

/** What is better, and from which difference on that is felt; what suits one car and not another is not judged. */
const BETTER: Partial<Record<RowName, { way: 'less' | 'more' | 'nearer nought'; felt: number }>> = {
  rollCentreMoves: { way: 'less', felt: 3 },
  rollSteer: { way: 'nearer nought', felt: 0.01 },
  sideways: { way: 'less', felt: 0.8 },
  turns: { way: 'less', felt: 0.25 },
  bumpSteer: { way: 'less', felt: 0.1 },
  plunge: { way: 'less', felt: 1.5 },
  tightest: { way: 'more', felt: 3 },
  kept: { way: 'more', felt: 3 },
  weakest: { way: 'more', felt: 0.1 },
  mass: { way: 'less', felt: 1 },
  effort: { way: 'less', felt: 1 },
  cost: { way: 'less', felt: 1 },
  noise: { way: 'less', felt: 1 },
  stuck: { way: 'less', felt: 1 },
};

/** Values nearer than this share of what is felt are alike. */
const ALIKE = 0.05;

/** What a candidate gives up: a row in which it is behind all others, its value, and the best with whose it is. */
export type GivenUp = { row: RowName; value: number; best: number; by: string };

/**
 * What each candidate gives up against the others, by its id: rows where none is worse and one is better by what is felt. Strength that
 * hangs on guesses is not held against strength that does not, nor what stops the work: of a car that is only drawn, much cannot stop it yet.
 */
export function givenUp(all: Compared[]): Record<string, GivenUp[]> {
  const worked = all.flatMap(({ id, numbers }) => (numbers ? [{ id, numbers }] : []));
  const told = worked.map(({ id }) => [id, [] as GivenUp[]] as const);
  const of = new Map(told);
  for (const row of ROWS) {
    const better = BETTER[row];
    if (!better) continue;
    if (row === 'weakest' && worked.some(({ numbers }) => numbers.weakest?.guessed !== false)) continue;
    const cost = (value: number) =>
      better.way === 'more' ? -value : better.way === 'less' ? value : Math.abs(value);
    const values = worked.flatMap(({ id, numbers }) => {
      const value = valueOf(row, numbers);
      return value === null ? [] : [{ id, value }];
    });
    if (values.length < 2) continue;
    const best = values.reduce((a, b) => (cost(b.value) < cost(a.value) ? b : a));
    const most = Math.max(...values.map(({ value }) => cost(value)));
    for (const { id, value } of values)
      if (cost(value) >= most - ALIKE * better.felt && cost(value) - cost(best.value) >= better.felt)
        of.get(id)!.push({ row, value, best: best.value, by: best.id });
  }
  return Object.fromEntries(of);
}
