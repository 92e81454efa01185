import type { Target } from './brief';
import type { WantedFigures, WantedName } from './wanted';

/** What is missed by no more than this is met. */
export const MET = 1e-9;

/** How far a figure is from what is asked of it, in its own unit; what cannot be told is never met. */
export function missOf({ figure, least, most, near }: Target, figures: WantedFigures): number {
  const value = figures[figure];
  if (value === null) return Infinity;
  const past = Math.max(0, (least ?? -Infinity) - value, value - (most ?? Infinity));
  // Where it is only to be near, that is no bound: it is ranked by it.
  return near === undefined || past > 0 ? past : 0;
}

/** How far a figure is from where it is wanted, which ranks what meets everything. */
const offOf = ({ figure, near }: Target, figures: WantedFigures): number =>
  near === undefined || figures[figure] === null ? 0 : Math.abs(figures[figure] - near);

/** What counts as much as one of another figure: an eighth of an inch, a per cent and a half, a hundredth of roll steer, a quarter of a degree, a tenth of a degree of lean. */
const SCALES: Record<WantedName, number> = {
  rollCentre: 3,
  rollCentreMoves: 3,
  antiSquat: 1.5,
  rollSteer: 0.01,
  sideways: 0.8,
  barRise: 3,
  barLength: 6,
  turns: 0.25,
  bumpSteer: 0.1,
  plunge: 1.5,
  lean: 0.1,
  frontShare: 0.01,
};

/** By how much each target is missed; all of that, and how far off what is wanted, each figure by its scale. */
export type Weighed = { misses: number[]; score: number; off: number };

/** The figures of a choice held against what is asked of them. */
export function weighed(targets: Target[], figures: WantedFigures): Weighed {
  const misses = targets.map((target) => missOf(target, figures));
  const sum = (of: (target: Target, i: number) => number) =>
    targets.reduce((total, target, i) => total + of(target, i) / SCALES[target.figure], 0);
  return { misses, score: sum((_, i) => misses[i]!), off: sum((target) => offOf(target, figures)) };
}

/** Less missed; where nothing is, nearer to what is wanted. */
export function isBetter(a: Weighed, b: Weighed | null): boolean {
  if (!b) return true;
  return a.score < b.score - MET || (a.score <= b.score + MET && a.off < b.off - MET);
}

/**
 * Those that no other is better than in one wanted figure without being worse in another; where only bounds were asked for, all of them. In
 * the order in which they came.
 */
export function paretoBest<T extends { figures: WantedFigures }>(all: T[], targets: Target[]): T[] {
  const wanted = targets.filter(({ near }) => near !== undefined);
  if (wanted.length === 0) return all;
  const of = (one: T) => wanted.map((target) => offOf(target, one.figures));
  const costs = all.map((one) => ({ one, cost: of(one) }));
  const beats = (a: number[], b: number[]) =>
    a.every((v, i) => v <= b[i]! + MET) && a.some((v, i) => v < b[i]! - MET);
  const best: typeof costs = [];
  for (const candidate of costs) {
    if (best.some(({ cost }) => beats(cost, candidate.cost))) continue;
    best.splice(0, best.length, ...best.filter(({ cost }) => !beats(candidate.cost, cost)), candidate);
  }
  return best.map(({ one }) => one);
}

/** What stands in the way of a target: whether the others could be met without it, and by how much it is missed at best. */
export type InTheWay = { target: number; metWithout: boolean; missedBy: number };

/** Whether the other targets could all be met if one were given up, and the least that it is then missed by; else the least it is missed by at all. */
export function wayOf(all: Weighed[], target: number): InTheWay {
  const others = all.filter(({ misses }) => misses.every((miss, i) => i === target || miss <= MET));
  const least = (of: Weighed[]) => Math.min(Infinity, ...of.map(({ misses }) => misses[target]!));
  return {
    target,
    metWithout: others.length > 0,
    missedBy: others.reduce(
      (m, { misses }) => Math.min(m, misses[target]!),
      others.length ? Infinity : least(all),
    ),
  };
}
