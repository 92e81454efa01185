'use client';
import { useEffect, useEffectEvent } from 'react';
import { tinykeys } from 'tinykeys';
import { takeReading } from '@/store/instruments';
import { redo, undo, useJobStore } from '@/store/jobStore';
import { usePreferences } from '@/store/preferences';
import { setRocker, useRocker } from '@/store/rocker';
import { travelOf } from '@/core/job/jobValues';

type Handlers = { station: (n: number) => void; find: () => void; help: () => void };

/** Share of the whole travel that one press of an arrow moves a wheel. */
const TRAVEL_STEP = 1 / 24;

/** The keyboard, wherever the hands are: stations by number, travel by arrows, undo, find, help. */
export function useShortcuts(handlers: Handlers): void {
  const keys = usePreferences((s) => s.keys);
  const station = useEffectEvent(handlers.station);
  const find = useEffectEvent(handlers.find);
  const help = useEffectEvent(handlers.help);
  useEffect(() => {
    const single: [key: string, code: string, act: Act][] = [
      ['/', 'Slash', () => find()],
      ['?', 'Shift+Slash', () => help()],
      ...TRAVEL_KEYS.map((key): [string, string, Act] => [key, key, travelKeys]),
      ...Array.from({ length: 10 }, (_, n): [string, string, Act] => [
        `${n}`,
        `Digit${n}`,
        () => station(n || 10),
      ]),
    ];
    const bound = single.flatMap(([key, code, act]): [string, ReturnType<typeof atRest>][] => {
      if (keys === 'none') return [];
      // With Alt, some keyboards write another letter: there it is the place of the key that counts.
      if (keys === 'alt') return [[`Alt+${code}`, atRest(act)]];
      // On some keyboards either of the signs takes Shift.
      return [key, `Shift+${key}`].slice(0, /\W/.test(key) ? 2 : 1).map((k) => [k, atRest(act)]);
    });
    return tinykeys(window, {
      F2: always(takeReading),
      '$mod+z': unlessTyping(undo),
      '$mod+Shift+z': unlessTyping(redo),
      '$mod+y': unlessTyping(redo),
      ...Object.fromEntries(bound),
    });
  }, [keys]);
}

/** What a key does; false where it leaves the key to others. */
type Act = (e: KeyboardEvent) => void | boolean;

const always = (act: Act) => (e: KeyboardEvent) => {
  if (!e.defaultPrevented && act(e) !== false) e.preventDefault();
};
const unlessTyping = (act: Act) => always((e) => !isTyping(e.target) && act(e));
const atRest = (act: Act) => unlessTyping((e) => !dialogOpen() && act(e));

const TRAVEL_KEYS = ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Home'];

function travelKeys({ key, target }: KeyboardEvent): boolean {
  if ((target as HTMLElement).getAttribute?.('role') === 'slider') return false;
  const job = useJobStore.getState().job;
  if (!job) return false;
  const { bump, droop } = travelOf(job);
  const step = (bump + droop) * TRAVEL_STEP;
  const { left, right } = useRocker.getState();
  const hold = (v: number) => Math.min(bump, Math.max(-droop, v));
  const by = (l: number, r: number) => setRocker(hold(left + l), hold(right + r));
  if (key === 'ArrowUp') by(step, step);
  else if (key === 'ArrowDown') by(-step, -step);
  else if (key === 'ArrowLeft') by(step, -step);
  else if (key === 'ArrowRight') by(-step, step);
  else setRocker(0, 0);
  return true;
}

/** A dialog that was closed stays in the page, unseen. */
const dialogOpen = (): boolean =>
  [...document.querySelectorAll('[role="dialog"]')].some((dialog) => dialog.checkVisibility());

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (/^(TEXTAREA|SELECT)$/.test(target.tagName) ||
      (target.tagName === 'INPUT' && !/^(radio|checkbox|file)$/.test((target as HTMLInputElement).type)))
  );
}
