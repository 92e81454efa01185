import { areaOf, line, type Drawing } from '@/core/fabricate/drawing';
import { plateBarDrawing } from '@/core/fabricate/plates/plateBar';
import { foldedDrawing } from '@/core/fabricate/plates/folded';
import { foldedFault } from '@/core/fabricate/plates/foldedShape';
import { plateDrawing, tabDrawing } from '@/core/fabricate/plates/plates';
import { springPlateDrawing } from '@/core/fabricate/plates/springPlate';
import { extentsOf } from '@/core/fabricate/vectorFiles';
import { wrapDrawing } from '@/core/fabricate/wrap';
import { fastenedTo } from '@/core/job/made/bracketRoot';
import { bracketOf, foldedOf, squareFoot, tabOf, webOf } from '@/core/job/made/bracketParts';
import { fileStem } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { mountId } from '@/core/job/placed';
import { springPlateOf } from '@/core/job/made/springPlate';
import { METALS, type MetalName } from '@/core/materials/metals';
import { partName, spokenPart } from '@/core/provenance/inputs';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import { capital } from '@/core/rig/names';
import { leavesOf, pairOf } from '@/core/rig/roles';
import { MM_PER_INCH } from '@/core/units/tape';
import {
  BAR_ENDS,
  barEndAt,
  barOf,
  isPlateBar,
  LINK_ENDS,
  thicknessOf,
  type LinkEnd,
} from '@/core/job/made/parts';
import { plateBarOf } from '@/core/job/made/plateBar';
import type { BarCut } from './barCut';

/** A flat part: what it is called, how many of it, of what, mm; and its drawing. */
export type FlatPart = {
  id: string;
  /** the bar or bracket it belongs to */
  of: string;
  name: string;
  quantity: number;
  thickness: number;
  metal: string;
  /** of one, kg; none of paper */
  mass: number;
  /** how it is used, where it is paper */
  notes?: string[];
  drawing: Drawing;
};

/** Whether a part is drawn for its mirror image too: the first of a pair that is alike. */
export const isSpoken = (job: Job, part: string): boolean => spokenPart(job, part) === part;
export const countOf = (job: Job, part: string): number => {
  const [member = '', end] = part.split('/');
  const pair = pairOf(member).filter((id) => linksOf(job.rig).some((link) => link.id === id));
  return pair.filter((id) => spokenPart(job, end ? mountId(id, end) : id) === spokenPart(job, part)).length;
};

/** A flat part of a metal, as heavy as its drawing is large. */
export const plateOf = ({
  metal,
  ...part
}: Omit<FlatPart, 'metal' | 'mass'> & { metal: MetalName }): FlatPart => ({
  ...part,
  metal: METALS[metal].name,
  mass: areaOf(part.drawing) * part.thickness * METALS[metal].density,
});

/** Backing plates are so much larger than what they back, all round, mm; a web is so much shorter than its plates. */
const ROUND_IT = MM_PER_INCH / 2;

export function flatsOf(job: Job, link: LinkMember, end: LinkEnd): FlatPart[] {
  const part = mountId(link.id, end);
  if (!isSpoken(job, part)) return [];
  const bracket = bracketOf(job, link, end);
  const tab = tabOf(job, link, end);
  const { plate, depth, planes, boxed, middle, spacer, backing, metal } = bracket;
  const name = capital(partName(job, part));
  const apart = middle + 2 * spacer;
  const count = countOf(job, part);
  const flat = (what: string, words: string, quantity: number, thickness: number, drawing: Drawing) =>
    plateOf({
      id: fileStem(`${part} ${what}`),
      of: part,
      name: `${name}, ${words}`,
      quantity: quantity * count,
      thickness,
      metal,
      drawing: titled(drawing, `${name}, ${words}`),
    });
  const web = webOf(bracket, tab);
  const folded = foldedOf(job, link, end);
  return [
    ...(folded ? [] : [flat('plate', 'plate', planes, plate, bracketPlate(job, link, end))]),
    ...(folded && !foldedFault(folded)
      ? [flat('folded', 'plates and web, folded from one', 1, plate, foldedDrawing(folded))]
      : []),
    ...(boxed && planes === 2 && web > 0 && !folded
      ? [flat('web', 'web between the plates', 1, plate, plateDrawing(apart, web))]
      : []),
    ...(backing > 0 && fastenedTo(job, link, end) === 'rail'
      ? [
          flat(
            'backing',
            'backing plate',
            1,
            backing,
            plateDrawing(depth + 2 * ROUND_IT, apart + 2 * plate + 2 * ROUND_IT),
          ),
        ]
      : []),
  ];
}

/** One plate of a bracket, with the line scribed on it that an old bracket under it reaches up to. */
export function bracketPlate(job: Job, link: LinkMember, end: LinkEnd): Drawing {
  const { over, depth, width } = bracketOf(job, link, end);
  const drawing = tabDrawing(tabOf(job, link, end));
  if (!over) return drawing;
  const half = Math.min(depth, width) / 2;
  return { ...drawing, paths: [...drawing.paths, line('SCRIBE', [-half, over.lap], [half, over.lap])] };
}

/** The plates that a bar's ends are, and the bar itself where it is one piece of plate. */
export function barPlatesOf(job: Job, link: LinkMember): FlatPart[] {
  if (!isSpoken(job, link.id)) return [];
  const bar = barOf(job, link.id);
  const name = capital(partName(job, link.id));
  const count = countOf(job, link.id);
  const whole = plateBarOf(job, link);
  if (whole)
    return [
      plateOf({
        id: fileStem(`${link.id} bar`),
        of: link.id,
        name,
        quantity: count,
        thickness: thicknessOf(bar.section),
        metal: bar.metal,
        drawing: titled(plateBarDrawing(whole), name),
      }),
    ];
  if (isPlateBar(bar)) return [];
  return LINK_ENDS.flatMap((of): FlatPart[] => {
    const end = barEndAt(of);
    const eye = bar.eyes[end];
    if (!eye) return [];
    const { width, plate, reach, lap, kind } = eye;
    const words = kind === 'fork' ? `plate of the fork at its ${end} end` : `eye at its ${end} end`;
    const { hole } = bracketOf(job, link, of);
    const drawing = tabDrawing({
      foot: squareFoot(width),
      width,
      edge: width / 2,
      hole,
      holes: [reach + lap],
    });
    const lapLine = line('SCRIBE', [-width / 2, lap], [width / 2, lap]);
    return [
      plateOf({
        id: fileStem(`${link.id} ${end} ${kind}`),
        of: link.id,
        name: `${name}, ${words}`,
        quantity: count * (kind === 'fork' ? 2 : 1),
        thickness: plate,
        metal: 'plate',
        drawing: titled({ ...drawing, paths: [...drawing.paths, lapLine] }, `${name}, ${words}`),
      }),
    ];
  });
}

/** The part that a spring's plate belongs to. */
const SPRING_PLATE = 'spring-plate';

/** The plates under the leaf springs, all alike: one is the other turned round, or turned over where they have ears. */
export function springPlatesOf(job: Job): FlatPart[] {
  const of = springPlateOf(job);
  if (!of) return [];
  return [
    plateOf({
      id: SPRING_PLATE,
      of: SPRING_PLATE,
      name: of.ear ? 'Spring plate, left; the right one turned over' : 'Spring plate',
      quantity: leavesOf(job.rig).length,
      thickness: of.plate,
      metal: 'plate',
      drawing: titled(springPlateDrawing(of), of.ear ? 'Spring plate, left' : 'Spring plate'),
    }),
  ];
}

/** Templates to wrap round the ends of a bar that are notched. */
export function wrapsOf(job: Job, link: LinkMember, { ends, bar }: BarCut): FlatPart[] {
  if (!isSpoken(job, link.id)) return [];
  const name = capital(partName(job, link.id));
  return BAR_ENDS.flatMap((end): FlatPart[] => {
    const cut = ends[end];
    if (cut.kind !== 'saddle') return [];
    const words = `template for its ${end} end`;
    return [
      {
        id: fileStem(`${link.id} ${end} wrap`),
        of: link.id,
        name: `${name}, ${words}`,
        quantity: 1,
        thickness: 0,
        metal: METALS[bar.metal].name,
        mass: 0,
        notes: ['Wrap it round the tube'],
        drawing: titled(wrapDrawing(cut.saddle), `${name}, ${words}`),
      },
    ];
  });
}

/** How far up a part its name stands, as a share: over any round in its foot. */
const NAME = 0.3;

/** A drawing with its name on it, beside what else it says. */
export function titled(drawing: Drawing, name: string): Drawing {
  const { low, high } = extentsOf(drawing);
  return {
    ...drawing,
    words: [
      ...drawing.words,
      { at: [(low[0] + high[0]) / 2, low[1] + NAME * (high[1] - low[1])], text: name },
    ],
  };
}
