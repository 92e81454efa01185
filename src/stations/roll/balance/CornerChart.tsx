'use client';
import { Segmented } from 'antd';
import { useState } from 'react';
import type { Corner } from '@/core/balance/steadyCorner';
import { LIMITS } from '@/core/materials/limits';
import type { Tape } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { Keep } from '@/ui/charts/Keep';
import { SweepChart } from '@/ui/charts/SweepChart';
import { toRadians } from '@/core/geometry/angle';
import { FORCE } from '@/core/units/unit';

type Drawn = {
  name: string;
  of: (corner: Corner, tape: Tape) => number | null;
  unit: (tape: Tape) => string;
  note: string;
};

const DRAWN = {
  lean: { name: 'Lean', of: (c) => c.rollDeg, unit: () => '°', note: 'How far the body leans.' },
  share: {
    name: 'Front’s share',
    // At no corner at all nothing goes over, and nobody has a share of it.
    of: (c) => (c.g > 0 ? 100 * c.frontShare : null),
    unit: () => '%',
    note: 'Of what goes over; above the dashed line it pushes, below it is loose.',
  },
  front: {
    name: 'Inside front',
    of: (c, tape) => FORCE.shown(c.wheels.front.inside, tape),
    unit: FORCE.sign,
    note: 'What is left on the inside front tyre.',
  },
  rear: {
    name: 'Inside rear',
    of: (c, tape) => FORCE.shown(c.wheels.rear.inside, tape),
    unit: FORCE.sign,
    note: 'What is left on the inside rear tyre.',
  },
} as const satisfies Record<string, Drawn>;
type DrawnName = keyof typeof DRAWN;

/** The car as the corner is taken harder: where it leans onto its stops, and where a wheel lifts, the line breaks. */
export function CornerChart({ corners }: { corners: Corner[] }) {
  const { tape, cornerG, rig } = useJob();
  const [which, setWhich] = useState<DrawnName>('lean');
  const { name, of, unit, note }: Drawn = DRAWN[which];
  return (
    <figure className="curve">
      <h3>As the corner is taken harder</h3>
      <Segmented<DrawnName>
        aria-label="What to draw over the corner"
        value={which}
        onChange={setWhich}
        options={(Object.keys(DRAWN) as DrawnName[]).map((value) => ({ value, label: DRAWN[value].name }))}
      />
      <SweepChart
        name={name}
        xs={corners.map(({ g }) => g)}
        now={cornerG}
        ys={corners.map((corner) => of(corner, tape))}
        sayX={(g) => `${g.toFixed(2)} g`}
        unit={unit(tape)}
        limit={
          which === 'share' && rig.masses ? 100 * (rig.masses.frontFraction + LIMITS.balance.neutral) : null
        }
        onPick={(g) => lean(corners, g, rig.track)}
      >
        {note} Touch it to lean the axle as far in the bay.
      </SweepChart>
      <Keep
        name="corner"
        title={`As the corner is taken harder: ${name.toLowerCase()}`}
        csv={async () => (await import('@/core/bench/sweepCsv')).cornersToCsv(corners)}
      />
    </figure>
  );
}

/** In a right turn: the car leans to the left, whose wheel comes up. */
function lean(corners: Corner[], g: number, track: number): void {
  const nearest = corners.reduce((a, b) => (Math.abs(b.g - g) < Math.abs(a.g - g) ? b : a));
  const half = (Math.tan(toRadians(nearest.rollDeg)) * track) / 2;
  setRocker(half, -half);
}
