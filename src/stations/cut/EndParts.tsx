'use client';
import { Button } from 'antd';
import type { BarEnd } from '@/core/fabricate/adjustableBar';
import { edit, useJob } from '@/store/jobStore';
import { CutLength } from './CutLength';
import type { Bracket } from '@/core/job/slices/fields';
import type { Job } from '@/core/job/jobSchema';

const PARTS: { key: keyof BarEnd; name: string; how: string; least: number; most: number }[] = [
  {
    key: 'toShoulder',
    name: 'Centre to shoulder',
    how: 'Ball centre to the far face of the jam nut, run up tight.',
    least: 5,
    most: 250,
  },
  {
    key: 'showing',
    name: 'Thread left showing',
    how: 'Between that face and the tube. It is what the bar can be shortened by.',
    least: 0,
    most: 150,
  },
  {
    key: 'shank',
    name: 'Thread on the shank',
    how: 'All of it, from that face to the end.',
    least: 5,
    most: 300,
  },
  { key: 'bung', name: 'Thread in the tube', how: 'Threaded length of the bung.', least: 5, most: 300 },
];
const ENDS: Record<Bracket, string> = { frame: 'Frame end', axle: 'Axle end' };
const ENDS_IN_ORDER = Object.keys(ENDS) as Bracket[];

/** What each end of the bar is made of: the figures that come off the rod ends and bungs in hand. */
export function EndParts() {
  const { ends } = useJob().cut;
  const alike = PARTS.every(({ key }) => Math.abs(ends.frame[key] - ends.axle[key]) < 1e-6);
  return (
    <section className="section">
      <h2>The two ends</h2>
      <table className="cut-ends">
        <thead>
          <tr>
            <td />
            {ENDS_IN_ORDER.map((end) => (
              <th key={end} scope="col">
                {ENDS[end]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {PARTS.map(({ key, name, how, least, most }) => (
            <tr key={key}>
              <th scope="row">
                {name}
                <span className="hint">{how}</span>
              </th>
              {ENDS_IN_ORDER.map((end) => (
                <td key={end}>
                  <CutLength
                    field={`cut/${end}/${key}`}
                    label={`${name}, ${ENDS[end].toLowerCase()}`}
                    mm={ends[end][key]}
                    least={least}
                    most={most}
                    put={(cut, mm) => ({
                      ...cut,
                      ends: { ...cut.ends, [end]: { ...cut.ends[end], [key]: mm } },
                    })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {!alike && <Button onClick={() => edit(withEqualEnds)}>Make the axle end like the frame end</Button>}
    </section>
  );
}

function withEqualEnds(job: Job): Job {
  const { frame } = job.cut.ends;
  const typed = { ...job.typed };
  for (const { key } of PARTS) {
    const text = typed[`cut/frame/${key}`];
    if (text !== undefined) typed[`cut/axle/${key}`] = text;
  }
  return { ...job, typed, cut: { ...job.cut, ends: { frame, axle: { ...frame } } } };
}
