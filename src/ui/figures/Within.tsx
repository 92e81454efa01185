import { finer, type Tape } from '@/core/units/tape';
import { roundUp, sayValue, type ReadingUnit } from '@/core/units/values';
import { COVERAGE } from '@/core/survey/uncertainty';
import { Frac } from './Frac';

type Props = { value: number; u: number; unit: ReadingUnit; tape: Tape; ways?: readonly [string, string] };

/** A number with how far it can be trusted: `12 3/8 ± 3/16 in`, at about 95 %. */
export function Within({ value, u, unit, tape, ways }: Props) {
  const shown = ways ? Math.abs(value) : value;
  const way = ways && Math.abs(value) > u ? ` ${ways[value > 0 ? 0 : 1]}` : '';
  const within = roundUp(COVERAGE * u, unit, tape);
  return (
    <span className="within">
      {unit === 'length' ? <Frac mm={shown} tape={finer(tape)} /> : sayValue(shown, unit, tape)}
      {u > 0 && (
        <span className="plus-minus">
          {' '}
          ± {unit === 'length' ? <Frac mm={within} tape={finer(tape)} /> : sayValue(within, unit, tape)}
        </span>
      )}
      {unit === 'length' && (tape === 'mm' ? ' mm' : ' in')}
      {way}
    </span>
  );
}
