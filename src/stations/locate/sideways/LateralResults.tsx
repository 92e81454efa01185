'use client';
import { isReached } from '@/core/kinematics/pose';
import { memberName } from '@/core/rig/names';
import type { LateralBar } from '@/core/rig/lateralBar';
import { formatDegrees } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Frac } from '@/ui/figures/Frac';
import { Verdicts } from '@/ui/cards/Verdicts';
import { useLocateResult } from '@/workers/locate';
import { useVerdicts } from '@/stations/locate/useVerdicts';
import { PlusMinus } from '@/stations/locate/PlusMinus';

/** What holding the axle sideways comes to, in numbers, and what is to be said about it. */
export function LateralResults() {
  const { tape, end } = useJobPart((j) => ({ tape: j.tape, end: j.rig.end }));
  const result = useLocateResult();
  const verdicts = useVerdicts();
  if (!result) return null;
  const { bar, ride, ghosts, gaps } = result;
  const closest = bar && gaps.find((g) => g.a === bar.id || g.b === bar.id);
  const shift = (y: number) => (
    <>
      <Frac mm={Math.abs(y)} tape={tape} unit /> {Math.abs(y) < 0.4 ? '' : y > 0 ? 'left' : 'right'}
    </>
  );
  return (
    <>
      <Readouts>
        {bar && <BarShape bar={bar} tape={tape} />}
        <Readout name="Roll centre, at the axle" of="rollCentre" term="rollCentre">
          {ride.rollCentreHeight === null ? (
            'none'
          ) : (
            <>
              <Frac mm={ride.rollCentreHeight} tape={tape} unit />
              <PlusMinus of="rollCentre" />
            </>
          )}
        </Readout>
        {bar && (
          <Readout name="Roll centre, at the bar" of="rollCentreAtBar" term="rollCentreAtBar">
            {bar.crossesAt === null ? (
              'bar does not cross'
            ) : (
              <>
                <Frac mm={bar.crossesAt} tape={tape} unit />
                <PlusMinus of="crossesAt" />
              </>
            )}
          </Readout>
        )}
        {(['bump', 'droop'] as const).map((end) => {
          const pose = ghosts[end];
          return (
            <Readout key={end} name={`Axle moves at full ${end}`} of={`shift-${end}`}>
              {isReached(pose) ? (
                <>
                  {shift(pose.y)}
                  <PlusMinus of={`shift-${end}`} />
                </>
              ) : (
                'out of reach'
              )}
            </Readout>
          );
        })}
        {closest && (
          <Readout
            name={`Least gap, to the ${memberName(closest.a === bar.id ? closest.b : closest.a, end)}`}
            of={closest}
          >
            {closest.distance > 0 ? <Frac mm={closest.distance} tape={tape} unit /> : 'hits'}
          </Readout>
        )}
      </Readouts>
      <Verdicts tried="locate" verdicts={verdicts.sideways} />
    </>
  );
}

function BarShape({ bar, tape }: { bar: LateralBar; tape: Tape }) {
  return (
    <>
      <Readout name="Eye to eye" of="eyeToEye" term="eyeToEye">
        <Frac mm={bar.eyeToEye} tape={tape} unit />
        <PlusMinus of="eyeToEye" />
      </Readout>
      <Readout name="Tilt at ride height" of="tilt" term="tilt">
        {Math.abs(bar.tiltDeg) < 0.05
          ? 'level'
          : `${formatDegrees(Math.abs(bar.tiltDeg))} up to the ${bar.tiltDeg > 0 ? 'frame' : 'axle'}`}
        <PlusMinus of="tilt" unit="°" />
      </Readout>
    </>
  );
}
