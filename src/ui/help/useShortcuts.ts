'use client';
import { useEffect, useEffectEvent } from 'react';
import { takeReading } from '@/store/instruments';
import { redo, undo, useJobStore } from '@/store/jobStore';
import { setRocker, useRocker } from '@/store/rocker';
import { travelOf } from '@/core/job/jobValues';

type Handlers = { station: (n: number) => void; find: () => void; help: () => void };

/** Share of the whole travel that one press of an arrow moves a wheel. */
const TRAVEL_STEP = 1 / 24;

/** The keyboard, wherever the hands are: stations by number, travel by arrows, undo, find, help. */
export function useShortcuts(handlers: Handlers): void {
  const onKey = useEffectEvent((e: KeyboardEvent) => {
    if (e.defaultPrevented || e.altKey) return;
    if (e.key === 'F2') {
      takeReading();
      e.preventDefault();
      return;
    }
    const typing = isTyping(e.target);
    if (e.ctrlKey || e.metaKey) {
      if (!typing) undoKeys(e);
      return;
    }
    if (typing || dialogOpen()) return;
    if (/^[0-9]$/.test(e.key)) handlers.station(Number(e.key) || 10);
    else if (e.key === '/') handlers.find();
    else if (e.key === '?') handlers.help();
    else if (!travelKeys(e)) return;
    e.preventDefault();
  });
  useEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

function undoKeys(e: KeyboardEvent): void {
  const key = e.key.toLowerCase();
  if (key === 'z' && !e.shiftKey) undo();
  else if (key === 'y' || key === 'z') redo();
  else return;
  e.preventDefault();
}

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
  else if (key === 'Home') setRocker(0, 0);
  else return false;
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
