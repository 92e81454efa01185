import * as z from 'zod/mini';
import { USES } from '@/core/materials/uses';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { rigSchema } from '@/core/rig/schema';
import { TAPES } from '@/core/units/tape';
import { LONGEST_NAME } from './names';
import { chooseSchema } from './slices/choose';
import { cutSchema } from './slices/cut';
import { bodiesSchema } from './slices/bodies';
import { basisSchema, text, typed, when } from './slices/fields';
import { driveSchema } from './slices/work/drive';
import { frontSchema } from './slices/front';
import {
  cornerSchema,
  holesSchema,
  jointsSchema,
  linesSchema,
  locateSchema,
  shaftSchema,
} from './slices/locate';
import { partsSchema } from './slices/parts';
import { placeSchema } from './slices/place';
import { planSchema } from './slices/work/plan';
import { readingsSchema, recordSchema } from './slices/record';
import { rideSchema } from './slices/work/ride';
import { rollSchema } from './slices/roll';
import { weldSchema } from './slices/work/weld';

/**
 * The job file, `*.pellik.json`: one car, one piece of work, everything that was typed and every stripe that was drawn; a
 * slice for each station. `docs/file-formats.md` describes every key.
 */
export const JOB_VERSION = 5;

/** A paint-pen stripe: what was true when it was drawn. It shows broken once any of that is no longer so. */
const stripeSchema = z.strictObject({
  at: when,
  basis: basisSchema,
});
export type Stripe = z.infer<typeof stripeSchema>;

export const jobSchema = z.strictObject({
  format: z.literal('pellik.job'),
  version: z.literal(JOB_VERSION),
  id: z.string().check(z.regex(/^[a-z0-9-]{1,60}$/i, 'letters, digits and dashes only')),
  name: text(LONGEST_NAME),
  car: text(200),
  use: z.enum(USES),
  layout: z.enum(LAYOUT_IDS),
  tape: z.enum(TAPES),
  notes: text(20_000),
  rig: rigSchema,
  /** false while the mounts still stand where the layout's pattern put them, and follow track and tyre */
  laidOut: z.boolean(),
  /** mounts that the builder has put where they are, `panhard/chassis`; without it, those that stand elsewhere than in the pattern */
  placed: z.optional(z.record(text(80), z.literal(true))),
  /** usual values that the builder has said are right, by the ids of inputs: `size.brake`, `tube` */
  accepted: z.optional(z.record(text(120), z.literal(true))),
  /** what was typed for a value, by the value's path; a figure typed over a measured one stands */
  typed: z.record(text(120), typed),
  readings: readingsSchema,
  record: recordSchema,
  place: placeSchema,
  front: frontSchema,
  bodies: bodiesSchema,
  lines: linesSchema,
  joints: jointsSchema,
  holes: holesSchema,
  shaft: shaftSchema,
  cornerG: cornerSchema,
  locate: locateSchema,
  roll: rollSchema,
  parts: partsSchema,
  cut: cutSchema,
  plan: planSchema,
  weld: weldSchema,
  ride: rideSchema,
  drive: driveSchema,
  /** ways of building the car that are held against each other */
  choose: z.optional(chooseSchema),
  stripes: z.record(text(140), stripeSchema),
});

export type Job = z.infer<typeof jobSchema>;
