import type { Inspection, InspectionId } from '@/core/job/slices/record';
import type { Verdict } from '@/core/verdict/verdict';

/** What is looked at before geometry is blamed: parts that stay on the car. `grave`: nothing is built until it is mended. */
type Item = { id: InspectionId; label: string; look: string; grave: string | null };

export const INSPECTION = [
  {
    id: 'holes',
    label: 'Bolt holes in brackets and frame',
    look: 'Bolts out, light behind: every hole round, no bright crescent on one side.',
    grave:
      'An ovalled hole lets the axle move whatever the bar does. Weld in a bushed plate, then measure again.',
  },
  {
    id: 'brackets',
    label: 'Brackets welded all round',
    look: 'Wipe each one clean, look along the whole seam, the hidden side too. Tap it.',
    grave: 'A bracket that was only tacked moves under load. Weld it before anything is measured from it.',
  },
  {
    id: 'welds',
    label: 'Cracked welds and tubes',
    look: 'Rust lines, hair lines beside the bead, paint that has split. Crack check where in doubt.',
    grave: 'A crack grows. Grind it out and have it welded by someone qualified.',
  },
  {
    id: 'frame',
    label: 'Frame rails: rust, kinks, old repairs',
    look: 'Screwdriver along the underside; sight down each rail from behind.',
    grave: 'Nothing holds on thin or bent rail. Plate or straighten it first.',
  },
  {
    id: 'bushings',
    label: 'Bushings and joints that stay',
    look: 'Bar it each way: nothing clicks, no rubber parted from its sleeve.',
    grave: 'A loose joint moves the axle between two readings. Replace it before measuring.',
  },
  {
    id: 'springs',
    label: 'Springs, seats and shackles',
    look: 'Equal free gaps left and right; no broken leaf, no seat rusted through.',
    grave: 'The car does not stand where it will stand. Put that right before heights are recorded.',
  },
  {
    id: 'wheels',
    label: 'Wheel bearings and tyres',
    look: 'Rock each wheel; same size, pressure and wear left and right.',
    grave: null,
  },
  {
    id: 'steering',
    label: 'Steering and front joints',
    look: 'Somebody rocks the wheel, you watch each joint in turn.',
    grave: 'Loose steering feels like bad geometry, and is dangerous. Mend it first.',
  },
  {
    id: 'axle',
    label: 'Axle tube and housing straight',
    look: 'Straightedge along the tube; toe of the rear wheels by tape, front and rear of the tread.',
    grave: 'A bent housing cannot be squared by its links. Straighten or replace it.',
  },
  {
    id: 'lines',
    label: 'Brake and fuel lines, tank, wiring',
    look: 'Where the heat, the sparks and the moving parts will be.',
    grave: null,
  },
] as const satisfies Item[];

/** What was found that stops the work, or wants an eye kept on it. */
export function inspectionChecks(inspection: Inspection): Verdict[] {
  return INSPECTION.flatMap((item): Verdict[] => {
    const found = inspection[item.id];
    if (found?.finding !== 'mend' && found?.finding !== 'watch') return [];
    const stop = found.finding === 'mend';
    return [
      {
        id: `inspection-${item.id}`,
        state: stop ? 'stop' : 'look',
        title: `${item.label}: ${stop ? 'to be mended first.' : 'keep an eye on it.'}`,
        reason: found.note || item.look,
        remedies: [{ text: (stop && item.grave) || 'Look again at the first re-check.' }],
      },
    ];
  });
}

/** What must be mended and has not been. */
export const toBeMended = (inspection: Inspection): string[] =>
  INSPECTION.filter((item) => inspection[item.id]?.finding === 'mend').map((item) => item.label);
