import { leastEngagement } from '@/core/fabricate/adjustableBar';
import { distance, dot, minus, unit, type Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import {
  barOf,
  isPlateBar,
  madeUp,
  metalOf,
  threadedEnds,
  threadedMetal,
  type Bar,
} from '@/core/job/made/parts';
import { THREADS, type ThreadName } from '@/core/materials/threads';
import type { LinkMember } from '@/core/rig/members/link';
import { bentBarStress, columnOf, eulerInPlane, modulusInPlane, sectionValues } from '@/core/strength/bar';
import { stressArea, strippingLoad } from '@/core/strength/thread';
import { endTrials } from '@/core/prove/trials/endTrials';
import { sayStrength, SHIGLEY, type Trial } from '@/core/prove/trials/governing';
import { inTime } from '@/core/prove/trials/inTime';
import type { CheckName, Inputs } from '@/core/prove/types';

/** A bar bent less than this is straight, mm. */
const STRAIGHT = 0.5;

/** Everything that a bar and the threads at its ends are proved by. */
export function barTrials(job: Job, link: LinkMember): Trial[] {
  const bar = barOf(job, link.id);
  const threaded = threadedEnds(bar);
  return [
    ...bodyTrials(job, BODY, bar, distance(link.chassis, link.axle)),
    ...bentTrials(job, link, bar),
    ...(isPlateBar(bar) ? [] : [besideWelds(job, 'weld-zone', bar)]),
    ...threaded.flatMap((end) =>
      threadTrials(
        job,
        { pulled: `thread-${end}`, stripped: `strip-${end}` },
        bar.thread,
        madeUp(job, link).ends[end],
      ),
    ),
    ...(threaded.length ? [shankInTime(job, bar)] : []),
    ...endTrials(job, link, bar),
    ...(bar.rated === null || threaded.length === 0 ? [] : [rodEndTrial(bar.rated)]),
  ];
}

/** How far each corner of a bar's middle line is from the line through its eyes, mm, its eyes with it. */
function asides({ chassis, axle, path }: LinkMember): number[] {
  const way = unit(minus(axle, chassis));
  const away = (p: Point): number => {
    const from = minus(p, chassis);
    const along = dot(from, way);
    return Math.hypot(...from.map((v, k) => v - along * way[k]!));
  };
  return [0, ...(path?.chassis ?? []).map(away), 0];
}

/** How far a bar's middle line goes from the line through its eyes at most, mm; 0 of one that is straight. */
export function bentBy(link: LinkMember): number {
  const most = Math.max(...asides(link));
  return most > STRAIGHT ? most : 0;
}

/** What bends give for each N and each 1/EI, mm³: ∫y² along the bar, y its distance from the line through its eyes (virtual work). */
export function bendGive(link: LinkMember): number {
  const { chassis, axle, path } = link;
  const corners = [chassis, ...(path?.chassis ?? []), axle];
  const y = asides(link);
  return corners.slice(1).reduce((sum, to, i) => {
    const [a, b] = [y[i]!, y[i + 1]!];
    return sum + (distance(corners[i]!, to) * (a ** 2 + a * b + b ** 2)) / 3;
  }, 0);
}

const pulled = (force: number): number => Math.max(0, force);
const pushed = (force: number): number => Math.max(0, -force);

const BODY = { tension: 'tension', column: 'column' } as const;

/** What a straight bar is of. */
type Body = Pick<Bar, 'metal' | 'section'>;

/** A body as it goes into a formula: its metal, what is asked of it, its area. */
function bodyOf(job: Job, { metal: name, section }: Body) {
  const metal = metalOf(job, name);
  const values = sectionValues(section);
  const inputs: Inputs = { ...sizesOf(section), metal: metal.name, A: values.A };
  return { metal, values, inputs };
}

/** A straight bar between two pins, pulled and pushed. @param length between its eyes, mm */
export function bodyTrials(
  job: Job,
  names: { tension: CheckName; column: CheckName },
  body: Body,
  length: number,
): Trial[] {
  const { metal, values, inputs } = bodyOf(job, body);
  const { A, I, r } = values;
  const { yield: Sy, E, fails } = metal;
  const column = columnOf(body.section, length, metal);
  return [
    {
      check: names.tension,
      unit: 'N',
      fails,
      formula: 'A · S_y',
      source: `${SHIGLEY}; ${sayStrength(metal)}`,
      asks: (force) => ({ demand: pulled(force), capacity: A * Sy }),
      inputs: () => ({ ...inputs, S_y: Sy }),
    },
    {
      check: names.column,
      unit: 'N',
      fails: 'buckles',
      formula:
        column.by === 'Euler'
          ? 'A · π² · E / λ², λ = L / r'
          : 'A · S_y · (1 − S_y · λ² / (4 · π² · E)), λ = L / r',
      source: `${column.by === 'Euler' ? 'Euler' : 'J. B. Johnson'}, pinned at both ends (${SHIGLEY}); ${sayStrength(metal)}`,
      asks: (force) => ({ demand: pushed(force), capacity: column.load }),
      inputs: () => ({ ...inputs, S_y: Sy, E, I, r, L: length, λ: column.slenderness, λ_1: column.meets }),
    },
  ];
}

/** A bent bar, bent farther by what pulls and pushes at it; nothing of a straight one. */
function bentTrials(job: Job, link: LinkMember, bar: Bar): Trial[] {
  const { metal, inputs } = bodyOf(job, bar);
  const [length, offset] = [distance(link.chassis, link.axle), bentBy(link)];
  if (offset === 0) return [];
  const Z = modulusInPlane(bar.section);
  const critical = eulerInPlane(bar.section, length, metal.E);
  return [
    {
      check: 'bent',
      unit: 'N/mm²',
      fails: metal.fails,
      formula: 'P / A + P · e / Z · 1 / (1 − P / P_E), the last when pushed',
      source: `Roark’s, from memory; ${sayStrength(metal)}`,
      asks: (force) => {
        const demand = bentBarStress(bar.section, force, { length, offset }, metal);
        return { demand, capacity: metal.yield };
      },
      inputs: () => ({ ...inputs, Z, S_y: metal.yield, e: offset, L: length, P_E: critical }),
    },
  ];
}

/** What is left of a bar's strength beside the welds of its ends. */
export function besideWelds(job: Job, check: CheckName, body: Body): Trial {
  const { metal, values, inputs } = bodyOf(job, body);
  return {
    check,
    unit: 'N',
    fails: metal.fails,
    formula: 'A · S_y as welded, within an inch of a weld',
    source: `common practice, no published source; ${sayStrength(metal)}`,
    asks: (force) => ({ demand: Math.abs(force), capacity: values.A * metal.welded }),
    inputs: () => ({ ...inputs, S_y: metal.welded, Z: values.Z }),
  };
}

const sizesOf = ({ shape, ...sizes }: Bar['section']): Inputs => ({ shape, ...sizes });

/** The threaded shank of an end, and the bung that it is screwed into. @param engagement how far, mm */
export function threadTrials(
  job: Job,
  names: { pulled: CheckName; stripped: CheckName },
  name: ThreadName,
  { engagement }: { engagement: number },
): Trial[] {
  const thread = THREADS[name];
  const At = stressArea(thread);
  const [shank, bung] = [threadedMetal(job, 'shank'), threadedMetal(job, 'bung')];
  const softer = shank.yield < bung.yield ? shank : bung;
  const sizes = { thread: name, d: thread.diameter, p: thread.pitch };
  return [
    {
      check: names.pulled,
      unit: 'N',
      fails: 'breaks',
      formula: 'A_t · S_y, A_t = π / 4 · (d − 0.9743 · p)²',
      source: `ASME B1.1, from memory; ${sayStrength(shank)}`,
      asks: (force) => ({ demand: Math.abs(force), capacity: At * shank.yield }),
      inputs: () => ({ ...sizes, A_t: At, S_y: shank.yield }),
    },
    {
      check: names.stripped,
      unit: 'N',
      fails: 'strips',
      formula: '0.5 · π · (d − 0.6495 · p) · engagement · 0.577 · S_y of the softer',
      source: `common handbook formula, from memory; ${sayStrength(softer)}`,
      asks: (force) => ({
        demand: Math.abs(force),
        capacity: strippingLoad(thread, engagement, softer.yield),
      }),
      inputs: () => ({
        ...sizes,
        engagement,
        wanted: leastEngagement(name, job.cut.engagementRule),
        S_y: softer.yield,
      }),
    },
  ];
}

/** The shank of a rod end at the root of its thread, pulled and pushed by turns. */
function shankInTime(job: Job, { thread }: Bar): Trial {
  const { diameter: d, pitch: p } = THREADS[thread];
  const At = stressArea({ diameter: d, pitch: p });
  return inTime(job, 'fatigue-shank', 'thread', 'ΔP / A_t', {
    asks: (force) => ({ demand: Math.abs(force) / At }),
    inputs: () => ({ thread, d, p, A_t: At }),
  });
}

const rodEndTrial = (rated: number): Trial => ({
  check: 'rod-end',
  unit: 'N',
  fails: 'breaks',
  formula: 'what its maker rates it at, across its bore',
  source: 'as typed, from its maker',
  asks: (force) => ({ demand: Math.abs(force), capacity: rated }),
  inputs: () => ({ rated }),
});
