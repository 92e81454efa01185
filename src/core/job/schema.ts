import { z } from 'zod';
import { THREAD_NAMES } from '@/core/fabricate/threads';
import { BRACKETS_STAND, JOINT_NAMES } from '@/core/joints/joints';
import { LAYOUT_IDS } from '@/core/layouts/patterns';
import { SCHOOLS } from '@/core/locate/schools';
import { FINDINGS, INSPECTION_IDS } from '@/core/measure/inspection';
import { DATUM_NAMES } from '@/core/measure/datums';
import { HANDS } from '@/core/measure/parts';
import { READING_KEYS } from '@/core/measure/quantities';
import { TOOL_NAMES } from '@/core/measure/tools';
import { CENTRE_SCHOOLS } from '@/core/place/schools';
import { METHODS } from '@/core/measure/network';
import { ADJUSTER_STYLES, BELIEFS } from '@/core/ride/adjusters';
import { rigSchema } from '@/core/rig/schema';
import { rollSchema } from '@/core/roll/schema';
import { USUAL_CASES } from '@/core/statics/usualCases';
import { TAPES } from '@/core/units/tape';

/**
 * The job file, `*.pellik.json`: one car, one piece of work, everything that was typed and every stripe that was drawn.
 * `docs/file-formats.md` describes every key.
 */
export const JOB_VERSION = 3;
const USES = ['street', 'autocross', 'drag', 'offroad', 'tow'] as const;
export const JOINT_STATES = ['scribed', 'tacked', 'welded', 'torqued', 'striped'] as const;
export const BRACKETS = ['frame', 'axle'] as const;
/** Adjusting at the frame end alone, or through matched holes at both ends. */
const ADJUSTERS = ['frame', 'both'] as const;

const mm = z.number().min(-20_000).max(20_000);
const typed = z.string().max(40);
const when = z.iso.datetime();
const text = (longest: number) => z.string().max(longest);

/** mm, degrees or kg, as its quantity is measured. */
const readingSchema = z.strictObject({
  value: mm,
  typed,
  at: when,
  struck: z.boolean().optional(),
  by: z.enum(TOOL_NAMES).optional(),
});
const readingsSchema = z.partialRecord(
  z.enum(READING_KEYS as [string, ...string[]]),
  z.array(readingSchema).max(50),
);

const inspectedSchema = z.strictObject({ finding: z.enum(FINDINGS), note: text(500), at: when });

const partSchema = z.strictObject({
  id: text(60),
  name: text(120),
  wanted: z.number().int().min(0).max(999),
  got: z.number().int().min(0).max(999).optional(),
  hand: z.enum(HANDS).optional(),
  handSeen: z.enum(HANDS).optional(),
  length: mm.min(0).optional(),
  lengthSeen: mm.min(0).optional(),
});

const recordSchema = z.strictObject({
  method: z.enum(METHODS),
  /** what the axle is measured from, and which of those is trusted */
  measuring: z.array(z.enum(DATUM_NAMES)).max(DATUM_NAMES.length),
  datum: z.enum(DATUM_NAMES),
  scales: z.boolean(),
  /** only what the drawing needs is asked for */
  brief: z.boolean().optional(),
  inspection: z.partialRecord(z.enum(INSPECTION_IDS), inspectedSchema),
  parts: z.array(partSchema).max(200),
});

const bySide = z.strictObject({ left: mm.optional(), right: mm.optional() });

const placeSchema = z.strictObject({
  /** when the wheel is centred in its opening, and how much lower the frame sits when parked, mm */
  school: z.enum(CENTRE_SCHOOLS),
  parkedDrop: mm.min(0),
  /** ride height to build for; without it, as recorded */
  rideHeight: mm.min(0).optional(),
  /** the tyre to come, when it is not on yet: half of its diameter is used */
  tireDiameter: mm.min(0).optional(),
  /** the frame as it stands on its stands, straight above the axle */
  held: bySide,
  /** as measured at the axle on its rests */
  measured: z.record(text(60), mm),
});

const barEndSchema = z.strictObject({
  toShoulder: mm.min(0),
  showing: mm.min(0),
  shank: mm.min(0),
  bung: mm.min(0),
});

const cutSchema = z.strictObject({
  /** the bar on the saw; without it, the one across the car */
  member: text(60).optional(),
  thread: z.enum(THREAD_NAMES),
  leftHandEnd: z.enum(BRACKETS),
  engagementRule: mm.min(0),
  ends: z.strictObject({ frame: barEndSchema, axle: barEndSchema }),
  tube: z.strictObject({ od: mm.positive(), wall: mm.positive() }),
});

/** A paint-pen stripe: what was true when it was drawn. It shows broken once any of that is no longer so. */
const stripeSchema = z.strictObject({
  at: when,
  basis: z.record(text(120), z.union([z.number(), z.string(), z.boolean()])),
});

const weldEventSchema = z.strictObject({
  at: when,
  bracket: z.enum(BRACKETS),
  to: z.enum(JOINT_STATES),
  /** why the builder went on although something did not hold, and what that was */
  reason: text(2000).optional(),
  open: z.array(text(200)).max(40).optional(),
});

const weldSchema = z.strictObject({
  joints: z.strictObject({ frame: z.enum(JOINT_STATES), axle: z.enum(JOINT_STATES) }),
  /** as measured at the car: lengths in mm, or yes (true) */
  measured: z.record(text(60), z.union([mm, z.boolean()])),
  log: z.array(weldEventSchema).max(500),
});

const turns = z.number().min(-100).max(100);

/**
 * One round of centring: the gaps as read, and how far the tube was then wound (turns, positive lengthens); the other bars
 * turned in that round stand beside it.
 */
const roundSchema = z.strictObject({
  at: when,
  left: mm,
  right: mm,
  turned: turns,
  others: z.record(text(60), turns).optional(),
});

/** How a bar is made longer or shorter: by its tube, by taking one end off, or not at all. */
const adjusterSchema = z.strictObject({
  style: z.enum(ADJUSTER_STYLES),
  frame: z.enum(THREAD_NAMES),
  axle: z.enum(THREAD_NAMES),
});

const rideSchema = z.strictObject({
  tolerance: mm.positive(),
  /** the gaps as last read, before anything is turned */
  gaps: bySide,
  /** tyre to fender, and which of the two is believed when they disagree */
  fender: bySide,
  believe: z.enum(BELIEFS),
  settled: z.array(text(40)).max(20),
  adjusters: z.record(text(60), adjusterSchema),
  /** what else is to be set: pinion and squareness as read, and as wanted */
  read: z.record(text(40), mm),
  wanted: z.record(text(40), mm),
  rounds: z.array(roundSchema).max(200),
});

const jointsSchema = z.strictObject({
  chassis: z.enum(JOINT_NAMES),
  axle: z.enum(JOINT_NAMES),
  brackets: z.enum(BRACKETS_STAND),
});

/** A row of holes up a bracket: the height of the lowest, the step from hole to hole, how many. */
const holesSchema = z.strictObject({
  lowest: mm,
  pitch: mm.positive(),
  count: z.number().int().min(2).max(20),
});

/** Room of the slip yoke at ride height, as far as it was measured; turns of the shaft for one of the wheels. */
const shaftSchema = z.strictObject({
  room: z.strictObject({ in: mm.min(0).optional(), out: mm.min(0).optional() }),
  ratio: z.number().min(1).max(20),
});

export const jobSchema = z.strictObject({
  format: z.literal('pellik.job'),
  version: z.literal(JOB_VERSION),
  id: z.string().regex(/^[a-z0-9-]{1,60}$/i, 'letters, digits and dashes only'),
  name: text(120),
  car: text(200),
  use: z.enum(USES),
  layout: z.enum(LAYOUT_IDS),
  tape: z.enum(TAPES),
  notes: text(20_000),
  rig: rigSchema,
  /** false while the mounts still stand where the layout's pattern put them, and follow track and tyre */
  laidOut: z.boolean(),
  /** what was typed for a value, by the value's path */
  typed: z.record(text(120), typed),
  readings: readingsSchema,
  record: recordSchema,
  place: placeSchema,
  /** what each link is jointed with; without an entry, rod ends in brackets turned to the bar */
  joints: z.record(text(60), jointsSchema).default({}),
  /** brackets with holes, by mount: `panhard/chassis` */
  holes: z.record(text(80), holesSchema).default({}),
  shaft: shaftSchema.default({ room: {}, ratio: USUAL_CASES.axleRatio }),
  /** sideways acceleration of the steady corner that loads are reckoned with, g */
  cornerG: z.number().min(0.1).max(3).default(USUAL_CASES.cornerG),
  locate: z.strictObject({ school: z.enum(SCHOOLS), adjuster: z.enum(ADJUSTERS), shiftLimit: mm.positive() }),
  /** springs and sway bar of this end, as they are meant */
  roll: rollSchema,
  cut: cutSchema,
  weld: weldSchema,
  ride: rideSchema,
  stripes: z.record(text(60), stripeSchema),
});

export type Job = z.infer<typeof jobSchema>;
export type Stripe = z.infer<typeof stripeSchema>;
export type JointState = (typeof JOINT_STATES)[number];
export type Bracket = (typeof BRACKETS)[number];
export type WeldEvent = z.infer<typeof weldEventSchema>;
export type Use = (typeof USES)[number];
export type Holes = z.infer<typeof holesSchema>;
