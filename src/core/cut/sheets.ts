import { nestFlats, sheetDrawing, type Sheet } from '@/core/fabricate/sheetNesting';
import type { Drawing } from '@/core/fabricate/drawing';
import type { Job } from '@/core/job/jobSchema';
import { MM_PER_INCH } from '@/core/units/tape';
import type { JobCut } from './jobCut';
import type { FlatPart } from './flatParts';

/** Plate of one metal and thickness, mm: sheets with parts on them, by the numbers that parts have in the list; and parts larger than a sheet. */
export type PlateSheets = { metal: string; thickness: number; sheets: Drawing[]; tooLarge: FlatPart[] };

/** Two feet by four, and room for a torch or a saw between parts (common practice, no published source). */
export const USUAL_SHEET: Sheet = { width: 48 * MM_PER_INCH, height: 24 * MM_PER_INCH, gap: MM_PER_INCH / 4 };

/** The number of a flat part in the list. */
export const numberOf = (flats: FlatPart[], { id }: Pick<FlatPart, 'id'>): number =>
  flats.findIndex((flat) => flat.id === id) + 1;

/** The flat parts of a job laid on sheets, metal by metal, thickness by thickness. */
export function plateSheets({ cut }: Pick<Job, 'cut'>, { flats }: Pick<JobCut, 'flats'>): PlateSheets[] {
  const sheet = cut.sheet ?? USUAL_SHEET;
  const groups = new Map<string, FlatPart[]>();
  for (const flat of flats) {
    const key = `${flat.metal} ${flat.thickness.toFixed(2)}`;
    groups.set(key, [...(groups.get(key) ?? []), flat]);
  }
  return [...groups.values()].map((group) => {
    const { sheets, tooLarge } = nestFlats(group, sheet);
    const parts = new Map(
      group.map((flat) => [flat.id, { number: numberOf(flats, flat), drawing: flat.drawing }]),
    );
    const [{ metal, thickness }] = group as [FlatPart];
    return {
      metal,
      thickness,
      sheets: sheets.map((laid) => sheetDrawing(laid, parts, sheet)),
      tooLarge: group.filter(({ id }) => tooLarge.includes(id)),
    };
  });
}
