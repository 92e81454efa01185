'use client';
import type { RideAnswer } from '@/core/roll/ride';
import { sayPressure } from '@/core/units/air';
import { sayLength } from '@/core/units/format';
import { sayRate } from '@/core/units/rates';
import { useJobPart } from '@/store/jobStore';

/** An air spring let up and down by its valve: the same load at other heights. */
export function AirHeights({ ride }: { ride: RideAnswer }) {
  const tape = useJobPart((j) => j.tape);
  if (!ride.heights.length) return null;
  return (
    <section className="section">
      <h2>Let up and down by the valve</h2>
      <table className="school-table" data-readout="airHeights">
        <thead>
          <tr>
            <th scope="col">car</th>
            <th scope="col">pressure</th>
            <th scope="col">bag</th>
            <th scope="col">bounces</th>
          </tr>
        </thead>
        <tbody>
          {ride.heights.map(({ lift, pressure, rate, frequency }) => (
            <tr key={lift}>
              <th scope="row">
                {lift === 0
                  ? 'at ride height'
                  : `${sayLength(Math.abs(lift), tape)} ${lift > 0 ? 'lower' : 'higher'}`}
              </th>
              <td>{sayPressure(pressure, tape)}</td>
              <td>{sayRate(rate, tape)}</td>
              <td>{frequency.toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
