import { angleDrawing, angleFault, drillSheet } from '@/core/fabricate/plates/angle';
import { collarDrawing } from '@/core/fabricate/plates/collar';
import { strapDrawing, strapFault, strapSizes } from '@/core/fabricate/plates/strap';
import type { Job } from '@/core/job/jobSchema';
import { angleOf } from '@/core/job/made/angle';
import { sleeveOf } from '@/core/job/made/sleeve';
import { strapOf } from '@/core/job/made/strap';
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

/** The paper that the bolts of a strap are drilled by, one for each side. On angles of their own straps need none: the holes are in them. */
export function drillSheetsOf(job: Job): FlatPart[] {
  const { bar } = job.roll;
  const of = strapOf(job);
  if (!bar || !of || strapFault(of) || angleOf(job)) return [];
  const name = 'Drill sheet of the sway bar’s straps';
  const say = (mm: number) => sayLength(Math.abs(mm), job.tape);
  const bushing = bar.bushings / 2;
  return [
    {
      id: 'sway-bar-drill-sheet',
      of: OF,
      name,
      quantity: 2,
      thickness: 0,
      metal: 'paper',
      mass: 0,
      notes: [
        `Its long line across the car ${say(bushing)} from the middle, its short one along the bar, ${say(bar.ahead)} ${bar.ahead < 0 ? 'behind' : 'ahead of'} the axle’s centre`,
        'Drill one hole; bolt the strap up by it with bar and bushing in place; mark the other through the strap, and drill it then',
      ],
      drawing: titled(drillSheet(strapSizes(of).apart, of.width, of.bolt), name),
    },
  ];
}
