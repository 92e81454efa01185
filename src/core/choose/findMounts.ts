import type { Look } from '@/core/advice/look';
import type { Job } from '@/core/job/jobSchema';
import { InputError } from '@/core/rig/read';
import { linksOf } from '@/core/rig/members/members';
import { assemble } from '@/core/kinematics/mechanism';
import { swayBarPartAt, swayBarPlaces } from '@/core/locate/travel/swayBarPlaces';
import { posesEverywhere, tightPlaces } from '@/core/locate/tightPlaces';
import { locateInput, type Gap } from '@/core/locate/types';
import { atOnce, type Steps } from '@/core/numerics/steps';
import { stopsIn, withAnswer, type Answer, type Bent } from './answer';
import { bentClear } from './bentClear';
import type { Brief, Target } from './brief';
import { chance, type Chance } from './chance';
import { isHeld } from './figures';
import { bendableOf, choicesOf, type Choice } from './freeChoices';
import { isOfCorner, cornerFigures, wantedFigures, type WantedFigures } from './wanted';
import { asItStands, graverIn } from './whole';
import { isBetter, MET, missOf, paretoBest, wayOf, weighed, type InTheWay, type Weighed } from './ranking';

/**
 * What a search came to: places that meet every target, clearly different from each other, the best first, and such as meet nothing of the
 * car, and bring nothing that stops the work, where there are any: `blocked`, how many of those looked at were passed over for that, and the
 * first of it, bodies or in words. Where no place meets every target, the nearest,
 * and what stands in the way: for each target, whether the others could be met without it, and by how much it is missed at best.
 */
export type FoundMounts = {
  answers: Answer[];
  /** where two figures or more are wanted: places that none beats in all of them, from one end to the other, that hit nothing; not looked at whole */
  edge: Answer[];
  blocked: { count: number; by: Gap | string } | null;
  nearest: Answer | null;
  inTheWay: InTheWay[];
  /** whether every choice there is was looked at */
  exhaustive: boolean;
  tried: number;
};

/** As many choices are all looked at; of more, some are, from several starts. */
const EXHAUSTIVE = 4_000;
const STARTS = 24;
const ROUNDS = 6;
/** So many places are tried before it is told how far it is. */
const TRIED_IN_A_STEP = 20;
/** So many answers are told, and how different they are: shares of what may move. */
const ANSWERS = 5;
const DIFFERENT = 0.12;
/** So many places are looked at for what they hit. */
const LOOKED_AT = 24;
/** What is nearer by no more than this is as near as it was, mm. */
const SAME = 0.5;
/** So many places are told of those that none beats. */
const EDGE = 40;

/**
 * Looks for places of mounts that can be built, by holes and by lines of the tape, that meet what is asked. Exact where all choices can be
 * looked at; else a search along one direction after another from many starts, the same for one seed on every machine.
 *
 * @throws InputError where a mount of the brief is not there, has nowhere to go, or a motion of the axle is held by nothing
 */
export const findMounts = (job: Job, brief: Brief): FoundMounts => atOnce(findingMounts(job, brief));

/** The same search, step by step. */
export function* findingMounts(job: Job, brief: Brief): Steps<FoundMounts> {
  if (!isHeld(job.rig)) throw new InputError('members', 'a motion of the axle that nothing holds');
  const choices = choicesOf(job, brief);
  const inCorner = brief.targets.findIndex(({ figure }) => isOfCorner(figure));
  if (inCorner >= 0 && cornerFigures(job).lean === null)
    throw new InputError(
      `targets[${inCorner}]`,
      'springs, weights and the other end of the car, told at Roll and Record, and a corner that it stays on its wheels in: without them nobody knows how far it leans',
    );
  const search = new Search(job, brief, choices, bendableOf(job, brief));
  const all = choices.reduce((product, { values }) => product * values.length, 1);
  const exhaustive = all <= EXHAUSTIVE;
  if (exhaustive) yield* search.everything(all);
  else yield* search.fromManyStarts(chance(brief.seed ?? 1));
  return { ...(yield* search.told()), exhaustive };
}

type Tried = Weighed & { at: number[]; figures: WantedFigures };

class Search {
  private readonly seen = new Map<string, Tried | null>();
  private readonly worked = new Map<Tried, Answer | null>();
  private readonly targets: Target[];
  private readonly inCorner: boolean;
  private readonly clear: number;
  private readonly nearNow: Map<string, number>;
  private now: Look | null = null;

  constructor(
    private readonly job: Job,
    { targets, clear = 0 }: Brief,
    private readonly choices: Choice[],
    private readonly bendable: string[],
  ) {
    this.targets = targets;
    this.inCorner = targets.some(({ figure }) => isOfCorner(figure));
    this.clear = clear;
    this.nearNow = new Map(this.nearIn(job).gaps.map((gap) => [pairOf(gap), gap.distance]));
  }

  /** Where a car is tightest over its travel; and what meets in it, or leaves less than the room that is to be left. */
  private nearIn(job: Job): { tightest: Gap | null; gaps: Gap[] } {
    const input = locateInput(job, { left: 0, right: 0 });
    const mechanism = assemble(job.rig);
    const gaps = [
      ...tightPlaces(input, posesEverywhere(input, mechanism), this.clear),
      ...swayBarPlaces(job, mechanism),
    ].sort((a, b) => a.distance - b.distance);
    const isNear = ({ distance }: Gap) => distance <= 0 || distance < this.clear;
    return { tightest: gaps[0] ?? null, gaps: gaps.filter(isNear) };
  }

  /** Whether two bodies are as near as this in the car as it stands. */
  private isNearNow(gap: Gap): boolean {
    const now = this.nearNow.get(pairOf(gap));
    return now !== undefined && (gap.distance <= 0 ? now <= 0 : now <= gap.distance + SAME);
  }

  /** Every choice there is. */
  *everything(all: number): Steps<void> {
    const at = this.choices.map(() => 0);
    for (let n = 0; n < all; n++) {
      this.try([...at]);
      if (n % TRIED_IN_A_STEP === 0) yield n / all;
      for (let k = 0; k < at.length; k++) {
        at[k]!++;
        if (at[k]! < this.choices[k]!.values.length) break;
        at[k] = 0;
      }
    }
  }

  /** From where the car is now and from places by chance: along one direction after another, by great steps and then by small ones. */
  *fromManyStarts({ uniform }: Chance): Steps<void> {
    for (let n = 0; n < STARTS; n++) {
      const start = this.choices.map((choice) =>
        n === 0 ? this.nearestNow(choice) : Math.floor(uniform() * choice.values.length),
      );
      yield* this.descend(start, n / STARTS);
    }
  }

  private nearestNow({ values, now }: Choice): number {
    return values.reduce((best, v, k) => (Math.abs(v - now) < Math.abs(values[best]! - now) ? k : best), 0);
  }

  private *descend(start: number[], share: number): Steps<void> {
    let at = start;
    let best = this.try(at);
    for (let round = 0; round < ROUNDS; round++) {
      const before = best;
      for (const [k, { values }] of this.choices.entries()) {
        yield share;
        for (let step = Math.max(1, values.length >> 2); step >= 1; step = step >> 1)
          for (const way of [1, -1])
            for (;;) {
              const to = at[k]! + way * step;
              if (to < 0 || to >= values.length) break;
              const next = at.with(k, to);
              const tried = this.try(next);
              if (!tried || !isBetter(tried, best)) break;
              best = tried;
              at = next;
            }
      }
      if (best === before) return;
    }
  }

  private try(at: number[]): Tried | null {
    const key = at.join(' ');
    const known = this.seen.get(key);
    if (known !== undefined) return known;
    const car = this.choices.reduce((j, { put, values }, k) => put(j, values[at[k]!]!), this.job);
    const figures = wantedFigures(car, this.inCorner);
    const tried = figures && { at, figures, ...weighed(this.targets, figures) };
    this.seen.set(key, tried);
    return tried;
  }

  *told(): Steps<Omit<FoundMounts, 'exhaustive'>> {
    const all = [...this.seen.values()]
      .filter((one) => one !== null)
      .sort((a, b) => (isBetter(a, b) ? -1 : 1));
    const met = all.filter(({ score }) => score <= MET);
    const best = paretoBest(met, this.targets);
    return {
      // Those that nothing beats come first; what else meets it all, and is clearly another, is a choice too.
      ...(yield* this.different([...new Set([...best, ...met])])),
      edge: yield* this.edgeOf(best),
      nearest: met.length === 0 && all[0] ? this.lookedAt(this.answerOf(all[0])) : null,
      inTheWay: met.length > 0 ? [] : this.targets.map((_, target) => wayOf(all, target)),
      tried: this.seen.size,
    };
  }

  /** A place as it comes to in the car itself, whose arms and brackets go with their mounts. */
  private answerOf(one: Tried): Answer | null {
    const known = this.worked.get(one);
    if (known !== undefined) return known;
    const answer = this.work(one);
    this.worked.set(one, answer);
    return answer;
  }

  private work({ at }: Tried): Answer | null {
    const changes = this.choices.flatMap(({ changes: of, values }, k) => of(values[at[k]!]!));
    const { hole, feet } = this.barAt(at);
    const { job, bent } = this.bend(withAnswer(this.job, { changes, hole, feet, bent: [] }));
    const figures = wantedFigures(job, true);
    if (!figures) return null;
    const near = this.nearIn(job);
    const isHung = hole !== null || feet !== null;
    return {
      changes,
      hole,
      feet,
      bent,
      figures,
      misses: this.targets.map((target) => missOf(target, figures)),
      tightest: near.tightest,
      hits: near.gaps.filter(
        (gap) =>
          !this.isNearNow(gap) ||
          changes.some(({ member }) => isOf(gap, member)) ||
          (isHung && swayBarPartAt(gap) !== null) ||
          this.bendable.some((id) => gap.a === id || gap.b === id),
      ),
      graver: null,
    };
  }

  /** The same place with what is graver in the whole car. */
  private lookedAt<A extends Answer | null>(answer: A): A {
    if (!answer || answer.graver) return answer;
    this.now ??= asItStands(this.job);
    return { ...answer, graver: graverIn(withAnswer(this.job, answer), this.now, answer.hits) };
  }

  /** What of the sway bar is chosen at a place. */
  private barAt(at: number[]): Pick<Answer, 'hole' | 'feet'> {
    const chosen = this.choices.map(({ bar, values }, k) => bar(values[at[k]!]!));
    const hole = chosen.find((one) => one.hole !== undefined)?.hole ?? null;
    const feet = chosen.flatMap(({ foot }) => foot ?? []);
    const { bar } = this.job.roll;
    return { hole, feet: bar && feet.length > 0 ? Object.assign({ ...bar.foot }, ...feet) : null };
  }

  /** A car with those bars that may be bent out of the way of what they come too near to, one after another. */
  private bend(job: Job): { job: Job; bent: Bent[] } {
    let car = job;
    const bent: Bent[] = [];
    for (const member of this.bendable) {
      const clear = bentClear(
        car,
        linksOf(car.rig).find(({ id }) => id === member)!,
        this.clear,
      );
      if (!clear) continue;
      const { bends, by, way } = clear;
      car = clear.job;
      bent.push({ member, bends, by, way });
    }
    return { job: car, bent };
  }

  /** Those that none beats, in the order of the first figure that is wanted; of many, as many as are told, evenly. */
  private *edgeOf(best: Tried[]): Steps<Answer[]> {
    const wanted = this.targets.filter(({ near }) => near !== undefined);
    const [first] = wanted;
    if (!first || wanted.length < 2) return [];
    const inOrder = best.toSorted((a, b) => a.figures[first.figure]! - b.figures[first.figure]!);
    const every = Math.max(1, inOrder.length / EDGE);
    const some = Array.from(
      { length: Math.min(EDGE, inOrder.length) },
      (_, i) => inOrder[Math.floor(i * every)]!,
    );
    const edge: Answer[] = [];
    for (const one of some) {
      yield 1;
      const answer = this.answerOf(one);
      if (answer && answer.hits.length === 0 && answer.misses.every((miss) => miss <= MET)) edge.push(answer);
    }
    return edge;
  }

  /**
   * The best, and each next that is clearly another; each once more in the car itself, with what it meets there. Those that hit something,
   * or bring what stops the work, are told only where all of them do.
   */
  private *different(met: Tried[]): Steps<Pick<FoundMounts, 'answers' | 'blocked'>> {
    const far = (a: Tried, b: Tried): number =>
      Math.max(
        ...a.at.map((v, k) => Math.abs(v - b.at[k]!) / Math.max(1, this.choices[k]!.values.length - 1)),
      );
    const clear: { one: Tried; answer: Answer }[] = [];
    const stopped: typeof clear = [];
    let looked = 0;
    for (const one of met) {
      if (clear.length === ANSWERS || looked === LOOKED_AT) break;
      if (clear.some((other) => far(one, other.one) < DIFFERENT)) continue;
      looked++;
      yield 1;
      const placed = this.answerOf(one);
      if (!placed?.misses.every((miss) => miss <= MET)) continue;
      // What hits something is passed over for that alone, where anything else is found.
      const answer = placed.hits.length > 0 ? placed : this.lookedAt(placed);
      (stopsIn(answer) ? stopped : clear).push({ one, answer });
    }
    const apart = stopped.filter(
      ({ one }, i) => !stopped.slice(0, i).some((other) => far(one, other.one) < DIFFERENT),
    );
    const told = clear.length > 0 ? clear : apart.slice(0, ANSWERS);
    const by = stopped[0] && stopsIn(stopped[0].answer);
    return {
      answers: told.map(({ answer }) => this.lookedAt(answer)),
      blocked: by ? { count: stopped.length, by } : null,
    };
  }
}

/** Whether one of two bodies is a member, or one of its brackets. */
const isOf = ({ a, b }: Gap, member: string): boolean =>
  [a, b].some((id) => id === member || id.startsWith(`bracket:${member}/`));
const pairOf = ({ a, b }: Gap): string => `${a}\n${b}`;
