import type { Job } from '@/core/job/jobSchema';
import { fileStem } from '@/core/job/file';
import { bracketOf } from '@/core/job/made/bracketParts';
import { barHeldIn } from '@/core/job/made/sway/barHeld';
import { endLinkFault, endLinkOf, madeUpLink } from '@/core/job/made/sway/endLink';
import type { SwayPart } from '@/core/job/made/sway/parts';
import { barTubeOf, sleeveOf } from '@/core/job/made/sway/sleeve';
import { mountId } from '@/core/job/placed';
import { SIDES } from '@/core/geometry/side';
import { sizeOf } from '@/core/job/bodies/bodySizes';
import { METALS, type MetalName } from '@/core/materials/metals';
import { partName } from '@/core/provenance/inputs';
import type { LinkMember } from '@/core/rig/members/link';
import { capital } from '@/core/rig/names';
import { boxOf } from '@/core/beam/section';
import { toDegrees } from '@/core/geometry/angle';
import { minus } from '@/core/geometry/vector';
import {
  crossmemberFault,
  crossmemberPart,
  crossmembersOf,
  hoopBends,
  lengthOf,
  type Crossmember,
  type CrossSection,
} from '@/core/job/made/crossmember';
import { sayLength } from '@/core/units/length';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import { sectionValues, type BarSection } from '@/core/strength/bar';
import { countOf, isSpoken } from './flatParts';

/** What comes off the saw is of across: as bars are, or a rectangular tube, mm. */
export type CutSection = BarSection | Extract<CrossSection, { shape: 'box' }>;

/** A piece of tube that is no bar, mm as it is fitted, and how much longer it is left until then; kg of one; how its ends are cut. */
export type PieceCut = {
  id: string;
  of: string;
  name: string;
  quantity: number;
  section: CutSection;
  metal: string;
  length: number;
  spare: number;
  mass: number;
  ends: string;
};

/** The tubes of a job that are no bars: the braces of its links, crossmembers, what its sway bar turns in, and that one's end links. */
export const piecesOf = (job: Job, links: LinkMember[]): PieceCut[] => [
  ...links.flatMap((link) => bracesOf(job, link)),
  ...crossmembersCut(job),
  ...(barHeldIn(job) === 'tube' ? barTubesOf(job) : sleevesOf(job)),
  ...endLinksOf(job),
];

/** A piece of tube of mild steel. */
const piece = (
  { od, wall, length }: { od: number; wall: number; length: number },
  of: Omit<PieceCut, 'section' | 'metal' | 'length' | 'mass'>,
): PieceCut => pieceOf({ shape: 'tube', od, wall }, 'dom', length, of);

function pieceOf(
  section: CutSection,
  name: MetalName,
  length: number,
  of: Omit<PieceCut, 'section' | 'metal' | 'length' | 'mass'>,
): PieceCut {
  const { name: metal, density } = METALS[name];
  return { ...of, section, metal, length, mass: areaOf(section) * length * density };
}

const areaOf = (section: CutSection): number =>
  section.shape === 'box' ? boxOf(section).A : sectionValues(section).A;

/** A brace is cut so much longer than from mark to mark, mm: thread and slot take up a cut a quarter of an inch out, and no more. */
const SPARE = MM_PER_INCH / 4;

function bracesOf(job: Job, link: LinkMember): PieceCut[] {
  const of = mountId(link.id, 'chassis');
  const { brace } = bracketOf(job, link, 'chassis');
  if (!brace || !isSpoken(job, of)) return [];
  return [
    piece(brace, {
      id: fileStem(`${of} brace`),
      of,
      name: `${capital(partName(job, of))}, brace to the other rail`,
      quantity: countOf(job, of),
      spare: SPARE,
      ends: 'to fit, mark to mark',
    }),
  ];
}

/** What a sway bar is held by belongs to it. */
const OF_SWAY_BAR = { of: 'sway-bar' };

/** A hoop's ends are cut after it is bent: it is left so much longer, mm. */
const TRIM = 2 * MM_PER_INCH;

function crossmembersCut(job: Job): PieceCut[] {
  return crossmembersOf(job)
    .filter((of) => crossmemberFault(job, of) === null)
    .map((of) =>
      pieceOf(of.section, of.metal, lengthOf(of), {
        id: fileStem(`crossmember ${of.id}`),
        of: crossmemberPart(of.id),
        name: capital(of.id),
        quantity: 1,
        spare: of.hoop ? TRIM : 0,
        ends: sayCrossEnds(of, job.tape),
      }),
    );
}

/** How the ends of a crossmember are cut, and how a hoop is bent. */
function sayCrossEnds(of: Crossmember, tape: Tape): string {
  const { meets, hoop, path } = of;
  const faces = meets === 'between' ? 'inner sides' : 'undersides';
  const bends = hoopBends(of)?.bends;
  if (!bends || !hoop)
    return meets === 'between'
      ? `square, against the rails’ ${faces}`
      : 'square, flush with the rails’ outer sides';
  const [leg] = path.map((p, i) => minus(path[i + 1] ?? p, p));
  const across = toDegrees(Math.atan2(Math.abs(leg![2]), Math.abs(leg![1])));
  const off = meets === 'between' ? across : 90 - across;
  const [first] = bends;
  return `bent ${first!.angle.toFixed(1)}° twice in one plane, ${sayLength(hoop.bendRadius, tape)} to its middle line, ${sayLength(hoop.middle, tape)} between the corners; then both ends ${off < 0.5 ? 'square' : `${off.toFixed(1)}° off square`}, to meet the rails’ ${faces}`;
}

/** The tubes between the ends of the sway bar's links; left and right apart where they differ. */
function endLinksOf(job: Job): PieceCut[] {
  const of = endLinkOf(job);
  if (!of || endLinkFault(of)) return [];
  const quantity = SIDES.length / of.lengths.length;
  return of.lengths.map((length, i) =>
    pieceOf(of.section, of.metal, madeUpLink(of, length).tubeLength, {
      of: 'sway-bar/link' satisfies SwayPart,
      id: `sway-bar-link-${i + 1}`,
      name: `Sway bar’s end link${quantity === 1 ? `, ${SIDES[i]}` : ''}`,
      quantity,
      spare: 0,
      ends: `square, bung ${of.thread}`,
    }),
  );
}

function barTubesOf(job: Job): PieceCut[] {
  const of = barTubeOf(job);
  return of
    ? [
        piece(of, {
          ...OF_SWAY_BAR,
          id: 'sway-bar-tube',
          name: 'Tube that the sway bar turns in',
          quantity: 1,
          spare: 0,
          ends: 'square; as long as from bushing to bushing, middle to middle: longer or shorter by how its bushings sit in it',
        }),
      ]
    : [];
}

/** As long as a rail is wide, with a collar's thickness on both sides. */
function sleevesOf(job: Job): PieceCut[] {
  const of = sleeveOf(job);
  return of
    ? [
        piece(
          { od: of.od, wall: of.tube, length: sizeOf(job, 'railWidth') + 2 * of.plate },
          {
            ...OF_SWAY_BAR,
            id: 'sway-bar-sleeve',
            name: 'Sleeve of the sway bar through a rail',
            quantity: 2,
            spare: 0,
            ends: 'square, flush with the collars',
          },
        ),
      ]
    : [];
}
