import * as z from 'zod/mini';
import { within } from '@/core/rig/fields';
import { basisSchema, notNegative, text, when } from '../fields';

/** Phases of a drive in which a car is felt. */
export const PHASES = ['entry', 'middle', 'exit', 'launch', 'top', 'rough'] as const;
export type Phase = (typeof PHASES)[number];

/** What is felt: in a corner, from tight to loose; off the line; at speed; over bumps. */
export const FEELS = {
  corner: ['very-tight', 'tight', 'good', 'loose', 'very-loose'],
  launch: ['hooks', 'spins', 'hops', 'pulls-left', 'pulls-right'],
  top: ['steady', 'wanders', 'shakes'],
  rough: ['calm', 'skips', 'bottoms', 'steers'],
} as const;
export const FEELS_OF = {
  entry: FEELS.corner,
  middle: FEELS.corner,
  exit: FEELS.corner,
  launch: FEELS.launch,
  top: FEELS.top,
  rough: FEELS.rough,
} as const satisfies Record<Phase, readonly string[]>;
export type Feel = (typeof FEELS)[keyof typeof FEELS][number];

/** What is heard or seen of a car that is not as it should be. */
export const SYMPTOMS = [
  'knock',
  'clunk',
  'wobble',
  'dog-tracking',
  'bump-pull',
  'shake-power',
  'shake-overrun',
  'wear',
  'hop',
  'binding',
  'rub',
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

const CORNERS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;
export type TyreCorner = (typeof CORNERS)[number];

const figure = z.nullable(z.number());
/** The car's own numbers as it was set up, as they are told of any change of it. */
const figuresSchema = z.strictObject({
  rollCentre: figure,
  antiSquat: figure,
  rollSteer: figure,
  sideways: z.number(),
  frontShare: figure,
  lean: figure,
});

const timeSchema = z.strictObject({
  what: text(40),
  value: z.number().check(z.minimum(0), z.maximum(100_000)),
});

/** One drive: where, on what, how the car was set up, what it did. Distance km, pressures N/mm² over the air's. */
const outingSchema = z.strictObject({
  id: text(40),
  at: when,
  place: text(120),
  surface: z.optional(text(80)),
  weather: z.optional(text(80)),
  tyres: z.optional(text(120)),
  fuel: z.optional(text(80)),
  load: z.optional(text(80)),
  distance: z.optional(notNegative),
  pressures: z.optional(z.partialRecord(z.enum(CORNERS), within(0, 2))),
  times: z.array(timeSchema).check(z.maxLength(20)),
  feel: z.partialRecord(z.enum(PHASES), z.enum(Object.values(FEELS).flat() as [Feel, ...Feel[]])),
  noises: z.array(z.enum(SYMPTOMS)).check(z.maxLength(SYMPTOMS.length)),
  note: text(4000),
  /** how it was set up then: one of `setUps` */
  setUp: text(40),
});
export type Outing = z.infer<typeof outingSchema>;

const setUpSchema = z.strictObject({ settings: basisSchema, figures: z.nullable(figuresSchema) });
export type DrivenSetUp = z.infer<typeof setUpSchema>;

/** What a search for a fault came to at one of its checks. */
const checkedSchema = z.strictObject({
  at: when,
  symptom: z.enum(SYMPTOMS),
  cause: text(60),
  found: z.boolean(),
  note: text(1000),
});
export type Checked = z.infer<typeof checkedSchema>;

const recheckSchema = z.strictObject({ at: when, distance: notNegative });

/** Outings and checks that a job holds. */
export const MOST_OUTINGS = 1000;
export const MOST_CHECKED = 1000;

/** What became of the car on the road: set-ups as they were driven, outings, faults looked for, and what was looked at again when. */
export const driveSchema = z._default(
  z.strictObject({
    setUps: z.record(text(40), setUpSchema),
    outings: z.array(outingSchema).check(z.maxLength(MOST_OUTINGS)),
    checked: z.array(checkedSchema).check(z.maxLength(MOST_CHECKED)),
    rechecked: z.record(text(120), recheckSchema),
    /** looked at again after so far, km; without it, as is usual */
    every: z.optional(notNegative),
  }),
  { setUps: {}, outings: [], checked: [], rechecked: {} },
);
export type Drive = z.infer<typeof driveSchema>;

export const startingDrive = (): Drive => ({ setUps: {}, outings: [], checked: [], rechecked: {} });
