'use client';
import type { ToolName } from '@/core/survey/quantities/tools';
import { formatValue, parseValue, sayValue, unitWord, type Unit } from '@/core/units/values';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import type { Ref } from 'react';
import { Entry, type EntryHandle, type Read } from './Entry';

export type Limits = { unit: Unit; least: number; most: number; ways?: readonly [string, string] };

/** Reads what was typed for a quantity and holds it against its limits. With ways, the text may end in either. */
function readWithin(text: string, limits: Limits, tape: Tape): Read<number> {
  const { unit, least, most, ways } = limits;
  const { bare, sign } = splitWays(text, ways);
  const parsed = parseValue(bare, unit, tape);
  if (!parsed.ok) return parsed;
  const value = sign * parsed.value;
  if (value < least || value > most)
    return {
      ok: false,
      message: `Should be between ${sayValue(least, unit, tape)} and ${sayValue(most, unit, tape)}. Check it and read it again.`,
    };
  return { ok: true, value, text: text.trim() };
}

/** `2.5 up` counts against the first way, `2.5 down` for it, by the first word of each. */
function splitWays(text: string, ways: Limits['ways']): { bare: string; sign: number } {
  const match = ways && /^(.*?\d°?)\s*([a-z]+)$/i.exec(text.trim());
  if (!match) return { bare: text, sign: 1 };
  const way = ways.findIndex((w) => w.startsWith(match[2]!.toLowerCase()));
  return way < 0 ? { bare: text, sign: 1 } : { bare: match[1]!, sign: way === 0 ? 1 : -1 };
}

type Props = Limits & {
  field: string;
  label: string;
  value: number | null;
  onEnter: (value: number, typed: string, by?: ToolName) => void;
  onNothing?: () => void;
  placeholder?: string;
  showLabel?: boolean;
  about?: number;
  handle?: Ref<EntryHandle>;
  padded?: boolean;
};

/** A length, an angle or a weight, typed or sent by a gauge. */
export function QuantityField({ value, about, unit, least, most, ways, ...rest }: Props) {
  const tape = useJobPart((j) => j.tape);
  const limits = { unit, least, most, ways };
  return (
    <Entry
      {...rest}
      shown={value === null ? '' : formatValue(value, unit, tape)}
      read={(text) => readWithin(text, limits, tape)}
      gauge={{ unit, about: value ?? about ?? 0 }}
      beside={<span className="unit">{unitWord(unit, tape)}</span>}
    />
  );
}
