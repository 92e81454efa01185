'use client';
import type { ToolName } from '@/core/survey/quantities/tools';
import { formatDecimal, sayLength, shownLength } from '@/core/units/length';
import { parseLength } from '@/core/units/parse';
import { useJobPart } from '@/store/jobStore';
import { Entry, type Read } from './Entry';

/** The two ways a length can count, e.g. left and right of the centreline; the first is positive. */
export type Ways = readonly [positive: string, negative: string];

type Props = {
  /** the value's own name: where its half-typed text and its last typing are kept */
  field: string;
  label: string;
  mm: number | null;
  least: number;
  most: number;
  onEnter: (mm: number, typed: string, by?: ToolName) => void;
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
    const { bare, sign } = ways ? splitWay(text, ways, mm) : { bare: text, sign: 1 };
    const parsed = parseLength(bare, tape);
    if (!parsed.ok) return parsed;
    const value = ways ? sign * parsed.mm : parsed.mm;
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
      gauge={{ unit: 'length', about: mm ?? (least + most) / 8 }}
      {...rest}
      beside={
        ways &&
        mm !== null && (
          <button
            type="button"
            className="way"
            aria-label={`${label}: ${ways[mm < 0 ? 1 : 0]}. Change to ${ways[mm < 0 ? 0 : 1]}`}
            onClick={() => onEnter(-mm, typed ?? shown)}
          >
            {ways[mm < 0 ? 1 : 0]}
          </button>
        )
      }
    />
  );
}

/** Takes a closing word like `left`, `R` or `behind` off the text, and its sign; without one the length keeps its way. */
function splitWay(text: string, ways: Ways, now: number | null): { bare: string; sign: number } {
  const match = /^(.*?)\s*([a-z]+)$/i.exec(text.trim());
  const word = match?.[2]?.toLowerCase();
  const way = word ? ways.findIndex((w) => w.toLowerCase().startsWith(word)) : -1;
  if (match && way >= 0) return { bare: match[1]!, sign: way === 0 ? 1 : -1 };
  return { bare: text, sign: now !== null && now < 0 ? -1 : 1 };
}
