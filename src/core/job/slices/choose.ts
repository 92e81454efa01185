import * as z from 'zod/mini';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { rigSchema } from '@/core/rig/schema';
import { cutSchema } from './cut';
import { text, typed, when } from './fields';
import { holesSchema, jointsSchema, locateSchema } from './locate';
import { drawnPartsSchema } from './parts';
import { rollSchema } from './roll';

const { members, steering } = rigSchema.shape;

/** What of a job is drawn, and can be drawn otherwise on the same car: what holds the axle, springs it and holds it in roll. */
const designSchema = z.strictObject({
  layout: z.enum(LAYOUT_IDS),
  laidOut: z.boolean(),
  members,
  steering,
  placed: z.record(text(80), z.literal(true)),
  accepted: z.record(text(120), z.literal(true)),
  typed: z.record(text(120), typed),
  /** bars that are there already: how long each is, and may be wound to */
  made: locateSchema.shape.made,
  opens: locateSchema.shape.opens,
  joints: jointsSchema,
  holes: holesSchema,
  roll: z.pick(rollSchema, { springs: true, shock: true, stop: true, bar: true }),
  parts: drawnPartsSchema,
  cut: z.pick(cutSchema, { thread: true, leftHandEnd: true, ends: true, tube: true }),
});
export type Design = z.infer<typeof designSchema>;

/** A way of building the car, kept beside others; `found`: as it was before anything was built. */
const candidateSchema = z.strictObject({
  id: z.string().check(z.regex(/^[a-z0-9-]{1,60}$/i, 'letters, digits and dashes only')),
  name: text(80),
  found: z.optional(z.literal(true)),
  design: designSchema,
});
export type Candidate = z.infer<typeof candidateSchema>;

export const MOST_CANDIDATES = 8;
export const LONGEST_REASON = 2000;

/** Ways of building the car, side by side; the one that was chosen, why, and when. */
export const chooseSchema = z.strictObject({
  candidates: z.array(candidateSchema).check(z.maxLength(MOST_CANDIDATES)),
  chosen: z.optional(z.strictObject({ id: text(60), reason: text(LONGEST_REASON), at: when })),
});
