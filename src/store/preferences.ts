import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { RollPart } from '@/core/roll/analyse';

/** What Locate is working on: holding the axle sideways, lengthwise, the room that things need, or the forces. */
export type LocatePart = 'bar' | 'links' | 'room' | 'forces';

/** What Record is about: reading, whether it agrees, what it comes to, what is worn, what came in the box. */
export type RecordPart = 'measure' | 'agree' | 'found' | 'inspect' | 'parts';

/** What the bay shows beside the parts themselves. */
export type Layer = 'swept' | 'lines';

type Preferences = {
  focus: LocatePart;
  /** a change on one side is made on the other too */
  alike: boolean;
  layers: Record<Layer, boolean>;
  /** the quantity last looked at, by what was being worked on, and whether as a map */
  chart: Partial<Record<LocatePart, string>>;
  asMap: boolean;
  /** the load case whose forces the bay shows */
  load: string | null;
  record: RecordPart;
  roll: RollPart;
  /** readings one at a time with the pad, or all on one sheet */
  sheet: boolean;
  /** the reading last looked at */
  readingAt: string | null;
  /** the hand that is free: the pad's keys stand on its side */
  hand: 'left' | 'right';
};

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
      roll: 'bar',
      sheet: false,
      readingAt: null,
      hand: 'right',
    }),
    { name: 'pellik-ways', storage: createJSONStorage(() => localStorage) },
  ),
);

export function setPreferences(ways: Partial<Preferences>): void {
  usePreferences.setState(ways);
}
