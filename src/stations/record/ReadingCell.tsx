'use client';
import { withReadings } from '@/core/job/job';
import { measured, type Reading } from '@/core/measure/readings';
import { readingKey, type Quantity, type QuantityKey, type Side } from '@/core/measure/quantities';
import { finer } from '@/core/units/tape';
import { edit, useJob } from '@/store/jobStore';
import { Frac } from '@/ui/Frac';
import { LengthField } from '@/ui/LengthField';

const MOST_READINGS = 50;

/** One place to type readings of one thing: the entry, the readings so far, their mean and spread. */
export function ReadingCell({
  quantity,
  quantityKey,
  side,
}: {
  quantity: Quantity;
  quantityKey: QuantityKey;
  side?: Side;
}) {
  const { readings, tape } = useJob();
  const key = readingKey(quantityKey, side);
  const list = readings[key] ?? [];
  const m = measured(readings, quantityKey, side);
  const setList = (change: (list: Reading[]) => Reading[]) =>
    edit((job) =>
      withReadings({ ...job, readings: { ...job.readings, [key]: change(job.readings[key] ?? []) } }),
    );
  return (
    <div className="reading-cell" data-reading={key}>
      <LengthField
        field={`reading/${key}`}
        label={side ? `${quantity.label}, ${side}` : quantity.label}
        mm={null}
        least={quantity.least}
        most={quantity.most}
        placeholder={list.length ? 'again' : 'reading'}
        onEnter={(mm, typed) =>
          setList((l) => [...l.slice(-MOST_READINGS + 1), { mm, typed, at: new Date().toISOString() }])
        }
      />
      {list.length > 0 && (
        <div className="reading-list">
          {list.map((r, i) => (
            <button
              key={r.at + i}
              type="button"
              className={r.struck ? 'struck' : ''}
              title={r.struck ? 'Count it again' : 'Strike it: it stays on record but does not count'}
              aria-label={`${r.typed}${r.struck ? ', struck' : ''}: ${r.struck ? 'count it again' : 'strike it'}`}
              onClick={() => setList((l) => l.map((x, k) => (k === i ? { ...x, struck: !x.struck } : x)))}
            >
              {r.typed}
            </button>
          ))}
        </div>
      )}
      {m.count > 1 && (
        <p className="reading-mean">
          <span>
            mean <Frac mm={m.mm} tape={finer(tape)} />
          </span>
          <span>
            spread <Frac mm={m.spread} tape={tape} />
          </span>
        </p>
      )}
    </div>
  );
}
