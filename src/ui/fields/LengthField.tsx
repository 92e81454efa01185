'use client';
import type { ToolName } from '@/core/survey/quantities/tools';
import { formatDecimal, sayLength, shownLength } from '@/core/units/length';
import { parseLength } from '@/core/units/parse';
import { counted, splitWay, type Ways } from '@/core/units/ways';
import { useJobPart } from '@/store/jobStore';
import { Entry, type Read } from './Entry';
import { WayButton } from './WayButton';

type Props = {
  /** the value's own name: where its half-typed text and its last typing are kept */
  field: string;
  label: string;
  mm: number | null;
  least: number;
  most: number;
  onEnter: (mm: number, typed: string, by?: ToolName) => void;
  /** what an emptied field does, where there need be no value */
  onClear?: () => void;
  /** with these, a button beside the figure says which way it counts, and the text may end in either word */
  ways?: Ways;
  placeholder?: string;
  showLabel?: boolean;
  /** shown as a decimal instead of the nearest line of the tape */
  decimal?: boolean;
};

/** A length as a fabricator types it. */
export function LengthField({
  field,
  label,
  mm,
  least,
  most,
  onEnter,
  ways,
  decimal = false,
  ...rest
}: Props) {
  const tape = useJobPart((j) => j.tape);
  const typed = useJobPart((j) => j.typed[field]);
  const size = mm === null ? null : ways ? Math.abs(mm) : mm;
  const shown = size === null ? '' : decimal ? formatDecimal(size, tape) : shownLength(size, typed, tape);

  function read(text: string): Read<number> {
    const { bare, sign } = ways
      ? splitWay(text, ways, (t) => parseLength(t, tape).ok)
      : { bare: text, sign: null };
    const parsed = parseLength(bare, tape);
    if (!parsed.ok) return parsed;
    // Without a word the length keeps its way.
    const value = ways ? counted(sign ?? (mm !== null && mm < 0 ? -1 : 1), parsed.mm) : parsed.mm;
    if (value < least || value > most) {
      return {
        ok: false,
        message: `Should be between ${sayWay(least)} and ${sayWay(most)}. Check the tape and type it again.`,
      };
    }
    return { ok: true, value, text: bare.trim() };
  }

  function sayWay(v: number): string {
    if (decimal) return `${formatDecimal(v, tape)} ${tape === 'mm' ? 'mm' : 'in'}`;
    return ways ? `${sayLength(Math.abs(v), tape)} ${ways[v < 0 ? 1 : 0]}` : sayLength(v, tape);
  }

  return (
    <Entry
      field={field}
      label={label}
      shown={shown}
      read={read}
      onEnter={onEnter}
      unit="length"
      about={mm ?? (least + most) / 8}
      minus={!ways && least < 0 ? 'less than nothing' : undefined}
      {...rest}
      beside={
        ways &&
        mm !== null && (
          <WayButton
            label={label}
            ways={ways}
            value={mm}
            onTurn={() => onEnter(counted(-1, mm), typed ?? shown)}
          />
        )
      }
    />
  );
}
