'use client';
import { Select } from 'antd';
import { useState } from 'react';
import { sayEffects } from '@/core/advice/words';
import { changesBetween, expectedBetween } from '@/core/drive/setUps';
import type { Outing } from '@/core/job/slices/work/drive';
import { useJob } from '@/store/jobStore';
import { sayDay } from '@/ui/paper/dates';
import { Against } from './Against';
import { feltAs, sayFeel } from './words';

/** Any two outings side by side: what differs of the set-up, what the model makes of it, what was felt and timed. */
export function Compare() {
  const { drive, tape } = useJob();
  const { outings } = drive;
  const [pair, setPair] = useState<[string?, string?]>([]);
  if (outings.length < 2) return null;
  const [a, b] = [0, 1].map(
    (i) => outings.find(({ id }) => id === pair[i]) ?? outings.at(i === 0 ? -2 : -1)!,
  ) as [Outing, Outing];
  const [was, is] = [drive.setUps[a.setUp], drive.setUps[b.setUp]];
  // A file from elsewhere may name a set-up that it does not have.
  const changes = was && is ? changesBetween(was, is, tape) : ['not known'];
  const expected = (was && is && expectedBetween(was, is)) ?? [];
  const options = outings.map((o) => ({ value: o.id, label: `${sayDay(o.at)} ${o.place}` }));
  return (
    <section className="section" data-part="compare">
      <h2>Two outings side by side</h2>
      <div className="two-up">
        {[a, b].map((one, i) => (
          <label key={i}>
            {i === 0 ? 'From' : 'To'}
            <Select
              aria-label={i === 0 ? 'From outing' : 'To outing'}
              value={one.id}
              options={options}
              onChange={(id) => setPair(i === 0 ? [id, b.id] : [a.id, id])}
            />
          </label>
        ))}
      </div>
      <table className="side-by-side">
        <tbody>
          <tr>
            <th>Set-up</th>
            <td>{changes.join('; ') || 'the same'}</td>
          </tr>
          <tr>
            <th>By the model</th>
            <td>
              {[feltAs(expected), sayEffects(expected, tape)].filter(Boolean).join(': ') ||
                'nothing that counts'}
            </td>
          </tr>
          <tr>
            <th>Felt</th>
            <td>
              {sayFeel(a) || 'not written'} <b>→</b> {sayFeel(b) || 'not written'}
            </td>
          </tr>
          {commonTimes(a, b).map(([what, from, to]) => (
            <tr key={what}>
              <th>{what}</th>
              <td>
                {from} <b>→</b> {to}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Against />
    </section>
  );
}

const commonTimes = (a: Outing, b: Outing): [string, number, number][] =>
  a.times.flatMap(({ what, value }) => {
    const other = b.times.find((time) => time.what === what);
    return other ? [[what, value, other.value] as [string, number, number]] : [];
  });
