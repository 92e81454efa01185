'use client';
import type { ReadingUnit } from '@/core/units/values';
import type { Tape } from '@/core/units/tape';
import { setPreferences, usePreferences } from '@/store/preferences';
import { withDigit, withFraction, withLine, withoutLast, withSign } from './padKeys';
import './pad.css';

type Props = {
  unit: ReadingUnit;
  tape: Tape;
  text: string;
  onText: (text: string) => void;
  onEnter: () => void;
  ways?: readonly [string, string];
};

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'];
const EIGHTHS = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'];

/** A large pad for one finger: whole inches as digits, the fraction with one touch. Its keys never take the focus. */
export function Pad({ unit, tape, text, onText, onEnter, ways }: Props) {
  const hand = usePreferences((s) => s.hand);
  const fractions = unit === 'length' && tape !== 'mm';
  const key = (label: string, does: () => void, className = '', name?: string) => (
    <button
      key={label}
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
  return (
    <div className={`pad ${hand}`} role="group" aria-label="Number pad">
      <div className="pad-digits">
        {DIGITS.map((d) => key(d, () => onText(withDigit(text, d))))}
        {fractions ? (
          <span />
        ) : ways ? (
          key('±', () => onText(withSign(text)), 'soft', `Other way: ${ways[1]}`)
        ) : (
          <span />
        )}
        {key('0', () => onText(withDigit(text, '0')))}
        {key('.', () => onText(withDigit(text, '.')), 'soft', 'Point')}
      </div>
      {fractions && (
        <div className="pad-fractions">
          {EIGHTHS.map((f) => (
            <button
              key={f}
              type="button"
              tabIndex={-1}
              aria-label={f}
              onPointerDown={(e) => e.preventDefault()}
              onClick={() => onText(withFraction(text, f))}
            >
              <span className="frac">
                <span className="stack">
                  <span>{f.split('/')[0]}</span>
                  <span>{f.split('/')[1]}</span>
                </span>
              </span>
            </button>
          ))}
          {key('+ line', () => onText(withLine(text, 1, tape)), 'soft', 'One line more')}
          {key('− line', () => onText(withLine(text, -1, tape)), 'soft', 'One line less')}
        </div>
      )}
      <div className="pad-side">
        {key('⌫', () => onText(withoutLast(text)), 'soft', 'Take off the last')}
        {key('Keep', onEnter, 'keep', 'Keep this reading')}
        {key('other hand', () => setPreferences({ hand: hand === 'right' ? 'left' : 'right' }), 'soft hand')}
      </div>
    </div>
  );
}
