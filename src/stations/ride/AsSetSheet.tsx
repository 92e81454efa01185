'use client';
import { asSet, type AsSet } from '@/core/ride/asSet';
import { sayValue } from '@/core/units/values';
import { useJob } from '@/store/jobStore';
import { Within } from '@/ui/figures/Within';

/** The car as it was set, beside its design: what the stripe below vouches for, and a later look compares with. */
export function AsSetSheet() {
  const job = useJob();
  const lines = asSet(job);
  if (lines.length === 0) return null;
  const say = (value: number, { unit, ways }: AsSet) =>
    `${sayValue(ways ? Math.abs(value) : value, unit, job.tape)}${ways && Math.abs(value) > 0.05 ? ` ${ways[value > 0 ? 0 : 1]}` : ''}`;
  return (
    <section className="section">
      <h2>As set</h2>
      <table className="fits as-set">
        <thead>
          <tr>
            <td />
            <th scope="col">as read</th>
            <th scope="col">designed</th>
            <th scope="col">as found</th>
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
              <td>{line.designed === null ? '–' : say(line.designed, line)}</td>
              <td>{line.found === null ? '–' : say(line.found, line)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
