'use client';
import { Segmented } from 'antd';
import { useState } from 'react';
import type { RideAnswer, RideRow } from '@/core/springs/springTravel';
import { formatLength } from '@/core/units/length';
import { MM_PER_INCH, type Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { setRocker, useRocker } from '@/store/rocker';
import { Keep } from '@/ui/charts/Keep';
import { SweepChart } from '@/ui/charts/SweepChart';
import { FORCE, PRESSURE, SPRING_RATE } from '@/core/units/unit';

type Drawn = {
  name: string;
  of: (row: RideRow) => number | null;
  show: (v: number, tape: Tape) => number;
  unit: (tape: Tape) => string;
  note: string;
};

const DRAWN = {
  load: {
    name: 'Load',
    of: (row) => row.load,
    show: FORCE.shown,
    unit: FORCE.sign,
    note: 'What the springs and stop press a tyre down with.',
  },
  rate: {
    name: 'Rate',
    of: (row) => row.rate,
    show: SPRING_RATE.shown,
    unit: SPRING_RATE.sign,
    note: 'At the tyre, spring and stop together.',
  },
  shock: {
    name: 'Shock',
    of: (row) => row.shock,
    show: (mm, tape) => (tape === 'mm' ? mm : mm / MM_PER_INCH),
    unit: (tape) => (tape === 'mm' ? 'mm' : 'in'),
    note: 'Its length, eye to eye.',
  },
  pressure: {
    name: 'Pressure',
    of: (row) => row.pressure,
    show: PRESSURE.shown,
    unit: PRESSURE.sign,
    note: 'With the valve shut.',
  },
} as const satisfies Record<string, Drawn>;
type DrawnName = keyof typeof DRAWN;

/** Spring, shock and stop over the travel of both wheels. */
export function RideChart({ ride }: { ride: RideAnswer }) {
  const tape = useJobPart((j) => j.tape);
  const { left, right } = useRocker();
  const [wanted, setWanted] = useState<DrawnName>('load');
  const offered = (Object.keys(DRAWN) as DrawnName[]).filter((key) =>
    ride.rows.some((row) => DRAWN[key].of(row) !== null),
  );
  const which = offered.includes(wanted) ? wanted : 'load';
  const { name, of, show, unit, note }: Drawn = DRAWN[which];
  return (
    <figure className="curve">
      <Segmented<DrawnName>
        aria-label="What to draw over the travel"
        value={which}
        onChange={setWanted}
        options={offered.map((value) => ({ value, label: DRAWN[value].name }))}
      />
      <SweepChart
        name={name}
        xs={ride.rows.map((row) => row.lift)}
        now={(left + right) / 2}
        ys={ride.rows.map((row) => {
          const value = of(row);
          return value === null ? null : show(value, tape);
        })}
        sayX={(x) => (x === 0 ? 'ride' : `${formatLength(Math.abs(x), tape)} ${x < 0 ? 'droop' : 'bump'}`)}
        unit={unit(tape)}
        onPick={(x) => setRocker(x, x)}
      >
        {note} Touch it to send the axle there.
      </SweepChart>
      <Keep
        name="springs"
        title={`Springs over the travel: ${name.toLowerCase()}`}
        csv={async () => (await import('@/core/bench/sweepCsv')).rideToCsv(ride.rows)}
      />
    </figure>
  );
}
