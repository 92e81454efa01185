'use client';
import { withBody } from '@/core/job/edits/bodies';
import { without } from '@/core/job/edits/omit';
import { onGround, toeAngle } from '@/core/ride/onGround';
import { PROPOSED_TOE, wantedToe } from '@/core/ride/targets';
import { TIE_ROD } from '@/core/job/bodies/bodyNames';
import { steeringOf } from '@/core/ride/steering';
import { formatDegrees, sayLength } from '@/core/units/length';
import { edit, enter, useJob } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { LengthField } from '@/ui/fields/LengthField';
import { Within } from '@/ui/figures/Within';
import { Proposal } from '../Proposal';
import { ReadField } from '../ReadField';
import { RodAdjuster } from './RodAdjuster';
import { RodAdvice } from './RodAdvice';

/** Toe from two tape readings, and the turn of the tie rod that sets it. */
export function Toe() {
  const job = useJob();
  const { toe } = onGround(job);
  const setting = steeringOf(job)?.toe ?? null;
  return (
    <section className="section" data-part="toe">
      <h2>Toe</h2>
      <div className="two-up">
        <ReadField name="toe.front" label="Across the treads, in front" least={500} most={3000} />
        <ReadField name="toe.rear" label="Across the treads, behind" least={500} most={3000} />
        <LengthField
          field="ride/toeWanted"
          label="Toe-in wanted"
          showLabel
          mm={wantedToe(job)}
          placeholder="not said"
          least={-25}
          most={25}
          onEnter={(mm, typed) =>
            enter('ride/toeWanted', typed, (j) => ({
              ...j,
              ride: { ...j.ride, wanted: { ...j.ride.wanted, toe: mm } },
            }))
          }
          onClear={() =>
            enter('ride/toeWanted', null, (j) => ({
              ...j,
              ride: { ...j.ride, wanted: without(j.ride.wanted, 'toe') },
            }))
          }
        />
        <Arm />
      </div>
      <p className="hint">
        Scribe a line round each tread, read behind, roll half a turn of the wheel forward, read the same
        marks in front, at hub height both times.
      </p>
      {wantedToe(job) === null && (
        <Proposal
          take={`Ask for ${sayLength(PROPOSED_TOE, job.tape)} toe-in`}
          onTake={() =>
            edit((j) => ({ ...j, ride: { ...j.ride, wanted: { ...j.ride.wanted, toe: PROPOSED_TOE } } }))
          }
        >
          {sayLength(PROPOSED_TOE, job.tape)} of toe-in is common on a live axle: it steadies, and takes up
          what its joints give. The vehicle maker’s value comes first.
        </Proposal>
      )}
      <Readouts>
        {toe && (
          <Readout name="Toe" of="toe">
            <Within {...toe} unit="length" tape={job.tape} ways={['toe-in', 'toe-out']} /> (
            {formatDegrees(Math.abs(toeAngle(toe.value, 2 * job.rig.tireRadius)), 2)})
          </Readout>
        )}
      </Readouts>
      {setting?.rod && (
        <RodAdvice rod={setting.rod}>
          After it: {sayLength(Math.abs(setting.after), job.tape)} toe-{setting.after >= 0 ? 'in' : 'out'}.
        </RodAdvice>
      )}
      {setting && setting.wanted !== null && !setting.holds && !setting.rod && (
        <p className="hint" role="status">
          Measure how far ahead of the kingpins, or behind, the tie rod stands: the turn of it follows.
        </p>
      )}
      {setting && !setting.holds && setting.now < 0 && (
        <p className="field-problem" role="alert">
          Toe-out on a live axle wanders and can start a shake: set it before the car is driven.
        </p>
      )}
      <RodAdjuster id={TIE_ROD} ends={['left', 'right']} />
    </section>
  );
}

/** The length of the steering arms, along the car: it makes toe of a turn of the rod. */
function Arm() {
  const job = useJob();
  const put = (value: number | null, typed: string | null) =>
    enter('bodies/tieRodAhead', typed, (j) => withBody(j, 'tieRodAhead', value));
  return (
    <LengthField
      field="bodies/tieRodAhead"
      label="Tie rod, from the axle’s middle"
      showLabel
      mm={job.bodies.tieRodAhead ?? null}
      least={-400}
      most={400}
      ways={['ahead', 'behind']}
      placeholder="measure"
      onEnter={put}
      onClear={() => put(null, null)}
    />
  );
}
