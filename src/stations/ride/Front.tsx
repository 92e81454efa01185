'use client';
import { wantedToe } from '@/core/ride/asSet';
import { dragLinkMatch } from '@/core/locate/steering/dragLinkMatch';
import { onGround, toeAngle } from '@/core/ride/onGround';
import { formatDegrees } from '@/core/units/length';
import { without } from '@/core/job/edits/omit';
import { enter, useJob } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Frac } from '@/ui/figures/Frac';
import { LengthField } from '@/ui/fields/LengthField';
import { Within } from '@/ui/figures/Within';

const READ = [
  ['toe.front', 'Across the treads, in front'],
  ['toe.rear', 'Across the treads, behind'],
] as const;

/** A front axle’s own: toe from two tape readings, and the drag link beside the track bar. */
export function Front() {
  const job = useJob();
  const alike = dragLinkMatch(job.rig);
  if (job.rig.end !== 'front') return null;
  const { toe } = onGround(job);
  return (
    <section className="section">
      <h2>Toe, and drag link against track bar</h2>
      <div className="gaps">
        {READ.map(([key, label]) => (
          <LengthField
            key={key}
            field={`ride/${key}`}
            label={label}
            showLabel
            mm={job.ride.read[key] ?? null}
            least={500}
            most={3000}
            placeholder="measure"
            onEnter={(mm, typed) =>
              enter(`ride/${key}`, typed, (j) => ({
                ...j,
                ride: { ...j.ride, read: { ...j.ride.read, [key]: mm } },
              }))
            }
            onClear={() =>
              enter(`ride/${key}`, null, (j) => ({
                ...j,
                ride: { ...j.ride, read: without(j.ride.read, key) },
              }))
            }
          />
        ))}
        <LengthField
          field="ride/toeWanted"
          label="Toe-in wanted"
          showLabel
          mm={wantedToe(job)}
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
      </div>
      <p className="hint">
        Scribe a line round each tread, read behind, roll half a turn of the wheel forward, read the same
        marks in front, at hub height both times.
      </p>
      <Readouts>
        {toe && (
          <Readout name="Toe" id="toe">
            <Within {...toe} unit="length" tape={job.tape} ways={['toe-in', 'toe-out']} /> (
            {formatDegrees(toeAngle(toe.value, 2 * job.rig.tireRadius), 2)})
          </Readout>
        )}
        {alike && (
          <>
            <Readout name="Drag link · track bar, eye to eye" id="alikeLength">
              <Frac mm={alike.dragLink.length} tape={job.tape} /> ·{' '}
              <Frac mm={alike.bar.length} tape={job.tape} unit />
            </Readout>
            <Readout name="Drag link · track bar, left end up" id="alikeTilt">
              {formatDegrees(alike.dragLink.leftUpDeg)} · {formatDegrees(alike.bar.leftUpDeg)}
            </Readout>
            {!alike.sameSide && (
              <Readout name="Drag link · track bar, frame end" id="alikeSide">
                {alike.dragLink.frameSide} · {alike.bar.frameSide}: they swing against each other
              </Readout>
            )}
          </>
        )}
      </Readouts>
      <p className="hint">
        A longer or shorter track bar moves the axle under a steering box that stays: set toe and
        straight-ahead again after it. The nearer the two are in length and angle, the less a bump steers.
      </p>
    </section>
  );
}
