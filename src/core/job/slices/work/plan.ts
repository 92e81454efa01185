import * as z from 'zod/mini';
import { basisSchema, text, when } from '../fields';

/** What holds the axle before the work: another suspension that comes out whole; this one, replaced bar by bar; nothing any more. */
const CARS = ['other', 'same', 'bare'] as const;
export type CarAsItIs = (typeof CARS)[number];

/** Brackets and bars of the builder's own, or a kit of them. */
const MAKES = ['own', 'kit'] as const;
export type Make = (typeof MAKES)[number];

export const TRACKS = ['apart', 'fit', 'bolt', 'ground'] as const;
export type Track = (typeof TRACKS)[number];

/** A step that was done: when, what it rested on then, and what was written to it; or that there was nothing to do on this car. */
const doneSchema = z.strictObject({
  at: when,
  title: text(200),
  basis: basisSchema,
  note: z.optional(text(1000)),
  notHere: z.optional(z.literal(true)),
});
export type Done = z.infer<typeof doneSchema>;

/** A step of the builder's own: after which it comes, and before which. */
const ownStepSchema = z.strictObject({
  id: text(60),
  title: text(120),
  track: z.enum(TRACKS),
  after: z.optional(text(140)),
  before: z.optional(text(140)),
});
export type OwnStep = z.infer<typeof ownStepSchema>;

/** Steps of the builder's own that a job holds. */
export const MOST_OWN_STEPS = 50;

/** The order of work: how it is gone about, as far as it was said, and what was done. */
export const planSchema = z._default(
  z.strictObject({
    car: z.optional(z.enum(CARS)),
    make: z.optional(z.enum(MAKES)),
    helper: z.optional(z.boolean()),
    done: z.record(text(140), doneSchema),
    own: z.array(ownStepSchema).check(z.maxLength(MOST_OWN_STEPS)),
  }),
  { done: {}, own: [] },
);
export type Plan = z.infer<typeof planSchema>;

export const startingPlan = (): Plan => ({ done: {}, own: [] });
