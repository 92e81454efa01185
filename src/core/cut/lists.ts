import Papa from 'papaparse';
import { clipPinFor } from '@/core/fabricate/clipPin';
import { SIDES } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { BAR_ENDS, bodyAt, threadedEnds, type BarEndName } from '@/core/job/made/parts';
import { endLinkOf, LINK_PINS } from '@/core/job/made/sway/endLink';
import { strapOf } from '@/core/job/made/sway/strap';
import { boltSystem, sayBolt, sayBoltBy, sayDrill } from '@/core/materials/boltSize';
import { JOINTS, jointsOf, ON_LINK, ON_THREAD } from '@/core/materials/joints';
import { METALS } from '@/core/materials/metals';
import { capital, memberName } from '@/core/rig/names';
import { MASS } from '@/core/units/unit';
import { sayLength } from '@/core/units/length';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import type { BarCut } from './barCut';
import type { FlatPart } from './flatParts';
import type { BoltOf, JobCut, StockOf, UBoltOf } from './jobCut';
import type { CutSection } from './pieces';
import { ANGLE, STRAP } from './swayMounts';

/** A section as it is asked for over the counter. */
export function saySection(section: CutSection, tape: Tape): string {
  if (section.shape === 'flat')
    return `plate ${sayLength(section.height, tape)} × ${sayLength(section.thickness, tape)}`;
  if (section.shape === 'solid') return `solid ${sayLength(section.od, tape)}`;
  const wall =
    tape === 'mm' ? `${section.wall.toFixed(2)} mm` : `${(section.wall / MM_PER_INCH).toFixed(3)} in`;
  if (section.shape === 'box')
    return `rectangular tube ${sayLength(section.high, tape)} × ${sayLength(section.wide, tape)} × ${wall}`;
  return `tube ${sayLength(section.od, tape)} × ${wall}`;
}

/** How an end of a tube is prepared. */
export const sayEnd = ({ bar, ends }: BarCut, end: BarEndName, tape: Tape): string => {
  const cut = ends[end];
  if (cut.kind === 'saddle')
    return `saddle on a ${sayLength(cut.saddle.barrel, tape)} barrel, ${sayLength(cut.throat - cut.tip, tape)} deep`;
  if (cut.kind === 'eye') return 'its own eye, rounded past its hole';
  if (cut.kind === 'slotted')
    return `slotted ${sayLength(cut.slot, tape)} wide, ${sayLength(cut.lap, tape)} deep, for its eye`;
  const fork = bar.eyes[end];
  if (fork) return `square, its two plates lapped ${sayLength(fork.lap, tape)} over it`;
  return bar.barrels[end] ? 'square, against its barrel' : `square, bung ${bar.thread}`;
};

const saidMass = (kg: number, tape: Tape): string => `${MASS.shown(kg, tape).toFixed(2)} ${MASS.sign(tape)}`;

/** The pieces that come off the saw and out of the sheet, a line each. */
export const cutListCsv = (job: Job, { bars, pieces, flats }: JobCut): string =>
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
      ...pieces.map((piece) => ({
        part: piece.name,
        quantity: piece.quantity,
        of: `${saySection(piece.section, job.tape)}, ${piece.metal}`,
        blank: sayLength(piece.length + piece.spare, job.tape),
        finished: sayLength(piece.length, job.tape),
        'eye to eye': '',
        bends: '',
        'frame end': piece.ends,
        'axle end': piece.ends,
        weighs: saidMass(piece.mass * piece.quantity, job.tape),
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
  const jointAt = (id: string, end: BarEndName) => jointsOf(job.joints, id)[bodyAt(end)];
  const threaded = bars.flatMap(({ id, bar }) =>
    threadedEnds(bar).map((end) => ({
      joint: ON_THREAD[jointAt(id, end)],
      thread: `${bar.thread} ${job.cut.leftHandEnd === end ? 'left-hand' : 'right-hand'}`,
    })),
  );
  const joints = counted(threaded.map(({ joint, thread }) => `${joint}, ${thread}`));
  const threads = counted(threaded.map(({ thread }) => thread));
  const barrels = counted(
    bars.flatMap(({ id, bar }) =>
      BAR_ENDS.flatMap((end) => {
        const { name, soft } = JOINTS[jointAt(id, end)];
        return bar.barrels[end]
          ? [`${sayLength(bar.barrels[end].od, job.tape)} outside${soft ? `, ${name.toLowerCase()}` : ''}`]
          : [];
      }),
    ),
  );
  return [
    ...stock.map((of) => tubeLine(job, of)),
    ...joints.map(([what, quantity]) => ({
      what,
      quantity,
      note: what.endsWith('left-hand') ? 'usually carries a groove' : '',
    })),
    ...threads.flatMap(([thread, quantity]) => [
      { what: `Bung, ${thread}`, quantity, note: '' },
      { what: `Jam nut, ${thread}`, quantity, note: '' },
    ]),
    ...endLinkLines(job),
    ...barrels.map(([od, quantity]) => ({ what: `Barrel and bushing, ${od}`, quantity, note: '' })),
    ...boltLines(bolts),
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

function boltLines(bolts: BoltOf[]): Bought[] {
  const all = bolts.flatMap((bolt) => Array.from({ length: bolt.quantity }, () => bolt));
  const lines = counted(all.map(({ diameter, length, grade }) => `${sayBoltBy(diameter, length)}, ${grade}`));
  const nuts = counted(all.map(({ diameter }) => sayBolt(diameter)));
  const washers = counted(
    all.flatMap(({ diameter, extraWashers }) =>
      Array.from({ length: 2 + extraWashers }, () => sayBolt(diameter)),
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
      what: `U-bolt, round, ${sayBolt(diameter)}, ${say(inside)} between its legs`,
      quantity,
      note: `${say(length)} long inside at least, ${say(thread)} of it thread; new ones, never used twice`,
    },
    { what: `Deep nut and hardened washer, ${sayBolt(diameter)}`, quantity: 2 * quantity, note: '' },
  ];
}

/** What is wound on the sway bar's end links, and the pins and clips that they come off by. */
function endLinkLines(job: Job): Bought[] {
  const [of, bar] = [endLinkOf(job), job.roll.bar];
  if (!of || !bar) return [];
  const ends = counted(LINK_PINS.flatMap((at) => SIDES.map(() => ON_LINK[bar.ends[at].joint])));
  const each = LINK_PINS.length * SIDES.length;
  const whose = 'of the sway bar’s end links';
  return [
    ...ends.map(([what, quantity]) => ({
      what: `${what}, ${of.thread}, ${whose}`,
      quantity,
      note: 'one of each hand to a link lets it be set in place',
    })),
    { what: `Bung, ${of.thread}, ${whose}`, quantity: each, note: '' },
    { what: `Jam nut, ${of.thread}, ${whose}`, quantity: each, note: '' },
    ...LINK_PINS.map((at) => of.pins[at])
      .filter(({ clip }) => clip)
      .map((pin) => {
        const { kind, hole } = clipPinFor(pin);
        return {
          what: `${kind === 'stud' ? 'Stud' : 'Pin'} with its clip, ${sayBolt(pin.bolt)}, ${whose}`,
          quantity: SIDES.length,
          note: `the clip’s hole ${sayDrill(hole, boltSystem(pin.bolt))}; as its paper shows it`,
        };
      }),
  ];
}

/** Two bolts to a strap, as long as what they go through asks. */
function strapLines(job: Job, flats: FlatPart[]): Bought[] {
  const [straps, of] = [flats.find(({ id }) => id === STRAP), strapOf(job)];
  if (!straps || !of) return [];
  const onAngles = flats.some(({ id }) => id === ANGLE);
  return [
    {
      what: `Bolt, nut and washers, ${sayBolt(of.bolt)}, of the sway bar’s straps${onAngles ? ' and their angles' : ''}`,
      quantity: (onAngles ? 4 : 2) * straps.quantity,
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
