import { toRadians } from '@/core/geometry/angle';
import { bendsAlong, type BendSheet } from '@/core/geometry/bends';
import { dot, minus, type Point } from '@/core/geometry/vector';
import type { MetalName } from '@/core/materials/metals';
import { MM_PER_INCH } from '@/core/units/tape';
import type { Obstacle } from '@/core/rig/schema';
import { crossmemberId } from '@/core/job/bodies/bodyNames';
import { railsOf, type Rail } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';
import type { CrossmemberPart } from '@/core/job/slices/parts';

/** What a crossmember is of across, mm: round tube, or a rectangular one. */
export type CrossSection = NonNullable<CrossmemberPart['section']>;

/** A crossmember, or a hoop bent of one, mm: its middle line from the left rail to the right one; its bends to theirs. */
export type Crossmember = Required<Pick<CrossmemberPart, 'ahead' | 'low' | 'meets'>> & {
  id: string;
  path: Point[];
  section: CrossSection;
  metal: MetalName;
  hoop: { middle: number; bendRadius: number } | null;
  bolted: boolean;
};

const inch = (n: number) => n * MM_PER_INCH;

/** As they commonly are (common practice, no published source), mm; a hoop's middle, as a share of what is between the rails; dies, in diameters. */
export const USUAL_CROSSMEMBER = {
  section: { shape: 'tube', od: inch(1.75), wall: inch(0.12) },
} as const;
const MIDDLE = 0.6;
const DIE = 3;

/** The part that a crossmember is; and the name of the crossmember that a part is, null of any other part. */
export const crossmemberPart = (id: string): string => `crossmember/${id}`;
export const crossmemberIn = (part: string): string | null => /^crossmember\/(.+)$/.exec(part)?.[1] ?? null;

export const highOf = (section: CrossSection): number =>
  section.shape === 'tube' ? section.od : section.high;
export const wideOf = (section: CrossSection): number =>
  section.shape === 'tube' ? section.od : section.wide;

const mean = (of: number[]): number => of.reduce((sum, v) => sum + v, 0) / of.length;
const insideOf = ({ outside, width }: Rail): number => outside - Math.sign(outside) * width;
const middleOf = ({ outside, width }: Rail): number => outside - (Math.sign(outside) * width) / 2;

/** The crossmembers and hoops of a job as they are made, by the names they were given. */
export const crossmembersOf = (job: Job): Crossmember[] =>
  Object.entries(job.parts.crossmembers ?? {}).map(([id, said]) => madeCrossmember(job, id, said));

function madeCrossmember(job: Job, id: string, said: CrossmemberPart): Crossmember {
  const { ahead, meets } = said;
  const section = said.section ?? USUAL_CROSSMEMBER.section;
  const rails = railsOf(job);
  const [left, right] = rails as [Rail, Rail];
  const under = mean(rails.map(({ underside }) => underside));
  const between = meets === 'between';
  // A straight one under the rails lies against them.
  const low = said.hoop || between ? said.low : highOf(section) / 2;
  const height = under - low;
  const hoop = said.hoop && {
    middle: said.hoop.middle ?? MIDDLE * (insideOf(left) - insideOf(right)),
    bendRadius: said.hoop.bendRadius ?? DIE * wideOf(section),
  };
  const end = (rail: Rail): Point => {
    const across = between ? insideOf(rail) : hoop ? middleOf(rail) : rail.outside;
    const leg = rail.underside + (between ? rail.height / 2 : 0);
    return [ahead, across, hoop ? leg : height];
  };
  const corners = hoop ? [1, -1].map((s): Point => [ahead, (s * hoop.middle) / 2, height]) : [];
  return {
    id,
    ahead,
    low,
    meets,
    section,
    metal: said.metal ?? 'dom',
    hoop: hoop ?? null,
    bolted: said.bolted ?? false,
    path: [end(left), ...corners, end(right)],
  };
}

/** How a hoop is bent from straight stock; null of a straight crossmember. */
export const hoopBends = ({ hoop, path }: Crossmember): BendSheet | null =>
  hoop && bendsAlong(path, hoop.bendRadius);

/** Closer than this two heights are one, mm. */
const SAME = 0.05;

/**
 * Why a crossmember cannot be made: its wall fills it, its ends miss a rail, a rectangular tube is to be bent, its bends run into its ends or each
 * other; null of one that can.
 */
export function crossmemberFault(
  job: Job,
  of: Crossmember,
): 'thick-wall' | 'misses-rail' | 'bent-box' | 'bends-meet' | null {
  const { section, meets, hoop, path } = of;
  const high = highOf(section);
  // Its rounded corners must not meet.
  const least = section.shape === 'tube' ? 2 * section.wall : 4 * section.wall;
  if (Math.min(high, wideOf(section)) < least) return 'thick-wall';
  if (hoop) {
    if (section.shape === 'box') return 'bent-box';
    const { bends, last } = hoopBends(of)!;
    const taken = hoop.bendRadius * Math.tan(toRadians(bends.at(-1)!.angle) / 2);
    return bends.some(({ straight }) => straight < 0) || last < taken ? 'bends-meet' : null;
  }
  const [[, , height]] = path as [Point];
  const isPast = ({ underside, height: tall }: Rail) =>
    height - high / 2 < underside - SAME || height + high / 2 > underside + tall + SAME;
  return meets === 'between' && railsOf(job).some(isPast) ? 'misses-rail' : null;
}
/** Along its middle line from rail to rail, mm. */
export const lengthOf = (of: Crossmember): number =>
  hoopBends(of)?.blank ??
  of.path.slice(1).reduce((sum, p, i) => sum + Math.hypot(...minus(p, of.path[i]!)), 0);

/** Crossmembers as bodies on the frame: a round one stretch by stretch, a rectangular one as a box. */
export const crossmemberBodies = (job: Job): Obstacle[] =>
  crossmembersOf(job).flatMap(({ id, path, section, hoop }): Obstacle[] => {
    const on = 'chassis';
    if (section.shape === 'tube')
      return path.slice(1).map((to, i) => ({
        id: crossmemberId(id, i),
        on,
        // Where stretches of a hoop meet, each is round; its ends reach no farther than into the rails.
        shape: hoop ? 'capsule' : 'cylinder',
        from: path[i]!,
        to,
        radius: section.od / 2,
      }));
    const half: Point = [section.wide / 2, 0, section.high / 2];
    const bound = (of: (...all: number[]) => number, way: number): Point =>
      [0, 1, 2].map((k) => of(...path.map((p) => p[k]!)) + way * half[k]!) as Point;
    return [
      { id: crossmemberId(id, 0), on, shape: 'box', min: bound(Math.min, -1), max: bound(Math.max, 1) },
    ];
  });

/**
 * What of a crossmember a bracket's eye is nearest to, mm: how far its surface is, and the way out from there; the place of its middle line; the
 * diameter of a round one that lies across the car there, null where its plates stand on a flat or slanting face.
 */
export type OnCrossmember = { reach: number; out: Point; at: Point; round: number | null };

/** A stretch that leans more than this from across the car is none that a plate's round foot is drawn on. */
const ACROSS = Math.cos((5 * Math.PI) / 180);
const DOWN: Point = [0, 0, -1];

export function nearestOn({ path, section }: Crossmember, eye: Point): OnCrossmember {
  const all = path.slice(1).map((to, i) => {
    const from = path[i]!;
    const along = minus(to, from);
    const length = Math.hypot(...along);
    const t = Math.min(1, Math.max(0, dot(minus(eye, from), along) / length ** 2));
    const at = from.map((v, k) => v + t * along[k]!) as Point;
    return { at, away: minus(eye, at), across: Math.abs(along[1]) / length };
  });
  const [{ at, away, across }] = all.sort((a, b) => Math.hypot(...a.away) - Math.hypot(...b.away)) as [
    (typeof all)[0],
  ];
  if (section.shape === 'tube') {
    const far = Math.hypot(...away);
    return {
      at,
      reach: Math.max(0, far - section.od / 2),
      out: far < 1e-6 ? DOWN : (away.map((v) => v / far) as Point),
      round: across > ACROSS ? section.od : null,
    };
  }
  const half = [section.wide / 2, 0, section.high / 2];
  const past = away.map((v, k) => v - Math.min(half[k]!, Math.max(-half[k]!, v))) as Point;
  const far = Math.hypot(...past);
  return { at, reach: far, out: far < 1e-6 ? DOWN : (past.map((v) => v / far) as Point), round: null };
}
