import * as z from 'zod/mini';
import { THREAD_NAMES } from '@/core/materials/threads';
import { MM_PER_INCH } from '@/core/units/tape';
import { within } from '@/core/rig/fields';
import { BRACKETS, mm, notNegative, text } from './fields';
import { barEndSchema } from './parts';

const weight = within(0.01, 500);

export const cutSchema = z.strictObject({
  /** the bar on the saw; without it, the one across the car */
  member: z.optional(text(60)),
  thread: z.enum(THREAD_NAMES),
  leftHandEnd: z.enum(BRACKETS),
  engagementRule: notNegative,
  ends: z.strictObject({ frame: barEndSchema, axle: barEndSchema }),
  /** the revision of the full-size sheets that were printed last */
  printed: z.optional(text(20)),
  /** lengths that tube is bought in, and what the saw takes of it at a cut */
  stock: z.optional(z.strictObject({ length: mm.check(z.positive()), kerf: notNegative })),
  /** sheets that plate is bought in, and what is left between two parts on it */
  sheet: z.optional(
    z.strictObject({ width: mm.check(z.positive()), height: mm.check(z.positive()), gap: notNegative }),
  ),
  tube: z.strictObject({ od: mm.check(z.positive()), wall: mm.check(z.positive()) }),
  /** what came off weighs, kg: by the bar that takes its place, ends and all; and everything else of it */
  takenOff: z.optional(z.strictObject({ bars: z.record(text(60), weight), other: z.optional(weight) })),
});

const inch = (n: number) => n * MM_PER_INCH;

export function startingCut(): z.infer<typeof cutSchema> {
  const end = { toShoulder: inch(2.125), showing: inch(0.375), shank: inch(2.25), bung: inch(2) };
  return {
    thread: '3/4-16',
    leftHandEnd: 'frame',
    engagementRule: inch(1.5),
    ends: { frame: end, axle: { ...end } },
    tube: { od: inch(1.25), wall: inch(0.12) },
  };
}
