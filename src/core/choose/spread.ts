import type { Job } from '@/core/job/jobSchema';
import { drivenTravel } from '@/core/job/jobValues';
import { InputError } from '@/core/rig/read';
import { atOnce, type Steps } from '@/core/numerics/steps';
import {
  emptyBuild,
  offsOf,
  partsOf,
  rigOf,
  type Build,
  type Closeness,
  type Off,
  type Parts,
} from './builds';
import { chance } from './chance';
import { FIGURES, figuresOf, isHeld, type FigureName, type Figures } from './figures';

export const BUILDS = 5000;

const SMALLEST = 1e-9;

/** A figure over many builds: as designed, its mean, its standard deviation, and what nineteen of twenty lie between. */
export type Spread = {
  designed: number;
  mean: number;
  deviation: number;
  low: number;
  high: number;
  firstOrder: number;
};

/** A dimension that can be off, and what share of a figure's spread comes from it, 0 to 1, by first order. */
type Share = { name: string; share: number };

export type Spreads = {
  figures: Partial<Record<FigureName, Spread>>;
  /** by figure, the dimensions that it hangs on most, the most first */
  ranked: Partial<Record<FigureName, Share[]>>;
  builds: number;
  /** builds that could not be put together at all */
  failed: number;
};

/** How often a car is built by chance, and from which seed. */
export type Chances = { builds: number; seed: number };

/** So many builds are made before it is told how far it is. */
const BUILDS_IN_A_STEP = 100;

/**
 * Figures of a car as it may come out, over many builds made by chance, and which dimension each hangs on most (JCGM 101: propagation of
 * distributions; beside it the first order of JCGM 100). The same seed gives the same on every machine. Bars with a thread are set to what
 * is between their eyes; others are as long as they were cut.
 *
 * @throws InputError where the car as it is cannot be put together
 */
export const spreadOf = (job: Job, closeness: Closeness, chances: Chances): Spreads =>
  atOnce(spreading(job, closeness, chances));

/** The same, step by step. */
export function* spreading(job: Job, closeness: Closeness, { builds, seed }: Chances): Steps<Spreads> {
  const { rig } = job;
  const reach = drivenTravel(job);
  if (!isHeld(rig)) throw new InputError('members', 'a motion of the axle that nothing holds');
  const designed = figuresOf(rig, reach);
  if (!designed) throw new InputError('members', 'it cannot be put together, or does not reach its travel');
  const parts = partsOf(job);
  const offs = offsOf(job, closeness, parts);
  const solve = (build: Build): Figures | null => figuresOf(rigOf(rig, parts, build), reach, build.lift);

  const first = firstOrder(offs, solve, parts);
  const rows = new Map(FIGURES.map((name) => [name, [] as number[]]));
  const { normal } = chance(seed);
  let failed = 0;
  for (let made = 0; made < builds; made++) {
    if (made % BUILDS_IN_A_STEP === 0) yield made / builds;
    const build = emptyBuild(parts);
    for (const { deviation, put } of offs) put(build, deviation * normal());
    const figures = solve(build);
    if (!figures) {
      failed++;
      continue;
    }
    for (const name of FIGURES) if (figures[name] !== null) rows.get(name)!.push(figures[name]);
  }
  const known = FIGURES.filter((name) => designed[name] !== null && rows.get(name)!.length > 1);
  return {
    figures: Object.fromEntries(
      known.map((name) => [name, told(designed[name]!, rows.get(name)!, first.get(name)!.deviation)]),
    ),
    ranked: Object.fromEntries(known.map((name) => [name, first.get(name)!.shares])),
    builds,
    failed,
  };
}

function told(designed: number, values: number[], firstOrderDeviation: number): Spread {
  const sorted = Float64Array.from(values).sort();
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const squares = values.reduce((sum, v) => sum + (v - mean) ** 2, 0);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))]!;
  return {
    designed,
    mean,
    deviation: Math.sqrt(squares / (values.length - 1)),
    low: at(0.025),
    high: at(0.975),
    firstOrder: firstOrderDeviation,
  };
}

/** What each off does to each figure, by its own deviation either way; and all of them together. */
function firstOrder(
  offs: Off[],
  solve: (build: Build) => Figures | null,
  parts: Parts,
): Map<FigureName, { deviation: number; shares: Share[] }> {
  const slopes = offs.map(({ name, deviation, put }) => {
    const [up, down] = [1, -1].map((way) => {
      const build = emptyBuild(parts);
      put(build, way * deviation);
      return solve(build);
    });
    return { name, of: (figure: FigureName) => half(up?.[figure] ?? null, down?.[figure] ?? null) };
  });
  return new Map(
    FIGURES.map((figure) => {
      const named = new Map<string, number>();
      for (const { name, of } of slopes) named.set(name, (named.get(name) ?? 0) + of(figure) ** 2);
      const all = [...named.values()].reduce((sum, variance) => sum + variance, 0);
      const shares = [...named]
        .map(([name, variance]) => ({ name, share: all > SMALLEST ** 2 ? variance / all : 0 }))
        .sort((a, b) => b.share - a.share);
      return [figure, { deviation: Math.sqrt(all), shares }];
    }),
  );
}

const half = (a: number | null, b: number | null): number => (a === null || b === null ? 0 : (a - b) / 2);
