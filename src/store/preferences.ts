import * as z from 'zod/mini';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { RollPart } from '@/core/roll/analyse';

/** What Locate is working on: holding the axle sideways, lengthwise, the room that things need, the forces, other heights of the car, or looking for places that meet what is wanted. */
const LOCATE_PARTS = ['bar', 'links', 'room', 'forces', 'heights', 'find', 'ways'] as const;
export type LocatePart = (typeof LOCATE_PARTS)[number];

/** What Record is about: reading, whether it agrees, what it comes to, what is worn, what came in the box. */
const RECORD_PARTS = ['measure', 'agree', 'found', 'inspect', 'parts'] as const;
export type RecordPart = (typeof RECORD_PARTS)[number];

/** What Weld is about: the order of work, the brackets' hold points, how tight everything is. */
const WELD_PARTS = ['plan', 'hold', 'close', 'torque', 'book'] as const;
export type WeldPart = (typeof WELD_PARTS)[number];

/** What Drive is about: outings, what to change, what is wrong, what to look at again. */
const DRIVE_PARTS = ['outings', 'tune', 'faults', 'again'] as const;
export type DrivePart = (typeof DRIVE_PARTS)[number];

/** Whether keys like `4` or `/` act by themselves; what speaks for a hand may type them by mistake. */
const KEYS = ['plain', 'alt', 'none'] as const;
export type Keys = (typeof KEYS)[number];

/** What the bay shows beside the parts themselves. */
export type Layer = 'swept' | 'lines';

const part = z.enum(LOCATE_PARTS);
const preferencesSchema = z.object({
  focus: part,
  /** a change on one side is made on the other too */
  alike: z.boolean(),
  layers: z.object({ swept: z.boolean(), lines: z.boolean() }),
  /** the quantity last looked at, by what was being worked on, and whether as a map */
  chart: z.partialRecord(part, z.string()),
  asMap: z.boolean(),
  /** the load case whose forces the bay shows */
  load: z.nullable(z.string()),
  record: z.enum(RECORD_PARTS),
  weld: z.enum(WELD_PARTS),
  drive: z.enum(DRIVE_PARTS),
  /** what was last looked at before it is fixed, where it is no bar: a bar is the one on the saw */
  held: z.nullable(z.string()),
  /** steps of the plan in working order, or by where the builder lies */
  byPlace: z.boolean(),
  roll: z.enum(['springs', 'bar', 'balance'] as const satisfies readonly RollPart[]),
  /** the part last looked at where its strength is proved: a bar by its member, a bracket by its mount */
  prove: z.nullable(z.string()),
  /** readings one at a time with the pad, or all on one sheet */
  sheet: z.boolean(),
  /** the reading last looked at */
  readingAt: z.nullable(z.string()),
  /** single keys that act by themselves: as they are, only with Alt, or not at all */
  keys: z.enum(KEYS),
  /** the hand that is free: the pad's keys stand on its side */
  hand: z.enum(['left', 'right']),
  /** values typed with a finger are typed with our pad, not with the keyboard of the device */
  pad: z.boolean(),
});
type Preferences = z.infer<typeof preferencesSchema>;

/** What of stored preferences can be used; what cannot is as it was before anybody chose. */
export function usable(stored: unknown): Partial<Preferences> {
  if (typeof stored !== 'object' || stored === null) return {};
  const sound = Object.entries(preferencesSchema.shape).flatMap(([key, schema]) => {
    const read = schema.safeParse((stored as Record<string, unknown>)[key]);
    return read.success ? [[key, read.data] as const] : [];
  });
  return Object.fromEntries(sound);
}

/** Preferences of whoever works here: not part of the job, remembered on this device. */
export const usePreferences = create<Preferences>()(
  persist(
    (): Preferences => ({
      focus: 'bar',
      alike: true,
      layers: { swept: false, lines: true },
      chart: {},
      asMap: false,
      load: null,
      record: 'measure',
      weld: 'plan',
      drive: 'outings',
      byPlace: false,
      roll: 'bar',
      prove: null,
      held: null,
      sheet: false,
      readingAt: null,
      keys: 'plain',
      hand: 'right',
      pad: true,
    }),
    {
      name: 'pellik-ways',
      storage: createJSONStorage(() => localStorage),
      merge: (stored, now) => ({ ...now, ...usable(stored) }),
    },
  ),
);

export function setPreferences(ways: Partial<Preferences>): void {
  usePreferences.setState(ways);
}
