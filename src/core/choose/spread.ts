import type { Job } from '@/core/job/jobSchema';
import { drivenTravel } from '@/core/job/jobValues';
import { barOf, threadedEnds } from '@/core/job/made/parts';
import { distance, type Point } from '@/core/geometry/vector';
import { carInputs } from '@/core/locate/resultUncertainty';
import { InputError } from '@/core/rig/read';
import { atOnce, type Steps } from '@/core/numerics/steps';
import { isLink, linksOf } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import { mountsOf, withMount } from '@/core/rig/mounts';
import type { Rig } from '@/core/rig/schema';
import { COVERAGE } from '@/core/survey/uncertainty';
import { MM_PER_INCH } from '@/core/units/tape';
import { chance } from './chance';
import { FIGURES, figuresOf, isHeld, type FigureName, type Figures } from './figures';

/**
 * How well a car is built, mm, each so that nineteen times in twenty it is no more: where an eye is set, how far springs settle, how a bar
 * without a thread is cut. `place` may be told otherwise for a mount, by its id and direction: `panhard/chassis/2`.
 */
export type Closeness = { place: number; settle: number; cut: number; only?: Record<string, number> };

/** As builders commonly come: an eighth of an inch, springs a quarter, a saw an eighth (common practice, no published source). */
export const USUAL_CLOSENESS: Closeness = {
  place: MM_PER_INCH / 8,
  settle: MM_PER_INCH / 4,
  cut: MM_PER_INCH / 8,
};
export const BUILDS = 5000;

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

/** Something that comes out otherwise than it was meant: its name, its standard deviation, and the build that is off by so much of it. */
type Off = { name: string; deviation: number; put: (build: Build, by: number) => void };

/** A build in the making: where every mount came out, what was changed of the rig as a whole, and how much lower it settled, mm. */
type Build = { mounts: Float64Array; lengths: Map<string, number>; car: ((rig: Rig) => Rig)[]; lift: number };

const DIRECTIONS = ['fore and aft', 'sideways', 'height'] as const;
const SMALLEST = 1e-9;

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

  const first = firstOrder(offs, solve, parts.count);
  const rows = new Map(FIGURES.map((name) => [name, [] as number[]]));
  const { normal } = chance(seed);
  let failed = 0;
  for (let made = 0; made < builds; made++) {
    if (made % BUILDS_IN_A_STEP === 0) yield made / builds;
    const build = emptyBuild(parts.count);
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
  count: number,
): Map<FigureName, { deviation: number; shares: Share[] }> {
  const slopes = offs.map(({ name, deviation, put }) => {
    const [up, down] = [1, -1].map((way) => {
      const build = emptyBuild(count);
      put(build, way * deviation);
      return solve(build);
    });
    return { name, of: (figure: FigureName) => half(up?.[figure] ?? null, down?.[figure] ?? null) };
  });
  return new Map(
    FIGURES.map((figure) => {
      const parts = slopes.map(({ name, of }) => ({ name, variance: of(figure) ** 2 }));
      const all = parts.reduce((sum, { variance }) => sum + variance, 0);
      const shares = parts
        .map(({ name, variance }) => ({ name, share: all > SMALLEST ** 2 ? variance / all : 0 }))
        .sort((a, b) => b.share - a.share);
      return [figure, { deviation: Math.sqrt(all), shares }];
    }),
  );
}

const half = (a: number | null, b: number | null): number => (a === null || b === null ? 0 : (a - b) / 2);

/** The mounts of the members of a rig, one after another, three numbers each; and the bars that cannot be set. */
type Parts = { at: Map<string, number>; count: number; fixed: string[] };

function partsOf(job: Job): Parts {
  const { rig } = job;
  const at = new Map<string, number>();
  let count = 0;
  for (const { id } of rig.members)
    for (const { key } of mountsOf(rig, id)) {
      at.set(`${id}/${key}`, count);
      count += 3;
    }
  const fixed = linksOf(rig)
    .filter(({ id }) => threadedEnds(barOf(job, id)).length === 0)
    .map(({ id }) => id);
  return { at, count, fixed };
}

const emptyBuild = (count: number): Build => ({
  mounts: new Float64Array(count),
  lengths: new Map(),
  car: [],
  lift: 0,
});

/** Every direction of every mount of a rig: by which id it can be told how well it is set, and its name. */
export const placesOf = (rig: Rig): { id: string; mount: string; axis: number; name: string }[] =>
  rig.members.flatMap(({ id: member }) =>
    mountsOf(rig, member).flatMap(({ key, name }) =>
      DIRECTIONS.map((direction, axis) => ({
        id: `${member}/${key}/${axis}`,
        mount: `${member}/${key}`,
        axis,
        name: `${memberName(member, rig.end)}, ${name.toLowerCase()}: ${direction}`,
      })),
    ),
  );

function offsOf(job: Job, { place, settle, cut, only = {} }: Closeness, { at, fixed }: Parts): Off[] {
  const { rig } = job;
  const mounts = placesOf(rig).map(({ id, mount, axis, name }): Off => {
    const k = at.get(mount)! + axis;
    return {
      name,
      deviation: (only[id] ?? place) / COVERAGE,
      put: (build, by) => {
        build.mounts[k]! += by;
      },
    };
  });
  const lengths = fixed.map((id): Off => ({
    name: `${memberName(id, rig.end)}: length as it is cut`,
    deviation: cut / COVERAGE,
    put: (build, by) => void build.lengths.set(id, by),
  }));
  const car = carInputs(job).map(({ name, u, value, set }): Off => ({
    name,
    deviation: u,
    put: (build, by) => void build.car.push((r) => set(r, value + by)),
  }));
  const springs: Off = {
    name: 'how far the springs settle',
    deviation: settle / COVERAGE,
    put: (build, by) => {
      build.lift += by;
    },
  };
  return [...mounts, ...lengths, ...car, springs].filter(({ deviation }) => deviation > 0);
}

/** The rig as it was built. A bar that cannot be set is as long as it was meant, and as it was cut off from that. */
function rigOf(rig: Rig, { at, fixed }: Parts, { mounts, lengths, car }: Build): Rig {
  const members = rig.members.map((member) => {
    if (!isLink(member)) return member;
    const [frame, axle] = [at.get(`${member.id}/chassis`)!, at.get(`${member.id}/axle`)!];
    return {
      ...member,
      chassis: moved(member.chassis, mounts, frame),
      axle: moved(member.axle, mounts, axle),
      ...(fixed.includes(member.id) && {
        length: (member.length ?? distance(member.chassis, member.axle)) + (lengths.get(member.id) ?? 0),
      }),
    };
  });
  let built: Rig = { ...rig, members };
  for (const { id, type } of rig.members) {
    if (type === 'link') continue;
    for (const { key, point } of mountsOf(rig, id)) {
      const k = at.get(`${id}/${key}`)!;
      for (const axis of [0, 1, 2] as const)
        if (mounts[k + axis] !== 0)
          built = withMount(built, { member: id, end: key, axis, mm: point[axis] + mounts[k + axis]! });
    }
  }
  return car.reduce((r, change) => change(r), built);
}

const moved = ([x, y, z]: Point, by: Float64Array, k: number): Point => [
  x + by[k]!,
  y + by[k + 1]!,
  z + by[k + 2]!,
];
