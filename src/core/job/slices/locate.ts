import * as z from 'zod';
import { BRACKETS_STAND, JOINT_NAMES } from '@/core/materials/joints';
import { LIMITS } from '@/core/materials/limits';
import { LEVEL_SCHOOLS } from '@/core/rig/lateralBar';
import { USUAL_CASES } from '@/core/statics/standardCases';
import { mm, text } from './fields';

/** Adjusting at the frame end alone, or through matched holes at both ends. */
const ADJUSTERS = ['frame', 'both'] as const;

export const locateSchema = z.strictObject({
  school: z.enum(LEVEL_SCHOOLS),
  adjuster: z.enum(ADJUSTERS),
  shiftLimit: mm.positive(),
});

export const startingLocate = (): z.infer<typeof locateSchema> => ({
  school: 'ride',
  adjuster: 'frame',
  shiftLimit: LIMITS.sideways.street,
});

/** What a link's eyes are made with; without an entry, rod ends in brackets turned to the bar. */
export const jointsSchema = z
  .record(
    text(60),
    z.strictObject({
      chassis: z.enum(JOINT_NAMES),
      axle: z.enum(JOINT_NAMES),
      brackets: z.enum(BRACKETS_STAND),
    }),
  )
  .default({});

/** A row of holes up a bracket: the height of the lowest, the step from hole to hole, how many. */
const rowOfHoles = z.strictObject({
  lowest: mm,
  pitch: mm.positive(),
  count: z.number().int().min(2).max(20),
});
export type Holes = z.infer<typeof rowOfHoles>;
/** Brackets with holes, by mount: `panhard/chassis`. */
export const holesSchema = z.record(text(80), rowOfHoles).default({});

/** Room of the slip yoke at ride height, as far as it was measured; turns of the shaft for one of the wheels. */
export const shaftSchema = z
  .strictObject({
    room: z.strictObject({ in: mm.min(0).optional(), out: mm.min(0).optional() }),
    ratio: z.number().min(1).max(20),
  })
  .default({ room: {}, ratio: USUAL_CASES.axleRatio });

/** Sideways acceleration of the steady corner that loads are reckoned with, g. */
export const cornerSchema = z.number().min(0.1).max(3).default(USUAL_CASES.cornerG);
