import { bendsAlong, type BendSheet } from '@/core/geometry/bends';
import { cross, distance, dot, minus, unit, type Point } from '@/core/geometry/vector';
import { makeBar, type BarEnd, type BarResult, type BarSpec } from '@/core/fabricate/adjustableBar';
import { jointsOf, type JointName } from '@/core/materials/joints';
import {
  METALS,
  THREADED,
  type BoltGrade,
  type Electrode,
  type Metal,
  type MetalName,
} from '@/core/materials/metals';
import { THREADS, type ThreadName } from '@/core/materials/threads';
import type { LinkMember } from '@/core/rig/members/link';
import { partnerOf } from '@/core/rig/roles';
import type { BarSection } from '@/core/strength/bar';
import type { BracketAxes } from '@/core/strength/bracket';
import { measured } from '@/core/survey/readings';
import { MM_PER_INCH } from '@/core/units/tape';
import { sizeOf } from './bodySizes';
import { holesKey } from './bracketHoles';
import { railsInTheWay } from './frameRails';
import type { Job } from './jobSchema';
import { mountId } from './placed';
import type { BarPart, Brace, BracketPart } from './slices/parts';

/** An end of a link, by the body its bracket is on. */
export const LINK_ENDS = ['chassis', 'axle'] as const;
export type LinkEnd = (typeof LINK_ENDS)[number];

/** A bar with everything that it is made of, mm; N for what its rod ends are rated at, null where their maker's figure was not told. */
export type Bar = {
  metal: MetalName;
  section: BarSection;
  thread: ThreadName;
  ends: { frame: BarEnd; axle: BarEnd };
  rated: number | null;
  /** of its bends, to its middle line, mm */
  bendRadius: number;
  /** the barrel that an end is welded to, by its outside diameter, mm; null where it is threaded */
  barrels: Record<'frame' | 'axle', { od: number } | null>;
};

/** A bracket with everything that it is made of, mm; `reach` is from what it is fastened to, to the eye. */
export type Bracket = {
  metal: MetalName;
  plate: number;
  width: number;
  edge: number;
  depth: number;
  reach: number;
  boxed: boolean;
  planes: 1 | 2;
  hole: number;
  bolt: number;
  grade: BoltGrade;
  threaded: boolean;
  middle: number;
  spacer: number;
  leg: number;
  electrode: Electrode;
  welded: number;
  wall: number;
  backing: number;
  brace: Brace | null;
};

/** The part that mirrors another, by id; null of one that stands alone. */
export function mirrorOf(id: string): string | null {
  const [member = '', end] = id.split('/');
  const partner = partnerOf(member);
  return partner && (end === undefined ? partner : mountId(partner, end));
}

/** The name that something is said under: that of its mirror image where only of that something is said. */
export function keptAs(kept: Record<string, unknown>, id: string): string {
  if (kept[id] !== undefined) return id;
  const mirrored = mirrorOf(id);
  return mirrored !== null && kept[mirrored] !== undefined ? mirrored : id;
}

/** What the builder has said of a bar, by itself or by its mirror image. */
export const saidOfBar = ({ parts }: Pick<Job, 'parts'>, member: string): BarPart =>
  parts.bars[keptAs(parts.bars, member)] ?? {};

/** What the builder has said of a bracket, by itself or by its mirror image. */
export const saidOfBracket = ({ parts }: Pick<Job, 'parts'>, mount: string): BracketPart =>
  parts.brackets[keptAs(parts.brackets, mount)] ?? {};

/** Where handbook strengths are from. */
export const FROM_MEMORY = 'from memory';

/** Where a strength is from: as was said of it; without a word, a typed one is only that. */
const sourceOf = (source: string | undefined, said: Record<string, number | undefined>): string =>
  source ?? (Object.values(said).some((v) => v !== undefined) ? 'as typed' : FROM_MEMORY);

/** A metal as it is reckoned with: what the builder knows of its strength, else what is usual; and where that is from. */
export function metalOf({ parts }: Pick<Job, 'parts'>, name: MetalName): Metal & { source: string } {
  const { source, ...said } = parts.strengths?.[name] ?? {};
  return { ...METALS[name], ...said, source: sourceOf(source, said) };
}

/** What a rod end's shank and its bung yield at, N/mm², and where that is from. */
export function threadedMetal(
  { parts }: Pick<Job, 'parts'>,
  name: keyof typeof THREADED,
): { name: string; yield: number; source: string } {
  const { source, yield: typed } = parts.strengths?.[name] ?? {};
  return {
    ...THREADED[name],
    yield: typed ?? THREADED[name].yield,
    source: sourceOf(source, { yield: typed }),
  };
}

const USUAL_METAL = { tube: 'dom', solid: 'bar', flat: 'plate' } as const satisfies Record<string, MetalName>;

/** Common dies bend to three diameters, to the middle line (common practice, no published source). */
const DIE = 3;

const thicknessOf = (section: BarSection): number =>
  section.shape === 'flat' ? section.thickness : section.od;

/** A bar as it is made: as was said of it, else like the set at Cut. */
export function barOf(job: Pick<Job, 'parts' | 'cut'>, member: string): Bar {
  const { cut } = job;
  const said = saidOfBar(job, member);
  const section = said.section ?? { shape: 'tube', ...cut.tube };
  return {
    metal: said.metal ?? USUAL_METAL[section.shape],
    section,
    thread: said.thread ?? cut.thread,
    ends: said.ends ?? cut.ends,
    rated: said.rated ?? null,
    bendRadius: said.bendRadius ?? DIE * thicknessOf(section),
    barrels: { frame: said.barrels?.frame ?? null, axle: said.barrels?.axle ?? null },
  };
}

/** The ends of a bar that have thread: all that are not welded to a barrel. */
export const threadedEnds = ({ barrels }: Pick<Bar, 'barrels'>): ('frame' | 'axle')[] =>
  (['frame', 'axle'] as const).filter((end) => !barrels[end]);

/** A bar as its tube is cut and its threads are wound; an end that is welded takes its barrel's half, and has no thread. */
export function specOf(job: Pick<Job, 'parts' | 'cut'>, member: string): BarSpec {
  const { thread, ends, section, barrels } = barOf(job, member);
  const end = (name: 'frame' | 'axle'): BarEnd => {
    const barrel = barrels[name];
    return barrel ? { toShoulder: barrel.od / 2, showing: 0, shank: 0, bung: 0 } : ends[name];
  };
  const { shape } = section;
  const od = shape === 'flat' ? section.height : section.od;
  return {
    thread,
    ends: { frame: end('frame'), axle: end('axle') },
    engagementRule: job.cut.engagementRule,
    tube: { od, wall: shape === 'tube' ? section.wall : od / 2 },
  };
}

/** How a bar is bent from straight stock, from its frame eye to its axle eye; null of a straight one. */
export function bendsOf(
  job: Pick<Job, 'parts' | 'cut'>,
  { id, chassis, axle, path }: LinkMember,
): BendSheet | null {
  const points = path?.chassis ?? [];
  return points.length ? bendsAlong([chassis, ...points, axle], barOf(job, id).bendRadius) : null;
}

/** From eye to eye along a bar, mm: along its bends where it has any. */
const alongOf = (job: Pick<Job, 'parts' | 'cut'>, link: LinkMember): number =>
  bendsOf(job, link)?.blank ?? distance(link.chassis, link.axle);

/** A bar as it is made up. */
export const madeUp = (job: Pick<Job, 'parts' | 'cut'>, link: LinkMember): BarResult =>
  makeBar(alongOf(job, link), specOf(job, link.id));

const inch = (n: number) => n * MM_PER_INCH;

/** Bolts that go through the balls of common rod ends, mm, by the diameter of their shank (common practice, no published source). */
const USUAL_BOLT: [shank: number, bolt: number][] = [
  [inch(1), inch(3 / 4)],
  [inch(5 / 8), inch(5 / 8)],
  [inch(1 / 2), inch(1 / 2)],
];
const THINNEST_BOLT = inch(3 / 8);

/** Width of the ball of a rod end, and of its spacer on each side, in diameters of the shank; of a soft sleeve, mm (common practice, no published source). */
const BALL = { width: 1.2, spacer: 0.5 };
const SLEEVE = inch(2);

/** How wide what stands between the plates is, and the spacer on each side of it, mm. */
function usualStack(joint: JointName, shank: number): { middle: number; spacer: number } {
  if (joint === 'rod-end') return { middle: BALL.width * shank, spacer: 0 };
  if (joint === 'rod-end-spaced') return { middle: BALL.width * shank, spacer: BALL.spacer * shank };
  return { middle: SLEEVE, spacer: 0 };
}

/** A drill is so much larger than its bolt, mm: a 32nd of an inch. */
const DRILL = inch(1 / 32);

/** A bracket as it is usually made for a bar and its joint (common practice, no published source), where the model puts it. */
function usualBracket(
  job: Job,
  link: LinkMember,
  end: LinkEnd,
  bolt: number,
  width: number,
  plate: number,
): Bracket {
  const shank = THREADS[barOf(job, link.id).thread].diameter;
  const onFrame = end === 'chassis';
  return {
    metal: 'plate',
    plate,
    width,
    edge: width / 2,
    depth: onFrame ? inch(4) : inch(3),
    reach: Math.max(rootOf(job, link[end], end).reach, width / 2),
    boxed: onFrame,
    planes: 2,
    hole: bolt + DRILL,
    bolt,
    grade: 'grade-8',
    threaded: false,
    ...usualStack(jointsOf(job.joints, link.id)[end], shank),
    leg: plate,
    electrode: 'e70',
    welded: 1,
    wall: onFrame ? inch(1 / 8) : sizeOf(job, 'tubeWall'),
    backing: 0,
    brace: null,
  };
}

/** A bracket as it is made: as was said of it, else as is usual for its bar and joint. */
export function bracketOf(job: Job, link: LinkMember, end: LinkEnd): Bracket {
  const said = saidOfBracket(job, mountId(link.id, end));
  const shank = THREADS[barOf(job, link.id).thread].diameter;
  const bolt = said.bolt ?? USUAL_BOLT.find(([least]) => shank >= least - 0.1)?.[1] ?? THINNEST_BOLT;
  const width = said.width ?? sizeOf(job, 'bracket');
  const plate = said.plate ?? (end === 'chassis' ? inch(1 / 4) : inch(3 / 16));
  return { ...usualBracket(job, link, end, bolt, width, plate), ...said };
}

/** Where a bracket is fastened: how far from the eye, mm, and which way the eye stands out from there; to the axle's tube, a frame rail, or something that is not drawn. */
type Root = { reach: number; out: Point; to: 'tube' | 'rail' | 'undrawn' };

/** Farther than this from every rail a frame bracket hangs on something else, mm: a crossmember, or a drop of its own. */
const OFF_THE_RAIL = inch(8);
/** How far an eye usually stands out from such a thing, mm. */
const USUAL_REACH = inch(2.5);
const DOWN: Point = [0, 0, -1];

/** What a bracket is fastened to. */
export const fastenedTo = (job: Job, link: LinkMember, end: LinkEnd): Root['to'] =>
  rootOf(job, link[end], end).to;

/** From what carries it to an eye: from the nearest face of a frame rail, or from the axle's tube. */
function rootOf(job: Job, eye: Point, end: LinkEnd): Root {
  if (end === 'axle') {
    const { tireRadius } = job.rig;
    const apart = Math.hypot(eye[0], eye[2] - tireRadius);
    const out: Point = apart < 1e-6 ? DOWN : [eye[0] / apart, 0, (eye[2] - tireRadius) / apart];
    const tube = measured(job.readings, 'tubeDiameter').value / 2;
    return { reach: Math.max(0, apart - tube), out, to: 'tube' };
  }
  const [nearest] = railsInTheWay(job)
    .flatMap((rail) => {
      if (rail.shape !== 'box') return [];
      const face = eye.map((v, k) => Math.min(rail.max[k]!, Math.max(rail.min[k]!, v))) as Point;
      const away = minus(eye, face);
      return [{ reach: Math.hypot(...away), away }];
    })
    .sort((a, b) => a.reach - b.reach);
  if (!nearest || nearest.reach > OFF_THE_RAIL) return { reach: USUAL_REACH, out: DOWN, to: 'undrawn' };
  const { reach, away } = nearest;
  return { reach, out: reach < 1e-6 ? DOWN : unit(away), to: 'rail' };
}

/** Below this a bar points as good as straight out of its bracket. */
const STRAIGHT_OUT = 0.2;

/** How the plates of a bracket lie: with the bar and the way out from their root; turned to the bar, or square to the car. */
export function bracketAxes(job: Job, link: LinkMember, end: LinkEnd): BracketAxes {
  const { out } = rootOf(job, link[end], end);
  const bar = unit(minus(link.axle, link.chassis));
  const { brackets } = jointsOf(job.joints, link.id);
  const looks = brackets === 'turned' ? bar : mainAxis(bar);
  const across = cross(looks, out);
  const level = cross(looks, [0, 0, 1]);
  // A bar that pulls straight away from its root leaves the plates free to lie either way: with a level bolt, they do.
  const bolt = unit(Math.hypot(...across) > STRAIGHT_OUT ? across : level);
  const lean = dot(out, bolt);
  const inPlates = unit(out.map((v, k) => v - lean * bolt[k]!) as Point);
  return { bolt, out: inPlates, along: cross(bolt, inPlates) };
}

/** The axis of the car that a direction is nearest to. */
function mainAxis(way: Point): Point {
  const most = Math.max(...way.map(Math.abs));
  const k = way.findIndex((v) => Math.abs(v) === most);
  return [0, 1, 2].map((i) => (i === k ? Math.sign(way[k]!) : 0)) as Point;
}

/** A row is told by its heights: on plates that stand up or hang down as good as straight it is one of holes along them. */
const UPRIGHT = 0.9;

/** How far the holes of a bracket are up its plates from the root, the nearest first, mm: the one in use, or the whole row. */
export function holesOf(job: Job, link: LinkMember, end: LinkEnd): number[] {
  const { reach } = bracketOf(job, link, end);
  const row = job.holes[holesKey(link.id, end)];
  const { out } = bracketAxes(job, link, end);
  if (!row || Math.abs(out[2]) < UPRIGHT) return [reach];
  const up = Array.from({ length: row.count }, (_, i) => row.lowest + i * row.pitch - link[end][2]);
  return up.map((mm) => reach + mm * out[2]).sort((a, b) => a - b);
}

/** How far up from the root a hole is clear of the weld, mm: its own half, the fillet, and as much again as heat takes. */
export const clearOfWeld = ({ hole, leg }: Pick<Bracket, 'hole' | 'leg'>): number => hole / 2 + 2 * leg;
