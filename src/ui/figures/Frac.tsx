import { readTape } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import './frac.css';

type Props = { mm: number; tape: Tape; unit?: boolean };

/** A length set as a proper fraction. Read aloud as plain text. */
export function Frac({ mm, tape, unit = false }: Props) {
  const r = readTape(mm, tape);
  const spoken = `${r.negative ? '-' : ''}${[r.whole, r.top && `${r.top}/${r.bottom}`].filter(Boolean).join(' ')}`;
  return (
    <span className="frac">
      <span aria-hidden>
        {r.negative && '−'}
        {r.whole}
        {r.top && (
          <span className="stack">
            <span>{r.top}</span>
            <span>{r.bottom}</span>
          </span>
        )}
        {unit && <span className="unit"> {r.unit}</span>}
      </span>
      <span className="unseen">
        {spoken}
        {unit && ` ${r.unit}`}
      </span>
    </span>
  );
}
