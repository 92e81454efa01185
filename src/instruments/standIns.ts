import type { ReadingUnit } from '@/core/units/values';
import { writeLine, type Channel, type GaugeName, type Sample } from './protocol';

/** Stand-ins behave, or have what real gauges have: a low battery, and a link that drops out and comes back. */
export const MOODS = ['good', 'moody'] as const;
export type Mood = (typeof MOODS)[number];

/** How a gauge comes to rest: it starts off by `swing` and settles within a few times `rest` seconds; then noise and drift. */
const MANNERS: Record<
  Exclude<GaugeName, 'torque-wrench'>,
  { swing: number; rest: number; noise: number; drift: number }
> = {
  laser: { swing: 9, rest: 0.35, noise: 0.25, drift: 0 },
  'angle-gauge': { swing: 1.6, rest: 0.4, noise: 0.03, drift: 0.002 },
  scales: { swing: 14, rest: 0.45, noise: 0.25, drift: 0.01 },
};

export const LINES_PER_SECOND = 10;
const DROPS_AT = 0.5;
const DROPS_FOR = 4;
/** In a moody lot, the link drops at one place in this many. */
const ONE_IN = 4;
const FULL = 88;
const LOW = 9;

export type Aim = { unit: ReadingUnit; channel: Channel; truth: number; name: string };

const GAUGE_FOR: Record<ReadingUnit, GaugeName> = {
  length: 'laser',
  angle: 'angle-gauge',
  weight: 'scales',
  torque: 'torque-wrench',
};

/**
 * The line a stand-in sends at a time after it was aimed; null while its link is down. The same aim gives the same lines.
 *
 * @param step how many lines ago it was aimed, at ten a second
 */
export function standInLine({ unit, channel, truth, name }: Aim, mood: Mood, step: number): string | null {
  const gauge = GAUGE_FOR[unit];
  const t = step / LINES_PER_SECOND;
  if (mood === 'moody' && dropsAt(name) && t >= DROPS_AT && t < DROPS_AT + DROPS_FOR) return null;
  const value =
    gauge === 'torque-wrench' ? pulled(truth, name, t) : settling(MANNERS[gauge], truth, name, step);
  const sample: Sample = {
    gauge,
    channel,
    value: unit === 'angle' ? value : Math.max(0, value),
    battery: mood === 'moody' && gauge === 'angle-gauge' ? LOW : FULL,
    n: step,
  };
  return writeLine(sample);
}

/** A gauge that comes to rest. */
function settling(
  { swing, rest, noise, drift }: (typeof MANNERS)['laser'],
  truth: number,
  name: string,
  step: number,
): number {
  const t = step / LINES_PER_SECOND;
  return (
    truth +
    swing * Math.exp(-t / rest) * (draw(name) > 0.5 ? 1 : -1) +
    noise * Math.sqrt(3) * (2 * draw(`${name}/${step}`) - 1) +
    drift * t
  );
}

/** A wrench rests, is pulled until it clicks, and rests again, s; it clicks within so much of where it is set. */
const PULL = { rest: 0.6, pull: 1.6, every: 3.2 };
const CLICKS_WITHIN = 0.02;

function pulled(truth: number, name: string, t: number): number {
  const [at, turn] = [t % PULL.every, Math.floor(t / PULL.every)];
  const click = truth * (1 + CLICKS_WITHIN * (2 * draw(`${name}/${turn}`) - 1));
  const share = (at - PULL.rest) / PULL.pull;
  return share <= 0 || share > 1 + 1e-9 ? 0 : click * share ** 2;
}

/** Whether a moody stand-in loses its link when aimed at this. */
export const dropsAt = (name: string): boolean => hash(name) % ONE_IN === 0;

/** How far an invented car is off its usual size at a place: within a hundredth of it, or a degree and a half. */
export function practiceValue(name: string, usual: number, unit: ReadingUnit): number {
  const off = 2 * draw(`practice/${name}`) - 1;
  return unit === 'angle' ? usual + 1.5 * off : usual * (1 + 0.008 * off);
}

/** A number between 0 and 1 that depends on a text alone. */
const draw = (text: string): number => (hash(text) % 10_007) / 10_007;

/** FNV-1a, finished by a mix so that neighbours differ in every bit. */
function hash(text: string): number {
  let h = 0x811c9dc5;
  for (const c of text) h = Math.imul(h ^ c.charCodeAt(0), 0x01000193);
  h ^= h >>> 15;
  h = Math.imul(h, 0x2c1b3c6d);
  h ^= h >>> 13;
  return h >>> 0;
}
