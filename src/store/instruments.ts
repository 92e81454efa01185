import { create } from 'zustand';
import { formatDecimal } from '@/core/units/length';
import type { ReadingUnit } from '@/core/units/values';
import type { Tape } from '@/core/units/tape';
import type { ToolName } from '@/core/survey/quantities/tools';
import { parseLine, unitOf, type Sample } from '@/instruments/protocol';
import { KEPT, steadyValue } from '@/instruments/steady';
import type { Mood } from '@/instruments/standIns';
import { useJobStore } from './jobStore';
import { MASS, TORQUE } from '@/core/units/unit';

/** A field that a gauge can fill: what it is called, what it is measured in, and how it takes a value. */
export type Target = {
  field: string;
  label: string;
  unit: ReadingUnit;
  about: number;
  take: (typed: string, by?: ToolName) => void;
};

type Link = 'off' | 'live' | 'lost';

type InstrumentState = {
  on: boolean;
  mood: Mood;
  target: Target | null;
  link: Link;
  last: Sample | null;
  values: number[];
  /** a reading was asked for and is taken as soon as it holds still */
  waiting: boolean;
  /** what last happened, in a sentence */
  note: string;
};

/** Silence longer than this is a lost link, ms. */
const SILENCE = 1200;
export const LOW_BATTERY = 15;

const RESTING = { link: 'off' as Link, last: null, values: [], waiting: false };

/** The gauges at hand, and the field they are held at. */
export const useInstruments = create<InstrumentState>()(() => ({
  on: false,
  mood: 'good',
  target: null,
  note: '',
  ...RESTING,
}));

const now = useInstruments.getState;
const set = useInstruments.setState;
let source: EventSource | null = null;
let silence: ReturnType<typeof setTimeout> | undefined;

export function switchInstruments(on: boolean, mood: Mood = now().mood): void {
  set({ on, mood, note: '' });
  aim();
}

/** Points the gauge at another field; the old one is let go of. */
export function setTarget(target: Target): void {
  const same = now().target?.field === target.field && source !== null;
  set({ target });
  if (!same) {
    set({ note: '' });
    aim();
  }
}

/** Lets go of a field that is no longer there. */
export function dropTarget(field: string): void {
  if (now().target?.field !== field) return;
  set({ target: null });
  aim();
}

/** Takes the gauge's reading into the field it is held at: now if it holds still, else as soon as it does. */
export function takeReading(): void {
  const { on, target, link } = now();
  if (!on) set({ note: 'No gauge is switched on.' });
  else if (!target) set({ note: 'Pick the place to fill first.' });
  else if (link === 'lost')
    set({ note: 'The link is down: nothing was taken. Wait, or type what you read.' });
  else {
    set({ waiting: true, note: '' });
    settle();
  }
}

function aim(): void {
  source?.close();
  source = null;
  clearTimeout(silence);
  const { on, target, mood } = now();
  set(RESTING);
  if (!on || !target) return;
  const job = useJobStore.getState().job?.id ?? '';
  const asked = { job, aim: target.field, unit: target.unit, mood, about: String(target.about) };
  source = new EventSource(`/api/instruments?${new URLSearchParams(asked)}`);
  source.onmessage = ({ data }) => hear(String(data), target);
  source.onerror = lose;
  silence = setTimeout(lose, 2 * SILENCE);
}

function hear(text: string, target: Target): void {
  const line = parseLine(text);
  if (!line.ok || unitOf(line.sample.channel) !== target.unit) return;
  clearTimeout(silence);
  silence = setTimeout(lose, SILENCE);
  const { link, values } = now();
  // After a gap it starts over: nothing from before the silence counts.
  const kept = link === 'lost' ? [] : values.slice(-KEPT + 1);
  set({ link: 'live', last: line.sample, values: [...kept, line.sample.value] });
  settle();
}

function lose(): void {
  const { waiting } = now();
  set({
    link: 'lost',
    values: [],
    waiting: false,
    note: waiting ? 'The link dropped while it settled: nothing was taken.' : now().note,
  });
}

function settle(): void {
  const { waiting, values, target, last } = now();
  if (!waiting || !target || !last) return;
  const value = steadyValue(values, target.unit);
  if (value === null) return;
  const tape = useJobStore.getState().job!.tape;
  const typed = writeTaken(value, target.unit, tape);
  set({ waiting: false, note: `Taken: ${typed}` });
  // A wrench reads no quantity of the survey, whose tools those are.
  target.take(typed, last.gauge === 'torque-wrench' ? undefined : last.gauge);
}

/** What a gauge's reading looks like when it has been taken: as if it had been typed. */
function writeTaken(value: number, unit: ReadingUnit, tape: Tape): string {
  if (unit === 'length') return tape === 'mm' ? value.toFixed(1) : formatDecimal(value, tape);
  if (unit === 'angle') return value.toFixed(2);
  return (unit === 'weight' ? MASS : TORQUE).shown(value, tape).toFixed(1);
}
