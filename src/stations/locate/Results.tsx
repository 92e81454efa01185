'use client';
import { isReached } from '@/core/kinematics/pose';
import { formatDegrees } from '@/core/units/format';
import { useJobPart } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/Card';
import { Frac } from '@/ui/Frac';
import { Verdicts } from '@/ui/Verdicts';
import { useAnalysis } from '@/workers/analysis';

/** What the bar does, in numbers, and what is to be said about it. */
export function Results() {
  const tape = useJobPart((j) => j.tape);
  const result = useAnalysis((s) => s.result);
  if (!result) return null;
  const { bar, ride, ghosts, closest, verdicts } = result;
  const shift = (y: number) => (
    <>
      <Frac mm={Math.abs(y)} tape={tape} unit /> {Math.abs(y) < 0.4 ? '' : y > 0 ? 'left' : 'right'}
    </>
  );
  return (
    <>
      <Readouts>
        <Readout name="Eye to eye" id="eyeToEye">
          <Frac mm={bar.eyeToEye} tape={tape} unit />
        </Readout>
        <Readout name="Tilt at ride height" id="tilt">
          {Math.abs(bar.tiltDeg) < 0.05
            ? 'level'
            : `${formatDegrees(Math.abs(bar.tiltDeg))} up to the ${bar.tiltDeg > 0 ? 'frame' : 'axle'}`}
        </Readout>
        <Readout name="Roll centre, at the axle" id="rollCentre">
          {ride.rollCentreHeight === null ? 'none' : <Frac mm={ride.rollCentreHeight} tape={tape} unit />}
        </Readout>
        <Readout name="Roll centre, at the bar" id="rollCentreAtBar">
          {bar.crossesAt === null ? 'bar does not cross' : <Frac mm={bar.crossesAt} tape={tape} unit />}
        </Readout>
        {(['bump', 'droop'] as const).map((end) => {
          const pose = ghosts[end];
          return (
            <Readout key={end} name={`Axle moves at full ${end}`} id={`shift-${end}`}>
              {isReached(pose) ? shift(pose.y) : 'out of reach'}
            </Readout>
          );
        })}
        {closest && (
          <Readout name={`Least gap, to the ${closest.obstacle}`} id="clearance">
            {closest.distance > 0 ? <Frac mm={closest.distance} tape={tape} unit /> : 'hits'}
          </Readout>
        )}
      </Readouts>
      <Verdicts verdicts={verdicts} />
    </>
  );
}
