'use client';
import type { ReactNode } from 'react';
import type { ReadingUnit } from '@/core/units/values';
import type { Tape } from '@/core/units/tape';
import { setPreferences, usePreferences } from '@/store/preferences';
import { sayStep, withDecimals, withDigit, withFraction, withoutLast, withSign, withStep } from './padKeys';
import './pad.css';

export type PadProps = {
  unit: ReadingUnit;
  tape: Tape;
  text: string;
  onText: (text: string) => void;
  onEnter: () => void;
  /** what a minus says, where there is one */
  minus?: string;
  /** what stands there has not been touched: a digit begins anew, a fraction takes the place of the one there */
  untouched?: boolean;
};

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'];
const EIGHTHS = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'];
const PARTS_OF_ONE = ['.25', '.5', '.75'];

/**
 * A large pad for one finger: whole inches as digits, the fraction with one touch, a line of the tape more or less with one more.
 * Its keys never take the focus.
 */
export function Pad({ unit, tape, text, onText, onEnter, minus, untouched = false }: PadProps) {
  const hand = usePreferences((s) => s.hand);
  const inches = unit === 'length' && tape !== 'mm';
  const key = (label: ReactNode, name: string, does: () => void, className = '') => (
    <button
      key={name}
      type="button"
      tabIndex={-1}
      className={className}
      aria-label={name}
      onPointerDown={(e) => e.preventDefault()}
      onClick={does}
    >
      {label}
    </button>
  );
  const step = sayStep(unit, tape);
  const before = untouched ? '' : text;
  const signed = minus !== undefined;
  const types = (next: string) => () => onText(next);
  return (
    <div className={`pad ${hand}`} role="group" aria-label="Number pad">
      <div className="pad-digits">
        {DIGITS.map((d) => key(d, d, types(withDigit(before, d))))}
        {signed ? key('±', `Other way: ${minus}`, types(withSign(text)), 'soft') : <span />}
        {key('0', '0', types(withDigit(before, '0')))}
        {key('.', 'Point', types(withDigit(before, '.')), 'soft')}
      </div>
      <div className={`pad-fractions${inches ? '' : ' few'}`}>
        {inches && EIGHTHS.map((f) => key(<Stacked fraction={f} />, f, types(withFraction(text, f))))}
        {!inches && PARTS_OF_ONE.map((p) => key(p, p, types(withDecimals(text, p))))}
        {key(`−${step}`, `${step} less`, types(withStep(text, -1, unit, tape, signed)), 'soft')}
        {key(`+${step}`, `${step} more`, types(withStep(text, 1, unit, tape, signed)), 'soft')}
      </div>
      <div className="pad-side">
        {key('⌫', 'Take off the last', types(withoutLast(text)), 'soft')}
        {key('Keep', 'Keep this reading', onEnter, 'keep')}
        {key(
          'other hand',
          'other hand',
          () => setPreferences({ hand: hand === 'right' ? 'left' : 'right' }),
          'soft hand',
        )}
      </div>
    </div>
  );
}

function Stacked({ fraction }: { fraction: string }) {
  const [top, bottom] = fraction.split('/');
  return (
    <span className="frac">
      <span className="stack">
        <span>{top}</span>
        <span>{bottom}</span>
      </span>
    </span>
  );
}
