import * as z from 'zod/mini';
import { within } from '@/core/rig/fields';

/** What the keys of a job file are made of. */
export const mm = within(-20_000, 20_000);
export const notNegative = mm.check(z.minimum(0));
/** Text as it was typed into a field. */
export const typed = z.string().check(z.maxLength(40));
export const when = z.iso.datetime();
export const text = (longest: number) => z.string().check(z.maxLength(longest));
/** What a verified thing rests on: each value by the words a builder would use for it; lengths in mm. */
export const basisSchema = z.record(text(120), z.union([z.number(), z.string(), z.boolean()]));
export const bySide = z.strictObject({ left: z.optional(mm), right: z.optional(mm) });
/** Which bracket of a member: at its frame end or its axle end. */
export const BRACKETS = ['frame', 'axle'] as const;
export type Bracket = (typeof BRACKETS)[number];
/**
 * What is fastened of whatever holds the axle: both brackets of a bar or an arm; pivot and rod ends of a crank; hangers and perch of a leaf
 * spring; mounts and link feet of a sway bar.
 */
export const HOLD_POINTS = [
  ...BRACKETS,
  'pivot',
  'top',
  'bottom',
  'front',
  'seat',
  'rear',
  'left',
  'right',
  'footLeft',
  'footRight',
] as const;
export type HoldPoint = (typeof HOLD_POINTS)[number];
