import { bendsAlong, type BendSheet } from '@/core/geometry/bends';
import { distance } from '@/core/geometry/vector';
import { makeBar, type BarEnd, type BarResult, type BarSpec } from '@/core/fabricate/adjustableBar';
import type { JointName } from '@/core/materials/joints';
import { METALS, THREADED, type Metal, type MetalName } from '@/core/materials/metals';
import { type ThreadName } from '@/core/materials/threads';
import type { LinkMember } from '@/core/rig/members/link';
import { partnerOf } from '@/core/rig/roles';
import type { BarSection } from '@/core/strength/bar';
import type { Job } from '@/core/job/jobSchema';
import { mountId } from '@/core/job/placed';
import type { BarEye, BarPart, BracketPart } from '@/core/job/slices/parts';

/** An end of a link, by the body its bracket is on. */
export const LINK_ENDS = ['chassis', 'axle'] as const;
export type LinkEnd = (typeof LINK_ENDS)[number];

/** The two ends of a bar, as it lies on the saw; which of them is at a body's bracket. */
export const BAR_ENDS = ['frame', 'axle'] as const;
export type BarEndName = (typeof BAR_ENDS)[number];
export const barEndAt = (end: LinkEnd): BarEndName => (end === 'chassis' ? 'frame' : 'axle');

/** The body that an end of a bar is held by. */
export const bodyAt = (end: BarEndName): LinkEnd => (end === 'frame' ? 'chassis' : 'axle');

/** A bar with everything that it is made of, mm; N for what its rod ends are rated at, null where their maker's figure was not told. */
export type Bar = {
  metal: MetalName;
  section: BarSection;
  thread: ThreadName;
  ends: Record<BarEndName, BarEnd>;
  rated: number | null;
  /** of its bends, to its middle line, mm */
  bendRadius: number;
  /** the barrel that an end is welded to, by its outside diameter, mm; null where it is threaded */
  barrels: Record<BarEndName, { od: number } | null>;
  /** the plates on a pin that an end is instead */
  eyes: Record<BarEndName, BarEye | null>;
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

/** How high a bar is, seen from its plates' side, mm. */
export const heightOf = (section: BarSection): number =>
  section.shape === 'flat' ? section.height : section.od;

/** How thick a bar is across its plates' plane, mm. */
export const thicknessOf = (section: BarSection): number =>
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
    eyes: { frame: said.eyes?.frame ?? null, axle: said.eyes?.axle ?? null },
  };
}

/** What an end of a bar is: a joint or a fork on a threaded shank, a barrel with a bushing, or plate on a pin, one or two. */
export const END_KINDS = ['threaded', 'clevis', 'barrel', 'eye', 'fork'] as const;
export type EndKind = (typeof END_KINDS)[number];

export const endKindOf = (
  { barrels, eyes }: Pick<Bar, 'barrels' | 'eyes'>,
  end: BarEndName,
  joint: JointName,
): EndKind => eyes[end]?.kind ?? (barrels[end] ? 'barrel' : joint === 'clevis' ? 'clevis' : 'threaded');

/** The ends of a bar that have thread: all that are neither welded to a barrel nor of plate. */
export const threadedEnds = ({ barrels, eyes }: Pick<Bar, 'barrels' | 'eyes'>): BarEndName[] =>
  BAR_ENDS.filter((end) => !barrels[end] && !eyes[end]);

/** Whether a bar is one piece of plate, its eyes with it. */
export const isPlateBar = ({ section, eyes }: Pick<Bar, 'section' | 'eyes'>): boolean =>
  section.shape === 'flat' && BAR_ENDS.every((end) => eyes[end]?.kind === 'eye');

/** A bar as its tube is cut and its threads are wound; an end that is welded takes its barrel's half, or as far as its hole is out, and has no thread. */
export function specOf(job: Pick<Job, 'parts' | 'cut'>, member: string): BarSpec {
  const bar = barOf(job, member);
  const { thread, ends, section, barrels, eyes } = bar;
  const end = (name: BarEndName): BarEnd => {
    const [barrel, eye] = [barrels[name], eyes[name]];
    const reach = eye && (isPlateBar(bar) ? 0 : eye.reach);
    const toShoulder = reach ?? (barrel && barrel.od / 2);
    return toShoulder === null ? ends[name] : { toShoulder, showing: 0, shank: 0, bung: 0 };
  };
  const { shape } = section;
  const od = heightOf(section);
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
  // What is cut from plate is bent nowhere.
  return points.length && !isPlateBar(barOf(job, id))
    ? bendsAlong([chassis, ...points, axle], barOf(job, id).bendRadius)
    : null;
}

/** From eye to eye along a bar, mm: along its bends where it has any. */
const alongOf = (job: Pick<Job, 'parts' | 'cut'>, link: LinkMember): number =>
  bendsOf(job, link)?.blank ?? distance(link.chassis, link.axle);

/** A bar as it is made up. */
export const madeUp = (job: Pick<Job, 'parts' | 'cut'>, link: LinkMember): BarResult =>
  makeBar(alongOf(job, link), specOf(job, link.id));
