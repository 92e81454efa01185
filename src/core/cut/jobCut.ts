import { boltFor, type BoltChoice } from '@/core/fabricate/boltStack';
import { nestLengths, type Piece } from '@/core/fabricate/nesting';
import { uBoltFor } from '@/core/fabricate/plates/springPlate';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf, stackOf } from '@/core/job/made/bracketParts';
import { isPlateBar, LINK_ENDS, type LinkEnd } from '@/core/job/made/parts';
import { endLinkOf, LINK_PINS } from '@/core/job/made/sway/endLink';
import type { SwayPart } from '@/core/job/made/sway/parts';
import { mountId } from '@/core/job/placed';
import { SIDES } from '@/core/geometry/side';
import { springPlateOf } from '@/core/job/made/springPlate';
import { BOLT_GRADES, METALS } from '@/core/materials/metals';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import { leavesOf } from '@/core/rig/roles';
import { MM_PER_INCH } from '@/core/units/tape';
import { barCut, type BarCut } from './barCut';
import { barPlatesOf, countOf, flatsOf, isSpoken, springPlatesOf, wrapsOf, type FlatPart } from './flatParts';
import { piecesOf, type CutSection, type PieceCut } from './pieces';
import { clipPinsOf, drillSheetsOf, swayMountsOf } from './swayMounts';

/** All that a job is cut from. */
export type JobCut = {
  bars: BarCut[];
  /** tubes that are no bars: braces, a sway bar's end links, sleeves, what it turns in */
  pieces: PieceCut[];
  flats: FlatPart[];
  /** templates to wrap round a tube */
  wraps: FlatPart[];
  stock: StockOf[];
  bolts: BoltOf[];
  uBolts: UBoltOf | null;
};

/** The bolt of a bracket, and of how many alike. */
export type BoltOf = BoltChoice & { of: string; diameter: number; grade: string; quantity: number };

/** The U-bolts of all leaf springs, mm: how thick, how far apart their legs are, how long at least, how much of that is thread. */
export type UBoltOf = { diameter: number; inside: number; length: number; thread: number; quantity: number };

/** Tube of one section and metal: its pieces laid on the lengths it is bought in. */
export type StockOf = { section: CutSection; metal: string; nested: ReturnType<typeof nestLengths> };

/** Twenty feet, and what a chop saw takes (common practice, no published source). */
export const USUAL_STOCK = { length: 240 * MM_PER_INCH, kerf: MM_PER_INCH / 8 };

/** What a job is cut from: bars, flat parts, templates, and the stock they come off. */
export function jobCut(job: Job): JobCut {
  const links = linksOf(job.rig);
  const bars = links.map((link) => barCut(job, link));
  // A bar of plate comes out of a sheet, or off a flat bar as the shop has it: it is among the plates.
  const sawn = bars.filter(({ bar }) => !isPlateBar(bar));
  const pieces = piecesOf(job, links);
  return {
    bars,
    pieces,
    flats: [
      ...links.flatMap((link) => barPlatesOf(job, link)),
      ...links.flatMap((link) => LINK_ENDS.flatMap((end) => flatsOf(job, link, end))),
      ...springPlatesOf(job),
      ...swayMountsOf(job),
    ],
    wraps: [
      ...links.flatMap((link, i) => wrapsOf(job, link, bars[i]!)),
      ...drillSheetsOf(job),
      ...clipPinsOf(job),
    ],
    stock: stockOf(job, [
      ...sawn.map(({ id, bar, blank }) => ({
        id,
        section: bar.section,
        metal: METALS[bar.metal].name,
        length: blank,
      })),
      ...pieces.flatMap(({ quantity, length, spare, ...piece }) =>
        Array.from({ length: quantity }, () => ({ ...piece, length: length + spare })),
      ),
    ]),
    bolts: [
      ...links.flatMap((link) => LINK_ENDS.flatMap((end) => boltsOf(job, link, end))),
      ...linkBoltsOf(job),
    ],
    uBolts: uBoltsOf(job),
  };
}

/** Two U-bolts to a leaf. */
function uBoltsOf(job: Job): UBoltOf | null {
  const of = springPlateOf(job);
  return (
    of && {
      diameter: of.uBolt,
      ...uBoltFor(of),
      quantity: 2 * leavesOf(job.rig).length,
    }
  );
}

/** The bolt that goes through a bracket. */
function boltsOf(job: Job, link: LinkMember, end: LinkEnd): BoltOf[] {
  const part = mountId(link.id, end);
  if (!isSpoken(job, part)) return [];
  const bracket = bracketOf(job, link, end);
  return [
    {
      ...boltFor(stackOf(job, link, end)),
      of: part,
      diameter: bracket.bolt,
      grade: BOLT_GRADES[bracket.grade].name,
      quantity: countOf(job, part),
    },
  ];
}

/** The bolts of the sway bar's end links, less those that are pins with a clip. */
function linkBoltsOf(job: Job): BoltOf[] {
  const of = endLinkOf(job);
  if (!of) return [];
  return LINK_PINS.map((at) => of.pins[at])
    .filter(({ clip }) => !clip)
    .map(({ grade, ...stack }) => ({
      ...boltFor(stack),
      of: 'sway-bar/link' satisfies SwayPart,
      diameter: stack.bolt,
      grade: BOLT_GRADES[grade].name,
      quantity: SIDES.length,
    }));
}

/** A piece of tube or bar as it comes off the saw, mm. */
type Sawn = Piece & { section: CutSection; metal: string };

/** The tubes of a job laid on lengths of stock, section by section. */
function stockOf(job: Job, pieces: Sawn[]): StockOf[] {
  const { length, kerf } = job.cut.stock ?? USUAL_STOCK;
  const groups = new Map<string, Sawn[]>();
  for (const piece of pieces.filter((one) => one.length > 0)) {
    const key = JSON.stringify([piece.section, piece.metal]);
    groups.set(key, [...(groups.get(key) ?? []), piece]);
  }
  return [...groups.values()].map((alike) => {
    const [{ section, metal }] = alike as [Sawn];
    return {
      section,
      metal,
      nested: nestLengths(
        alike.map(({ id, length: mm }) => ({ id, length: mm })),
        length,
        kerf,
      ),
    };
  });
}
