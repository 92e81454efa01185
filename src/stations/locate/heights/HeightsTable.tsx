import type { HeightValues } from '@/core/locate/heights';
import type { AxleEnd } from '@/core/rig/schema';
import { formatDegrees, sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';

/** A height of the car: what it is called, and what it makes of it; null where the members do not reach. */
export type Column = { name: string; values: HeightValues | null };

type Row = { name: string; say: (v: HeightValues, tape: Tape) => string | null };

const degrees = (deg: number | null, decimals = 1) => (deg === null ? null : formatDegrees(deg, decimals));
const sideways = (mm: number, tape: Tape): string =>
  `${sayLength(Math.abs(mm), tape)}${Math.abs(mm) < 0.5 ? '' : mm > 0 ? ' left' : ' right'}`;

const TURNS: Record<AxleEnd, Row> = {
  rear: { name: 'Pinion turns, nose down', say: (v) => formatDegrees(v.pinion) },
  front: { name: 'Caster grows by', say: (v) => formatDegrees(-v.pinion) },
};
const rowsOf = (end: AxleEnd): Row[] => [
  { name: 'Roll centre', say: (v, tape) => (v.rollCentre === null ? null : sayLength(v.rollCentre, tape)) },
  { name: 'Anti-squat', say: (v) => (v.antiSquat === null ? null : `${Math.round(v.antiSquat)} %`) },
  { name: 'Steers, a degree of roll', say: (v) => degrees(v.rollSteer, 2) },
  { name: 'Bar climbs to the frame', say: (v) => degrees(v.tilt) },
  TURNS[end],
  { name: 'Axle stands aside', say: (v, tape) => sideways(v.aside, tape) },
  { name: 'Joint at the transmission', say: (v) => degrees(v.frontJoint) },
  { name: 'Joint at the pinion', say: (v) => degrees(v.rearJoint) },
];

/** What each height makes of the car, side by side. Rows that say nothing of this car are left out. */
export function HeightsTable({ columns, tape, id }: { columns: Column[]; tape: Tape; id: string }) {
  const end = useJobPart((j) => j.rig.end);
  const rows = rowsOf(end)
    .map(({ name, say }) => ({
      name,
      cells: columns.map(({ values }) => (values ? say(values, tape) : 'out of reach')),
    }))
    .filter(({ cells }) => cells.some((cell) => cell !== null && cell !== 'out of reach'));
  return (
    <table className="school-table" data-readout={id}>
      <thead>
        <tr>
          <th scope="col" aria-label="what" />
          {columns.map(({ name }) => (
            <th key={name} scope="col">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, cells }) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            {cells.map((cell, i) => (
              <td key={i}>{cell ?? '—'}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
