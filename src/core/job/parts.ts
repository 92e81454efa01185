import { cross, dot, minus, unit, type Point } from '@/core/geometry/vector';
import type { BarEnd } from '@/core/fabricate/adjustableBar';
import { jointsOf, type JointName } from '@/core/materials/joints';
import type { BoltGrade, Electrode, MetalName } from '@/core/materials/metals';
import { THREADS, type ThreadName } from '@/core/materials/threads';
import type { LinkMember } from '@/core/rig/members/link';
import { partnerOf } from '@/core/rig/roles';
import type { BarSection } from '@/core/strength/bar';
import type { BracketAxes } from '@/core/strength/bracket';
import { measured } from '@/core/survey/readings';
import { MM_PER_INCH } from '@/core/units/tape';
import { sizeOf } from './bodySizes';
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

/** The id of what is said of a part: its own, or its mirror image's where nothing is said of it by itself. */
const saidAs = (kept: Record<string, unknown>, id: string): string => {
  if (kept[id] !== undefined) return id;
  const [member = '', end] = id.split('/');
  const partner = partnerOf(member);
  return partner ? (end === undefined ? partner : mountId(partner, end)) : id;
};

/** What the builder has said of a bar, by itself or by its mirror image. */
export const saidOfBar = ({ parts }: Pick<Job, 'parts'>, member: string): BarPart =>
  parts.bars[saidAs(parts.bars, member)] ?? {};

/** What the builder has said of a bracket, by itself or by its mirror image. */
export const saidOfBracket = ({ parts }: Pick<Job, 'parts'>, mount: string): BracketPart =>
  parts.brackets[saidAs(parts.brackets, mount)] ?? {};

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
