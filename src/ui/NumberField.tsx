'use client';
import { Entry, type Read } from './Entry';
import type { Ways } from './LengthField';

type Props = {
  field: string;
  label: string;
  value: number | null;
  least: number;
  most: number;
  unit: string;
  decimals: number;
  onEnter: (value: number) => void;
  /** with these, a button says which way it counts; the first is positive */
  ways?: Ways;
  showLabel?: boolean;
  placeholder?: string;
};

/** A plain number with its unit: an angle, a weight, a ratio. */
export function NumberField({ value, least, most, unit, decimals, onEnter, ways, label, ...rest }: Props) {
  const size = value === null ? null : ways ? Math.abs(value) : value;
  const shown = size === null ? '' : String(Number(size.toFixed(decimals)));

  function read(text: string): Read<number> {
    const bare = text.trim().replace(',', '.').replace(unit, '').replace('°', '').trim();
    const number = Number(bare);
    if (bare === '' || !Number.isFinite(number)) {
      return { ok: false, message: `Type a number, like ${shown || String(least || 1)}.` };
    }
    const signed = ways && value !== null && value < 0 ? -number : number;
    if (signed < least || signed > most) {
      return {
        ok: false,
        message: `Should be between ${least} and ${`${most} ${unit}`.trim()}. Check it and type it again.`,
      };
    }
    return { ok: true, value: signed, text: bare };
  }

  return (
    <Entry
      label={label}
      shown={shown}
      read={read}
      onEnter={onEnter}
      {...rest}
      beside={
        <>
          <span className="unit">{unit}</span>
          {ways && value !== null && (
            <button
              type="button"
              className="way"
              aria-label={`${label}: ${ways[value < 0 ? 1 : 0]}. Change to ${ways[value < 0 ? 0 : 1]}`}
              onClick={() => onEnter(-value)}
            >
              {ways[value < 0 ? 1 : 0]}
            </button>
          )}
        </>
      }
    />
  );
}
