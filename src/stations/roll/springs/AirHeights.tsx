'use client';
import type { RideAnswer } from '@/core/springs/springTravel';
import { sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { PRESSURE, SPRING_RATE } from '@/core/units/unit';

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
              <td>{PRESSURE.say(pressure, tape)}</td>
              <td>{SPRING_RATE.say(rate, tape)}</td>
              <td>{frequency.toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
