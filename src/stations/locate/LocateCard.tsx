'use client';
import { panhard } from '@/core/job/job';
import { isReached } from '@/core/kinematics/pose';
import { formatDegrees } from '@/core/units/format';
import { edit, useJob } from '@/store/jobStore';
import { CardHead, Caution, Readout, Readouts } from '@/ui/Card';
import { Frac } from '@/ui/Frac';
import { LengthField } from '@/ui/LengthField';
import { StationStripe } from '@/ui/StationStripe';
import { Verdicts } from '@/ui/Verdicts';
import { useAnalysis } from '@/workers/analysis';
import { EndsTable } from './EndsTable';
import { Schools } from './Schools';
import { TravelCurve } from './TravelCurve';
import './locate.css';

const LINK_NAMES: Record<string, string> = {
  'lower-left': 'Lower link, left',
  'lower-right': 'Lower link, right',
  upper: 'Upper link',
};

/** Lays out the bar that holds the axle sideways: level, long, parallel, clear through the travel. */
export function LocateCard() {
  const job = useJob();
  const { result, problem } = useAnalysis();
  const others = job.rig.members.filter((m) => m.id !== panhard(job).id);
  return (
    <>
      <CardHead title="Panhard bar">
        Level at ride height, as long as will fit, parallel to the axle, clear through the travel.
      </CardHead>
      <EndsTable member={panhard(job)} />
      {problem && (
        <p className="field-problem" role="alert">
          This cannot be drawn in motion: {problem}.
        </p>
      )}
      {result && <Results />}
      <section className="section">
        <h2>Sideways movement you allow</h2>
        <LengthField
          field="shiftLimit"
          label="Sideways movement allowed over the travel"
          mm={job.locate.shiftLimit}
          least={0.5}
          most={100}
          onEnter={(mm, typed) =>
            edit((j) => ({
              ...j,
              locate: { ...j.locate, shiftLimit: mm },
              typed: { ...j.typed, shiftLimit: typed },
            }))
          }
        />
      </section>
      {result && <Schools comparison={result.schools} />}
      <details className="section">
        <summary>The three links</summary>
        <p className="hint">
          They stand in the usual pattern until you type where yours are. The bar’s own figures hardly change
          with them; roll steer does.
        </p>
        {others.map((m) => (
          <div key={m.id} className="link-block">
            <h3>{LINK_NAMES[m.id] ?? m.id}</h3>
            <EndsTable member={m} />
          </div>
        ))}
      </details>
      <Caution>
        The bar and its brackets hold the axle under the car: their design and welds are life-critical. What
        Pellik works out is an aid to judgement, not an approval.
      </Caution>
      <StationStripe
        station="locate"
        title="Bar laid out"
        note="Draw it when you mean to build it like this."
      />
    </>
  );
}

function Results() {
  const { tape } = useJob();
  const result = useAnalysis((s) => s.result)!;
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
      <TravelCurve curve={result.curve} current={result.current} />
    </>
  );
}
