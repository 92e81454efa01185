import * as z from 'zod/mini';
import { BRACKETS, mm, text, when } from './fields';

/** How far a bracket has come, in the order in which it is made. */
export const JOINT_STATES = ['scribed', 'tacked', 'welded', 'torqued', 'striped'] as const;
export type JointState = (typeof JOINT_STATES)[number];

const weldEventSchema = z.strictObject({
  at: when,
  member: text(60),
  bracket: z.enum(BRACKETS),
  to: z.enum(JOINT_STATES),
  /** why the builder went on although something did not hold, and what that was */
  reason: z.optional(text(2000)),
  open: z.optional(z.array(text(200)).check(z.maxLength(40))),
});
export type WeldEvent = z.infer<typeof weldEventSchema>;

/** Entries of the record of welding that a job holds. */
export const MOST_EVENTS = 500;

/** What belongs to a bracket of a member, or to a check on a member, is kept under both their names: `panhard/frame`. */
export const weldSchema = z.strictObject({
  /** brackets that are past being scribed */
  joints: z.record(text(80), z.enum(JOINT_STATES)),
  /** as measured at the car: lengths in mm, or yes (true) */
  measured: z.record(text(120), z.union([mm, z.boolean()])),
  log: z.array(weldEventSchema).check(z.maxLength(MOST_EVENTS)),
});

export const startingWeld = (): z.infer<typeof weldSchema> => ({ joints: {}, measured: {}, log: [] });
