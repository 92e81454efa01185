import type { Drawing } from '@/core/fabricate/drawing';
import { pdfOf, type Printed } from '@/core/fabricate/paper/pdf';
import type { Paper } from '@/core/fabricate/paper/text';
import { dxfOf, svgOf } from '@/core/fabricate/vectorFiles';
import type { Job } from '@/core/job/jobSchema';
import { fileStem } from '@/core/job/file';
import { METALS } from '@/core/materials/metals';
import { capital, groupName, memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { jobCut, type JobCut } from './jobCut';
import { cutListCsv, shoppingCsv } from './lists';
import type { FlatPart } from './flatParts';
import { jigDrawing, jigSets, type JigSet } from './jig';
import { plateSheets, type PlateSheets } from './sheets';

/** A file of a job's cut: text, or bytes. */
export type CutFile = { name: string; content: string | Uint8Array };

/** What `parts.json` says of a part: mm, kg of one. */
type PartEntry = {
  id: string;
  of: string;
  name: string;
  kind: 'bar' | 'plate' | 'template';
  quantity: number;
  metal: string;
  thickness?: number;
  blankLength?: number;
  finishedLength?: number;
  eyeToEye?: number;
  mass: number;
  files: string[];
};

/** The revision of what is cut: alike for as long as every piece of it is. */
export const revisionOf = ({
  bars,
  pieces,
  flats,
  wraps,
}: Pick<JobCut, 'bars' | 'pieces' | 'flats' | 'wraps'>): string =>
  checksum(
    JSON.stringify([
      bars.map(({ id, blank, finished, bar, ends }) => [id, round(blank), round(finished), bar, ends]),
      pieces.map(({ id, quantity, section, length }) => [id, quantity, section, round(length)]),
      [...flats, ...wraps].map(({ id, quantity, thickness, metal, drawing }) => [
        id,
        quantity,
        thickness,
        metal,
        drawing,
      ]),
    ]),
  );

const round = (mm: number): number => Math.round(1000 * mm) / 1000;

/** FNV-1a of a text, 32 bits, as eight hexadecimal digits: to tell sheets apart, not to keep anything safe. */
function checksum(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}

/** Every file of a job's cut: DXF and SVG of each flat part and template, all of them at 1:1 in one PDF, the lists as CSV, and `parts.json`. */
export async function cutFiles(
  job: Job,
  paper: Paper = job.tape === 'mm' ? 'a4' : 'letter',
): Promise<CutFile[]> {
  const cut = jobCut(job);
  const drawn = [...cut.flats, ...cut.wraps];
  const sheets = plateSheets(job, cut).flatMap((plate) =>
    plate.sheets.map((drawing, i) => ({ id: sheetStem(job, plate, i), drawing })),
  );
  const jig = { id: 'jig', drawing: jigOf(job, cut) };
  const files: CutFile[] = [...drawn, ...sheets, ...(cut.bars.length ? [jig] : [])].flatMap(
    ({ id, drawing }) => [
      { name: `${id}.dxf`, content: dxfOf(drawing) },
      { name: `${id}.svg`, content: svgOf(drawing) },
    ],
  );
  return [
    ...files,
    { name: 'full-size.pdf', content: await fullSizePdf(job, cut, paper) },
    { name: 'cut-list.csv', content: cutListCsv(job, cut) },
    { name: 'shopping-list.csv', content: shoppingCsv(job, cut) },
    { name: 'parts.json', content: `${JSON.stringify(partsOf(job, cut), null, 1)}\n` },
  ];
}

/** The jig of a job as a plate: each setting with the bars made on it and how far apart its pins are. */
export const jigOf = (job: Job, { bars }: Pick<JobCut, 'bars'>): Drawing =>
  jigDrawing(
    jigSets(job, bars),
    (set) => `${jigName(job, set)}: ${sayLength(set.apart, job.tape)} eye to eye`,
  );

/** The bars of a setting, by name. */
export const jigName = ({ rig }: Pick<Job, 'rig'>, { bars }: JigSet): string =>
  capital(groupName(bars, rig.end) ?? bars.map((id) => memberName(id, rig.end)).join(', '));

/** The name of a sheet's file, without what comes after the point. */
export const sheetStem = (
  { tape }: Pick<Job, 'tape'>,
  { metal, thickness }: Pick<PlateSheets, 'metal' | 'thickness'>,
  i: number,
): string => fileStem(`sheet ${i + 1} ${metal} ${sayLength(thickness, tape).replace('/', '-')}`);

/** Every drawing at its own size, on paper. */
export const fullSizePdf = (job: Job, cut: JobCut, paper: Paper): Promise<Uint8Array> =>
  pdfOf(
    job.name,
    revisionOf(cut),
    [...cut.flats, ...cut.wraps].map((part): Printed => ({
      title: part.name,
      quantity: part.quantity,
      notes: part.notes ?? [`${part.metal}, ${sayLength(part.thickness, job.tape)}`],
      drawing: withoutWords(part.drawing),
    })),
    paper,
  );

/** On paper the name stands over the drawing. */
const withoutWords = (drawing: Drawing): Drawing => ({ ...drawing, words: [] });

const partsOf = (
  job: Job,
  { bars, pieces, flats, wraps }: JobCut,
): { job: string; revision: string; parts: PartEntry[] } => ({
  job: job.name,
  revision: revisionOf({ bars, pieces, flats, wraps }),
  parts: [
    ...bars.map((bar): PartEntry => ({
      id: bar.id,
      of: bar.id,
      name: capital(memberName(bar.id, job.rig.end)),
      kind: 'bar',
      quantity: 1,
      metal: METALS[bar.bar.metal].name,
      blankLength: bar.blank,
      finishedLength: bar.finished,
      eyeToEye: bar.eyeToEye,
      mass: bar.mass,
      files: wraps.filter(({ of }) => of === bar.id).flatMap(filesOf),
    })),
    ...pieces.map((piece): PartEntry => ({
      id: piece.id,
      of: piece.of,
      name: piece.name,
      kind: 'bar',
      quantity: piece.quantity,
      metal: piece.metal,
      blankLength: piece.length + piece.spare,
      finishedLength: piece.length,
      mass: piece.mass,
      files: [],
    })),
    ...flats.map((flat) => entryOf(flat, 'plate')),
    ...wraps.map((wrap) => entryOf(wrap, 'template')),
  ],
});

const filesOf = ({ id }: FlatPart): string[] => [`${id}.dxf`, `${id}.svg`];

const entryOf = (part: FlatPart, kind: PartEntry['kind']): PartEntry => ({
  id: part.id,
  of: part.of,
  name: part.name,
  kind,
  quantity: part.quantity,
  metal: part.metal,
  ...(part.thickness > 0 && { thickness: part.thickness }),
  mass: part.mass,
  files: filesOf(part),
});
