import type { BendSheet } from '@/core/geometry/bends';
import { formatDegrees, sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';

/** Bend by bend, on screen and on paper. @param last what the end is called that the last leg goes to */
export function BendRows({
  sheet: { bends, last },
  tape,
  to = 'right eye',
}: {
  sheet: BendSheet;
  tape: Tape;
  to?: string;
}) {
  return (
    <table className="school-table">
      <thead>
        <tr>
          <th scope="col">bend</th>
          <th scope="col">from the one before</th>
          <th scope="col">angle</th>
          <th scope="col">turned by</th>
        </tr>
      </thead>
      <tbody>
        {bends.map(({ leg, angle, turn }, i) => (
          <tr key={i}>
            <th scope="row">{i + 1}</th>
            <td>{sayLength(leg, tape)}</td>
            <td>{formatDegrees(angle)}</td>
            <td>{i === 0 ? 'start' : formatDegrees(turn, 0)}</td>
          </tr>
        ))}
        <tr>
          <th scope="row">{to}</th>
          <td>{sayLength(last, tape)}</td>
          <td />
          <td />
        </tr>
      </tbody>
    </table>
  );
}
