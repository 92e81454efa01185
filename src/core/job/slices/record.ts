import * as z from 'zod/mini';
import { METHODS } from '@/core/survey/network';
import { DATUM_NAMES } from '@/core/survey/quantities/datums';
import { READING_KEYS, spotAt } from '@/core/survey/quantities/quantities';
import { TOOL_NAMES } from '@/core/survey/quantities/tools';
import { MOST_READINGS } from '@/core/survey/readings';
import { mm, notNegative, text, typed, when } from './fields';

/** Hand of a thread; left-hand parts usually carry a groove or a nut of another colour. */
export const HANDS = ['right', 'left'] as const;
export type Hand = (typeof HANDS)[number];

/** What is looked at before geometry is blamed. */
const INSPECTION_IDS = [
  'holes',
  'brackets',
  'welds',
  'frame',
  'bushings',
  'springs',
  'wheels',
  'steering',
  'axle',
  'lines',
] as const;
export type InspectionId = (typeof INSPECTION_IDS)[number];

/** Sound; worth watching; to be mended before anything is built on it; and mended since. */
export const FINDINGS = ['sound', 'watch', 'mend', 'mended'] as const;
export type FindingState = (typeof FINDINGS)[number];

/** One reading: mm, degrees or kg, as its quantity is measured. */
const readingSchema = z.strictObject({
  value: mm,
  typed,
  at: when,
  struck: z.optional(z.boolean()),
  by: z.optional(z.enum(TOOL_NAMES)),
});

/** What was read, by place. A reading outside its quantity's limits is a slip, and does not come in. */
export const readingsSchema = z
  .partialRecord(
    z.enum(READING_KEYS as [string, ...string[]]),
    z.array(readingSchema).check(z.maxLength(MOST_READINGS)),
  )
  .check(
    z.superRefine((readings, context) => {
      for (const [key, list] of Object.entries(readings)) {
        const { least, most } = spotAt(key)!.quantity;
        list?.forEach(({ value }, i) => {
          if (value < least || value > most)
            context.addIssue({
              code: 'custom',
              path: [key, i, 'value'],
              message: `expected between ${least} and ${most}`,
            });
        });
      }
    }),
  );

const inspectedSchema = z.strictObject({ finding: z.enum(FINDINGS), note: text(500), at: when });
export type Inspection = Partial<Record<InspectionId, z.infer<typeof inspectedSchema>>>;

/** One line of a kit or a material list: what should have come, and what did; lengths in mm. */
const partSchema = z.strictObject({
  id: text(60),
  name: text(120),
  wanted: z.int().check(z.minimum(0), z.maximum(999)),
  got: z.optional(z.int().check(z.minimum(0), z.maximum(999))),
  hand: z.optional(z.enum(HANDS)),
  handSeen: z.optional(z.enum(HANDS)),
  length: z.optional(notNegative),
  lengthSeen: z.optional(notNegative),
});
export type KitPart = z.infer<typeof partSchema>;

/** Lines of a kit or material list that a job holds. */
export const MOST_PARTS = 200;

export const recordSchema = z.strictObject({
  method: z.enum(METHODS),
  /** what the axle is measured from, and which of those is trusted */
  measuring: z.array(z.enum(DATUM_NAMES)).check(z.maxLength(DATUM_NAMES.length)),
  datum: z.enum(DATUM_NAMES),
  scales: z.boolean(),
  /** only what the drawing needs is asked for */
  brief: z.optional(z.boolean()),
  inspection: z.partialRecord(z.enum(INSPECTION_IDS), inspectedSchema),
  parts: z.array(partSchema).check(z.maxLength(MOST_PARTS)),
});

/** How a car is measured until the builder says otherwise: marks from a square, from the holes and the back of the cab. */
export const startingRecord = (): z.infer<typeof recordSchema> => ({
  method: 't-square',
  measuring: ['cab', 'holes'],
  datum: 'cab',
  scales: false,
  inspection: {},
  parts: [],
});
