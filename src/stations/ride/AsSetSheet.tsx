'use client';
import { asSet } from '@/core/ride/asSet';
import { sayValue } from '@/core/units/values';
import { useJob } from '@/store/jobStore';
import { Within } from '@/ui/Within';

/** The car as it was set, beside its design: what the stripe below vouches for, and a later look compares with. */
export function AsSetSheet() {
  const job = useJob();
  const lines = asSet(job);
  if (lines.length === 0) return null;
  return (
    <section className="section">
      <h2>As set</h2>
      <table className="fits as-set">
        <thead>
          <tr>
            <th scope="col" />
            <th scope="col">as read</th>
            <th scope="col">designed</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.id} data-as-set={line.id} data-holds={String(line.holds)}>
              <th scope="row">{line.label}</th>
              <td>
                <Within {...line} tape={job.tape} />
                {line.holds !== null && <span className="hint"> {line.holds ? 'good' : 'not yet'}</span>}
              </td>
              <td>{sayValue(line.designed, line.unit, job.tape)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
