import * as z from 'zod/mini';
import type { ReadingUnit } from '@/core/units/values';

/**
 * One line of text per reading, as every gauge or bridge sends it (docs/instruments.md):
 *
 *   laser length=331.62mm battery=84 n=217
 *   angle-gauge angle=-2.41deg battery=12 n=40
 *   scales rear-left=331.4kg battery=77 n=9
 *   torque-wrench torque=101.60Nm battery=66 n=24
 */
export const GAUGES = ['laser', 'angle-gauge', 'scales', 'torque-wrench'] as const;
export type GaugeName = (typeof GAUGES)[number];

export const CHANNELS = [
  'length',
  'angle',
  'torque',
  'front-left',
  'front-right',
  'rear-left',
  'rear-right',
] as const;
export type Channel = (typeof CHANNELS)[number];

export type Sample = {
  gauge: GaugeName;
  channel: Channel;
  /** mm, degrees, kg or N·mm */
  value: number;
  /** charge left, percent */
  battery: number;
  /** counts up from one line of a gauge to the next: a gap is a lost line */
  n: number;
};

export type Line = { ok: true; sample: Sample } | { ok: false; message: string };

const LONGEST_LINE = 200;
/** How each is sent: its sign, the most that is believed, and how much of the core’s unit one of it is. */
const UNITS: Record<ReadingUnit, { sign: string; most: number; size: number }> = {
  length: { sign: 'mm', most: 20_000, size: 1 },
  angle: { sign: 'deg', most: 360, size: 1 },
  weight: { sign: 'kg', most: 20_000, size: 1 },
  torque: { sign: 'Nm', most: 5_000, size: 1000 },
};

export const unitOf = (channel: Channel): ReadingUnit =>
  channel === 'length' || channel === 'angle' || channel === 'torque' ? channel : 'weight';

const LINE = /^(\S+) ([a-z-]+)=(-?\d+(?:\.\d+)?)(mm|deg|kg|Nm) battery=(\d{1,3}) n=(\d{1,15})$/;

const sampleSchema = z.object({
  gauge: z.enum(GAUGES),
  channel: z.enum(CHANNELS),
  value: z.number(),
  battery: z.int().check(z.maximum(100)),
  n: z.int(),
});

/** Reads one line from a gauge. What cannot be read is said, never guessed. */
export function parseLine(text: string): Line {
  if (text.length > LONGEST_LINE) return { ok: false, message: 'line too long' };
  const match = LINE.exec(text.trim());
  if (!match) return { ok: false, message: 'not a line of a gauge' };
  const [, gauge, channel, value, sign, battery, n] = match;
  const parsed = sampleSchema.safeParse({
    gauge,
    channel,
    value: Number(value),
    battery: Number(battery),
    n: Number(n),
  });
  if (!parsed.success) return { ok: false, message: `unknown ${parsed.error.issues[0]!.path.join('.')}` };
  const unit = UNITS[unitOf(parsed.data.channel)];
  if (sign !== unit.sign) return { ok: false, message: `${channel} is sent in ${unit.sign}` };
  if (Math.abs(parsed.data.value) > unit.most) return { ok: false, message: 'value out of range' };
  return { ok: true, sample: { ...parsed.data, value: parsed.data.value * unit.size } };
}

export function writeLine({ gauge, channel, value, battery, n }: Sample): string {
  const unit = unitOf(channel);
  const { sign, size } = UNITS[unit];
  const digits = (value / size).toFixed(unit === 'weight' ? 1 : 2);
  return `${gauge} ${channel}=${digits}${sign} battery=${battery} n=${n}`;
}
