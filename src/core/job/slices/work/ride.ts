import * as z from 'zod/mini';
import { within } from '@/core/rig/fields';
import { THREAD_NAMES } from '@/core/materials/threads';
import { MM_PER_INCH } from '@/core/units/tape';
import { bySide, mm, text, when } from '../fields';

/** Turned at the tube between two opposite threads; one end taken off and wound; or of one length. */
export const ADJUSTER_STYLES = ['tube', 'end', 'fixed'] as const;
export type AdjusterStyle = (typeof ADJUSTER_STYLES)[number];

/** Which gap is believed when frame and fender say different things. */
export const BELIEFS = ['frame', 'fender'] as const;
export type Belief = (typeof BELIEFS)[number];

/** Turns of one bar in a round, either way, and rounds of centring that a job holds. */
export const MOST_TURNS = 100;
export const MOST_ROUNDS = 200;

const turns = within(-MOST_TURNS, MOST_TURNS);

/**
 * One round of centring: the gaps that were believed as read, to the frame unless it says otherwise, and how far the tube was
 * then wound (turns, positive lengthens); the other bars turned in that round stand beside it.
 */
const roundSchema = z.strictObject({
  at: when,
  left: z.optional(mm),
  right: z.optional(mm),
  by: z.optional(z.enum(BELIEFS)),
  turned: turns,
  others: z.optional(z.record(text(60), turns)),
});
export type Round = z.infer<typeof roundSchema>;

/** How a bar is made longer or shorter: by its tube, by taking one end off, or not at all. */
const adjusterSchema = z.strictObject({
  style: z.enum(ADJUSTER_STYLES),
  frame: z.enum(THREAD_NAMES),
  axle: z.enum(THREAD_NAMES),
});
export type Adjuster = z.infer<typeof adjusterSchema>;

/** How the pinion is set at a torque arm: shims at its front mount, two threaded tubes or a slotted plate at the housing; or not at all. */
export const ARM_SET_BY = ['shims', 'tubes', 'plate', 'fixed'] as const;
export type ArmSetBy = (typeof ARM_SET_BY)[number];

export const rideSchema = z.strictObject({
  tolerance: mm.check(z.positive()),
  /** the gaps as last read, before anything is turned */
  gaps: bySide,
  /** tyre to fender, and which of the two is believed when they disagree */
  fender: bySide,
  believe: z.enum(BELIEFS),
  settled: z.array(text(40)).check(z.maxLength(20)),
  adjusters: z.record(text(60), adjusterSchema),
  /** a torque arm's own, and how far its two fastenings at the housing are apart, mm; without it, shims */
  arm: z.optional(z.strictObject({ by: z.enum(ARM_SET_BY), apart: z.nullable(mm.check(z.positive())) })),
  /** what else is to be set: pinion and squareness as read, and as wanted */
  read: z.record(text(40), mm),
  wanted: z.record(text(40), mm),
  rounds: z.array(roundSchema).check(z.maxLength(MOST_ROUNDS)),
});

export const startingRide = (): z.infer<typeof rideSchema> => ({
  tolerance: MM_PER_INCH / 16,
  gaps: {},
  fender: {},
  believe: 'frame',
  settled: [],
  adjusters: {},
  read: {},
  wanted: {},
  rounds: [],
});
