'use client';
import { measured, oddOneOut } from '@/core/survey/readings';
import { isSpread } from '@/core/record/recordChecks';
import type { Spot } from '@/core/survey/quantities/quantities';
import { TOOLS } from '@/core/survey/quantities/tools';
import { sayValue } from '@/core/units/values';
import { edit, useJob } from '@/store/jobStore';
import { Within } from '@/ui/figures/Within';
import { strike } from './readingEdits';

/** The readings so far at one place, each a button that strikes it; their mean, and how far it can be trusted. */
export function ReadingList({ spot }: { spot: Spot }) {
  const { readings, tape } = useJob();
  const list = readings[spot.key] ?? [];
  const { unit, ways, key } = spot.quantity;
  const m = measured(readings, key, spot.side);
  if (list.length === 0) return null;
  const odd = oddOneOut(list);
  return (
    <>
      <div className="reading-list">
        {list.map((r, i) => (
          <button
            key={r.at + i}
            type="button"
            className={r.struck ? 'struck' : ''}
            title={r.struck ? 'Count it again' : 'Strike it: it stays on record but does not count'}
            aria-label={`${r.typed}${r.by ? `, by ${TOOLS[r.by].name}` : ''}${r.struck ? ', struck' : ''}: ${r.struck ? 'count it again' : 'strike it'}`}
            onClick={() => edit(strike(spot, i))}
          >
            {r.typed}
            {r.by && <span className="by">{TOOLS[r.by].name}</span>}
          </button>
        ))}
      </div>
      {m.count > 0 && (
        <p className="reading-mean">
          <Within value={m.value} u={m.u} unit={unit} tape={tape} ways={ways} />
          {m.count > 1 && <span>spread {sayValue(m.spread, unit, tape)}</span>}
        </p>
      )}
      {isSpread(m.spread, unit, tape) && (
        <p className="field-problem">
          {odd
            ? `${odd.typed} is the odd one: read again, or touch it to strike it.`
            : 'Farther apart than one thing read twice: read again.'}
        </p>
      )}
    </>
  );
}
