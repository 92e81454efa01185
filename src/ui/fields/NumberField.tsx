'use client';
import { parseNumber } from '@/core/units/number';
import { counted, splitWay, type Ways } from '@/core/units/ways';
import { useJobPart } from '@/store/jobStore';
import { Entry, type Read } from './Entry';
import { WayButton } from './WayButton';

type Props = {
  field: string;
  label: string;
  value: number | null;
  least: number;
  most: number;
  unit: string;
  decimals: number;
  onEnter: (value: number, typed: string) => void;
  /** what an emptied field does, where there need be no value */
  onClear?: () => void;
  /** a count: no fractions of one */
  whole?: boolean;
  /** with these, a button says which way it counts; the first is positive */
  ways?: Ways;
  showLabel?: boolean;
  placeholder?: string;
};

/** A plain number with its unit: an angle, a weight, a ratio. It reads as it was typed for as long as it is that number. */
export function NumberField({
  value,
  least,
  most,
  unit,
  decimals,
  onEnter,
  ways,
  label,
  whole = false,
  ...rest
}: Props) {
  const typed = useJobPart((j) => j.typed[rest.field]);
  const bareOf = (text: string) => text.replace(unit, '').replace('°', '');
  const numberIn = (text: string) => parseNumber(bareOf(text));
  const size = value === null ? null : ways ? Math.abs(value) : value;
  const shown = size === null ? '' : isStill(typed, numberIn, size) ? typed : rounded(size, decimals);

  function read(text: string): Read<number> {
    const { bare, sign } = ways
      ? splitWay(text, ways, (t) => numberIn(t) !== null)
      : { bare: text, sign: null };
    const number = numberIn(bare);
    if (number === null)
      return {
        ok: false,
        message: `Type a number, like ${shown || String(Math.min(Math.max(least, 1), most))}.`,
      };
    if (whole && !Number.isInteger(number))
      return { ok: false, message: `Type a whole number: ${Math.round(number)} or so.` };
    const signed = ways ? counted(sign ?? (value !== null && value < 0 ? -1 : 1), number) : number;
    if (signed < least || signed > most) {
      return {
        ok: false,
        message: `Should be between ${least} and ${`${most} ${unit}`.trim()}. Check it and type it again.`,
      };
    }
    return { ok: true, value: signed, text: bareOf(bare).trim() };
  }

  return (
    <Entry
      label={label}
      shown={shown}
      read={read}
      onEnter={onEnter}
      unit={unit === '°' ? 'angle' : 'weight'}
      minus={!ways && least < 0 ? 'less than nothing' : undefined}
      {...rest}
      beside={
        <>
          <span className="unit">{unit}</span>
          {ways && value !== null && (
            <WayButton
              label={label}
              ways={ways}
              value={value}
              onTurn={() => onEnter(counted(-1, value), shown)}
            />
          )}
        </>
      }
    />
  );
}

const rounded = (size: number, decimals: number): string => String(Number(size.toFixed(decimals)));

/** Whether a text that was typed still says a number: units turn it about, so that its last digits may differ. */
const isStill = (
  typed: string | undefined,
  numberIn: (text: string) => number | null,
  size: number,
): typed is string => {
  const number = typed === undefined ? null : numberIn(typed);
  // With a way beside it, a sign in the text would be read twice.
  return number !== null && Math.abs(number - size) <= 1e-9 * Math.max(1, Math.abs(size));
};
