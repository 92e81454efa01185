import * as z from 'zod/mini';
import { within } from '@/core/rig/fields';
import { basisSchema, HOLD_POINTS, mm, text, when } from '../fields';

/** How far a bracket has come: one that is welded on, and one that is bolted on. */
const JOINT_STATES = [
  'scribed',
  'tacked',
  'welded',
  'drilled',
  'loose',
  'snug',
  'torqued',
  'striped',
] as const;
export type JointState = (typeof JOINT_STATES)[number];

const weldEventSchema = z.strictObject({
  at: when,
  member: text(60),
  bracket: z.enum(HOLD_POINTS),
  to: z.enum(JOINT_STATES),
  /** why the builder went on although something did not hold, and what that was */
  reason: z.optional(text(2000)),
  open: z.optional(z.array(text(200)).check(z.maxLength(40))),
  /** what the bracket was drawn as then */
  basis: z.optional(basisSchema),
});
export type WeldEvent = z.infer<typeof weldEventSchema>;

/** Entries of the record of welding that a job holds. */
export const MOST_EVENTS = 500;

/** How threads are as they are tightened. */
export const FRICTIONS = ['dry', 'oiled', 'anti-seize'] as const;
export type Friction = (typeof FRICTIONS)[number];

const torque = within(0, 5_000_000);
/** A fastener of the torque sheet, N·mm: what its maker asks for, and what the wrench last came to. */
const torqueSchema = z.strictObject({
  maker: z.optional(torque),
  applied: z.optional(z.strictObject({ value: torque, at: when })),
  /** when its locker went on, and when the paint line was drawn across it, since it was last tightened */
  locked: z.optional(when),
  striped: z.optional(when),
});

/** An eye as it was measured: ahead of the axle, left of the centreline, off the floor. */
const builtSchema = z.strictObject({ ahead: z.optional(mm), left: z.optional(mm), up: z.optional(mm) });
export type BuiltEye = z.infer<typeof builtSchema>;

/** What belongs to a bracket of a member, or to a check on a member, is kept under both their names: `panhard/frame`. */
export const weldSchema = z.strictObject({
  /** brackets that are past being scribed */
  joints: z.record(text(80), z.enum(JOINT_STATES)),
  /** as measured at the car: lengths in mm, or yes (true) */
  measured: z.record(text(120), z.union([mm, z.boolean()])),
  log: z.array(weldEventSchema).check(z.maxLength(MOST_EVENTS)),
  /** threads as they are tightened; without it, dry. And fasteners, by their place on the torque sheet */
  friction: z.optional(z.enum(FRICTIONS)),
  torque: z.optional(z.record(text(120), torqueSchema)),
  /** where eyes came out, by their mounts, mm as at ride height, as far as they were measured */
  built: z.optional(z.record(text(80), builtSchema)),
});

export const startingWeld = (): z.infer<typeof weldSchema> => ({ joints: {}, measured: {}, log: [] });
