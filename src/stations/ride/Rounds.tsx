'use client';
import { sayTime } from '@/ui/paper/dates';
import { memberName } from '@/core/rig/names';
import { sayTurns } from '@/core/units/turns';
import { SIDES } from '@/core/geometry/side';
import { useJob } from '@/store/jobStore';
import { Frac } from '@/ui/figures/Frac';

const sayTurned = (turns: number) =>
  turns === 0 ? 'left alone' : `${sayTurns(turns)} ${turns > 0 ? 'longer' : 'shorter'}`;

/** What was read and turned so far. */
export function Rounds() {
  const { ride, tape, rig } = useJob();
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
              <td>
                {sayTime(r.at)}
                {r.by === 'fender' && <span className="hint"> by the fenders</span>}
              </td>
              {SIDES.map((side) => (
                <td key={side}>{r[side] === undefined ? '–' : <Frac mm={r[side]} tape={tape} />}</td>
              ))}
              <td>
                {sayTurned(r.turned)}
                {Object.entries(r.others ?? {}).map(([id, turns]) => (
                  <span key={id} className="hint">
                    {' '}
                    {memberName(id, rig.end)} {sayTurned(turns)};
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
