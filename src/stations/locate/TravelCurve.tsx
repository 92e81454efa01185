'use client';
import { line, scaleLinear } from 'd3';
import { curveValues } from '@/core/locate/curve';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { CurvePoint } from '@/core/locate/types';
import { formatLength, sayLength } from '@/core/units/format';
import { useJobPart } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { CURVES, gridlines, lineLabel, room, sayValue, valueOf, type Curve, type CurveName } from './curves';

const SIZE = { width: 400, height: 190 };
const EDGE = { left: 56, right: 14, top: 12, bottom: 34 };

type Props = { which: CurveName; curve: CurvePoint[]; current: SweptPose };

/** A quantity over the travel of both wheels, droop to bump; touch it to send the axle there. */
export function TravelCurve({ which, curve, current }: Props) {
  const { tape, shiftLimit } = useJobPart((j) => ({ tape: j.tape, shiftLimit: j.locate.shiftLimit }));
  const shape: Curve = CURVES[which];
  const { to, name, unit, note } = shape;
  const points = curve.flatMap((p) => {
    const value = p.lost === undefined ? valueOf(shape, p) : null;
    return value === null ? [] : [{ lift: p.lift, value }];
  });
  const limits = which === 'shift' ? [-shiftLimit, shiftLimit] : [];
  const x = scaleLinear([curve[0]!.lift, curve.at(-1)!.lift], [EDGE.left, SIZE.width - EDGE.right]);
  const y = scaleLinear(room([...points.map((p) => p.value), ...limits], unit, tape), [
    SIZE.height - EDGE.bottom,
    EDGE.top,
  ]);
  const ticks = gridlines(y.domain() as [number, number], unit, tape);
  const now = isReached(current) ? valueOf(shape, curveValues(current)) : null;
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
        aria-label={`${name} over the travel: from ${sayValue(points[0]?.value, shape, tape)} at full droop to ${sayValue(points.at(-1)?.value, shape, tape)} at full bump`}
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
              {lineLabel(t, unit, tape)}
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
          : `${note} Touch the curve to move the axle there.`}
      </figcaption>
    </>
  );
}
