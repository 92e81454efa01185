import * as z from 'zod/mini';
import { point, within } from '@/core/rig/fields';
import { BRACKETS_STAND, JOINT_NAMES } from '@/core/materials/joints';
import { LIMITS } from '@/core/materials/limits';
import { LEVEL_SCHOOLS } from '@/core/rig/lateralBar';
import { USUAL_CASES } from '@/core/statics/standardCases';
import { mm, notNegative, text } from './fields';

/** Adjusting at the frame end alone, or through matched holes at both ends. */
const ADJUSTERS = ['frame', 'both'] as const;

/** Half an inch of settling; two people over the axle, at the height of a seat. */
const USUAL_STATES = { settled: 12.7, load: { mass: 150, ahead: 0, height: 800 } };

export const locateSchema = z.strictObject({
  school: z.enum(LEVEL_SCHOOLS),
  adjuster: z.enum(ADJUSTERS),
  shiftLimit: mm.check(z.positive()),
  /** heights that the car is looked at in beside its own: how far its springs settle, mm; a load, kg, ahead of this axle and above the ground, mm */
  states: z._default(
    z.strictObject({
      settled: within(-300, 300),
      load: z.strictObject({ mass: within(0, 5000), ahead: mm, height: notNegative }),
    }),
    USUAL_STATES,
  ),
  /** bars that are there already, by id: how long each is from eye to eye, mm */
  made: z.optional(z.record(text(60), mm.check(z.positive()))),
  /** of those that have thread, how long each may be with as much of it in as it needs, mm; `made` is then how long it is wound in */
  opens: z.optional(z.record(text(60), mm.check(z.positive()))),
  /** the car weighed with one end lifted: kg on the end that stays down, level and lifted, and how far the other axle was lifted, mm */
  lifted: z.optional(
    z.strictObject({
      level: z.optional(within(1, 10_000)),
      lifted: z.optional(within(1, 10_000)),
      by: z.optional(mm.check(z.positive())),
    }),
  ),
});

export const startingLocate = (): z.infer<typeof locateSchema> => ({
  school: 'ride',
  adjuster: 'frame',
  shiftLimit: LIMITS.sideways.street,
  states: USUAL_STATES,
});

/** What a link's eyes are made with; without an entry, rod ends in brackets turned to the bar. */
export const jointsSchema = z._default(
  z.record(
    text(60),
    z.strictObject({
      chassis: z.enum(JOINT_NAMES),
      axle: z.enum(JOINT_NAMES),
      brackets: z.enum(BRACKETS_STAND),
    }),
  ),
  {},
);

/** A row of holes up a bracket: the height of the lowest, the step from hole to hole, how many. */
const rowOfHoles = z.strictObject({
  lowest: mm,
  pitch: mm.check(z.positive()),
  count: z.int().check(z.minimum(2), z.maximum(20)),
});
export type Holes = z.infer<typeof rowOfHoles>;
/** Brackets with holes, by mount: `panhard/chassis`. */
export const holesSchema = z._default(z.record(text(80), rowOfHoles), {});

/** Hoses, lines and cables from the frame to the axle: their ends at ride height, and how long they are, mm. */
export const linesSchema = z._default(
  z
    .array(z.strictObject({ id: text(60), frame: point, axle: point, length: mm.check(z.positive()) }))
    .check(z.maxLength(20)),
  [],
);

const room = z.strictObject({ in: z.optional(notNegative), out: z.optional(notNegative) });

/** Room of the slip yoke at ride height, as far as it was measured; turns of the shaft for one of the wheels. */
export const shaftSchema = z._default(
  z.strictObject({
    room,
    ratio: within(1, 20),
    /** room of a torque arm's slider at ride height, as far as it was measured */
    slider: z.optional(room),
  }),
  { room: {}, ratio: USUAL_CASES.axleRatio },
);

/** Sideways acceleration of the steady corner that loads are reckoned with, g. */
export const cornerSchema = z._default(within(0.1, 3), USUAL_CASES.cornerG);
