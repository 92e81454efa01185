import * as z from 'zod';
import { THREAD_NAMES } from '@/core/materials/threads';
import { MM_PER_INCH } from '@/core/units/tape';
import { BRACKETS, mm, text } from './fields';

const barEndSchema = z.strictObject({
  toShoulder: mm.min(0),
  showing: mm.min(0),
  shank: mm.min(0),
  bung: mm.min(0),
});

export const cutSchema = z.strictObject({
  /** the bar on the saw; without it, the one across the car */
  member: text(60).optional(),
  thread: z.enum(THREAD_NAMES),
  leftHandEnd: z.enum(BRACKETS),
  engagementRule: mm.min(0),
  ends: z.strictObject({ frame: barEndSchema, axle: barEndSchema }),
  tube: z.strictObject({ od: mm.positive(), wall: mm.positive() }),
});

const inch = (n: number) => n * MM_PER_INCH;

export function startingCut(): z.infer<typeof cutSchema> {
  const end = { toShoulder: inch(2.125), showing: inch(0.375), shank: inch(2.25), bung: inch(2) };
  return {
    thread: '3/4-16',
    leftHandEnd: 'frame',
    engagementRule: inch(1.5),
    ends: { frame: end, axle: { ...end } },
    tube: { od: inch(1.25), wall: inch(0.12) },
  };
}
