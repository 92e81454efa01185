'use client';
import { changedSince } from '@/core/drive/setUps';
import { useJob } from '@/store/jobStore';
import { sayMoment } from '@/ui/paper/dates';
import { PaperSheet } from '@/ui/paper/PaperSheet';
import { sayFeel } from '../words';

/** The log on paper: a line an outing. */
export function OutingSheet() {
  const { drive, tape } = useJob();
  return (
    <PaperSheet
      label="Outings"
      title="What it did on the road"
      caution="One thing changed at a time. What was felt is one driver’s word on one day."
    >
      <table>
        <thead>
          <tr>
            <th>When and where</th>
            <th>Changed since before</th>
            <th>Felt</th>
            <th>Numbers</th>
          </tr>
        </thead>
        <tbody>
          {drive.outings.map((outing, i) => {
            const changed = changedSince(drive, i, tape);
            return (
              <tr key={outing.id}>
                <td>
                  {sayMoment(outing.at)}
                  <br />
                  {outing.place}
                </td>
                <td>{changed ? changed.join('; ') || 'nothing' : '–'}</td>
                <td>{[sayFeel(outing), outing.note].filter(Boolean).join('. ')}</td>
                <td>{outing.times.map(({ what, value }) => `${what} ${value}`).join('; ')}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </PaperSheet>
  );
}
