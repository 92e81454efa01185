'use client';
import dayjs from 'dayjs';
import { memberName } from '@/core/layouts/names';
import { sayTurns } from '@/core/units/turns';
import { useJob } from '@/store/jobStore';
import { Frac } from '@/ui/Frac';

const sayTurned = (turns: number) =>
  turns === 0 ? 'left alone' : `${sayTurns(turns)} ${turns > 0 ? 'longer' : 'shorter'}`;

/** What was read and turned so far. */
export function Rounds() {
  const { ride, tape } = useJob();
  if (ride.rounds.length === 0) return null;
  return (
    <section className="section">
      <h2>Rounds so far</h2>
      <table className="rounds">
        <thead>
          <tr>
            <th>when</th>
            <th>left</th>
            <th>right</th>
            <th>tube</th>
          </tr>
        </thead>
        <tbody>
          {ride.rounds.map((r) => (
            <tr key={r.at}>
              <td>{dayjs(r.at).format('HH:mm')}</td>
              <td>
                <Frac mm={r.left} tape={tape} />
              </td>
              <td>
                <Frac mm={r.right} tape={tape} />
              </td>
              <td>
                {sayTurned(r.turned)}
                {Object.entries(r.others ?? {}).map(([id, turns]) => (
                  <span key={id} className="hint">
                    {' '}
                    {memberName(id)} {sayTurned(turns)};
                  </span>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
