'use client';
import { extent, line, scaleLinear } from 'd3';
import { Segmented } from 'antd';
import { memo, useState } from 'react';
import { isReached, type Pose, type SweptPose } from '@/core/kinematics/pose';
import type { CurvePoint } from '@/core/locate/types';
import { formatLength, sayLength } from '@/core/units/format';
import { division, type Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { useAnalysis } from '@/workers/analysis';

type Values = Pick<Pose, 'y' | 'rollCentreHeight'>;

/** What can be drawn against travel. `to` names what a larger and a smaller value mean. */
const CURVES = {
  shift: { name: 'Axle sideways', of: (p: Values) => p.y, to: ['left', 'right'] },
  roll: { name: 'Roll centre', of: (p: Values) => p.rollCentreHeight, to: ['up', 'down'] },
} as const;
type CurveName = keyof typeof CURVES;

const SIZE = { width: 400, height: 190 };
const EDGE = { left: 56, right: 14, top: 12, bottom: 34 };

/** A quantity over the travel of both wheels, droop to bump; touch it to send the axle there. */
export function TravelCurve() {
  const [which, setWhich] = useState<CurveName>('shift');
  const result = useAnalysis((s) => s.result);
  return (
    <figure className="curve">
      <Which value={which} onChange={setWhich} />
      {result && <Plot which={which} curve={result.curve} current={result.current} />}
    </figure>
  );
}

const CHOICES = Object.entries(CURVES).map(([value, c]) => ({ value: value as CurveName, label: c.name }));

const Which = memo(function Which({
  value,
  onChange,
}: {
  value: CurveName;
  onChange: (v: CurveName) => void;
}) {
  return <Segmented<CurveName> value={value} onChange={onChange} options={CHOICES} />;
});

function Plot({ which, curve, current }: { which: CurveName; curve: CurvePoint[]; current: SweptPose }) {
  const { tape, shiftLimit } = useJobPart((j) => ({ tape: j.tape, shiftLimit: j.locate.shiftLimit }));
  const { of, to, name } = CURVES[which];
  const points = curve.flatMap((p) => {
    const value = p.lost === undefined ? of(p) : null;
    return value === null ? [] : [{ lift: p.lift, value }];
  });
  const limits = which === 'shift' ? [-shiftLimit, shiftLimit] : [];
  const x = scaleLinear([curve[0]!.lift, curve.at(-1)!.lift], [EDGE.left, SIZE.width - EDGE.right]);
  const y = scaleLinear(
    room(
      points.map((p) => p.value),
      limits,
      tape,
    ),
    [SIZE.height - EDGE.bottom, EDGE.top],
  );
  const ticks = tapeTicks(y.domain() as [number, number], tape);
  const now = isReached(current) ? of(current) : null;
  const lift = (current.left + current.right) / 2;
  const draw = line<(typeof points)[number]>(
    (p) => x(p.lift),
    (p) => y(p.value),
  );
  return (
    <>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="img"
        aria-label={`${name} over the travel: from ${describe(points[0]?.value)} at full droop to ${describe(points.at(-1)?.value)} at full bump`}
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          const at = x.invert(((e.clientX - box.left) / box.width) * SIZE.width);
          const [low, high] = x.domain() as [number, number];
          const held = Math.min(high, Math.max(low, at));
          setRocker(held, held);
        }}
      >
        {ticks.map((t) => (
          <g key={t} className="grid">
            <line x1={EDGE.left} x2={SIZE.width - EDGE.right} y1={y(t)} y2={y(t)} />
            <text x={EDGE.left - 6} y={y(t) + 4} textAnchor="end">
              {formatLength(Math.abs(t), tape)}
            </text>
          </g>
        ))}
        {limits.map((t) => (
          <line key={t} className="limit" x1={EDGE.left} x2={SIZE.width - EDGE.right} y1={y(t)} y2={y(t)} />
        ))}
        <line className="ride" x1={x(0)} x2={x(0)} y1={EDGE.top} y2={SIZE.height - EDGE.bottom} />
        <path className="line" d={draw(points) ?? ''} />
        {now !== null && <circle className="now" cx={x(lift)} cy={y(now)} r={5} />}
        <g className="axis">
          {[x.domain()[0]!, 0, x.domain()[1]!].map((t) => (
            <text
              key={t}
              x={x(t)}
              y={SIZE.height - 18}
              textAnchor={t < 0 ? 'start' : t > 0 ? 'end' : 'middle'}
            >
              {t === 0 ? 'ride' : `${formatLength(Math.abs(t), tape)} ${t < 0 ? 'droop' : 'bump'}`}
            </text>
          ))}
          <text x={EDGE.left + 6} y={EDGE.top + 10}>
            {to[0]}
          </text>
          <text x={EDGE.left + 6} y={SIZE.height - EDGE.bottom - 5}>
            {to[1]}
          </text>
        </g>
      </svg>
      <figcaption className="hint">
        {which === 'shift'
          ? `Dashed: the ${sayLength(shiftLimit, tape)} you allow either way. Touch the curve to move the axle there.`
          : 'Height off the floor. Touch the curve to move the axle there.'}
      </figcaption>
    </>
  );

  function describe(v: number | undefined): string {
    return v === undefined
      ? 'out of reach'
      : `${sayLength(Math.abs(v), tape)}${which === 'shift' && v !== 0 ? ` ${v > 0 ? 'left' : 'right'}` : ''}`;
  }
}

/** The curve with a little air above and below, and never less than two lines of the tape. */
function room(values: number[], limits: number[], tape: Tape): [number, number] {
  const [low = 0, high = 0] = extent([...values, ...limits]) as [number | undefined, number | undefined];
  const air = Math.max((high - low) * 0.12, division(tape));
  return [low - air, high + air];
}

/** Gridlines where a tape has its longer lines: the finest step that leaves no more than five. */
function tapeTicks([low, high]: [number, number], tape: Tape): number[] {
  const steps =
    tape === 'mm'
      ? [1, 2, 5, 10, 20, 50, 100]
      : [1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4].map((n) => n * 25.4);
  const step = steps.find((s) => s >= division(tape) - 1e-9 && (high - low) / s <= 5) ?? (high - low) / 4;
  const first = Math.ceil(low / step);
  return Array.from({ length: Math.floor(high / step) - first + 1 }, (_, i) => (first + i) * step);
}
