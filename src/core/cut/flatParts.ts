import type { Drawing } from '@/core/fabricate/drawing';
import { plateDrawing, tabDrawing } from '@/core/fabricate/plates';
import { springPlateDrawing } from '@/core/fabricate/springPlate';
import { strapDrawing, strapFault } from '@/core/fabricate/strap';
import { extentsOf } from '@/core/fabricate/vectorFiles';
import { wrapDrawing } from '@/core/fabricate/wrap';
import { bracketOf, fastenedTo, tabOf } from '@/core/job/bracketParts';
import { fileStem } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import type { LinkEnd } from '@/core/job/parts';
import { mountId } from '@/core/job/placed';
import { springPlateOf } from '@/core/job/springPlate';
import { strapOf } from '@/core/job/strap';
import { METALS, type MetalName } from '@/core/materials/metals';
import { partName, spokenPart } from '@/core/provenance/inputs';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import { capital } from '@/core/rig/names';
import { leavesOf, pairOf } from '@/core/rig/roles';
import { MM_PER_INCH } from '@/core/units/tape';
import { BAR_ENDS, type BarCut } from './barCut';

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
const plateOf = ({ metal, ...part }: Omit<FlatPart, 'metal' | 'mass'> & { metal: MetalName }): FlatPart => ({
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
  const { plate, edge, depth, planes, boxed, middle, spacer, backing, metal } = bracket;
  const { holes } = tab;
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
  const webHeight = Math.min(...holes) - edge;
  return [
    flat('plate', 'plate', planes, plate, tabDrawing(tab)),
    ...(boxed && planes === 2 && webHeight > plate
      ? [flat('web', 'web between the plates', 1, plate, plateDrawing(apart, webHeight))]
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

/** The part that a spring's plate belongs to. */
const SPRING_PLATE = 'spring-plate';

/** The plates under the leaf springs, all alike: one is the other turned round. */
export function springPlatesOf(job: Job): FlatPart[] {
  const of = springPlateOf(job);
  if (!of) return [];
  return [
    plateOf({
      id: SPRING_PLATE,
      of: SPRING_PLATE,
      name: 'Spring plate',
      quantity: leavesOf(job.rig).length,
      thickness: of.plate,
      metal: 'plate',
      drawing: titled(springPlateDrawing(of), 'Spring plate'),
    }),
  ];
}

/** The part that a sway bar's straps are. */
export const STRAP = 'sway-bar-strap';

/** The straps over the sway bar's two bushings. */
export function strapsOf(job: Job): FlatPart[] {
  const of = strapOf(job);
  if (!of || strapFault(of)) return [];
  return [
    plateOf({
      id: STRAP,
      of: 'sway-bar',
      name: 'Sway bar’s strap',
      quantity: 2,
      thickness: of.thickness,
      metal: 'plate',
      drawing: strapDrawing(of),
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
        drawing: titled(wrapDrawing(cut.saddle), `${name}, ${words}`),
      },
    ];
  });
}

/** How far up a part its name stands, as a share: over any round in its foot. */
const NAME = 0.3;

/** A drawing with its name on it. */
function titled(drawing: Drawing, name: string): Drawing {
  const { low, high } = extentsOf(drawing);
  return {
    ...drawing,
    words: [{ at: [(low[0] + high[0]) / 2, low[1] + NAME * (high[1] - low[1])], text: name }],
  };
}

/** What a plate weighs by: the area inside its outline less its holes, mm², by the outline's own lines and arcs. */
function areaOf({ paths }: Drawing): number {
  let area = 0;
  for (const path of paths) {
    if (path.layer === 'DRILL' && path.type === 'circle')
      area -= Math.PI * (path as { radius?: number }).radius! ** 2;
    if (path.layer !== 'CUT') continue;
    for (const [[x1, y1], [x2, y2]] of chordsOf(path)) area += (x1 * y2 - x2 * y1) / 2;
  }
  return area;
}

/** Chords of an arc so fine that their area is the arc's. */
const CHORDS = 90;

function chordsOf(path: Drawing['paths'][number]): [[number, number], [number, number]][] {
  if (path.type === 'line') {
    const { origin, end } = path as unknown as { origin: [number, number]; end: [number, number] };
    return [[origin, end]];
  }
  const { origin, radius, startAngle, endAngle } = path as unknown as {
    origin: [number, number];
    radius: number;
    startAngle: number;
    endAngle: number;
  };
  const at = (i: number): [number, number] => {
    const turn = ((startAngle + ((endAngle - startAngle) * i) / CHORDS) * Math.PI) / 180;
    return [origin[0] + radius * Math.cos(turn), origin[1] + radius * Math.sin(turn)];
  };
  return Array.from({ length: CHORDS }, (_, i) => [at(i), at(i + 1)]);
}
