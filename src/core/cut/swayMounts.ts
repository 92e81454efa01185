import { clipPinDrawing, clipPinFor } from '@/core/fabricate/clipPin';
import { angleDrawing, angleFault, drillSheet } from '@/core/fabricate/plates/angle';
import { collarDrawing } from '@/core/fabricate/plates/collar';
import { strapDrawing, strapFault, strapSizes } from '@/core/fabricate/plates/strap';
import type { Job } from '@/core/job/jobSchema';
import { LINK_PINS, endLinkOf } from '@/core/job/made/sway/endLink';
import { boltSystem, sayBolt, sayDrill } from '@/core/materials/boltSize';
import { angleOf } from '@/core/job/made/sway/angle';
import { sleeveOf } from '@/core/job/made/sway/sleeve';
import { strapOf } from '@/core/job/made/sway/strap';
import { sayLength } from '@/core/units/length';
import { plateOf, titled, type FlatPart } from './flatParts';

/** What a sway bar is held by belongs to it. */
const OF = 'sway-bar';
export const STRAP = 'sway-bar-strap';
export const ANGLE = 'sway-bar-angle';

/** The straps over the sway bar's two bushings, the angles that they stand on, and the collars round its sleeves, on both sides of each. */
export const swayMountsOf = (job: Job): FlatPart[] => [...strapsOf(job), ...anglesOf(job), ...collarsOf(job)];

const plate = (part: Pick<FlatPart, 'id' | 'name' | 'quantity' | 'thickness' | 'drawing'>): FlatPart[] => [
  plateOf({ ...part, of: OF, metal: 'plate' }),
];

function strapsOf(job: Job): FlatPart[] {
  const of = strapOf(job);
  if (!of || strapFault(of)) return [];
  const { thickness } = of;
  return plate({ id: STRAP, name: 'Sway bar’s strap', quantity: 2, thickness, drawing: strapDrawing(of) });
}

function anglesOf(job: Job): FlatPart[] {
  const of = angleOf(job);
  if (!of || angleFault(of)) return [];
  const name = 'Angle under a strap of the sway bar';
  return plate({ id: ANGLE, name, quantity: 2, thickness: of.thickness, drawing: angleDrawing(of) });
}

function collarsOf(job: Job): FlatPart[] {
  const of = sleeveOf(job);
  if (!of) return [];
  return plate({
    id: 'sway-bar-collar',
    name: 'Collar round the sway bar’s sleeve',
    quantity: 4,
    thickness: of.plate,
    drawing: collarDrawing(of.collar, of.od),
  });
}

/** A paper that something of the sway bar is marked by, one for each side. */
const paper = (part: Pick<FlatPart, 'id' | 'name' | 'notes' | 'drawing'>): FlatPart => ({
  ...part,
  of: OF,
  quantity: 2,
  thickness: 0,
  metal: 'paper',
  mass: 0,
});

/** The pins of the sway bar's links that a clip holds, at their own size: a pin or stud is held on its paper to mark its hole. */
export function clipPinsOf(job: Job): FlatPart[] {
  const of = endLinkOf(job);
  if (!of) return [];
  const say = (mm: number) => sayLength(mm, job.tape);
  return LINK_PINS.filter((at) => of.pins[at].clip).map((at): FlatPart => {
    const pin = clipPinFor(of.pins[at]);
    const { kind, diameter, toHole, length, hole, collar, tail } = pin;
    const from = kind === 'stud' ? 'its shoulder' : 'under its head';
    const name = `${kind === 'stud' ? 'Stud' : 'Pin'} ${at === 'bar' ? 'at the bar' : 'at the foot'} of the sway bar’s end links`;
    return paper({
      id: `sway-bar-${kind}-${at}`,
      name,
      notes: [
        `${sayBolt(diameter)}: the clip’s hole ${sayDrill(hole, boltSystem(diameter))}, its middle ${say(toHole)} from ${from}; ${say(length)} to its end`,
        ...(kind === 'stud'
          ? [
              `Shoulder ${say(collar.od)} across, ${say(collar.thick)} thick; its threaded tail ${say(tail)}, through its plate with a washer and a locking nut`,
              'A washer on the shoulder, the link, a washer, the clip',
            ]
          : ['The link between its plates, a washer, the clip']),
      ],
      drawing: titled(clipPinDrawing(pin), name),
    });
  });
}

/** The paper that the bolts of a strap are drilled by, one for each side. On angles of their own straps need none: the holes are in them. */
export function drillSheetsOf(job: Job): FlatPart[] {
  const { bar } = job.roll;
  const of = strapOf(job);
  if (!bar || !of || strapFault(of) || angleOf(job)) return [];
  const name = 'Drill sheet of the sway bar’s straps';
  const say = (mm: number) => sayLength(Math.abs(mm), job.tape);
  const bushing = bar.bushings / 2;
  return [
    paper({
      id: 'sway-bar-drill-sheet',
      name,
      notes: [
        `Its long line across the car ${say(bushing)} from the middle, its short one along the bar, ${say(bar.ahead)} ${bar.ahead < 0 ? 'behind' : 'ahead of'} the axle’s centre`,
        'Drill one hole; bolt the strap up by it with bar and bushing in place; mark the other through the strap, and drill it then',
      ],
      drawing: titled(drillSheet(strapSizes(of).apart, of.width, of.bolt), name),
    }),
  ];
}
