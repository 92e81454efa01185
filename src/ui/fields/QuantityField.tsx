'use client';
import type { ToolName } from '@/core/survey/quantities/tools';
import { formatValue, parseValue, sayValue, unitWord, type ReadingUnit } from '@/core/units/values';
import { counted, splitWay, type Ways } from '@/core/units/ways';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import type { Ref } from 'react';
import { Entry, type EntryHandle, type Read } from './Entry';

export type Limits = { unit: ReadingUnit; least: number; most: number; ways?: Ways };

/** Reads what was typed for a quantity and holds it against its limits. With ways, the text may end in either. */
function readWithin(text: string, limits: Limits, tape: Tape): Read<number> {
  const { unit, least, most, ways } = limits;
  const { bare, sign } = ways
    ? splitWay(text, ways, (t) => parseValue(t, unit, tape).ok)
    : { bare: text, sign: null };
  const parsed = parseValue(bare, unit, tape);
  if (!parsed.ok) return parsed;
  const value = counted(sign ?? 1, parsed.value);
  if (value < least || value > most)
    return {
      ok: false,
      message: `Should be between ${sayValue(least, unit, tape)} and ${sayValue(most, unit, tape)}. Check it and read it again.`,
    };
  return { ok: true, value, text: text.trim() };
}

type Props = Limits & {
  field: string;
  label: string;
  value: number | null;
  onEnter: (value: number, typed: string, by?: ToolName) => void;
  onNothing?: () => void;
  /** what an emptied field does, where there need be no value */
  onClear?: () => void;
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
      unit={unit}
      about={value ?? about ?? 0}
      minus={ways?.[1] ?? (least < 0 ? 'less than nothing' : undefined)}
      beside={<span className="unit">{unitWord(unit, tape)}</span>}
    />
  );
}
