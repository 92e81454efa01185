import Papa from 'papaparse';
import type { Drawing } from '@/core/fabricate/drawing';
import { pdfOf, type Paper, type Printed } from '@/core/fabricate/pdf';
import { dxfOf, svgOf } from '@/core/fabricate/vectorFiles';
import type { Job } from '@/core/job/jobSchema';
import { fileStem } from '@/core/job/file';
import { threadedEnds } from '@/core/job/parts';
import { strapOf } from '@/core/job/strap';
import { METALS } from '@/core/materials/metals';
import { capital, groupName, memberName } from '@/core/rig/names';
import type { BarSection } from '@/core/strength/bar';
import { MASS } from '@/core/units/unit';
import { sayLength } from '@/core/units/length';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import { jobCut, type BoltOf, type UBoltOf, type JobCut, type StockOf } from './jobCut';
import { STRAP, type FlatPart } from './flatParts';
import type { BarCut } from './barCut';
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
  braces,
  flats,
  wraps,
}: Pick<JobCut, 'bars' | 'braces' | 'flats' | 'wraps'>): string =>
  checksum(
    JSON.stringify([
      bars.map(({ id, blank, finished, bar, ends }) => [id, round(blank), round(finished), bar, ends]),
      braces.map(({ id, quantity, section, length }) => [id, quantity, section, round(length)]),
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
      notes: part.thickness
        ? [`${part.metal}, ${sayLength(part.thickness, job.tape)}`]
        : ['Wrap it round the tube'],
      drawing: withoutWords(part.drawing),
    })),
    paper,
  );

/** On paper the name stands over the drawing. */
const withoutWords = (drawing: Drawing): Drawing => ({ ...drawing, words: [] });

const partsOf = (
  job: Job,
  { bars, braces, flats, wraps }: JobCut,
): { job: string; revision: string; parts: PartEntry[] } => ({
  job: job.name,
  revision: revisionOf({ bars, braces, flats, wraps }),
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
    ...braces.map((brace): PartEntry => ({
      id: brace.id,
      of: brace.of,
      name: brace.name,
      kind: 'bar',
      quantity: brace.quantity,
      metal: brace.metal,
      blankLength: brace.length + brace.spare,
      finishedLength: brace.length,
      mass: brace.mass,
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

/** A section as it is asked for over the counter. */
export function saySection(section: BarSection, tape: Tape): string {
  if (section.shape === 'flat')
    return `plate ${sayLength(section.height, tape)} × ${sayLength(section.thickness, tape)}`;
  if (section.shape === 'solid') return `solid ${sayLength(section.od, tape)}`;
  const wall =
    tape === 'mm' ? `${section.wall.toFixed(2)} mm` : `${(section.wall / MM_PER_INCH).toFixed(3)} in`;
  return `tube ${sayLength(section.od, tape)} × ${wall}`;
}

/** How an end of a tube is prepared. */
export const sayEnd = ({ bar, ends }: BarCut, end: 'frame' | 'axle', tape: Tape): string => {
  const cut = ends[end];
  if (cut.kind === 'saddle')
    return `saddle on a ${sayLength(cut.saddle.barrel, tape)} barrel, ${sayLength(cut.throat - cut.tip, tape)} deep`;
  return bar.barrels[end] ? 'square, against its barrel' : `square, bung ${bar.thread}`;
};

const saidMass = (kg: number, tape: Tape): string => `${MASS.shown(kg, tape).toFixed(2)} ${MASS.sign(tape)}`;

/** The pieces that come off the saw and out of the sheet, a line each. */
export const cutListCsv = (job: Job, { bars, braces, flats }: JobCut): string =>
  Papa.unparse(
    [
      ...bars.map((bar) => ({
        part: capital(memberName(bar.id, job.rig.end)),
        quantity: 1,
        of: `${saySection(bar.bar.section, job.tape)}, ${METALS[bar.bar.metal].name}`,
        blank: sayLength(bar.blank, job.tape),
        finished: sayLength(bar.finished, job.tape),
        'eye to eye': sayLength(bar.eyeToEye, job.tape),
        bends: bar.bends ? String(bar.bends.bends.length) : '',
        'frame end': sayEnd(bar, 'frame', job.tape),
        'axle end': sayEnd(bar, 'axle', job.tape),
        weighs: saidMass(bar.mass, job.tape),
      })),
      ...braces.map((brace) => ({
        part: brace.name,
        quantity: brace.quantity,
        of: `${saySection(brace.section, job.tape)}, ${brace.metal}`,
        blank: sayLength(brace.length + brace.spare, job.tape),
        finished: sayLength(brace.length, job.tape),
        'eye to eye': '',
        bends: '',
        'frame end': 'to fit, mark to mark',
        'axle end': 'to fit, mark to mark',
        weighs: saidMass(brace.mass * brace.quantity, job.tape),
      })),
      ...flats.map((flat) => ({
        part: flat.name,
        quantity: flat.quantity,
        of: `${flat.metal}, ${sayLength(flat.thickness, job.tape)}`,
        blank: '',
        finished: '',
        'eye to eye': '',
        bends: '',
        'frame end': '',
        'axle end': '',
        weighs: saidMass(flat.mass * flat.quantity, job.tape),
      })),
    ],
    { escapeFormulae: true },
  );

/** A line of what has to be bought. */
export type Bought = { what: string; quantity: number | string; note: string };

/** Tube by the length, ends by their thread and hand, plate by its thickness. */
export function shoppingList(job: Job, { bars, flats, stock, bolts, uBolts }: JobCut): Bought[] {
  const threaded = bars.flatMap(({ bar }) =>
    threadedEnds(bar).map((end) => ({ thread: bar.thread, left: job.cut.leftHandEnd === end })),
  );
  const ends = counted(threaded.map(({ thread, left }) => `${thread} ${left ? 'left-hand' : 'right-hand'}`));
  const barrels = counted(
    bars.flatMap(({ bar }) =>
      (['frame', 'axle'] as const).flatMap((end) =>
        bar.barrels[end] ? [`${sayLength(bar.barrels[end].od, job.tape)} outside`] : [],
      ),
    ),
  );
  return [
    ...stock.map((of) => tubeLine(job, of)),
    ...ends.flatMap(([thread, quantity]) => [
      {
        what: `Rod end, ${thread}`,
        quantity,
        note: thread.endsWith('left-hand') ? 'usually carries a groove' : '',
      },
      { what: `Bung, ${thread}`, quantity, note: '' },
      { what: `Jam nut, ${thread}`, quantity, note: '' },
    ]),
    ...barrels.map(([od, quantity]) => ({ what: `Barrel and bushing, ${od}`, quantity, note: '' })),
    ...boltLines(job, bolts),
    ...(uBolts ? uBoltLines(job, uBolts) : []),
    ...strapLines(job, flats),
    ...plateLines(job, flats),
  ];
}

function tubeLine(job: Job, { section, metal, nested: { lengths, tooLong } }: StockOf): Bought {
  const left = lengths.reduce((most, one) => Math.max(most, one.left), 0);
  return {
    what: `${capital(saySection(section, job.tape))}, ${metal}`,
    quantity: lengths.length,
    note: tooLong.length
      ? `${tooLong.length} of its pieces are longer than a length of stock`
      : `lengths; the longest left over is ${sayLength(left, job.tape)}`,
  };
}

function boltLines(job: Job, bolts: BoltOf[]): Bought[] {
  const say = (mm: number) => sayLength(mm, job.tape).replace(/ (in|mm)$/, '');
  const all = bolts.flatMap((bolt) => Array.from({ length: bolt.quantity }, () => bolt));
  const lines = counted(
    all.map(({ diameter, length, grade }) => `${say(diameter)} × ${say(length)}, ${grade}`),
  );
  const nuts = counted(all.map(({ diameter }) => say(diameter)));
  const washers = counted(
    all.flatMap(({ diameter, extraWashers }) =>
      Array.from({ length: 2 + extraWashers }, () => say(diameter)),
    ),
  );
  return [
    ...lines.map(([size, quantity]) => ({
      what: `Bolt, ${size}`,
      quantity,
      note: 'its thread begins past the last tab',
    })),
    ...nuts.map(([size, quantity]) => ({ what: `Locking nut, ${size}`, quantity, note: '' })),
    ...washers.map(([size, quantity]) => ({ what: `Washer, ${size}`, quantity, note: '' })),
  ];
}

function uBoltLines(job: Job, { diameter, inside, length, thread, quantity }: UBoltOf): Bought[] {
  const say = (mm: number) => sayLength(mm, job.tape);
  return [
    {
      what: `U-bolt, round, ${say(diameter)}, ${say(inside)} between its legs`,
      quantity,
      note: `${say(length)} long inside at least, ${say(thread)} of it thread; new ones, never used twice`,
    },
    { what: `Deep nut and hardened washer, ${say(diameter)}`, quantity: 2 * quantity, note: '' },
  ];
}

/** Two bolts to a strap, as long as what they go through asks. */
function strapLines(job: Job, flats: FlatPart[]): Bought[] {
  const [straps, of] = [flats.find(({ id }) => id === STRAP), strapOf(job)];
  if (!straps || !of) return [];
  return [
    {
      what: `Bolt, nut and washers, ${sayLength(of.bolt, job.tape)}, of the sway bar’s straps`,
      quantity: 2 * straps.quantity,
      note: 'as long as what they go through asks',
    },
  ];
}

function plateLines(job: Job, flats: FlatPart[]): Bought[] {
  const groups = new Map<string, { kg: number; pieces: number }>();
  for (const { metal, thickness, mass, quantity } of flats) {
    const key = `${metal}, ${sayLength(thickness, job.tape)}`;
    const group = groups.get(key) ?? { kg: 0, pieces: 0 };
    groups.set(key, { kg: group.kg + mass * quantity, pieces: group.pieces + quantity });
  }
  return [...groups].map(([what, { kg, pieces }]) => ({
    what,
    quantity: pieces,
    note: `pieces, ${saidMass(kg, job.tape)} in all`,
  }));
}

const counted = (names: string[]): [name: string, count: number][] => [
  ...names.reduce((counts, name) => counts.set(name, (counts.get(name) ?? 0) + 1), new Map<string, number>()),
];

export const shoppingCsv = (job: Job, cut: JobCut): string =>
  Papa.unparse(shoppingList(job, cut), { escapeFormulae: true });
