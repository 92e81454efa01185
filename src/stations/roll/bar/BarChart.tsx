'use client';
import { Segmented } from 'antd';
import { memo, useState } from 'react';
import type { BarResult, RollRow } from '@/core/swaybar/swayBarOverTravel';
import { STEELS } from '@/core/materials/steels';
import { formatDegrees } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { setRocker, useRocker } from '@/store/rocker';
import { Keep } from '@/ui/charts/Keep';
import { SweepChart } from '@/ui/charts/SweepChart';
import { toDegrees, toRadians } from '@/core/geometry/angle';
import { LINK_JOINTS } from '@/core/materials/joints';
import { FORCE, STRESS } from '@/core/units/unit';

type Key = 'force' | 'stress' | 'bar' | 'foot' | 'square';
const NAMES: Record<Key, [name: string, note: string]> = {
  force: ['Pull', 'What each end link carries.'],
  stress: ['Stress', 'Where the bar is worked hardest; dashed: what its steel lasts.'],
  bar: ['Joint, bar', 'How far the joint at the bar is cocked; dashed: what it takes.'],
  foot: ['Joint, foot', 'How far the joint at the foot is cocked; dashed: what it takes.'],
  square: ['Arm to link', 'Square is 90°; at nothing the arm goes over centre.'],
};

/** Kept as it is while the curve under it follows a drag. */
const Which = memo(function Which({ value, onChange }: { value: Key; onChange: (key: Key) => void }) {
  return (
    <Segmented<Key>
      aria-label="What to draw over roll"
      value={value}
      onChange={onChange}
      options={(Object.keys(NAMES) as Key[]).map((key) => ({ value: key, label: NAMES[key][0] }))}
    />
  );
});

function shown(row: RollRow, which: Key, tape: Tape): number | null {
  if (which === 'force') return FORCE.shown(row.force, tape);
  return which === 'stress' ? STRESS.shown(row.stress, tape) : row[which];
}

/** Bar and links over the roll of the axle. */
export function BarChart({ made }: { made: BarResult }) {
  const { tape, roll, rig } = useJob();
  const { left, right } = useRocker();
  const [which, setWhich] = useState<Key>('force');
  const bar = roll.bar!;
  if (made.rows.length < 2) return null;
  const limits: Partial<Record<Key, number>> = {
    stress: STRESS.shown(STEELS[bar.steel].tires, tape),
    bar: LINK_JOINTS[bar.ends.bar.joint].swing,
    foot: LINK_JOINTS[bar.ends.foot.joint].swing,
  };
  const [name, note] = NAMES[which];
  const unit = { force: FORCE.sign(tape), stress: STRESS.sign(tape), bar: '°', foot: '°', square: '°' }[
    which
  ];
  const rollNow = toDegrees(Math.atan((left - right) / rig.track));
  return (
    <figure className="curve">
      <Which value={which} onChange={setWhich} />
      <SweepChart
        name={name}
        xs={made.rows.map((row) => row.rollDeg)}
        now={rollNow}
        ys={made.rows.map((row) => shown(row, which, tape))}
        sayX={(x) =>
          Math.abs(x) < 1e-6 ? 'level' : `${x > 0 ? 'left' : 'right'} up ${formatDegrees(Math.abs(x))}`
        }
        unit={unit}
        limit={limits[which] ?? null}
        onPick={(x) => {
          const half = (Math.tan(toRadians(x)) * rig.track) / 2;
          setRocker(half, -half);
        }}
      >
        {note} Touch it to send the axle there.
      </SweepChart>
      <Keep
        name="sway-bar"
        title={`Sway bar over roll: ${name.toLowerCase()}`}
        csv={async () => (await import('@/core/bench/sweepCsv')).rollToCsv(made.rows)}
      />
    </figure>
  );
}
