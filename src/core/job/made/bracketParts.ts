import { dot, type Point } from '@/core/geometry/vector';
import type { Stack } from '@/core/fabricate/boltStack';
import { LOOSE, type Place } from '@/core/fabricate/drawing';
import type { Folded } from '@/core/fabricate/plates/foldedShape';
import type { TabShape } from '@/core/fabricate/plates/plates';
import { jointsOf, type JointName, type LinkJoint } from '@/core/materials/joints';
import type { BoltGrade, Electrode, MetalName } from '@/core/materials/metals';
import { THREADS } from '@/core/materials/threads';
import type { LinkMember } from '@/core/rig/members/link';
import { measured } from '@/core/survey/readings';
import { MM_PER_INCH } from '@/core/units/tape';
import { sizeOf } from '@/core/job/bodies/bodySizes';
import { holesKey } from '@/core/job/made/bracketHoles';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes, fastenedTo, oncePerEnd, rootOf } from './bracketRoot';
import { footOut, oldBracketOf, type OldBracket } from './oldBracket';
import {
  barEndAt,
  barOf,
  endKindOf,
  isPlateBar,
  saidOfBracket,
  thicknessOf,
  type Bar,
  type LinkEnd,
} from './parts';
import { mountId } from '@/core/job/placed';
import type { Brace, BracketPart } from '@/core/job/slices/parts';

/** A bracket with everything that it is made of, mm; `reach` is from what it is fastened to, to the eye: from the foot of its plates, where they go over an old bracket. */
export type Bracket = {
  metal: MetalName;
  plate: number;
  width: number;
  edge: number;
  depth: number;
  /** the tube it sits on, by its diameter; null where what it sits on is flat */
  seat: { od: number } | null;
  over: OldBracket | null;
  reach: number;
  boxed: boolean;
  /** inside radius of its folds, where plates and web are one piece; null where they are three */
  bend: number | null;
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
  bolted: boolean;
  wall: number;
  backing: number;
  brace: Brace | null;
};

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

/** How wide what stands between the plates is, and the spacer on each side of it, mm; of a fork, the spacers between its plates and the bracket's one. */
function usualStack(
  { eyes, section }: Bar,
  end: LinkEnd,
  joint: JointName,
  { shank, plate, fork }: { shank: number; plate: number; fork: Fork | null },
): { middle: number; spacer: number } {
  const eye = eyes[barEndAt(end)];
  if (fork) return { middle: plate, spacer: Math.max(0, (fork.gap - plate) / 2) };
  if (eye) return { middle: isPlateBar({ eyes, section }) ? thicknessOf(section) : eye.plate, spacer: 0 };
  return jointStack(joint, shank, SLEEVE);
}

/** How wide a joint on a shank is, and the spacer on each side of it, mm. @param sleeve of a soft one, mm */
export function jointStack(
  joint: LinkJoint,
  shank: number,
  sleeve: number,
): { middle: number; spacer: number } {
  if (joint === 'rod-end') return { middle: BALL.width * shank, spacer: 0 };
  if (joint === 'rod-end-spaced') return { middle: BALL.width * shank, spacer: BALL.spacer * shank };
  return { middle: sleeve, spacer: 0 };
}

/** The bolt that usually goes through a ball on a shank, mm. */
export const usualBolt = (shank: number): number =>
  USUAL_BOLT.find(([least]) => shank >= least - 0.1)?.[1] ?? THINNEST_BOLT;

/** What of a bracket the rest of it follows: as was said of it, else as is usual. */
type Led = Pick<BracketPart, 'bolt' | 'width' | 'plate'>;

/** A bracket as it is usually made for a bar and its joint (common practice, no published source), where the model puts it. */
function usualBracket(job: Job, link: LinkMember, end: LinkEnd, led: Led): Bracket {
  const bar = barOf(job, link.id);
  const shank = THREADS[bar.thread].diameter;
  const fork = forkAt(job, link, end);
  const root = rootOf(job, link, end);
  const onFrame = end === 'chassis';
  const {
    // A fork on a thread takes a pin as thick as that.
    bolt = fork && !bar.eyes[barEndAt(end)] ? shank : usualBolt(shank),
    width = sizeOf(job, 'bracket'),
    plate = onFrame ? inch(1 / 4) : inch(3 / 16),
  } = led;
  const isAcross = Math.abs(bracketAxes(job, link, end).bolt[1]) > Math.SQRT1_2;
  return {
    metal: 'plate',
    plate,
    width,
    edge: width / 2,
    depth: onFrame ? inch(4) : Math.min(inch(3), isAcross ? SNUG * tubeOd(job) : Infinity),
    seat: root.round === null ? null : { od: root.round },
    over: null,
    reach: Math.max(root.reach, width / 2),
    boxed: onFrame && !fork,
    bend: null,
    planes: fork ? 1 : 2,
    hole: bolt + LOOSE,
    bolt,
    grade: 'grade-8',
    threaded: false,
    ...usualStack(bar, end, jointsOf(job.joints, link.id)[end], { shank, plate, fork }),
    leg: plate,
    electrode: 'e70',
    welded: 1,
    bolted: false,
    wall: onFrame ? inch(1 / 8) : sizeOf(job, 'tubeWall'),
    backing: 0,
    brace: null,
  };
}

/** A bracket as it is made: as was said of it, else as is usual for its bar and joint. */
export const bracketOf = oncePerEnd(madeBracket);

function madeBracket(job: Job, link: LinkMember, end: LinkEnd): Bracket {
  const part = saidOfBracket(job, mountId(link.id, end));
  const { seat, ...said } = part;
  const usual = usualBracket(job, link, end, said);
  // A rail's faces are flat, whatever was said of what it hung on before.
  const isRound = seat && fastenedTo(job, link, end) !== 'rail';
  const made = {
    ...usual,
    ...said,
    ...(forkAt(job, link, end) && { planes: 1 as const, boxed: false }),
  };
  const over = oldBracketOf(part, made.middle + 2 * made.spacer);
  const bracket = over
    ? { ...made, over, seat: null, reach: Math.max(0, made.reach - footOut(over)) }
    : { ...made, over, seat: isRound ? seatOn(job, seat, usual.seat) : usual.seat };
  // A foot that follows a round leaves the web none to be folded to, and between plates that go over something it would be in its way.
  const isFlat = !bracket.seat && !over;
  return bracket.boxed && bracket.planes === 2 && isFlat ? bracket : { ...bracket, bend: null };
}

/** How high the web between a bracket's two plates is, up from its foot or from what it goes over, mm; nothing where its lowest hole leaves it no room. */
export const webOf = (
  { plate, edge, over }: Pick<Bracket, 'plate' | 'edge' | 'over'>,
  { holes }: TabShape,
): number => {
  const high = Math.min(...holes) - edge - (over?.lap ?? 0);
  return high > plate ? high : 0;
};

/** A bracket that is folded from one plate; null of one whose plates and web are three. */
export function foldedOf(job: Job, link: LinkMember, end: LinkEnd): Folded | null {
  const bracket = bracketOf(job, link, end);
  const tab = tabOf(job, link, end);
  const web = webOf(bracket, tab);
  if (bracket.bend === null || web === 0) return null;
  const { plate: thickness, middle, spacer, bend } = bracket;
  return { tab, apart: middle + 2 * spacer, thickness, bend, web };
}

/** A fork over the one plate of a bracket, mm: how thick each of its own plates is, and how far apart they are. */
export type Fork = { plate: number; gap: number };

/** Of a fork on a thread, by the thread's diameter: its plates; and how much wider it opens than that (SAE J493, yoke ends, from memory), mm. */
const YOKE = { plate: 0.5, wider: inch(1 / 16) };

/** The fork that a bar ends in, made of plate or wound on a thread; null of any other end. */
export function forkAt(
  job: Pick<Job, 'parts' | 'cut' | 'joints'>,
  { id }: LinkMember,
  end: LinkEnd,
): Fork | null {
  const bar = barOf(job, id);
  switch (endKindOf(bar, barEndAt(end), jointsOf(job.joints, id)[end])) {
    case 'fork':
      return { plate: bar.eyes[barEndAt(end)]!.plate, gap: thicknessOf(bar.section) };
    case 'clevis': {
      const { diameter } = THREADS[bar.thread];
      return { plate: YOKE.plate * diameter, gap: diameter + YOKE.wider };
    }
    default:
      return null;
  }
}

/** What the bolt of a bracket goes through: its plates with what is between them, or a fork's with the bracket's one plate between. */
export function stackOf(job: Job, link: LinkMember, end: LinkEnd): Stack {
  const { bolt, plate, planes, middle, spacer } = bracketOf(job, link, end);
  const fork = forkAt(job, link, end);
  return fork
    ? { bolt, plate: fork.plate, planes: 2, middle: plate, spacer }
    : { bolt, plate, planes, middle, spacer };
}

/** Plates across a tube reach so far round it, in its diameters, where nothing else was said (common practice, no published source). */
const SNUG = 0.9;
const tubeOd = ({ readings }: Pick<Job, 'readings'>): number => measured(readings, 'tubeDiameter').value;

/** What was said that a bracket sits on; a tube without a size of its own is as thick as what carries it, or as the axle's. */
const seatOn = (
  job: Job,
  { on, od }: NonNullable<BracketPart['seat']>,
  usual: Bracket['seat'],
): Bracket['seat'] => (on === 'flat' ? null : { od: od ?? usual?.od ?? tubeOd(job) });

/**
 * The foot of each plate of a bracket, mm, on its own face: from the middle of its root, along the plates and out toward the eye; straight
 * on a flat face, on a tube down its round, and farther down where the plates stand beside the tube's middle. null where a plate misses
 * the tube it should sit on.
 */
export function footOf(job: Job, link: LinkMember, end: LinkEnd): Place[] | null {
  const bracket = bracketOf(job, link, end);
  const { depth, seat, planes } = bracket;
  if (!seat) return squareFoot(depth);
  // What carries it lies across the car, as an axle's tube and a crossmember do.
  const { out: away } = rootOf(job, link, end);
  const { out, along, bolt } = bracketAxes(job, link, end);
  const [beside, radius] = [planes === 2 ? bracket.middle / 2 + bracket.spacer : 0, seat.od / 2];
  const flat = ([x, , z]: Point): Point => [x, 0, z];
  let isOn = true;
  const foot = Array.from({ length: FOOT + 1 }, (_, i): Place => {
    const u = depth * (i / FOOT - 0.5);
    // The plate's line up from here meets the tube where it is a radius from its axis.
    const from = flat(along.map((v, k) => v * u + bolt[k]! * beside + away[k]! * radius) as Point);
    const up = flat(out);
    const [lift, steep] = [dot(from, up), dot(up, up)];
    const room = lift ** 2 - steep * (dot(from, from) - radius ** 2);
    if (room < 0 && u === 0) isOn = false;
    // What reaches out past the tube ends level with its middle.
    return [u, (Math.sqrt(Math.max(0, room)) - lift) / steep];
  });
  return isOn ? foot : null;
}

/** How finely the round of a foot is drawn. */
const FOOT = 48;

/** How much farther the eye is from the middle of a plate's foot than from the tube, mm; nothing on a flat face. */
export const besideSeat = (job: Job, link: LinkMember, end: LinkEnd): number =>
  -(footOf(job, link, end)?.[FOOT / 2]?.[1] ?? 0);

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

/** How far up from the root a hole is clear of the weld, mm: its own half, the fillet, and as much again as heat takes; past what its plates lap. */
export const clearOfWeld = ({ hole, leg, over }: Pick<Bracket, 'hole' | 'leg' | 'over'>): number =>
  (over?.lap ?? 0) + hole / 2 + 2 * leg;

/** Each plate of a bracket as a tab on its foot; square across where its foot stands on nothing, which is a fault of the part. */
export function tabOf(job: Job, link: LinkMember, end: LinkEnd): TabShape {
  const bracket = bracketOf(job, link, end);
  const { depth, width, edge, hole, reach } = bracket;
  const holes = holesOf(job, link, end).filter((up) => up >= clearOfWeld(bracket) || up === reach);
  return { foot: footOf(job, link, end) ?? squareFoot(depth), width, edge, hole, holes };
}

/** A foot straight across, as wide as a plate is deep, mm. */
export const squareFoot = (depth: number): Place[] => [
  [-depth / 2, 0],
  [depth / 2, 0],
];
