'use client';
import { curveValues, reachedPoints } from '@/core/locate/travel/travelCurve';
import { isReached, type SweptPose } from '@/core/kinematics/pose';
import type { CurvePoint } from '@/core/locate/types';
import { formatLength, sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { Plot } from '@/ui/charts/Plot';
import {
  CURVES,
  gridlines,
  lineLabel,
  room,
  sayCurveValue,
  valueOf,
  type Curve,
  type CurveName,
} from './curves';

type Props = { which: CurveName; curve: CurvePoint[]; current: SweptPose };

/** A quantity over the travel of both wheels, droop to bump; touch it to send the axle there. */
export function TravelCurve({ which, curve, current }: Props) {
  const { tape, shiftLimit } = useJobPart((j) => ({ tape: j.tape, shiftLimit: j.locate.shiftLimit }));
  const shape: Curve = CURVES[which];
  const { to, name, unit, note } = shape;
  const points = reachedPoints(curve).flatMap((p): [number, number][] => {
    const value = valueOf(shape, p);
    return value === null ? [] : [[p.lift, value]];
  });
  const limits = which === 'shift' ? [-shiftLimit, shiftLimit] : [];
  const across: [number, number] = [curve[0]!.lift, curve.at(-1)!.lift];
  const up = room([...points.map(([, value]) => value), ...limits], unit, tape);
  const now = isReached(current) ? valueOf(shape, curveValues(current)) : null;
  return (
    <>
      <Plot
        label={`${name} over the travel: from ${sayCurveValue(points[0]?.[1], shape, tape)} at full droop to ${sayCurveValue(points.at(-1)?.[1], shape, tape)} at full bump`}
        points={points}
        across={across}
        up={up}
        lines={gridlines(up, unit, tape).map((y) => ({ y, text: lineLabel(y, unit, tape) }))}
        foot={[across[0], 0, across[1]].map((x) => ({
          x,
          text: x === 0 ? 'ride' : `${formatLength(Math.abs(x), tape)} ${x < 0 ? 'droop' : 'bump'}`,
        }))}
        limits={limits}
        now={now === null ? null : { x: (current.left + current.right) / 2, y: now }}
        ways={to}
        onPick={(lift) => setRocker(lift, lift)}
      />
      <figcaption className="hint">
        {which === 'shift'
          ? `Dashed: the ${sayLength(shiftLimit, tape)} you allow either way. Touch the curve to move the axle there.`
          : `${note} Touch the curve to move the axle there.`}
      </figcaption>
    </>
  );
}
