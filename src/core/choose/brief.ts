import * as z from 'zod/mini';
import { within } from '@/core/rig/fields';
import { parseJson, validate } from '@/core/rig/read';
import { WANTED } from './wanted';

const number = within(-1e6, 1e6);

/** What a figure is to come to: no less, no more, or as near as can be to something. */
const targetSchema = z.strictObject({
  figure: z.enum(WANTED),
  least: z.optional(number),
  most: z.optional(number),
  near: z.optional(number),
});
export type Target = z.infer<typeof targetSchema>;

const END = z.enum([
  'chassis',
  'axle',
  'frontEye',
  'seat',
  'rearEye',
  'pivot',
  'crank.top',
  'crank.bottom',
  'ends.top',
  'ends.bottom',
]);

/**
 * What may move: a mount along one direction (0 ahead, 1 left, 2 up), from where to where, mm, in steps; a mount with holes moves from hole
 * to hole. `alike`: its mirror image moves with it.
 */
const freeMountSchema = z.strictObject({
  member: z.string().check(z.maxLength(60)),
  end: END,
  axis: z.union([z.literal(0), z.literal(1), z.literal(2)]),
  from: z.optional(number),
  to: z.optional(number),
  step: z.optional(number.check(z.positive())),
  alike: z.optional(z.boolean()),
});
export type FreeMount = z.infer<typeof freeMountSchema>;

/** The sway bar's end links move from hole to hole of its arms. */
const freeHoleSchema = z.strictObject({ swayBar: z.literal('hole') });

/**
 * The feet of its end links move across the car, outboard of their eyes (axis 1), or along it, ahead of them (axis 0), from where to where,
 * mm, in steps; both alike.
 */
const freeFeetSchema = z.strictObject({
  swayBar: z.literal('feet'),
  axis: z.union([z.literal(0), z.literal(1)]),
  from: number,
  to: number,
  step: z.optional(number.check(z.positive())),
});
export type FreeFeet = z.infer<typeof freeFeetSchema>;

/** A bar may be bent clear of what it comes too near to, between eyes that stay; `alike`: and its mirror image, as far as that needs it. */
const freeBendSchema = z.strictObject({
  bend: z.string().check(z.maxLength(60)),
  alike: z.optional(z.boolean()),
});
export type FreeBend = z.infer<typeof freeBendSchema>;

export type Free = FreeMount | FreeBend | FreeFeet | z.infer<typeof freeHoleSchema>;

export const isMount = (free: Free): free is FreeMount => 'member' in free;
export const isFeet = (free: Free): free is FreeFeet => 'swayBar' in free && free.swayBar === 'feet';
export const isBend = (free: Free): free is FreeBend => 'bend' in free;

export const MOST_TARGETS = 12;
export const MOST_FREE = 12;

/** More room than this is asked for nowhere, mm. */
export const MOST_CLEAR = 150;

/** A brief for a search of mounts: what is wanted, what may move; `clear`: the room that is to be left between all bodies over the travel, mm. */
const briefSchema = z.strictObject({
  format: z.literal('pellik.brief'),
  version: z.literal(1),
  targets: z.array(targetSchema).check(z.minLength(1), z.maxLength(MOST_TARGETS)),
  free: z
    .array(z.union([freeMountSchema, freeHoleSchema, freeFeetSchema, freeBendSchema]))
    .check(z.minLength(1), z.maxLength(MOST_FREE)),
  clear: z.optional(within(0, MOST_CLEAR)),
  seed: z.optional(z.int().check(z.minimum(0), z.maximum(2 ** 31))),
});
export type Brief = z.infer<typeof briefSchema>;

/** @throws InputError with the path of what is wrong */
export const readBrief = (text: string): Brief => validate(briefSchema, parseJson(text));
