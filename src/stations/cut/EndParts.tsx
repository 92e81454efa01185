'use client';
import { Button, Checkbox } from 'antd';
import type { BarEnd } from '@/core/fabricate/adjustableBar';
import { applyReadings } from '@/core/job/applyReadings';
import { withParts } from '@/core/job/edits/parts/parts';
import { saidOfBar } from '@/core/job/made/parts';
import { edit, enter, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
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

/**
 * What each end of a bar is made of: the figures that come off the rod ends and bungs in hand; of the whole set, or of this bar alone.
 *
 * @param part the bar, or both of a pair that is alike
 */
export function EndParts({ part }: { part: string }) {
  const job = useJob();
  const own = saidOfBar(job, part).ends;
  const ends = own ?? job.cut.ends;
  const stem = own ? `parts/${part}/ends` : 'cut';
  const alike = PARTS.every(({ key }) => Math.abs(ends.frame[key] - ends.axle[key]) < 1e-6);
  const put = (end: Bracket, change: Partial<BarEnd>) => (j: Job) => withEnds(j, part, end, change);
  return (
    <section className="section">
      <h2>The two ends</h2>
      <Checkbox
        checked={own !== undefined}
        onChange={(e) =>
          edit((j) => withParts(j, { bars: { [part]: { ends: e.target.checked ? j.cut.ends : undefined } } }))
        }
      >
        ends of its own, unlike the set’s
      </Checkbox>
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
          {ROWS.map(({ key, name, how, least, most, of, to }) => (
            <tr key={key}>
              <th scope="row">
                {name}
                <span className="hint">{how}</span>
              </th>
              {ENDS_IN_ORDER.map((end) => (
                <td key={end}>
                  <LengthField
                    field={`${stem}/${end}/${key}`}
                    label={`${name}, ${ENDS[end].toLowerCase()}`}
                    mm={of(ends[end])}
                    least={least(ends[end])}
                    most={most(ends[end])}
                    onEnter={(mm, typed) =>
                      enter(`${stem}/${end}/${key}`, typed, put(end, to(mm, ends[end])))
                    }
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {!alike && (
        <Button onClick={() => edit((j) => withEqualEnds(j, part, stem))}>
          Make the axle end like the frame end
        </Button>
      )}
    </section>
  );
}

/** What a builder measures at an end: a size of it, or two in one. */
type Row = {
  key: string;
  name: string;
  how: string;
  of: (end: BarEnd) => number;
  to: (mm: number, end: BarEnd) => Partial<BarEnd>;
  least: (end: BarEnd) => number;
  most: (end: BarEnd) => number;
};

const ROWS: Row[] = [
  ...PARTS.map(({ key, least, most, ...words }): Row => ({
    key,
    ...words,
    of: (end) => end[key],
    to: (mm) => ({ [key]: mm }),
    least: () => least,
    most: () => most,
  })),
  {
    key: 'toTube',
    name: 'Centre to tube face',
    how: 'The first two in one, as it is made up: type it instead, and the thread showing follows.',
    of: ({ toShoulder, showing }) => toShoulder + showing,
    to: (mm, { toShoulder }) => ({ showing: mm - toShoulder }),
    least: ({ toShoulder }) => toShoulder,
    most: ({ toShoulder }) => toShoulder + 150,
  },
];

/** The job with something of an end changed: of the bar's own, where it has them, else of the set's. */
function withEnds(job: Job, part: string, end: Bracket, change: Partial<BarEnd>): Job {
  const own = saidOfBar(job, part).ends;
  const ends = own ?? job.cut.ends;
  const next = { ...ends, [end]: { ...ends[end], ...change } };
  return own
    ? withParts(job, { bars: { [part]: { ends: next } } })
    : applyReadings({ ...job, cut: { ...job.cut, ends: next } });
}

function withEqualEnds(job: Job, part: string, stem: string): Job {
  const { frame } = saidOfBar(job, part).ends ?? job.cut.ends;
  const typed = { ...job.typed };
  for (const { key } of ROWS) {
    const text = typed[`${stem}/frame/${key}`];
    if (text !== undefined) typed[`${stem}/axle/${key}`] = text;
  }
  return withEnds({ ...job, typed }, part, 'axle', frame);
}
