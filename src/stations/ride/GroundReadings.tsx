'use client';
import { Button, Segmented } from 'antd';
import { CASTER, PINION } from '@/core/ride/asSet';
import { onGround } from '@/core/ride/onGround';
import { slopeAlong } from '@/core/survey/floor';
import { formatDegrees } from '@/core/units/length';
import { Proposal } from './Proposal';
import { proposedPinion, wantedPinion } from '@/core/ride/targets';
import { without } from '@/core/job/edits/omit';
import { inputOf } from '@/core/provenance/inputs';
import { edit, enter, useJob } from '@/store/jobStore';
import { settleAt } from '@/ui/shell/settleAt';
import { LengthField } from '@/ui/fields/LengthField';
import { ReadField } from './ReadField';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Within } from '@/ui/figures/Within';
import { SIDES } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { BELIEFS, type Belief } from '@/core/job/slices/work/ride';

type Ride = Job['ride'];
const put = (field: string, typed: string | null, change: (ride: Ride) => Partial<Ride>) =>
  enter(field, typed, (j) => ({ ...j, ride: { ...j.ride, ...change(j.ride) } }));

const BELIEF_WORDS: Record<Belief, string> = { frame: 'the frame', fender: 'the fenders' };

/** What is read on the ground: the gaps, and if wanted squareness and pinion. */
export function GroundReadings() {
  const job = useJob();
  const { gaps, fender, tolerance, believe, read } = job.ride;
  const { offset, ahead, byFrame, byFender } = onGround(job);
  const more = Object.keys(read).length > 0 || fender.left !== undefined || fender.right !== undefined;
  return (
    <>
      <div className="gaps">
        {SIDES.map((side) => (
          <LengthField
            key={side}
            field={`ride/${side}`}
            label={`Tyre to frame, ${side}`}
            showLabel
            mm={gaps[side] ?? null}
            least={0}
            most={700}
            placeholder="measure"
            onEnter={(mm, typed) => put(`ride/${side}`, typed, (r) => ({ gaps: { ...r.gaps, [side]: mm } }))}
            onClear={() => put(`ride/${side}`, null, (r) => ({ gaps: without(r.gaps, side) }))}
          />
        ))}
        <LengthField
          field="ride/tolerance"
          label="Good enough within"
          showLabel
          mm={tolerance}
          least={0.2}
          most={25}
          onEnter={(mm, typed) => put('ride/tolerance', typed, () => ({ tolerance: mm }))}
        />
      </div>
      <details className="approach" open={more || undefined}>
        <summary>
          More to read: fenders, squareness, height, {job.rig.end === 'front' ? 'caster' : 'pinion'}
        </summary>
        <div className="approach-body">
          <div className="two-up">
            {SIDES.map((side) => (
              <LengthField
                key={side}
                field={`ride/fender.${side}`}
                label={`Tyre to fender, ${side}`}
                showLabel
                mm={fender[side] ?? null}
                least={0}
                most={500}
                placeholder="measure"
                onEnter={(mm, typed) =>
                  put(`ride/fender.${side}`, typed, (r) => ({ fender: { ...r.fender, [side]: mm } }))
                }
                onClear={() => put(`ride/fender.${side}`, null, (r) => ({ fender: without(r.fender, side) }))}
              />
            ))}
          </div>
          {byFrame && byFender && (
            <Segmented<Belief | null>
              block
              className="finding-choice"
              aria-label="Which gap is believed"
              options={BELIEFS.map((value) => ({ value, label: `believe ${BELIEF_WORDS[value]}` }))}
              value={believe ?? null}
              onChange={(next) => next && edit((j) => ({ ...j, ride: { ...j.ride, believe: next } }))}
            />
          )}
          <div className="two-up">
            {SIDES.map((side) => (
              <ReadField
                key={side}
                name={`ahead.${side}`}
                label={`Front hub to rear hub, ${side}`}
                least={1000}
                most={7000}
              />
            ))}
          </div>
          <div className="two-up">
            {SIDES.map((side) => (
              <ReadField
                key={side}
                name={`height.${side}`}
                label={`Floor to frame, ${side}`}
                least={50}
                most={1500}
              />
            ))}
          </div>
          <Pitch />
        </div>
      </details>
      {(offset || ahead) && (
        <p className="ground-found" data-readout="ground">
          {offset && (
            <span>
              Off the middle:{' '}
              <Within {...offset} unit="length" tape={job.tape} ways={['to the left', 'to the right']} />
            </span>
          )}
          {ahead && (
            <span>
              Out of square, at the tyre:{' '}
              <Within {...ahead} unit="length" tape={job.tape} ways={['left ahead', 'right ahead']} />
            </span>
          )}
        </p>
      )}
    </>
  );
}

const HINTS = {
  front:
    'Both tops alike. More caster steers straighter and heavier; set it with the car at its ride height.',
  rear: 'With two joints, 2 to 3 degrees nose down at rest is common, so that it comes level under power; it depends on joints, wind-up and use.',
};

const WIND_UP = {
  hard: 'on joints as hard as these',
  soft: 'where some of the joints are soft',
  leaves: 'on leaf springs',
};

/** The pinion's angle as Pellik would ask for it, beside the transmission's; nothing while that was not read. */
function ProposedPinion() {
  const job = useJob();
  const proposed = proposedPinion(job);
  if (!proposed)
    return job.rig.end === 'rear' && job.rig.driveshaft ? (
      <p className="proposal">
        <span>
          Nothing is asked for yet. Once the transmission’s angle is read, an angle is proposed here.
        </span>
        <Button onClick={() => settleAt(job.id, inputOf(job, 'angle.transmission').settle)}>Read it</Button>
      </p>
    ) : null;
  const { value, transmission, windUp, by } = proposed;
  const ways = ([down, up]: readonly [string, string], deg: number) =>
    `${formatDegrees(Math.abs(deg))} ${deg >= 0 ? down : up}`;
  return (
    <Proposal
      take={`Ask for ${ways(['nose down', 'nose up'], value)}`}
      onTake={() => put('ride/pinionWanted', null, (r) => ({ wanted: { ...r.wanted, pinion: value } }))}
    >
      Proposed: parallel to the transmission, {ways(['tail up', 'tail down'], transmission)}, less about{' '}
      {formatDegrees(windUp)} that power winds it up {WIND_UP[by]}. Measured against the transmission that is{' '}
      {formatDegrees(windUp)} nose down; against the floor, {ways(['nose down', 'nose up'], value)}. A double
      joint at the transmission wants the pinion looking at it instead.
    </Proposal>
  );
}

/** The axle turned about its own tube: the pinion's angle at the rear, caster at the front. */
function Pitch() {
  const job = useJob();
  const { read } = job.ride;
  const { end } = job.rig;
  const slope = slopeAlong(job.readings);
  const { label, sign, ways } = end === 'front' ? CASTER : PINION;
  const shown = (pitch: number | null | undefined) => (pitch == null ? null : sign * pitch);
  const shared = { unit: 'angle', least: -30, most: 30, ways, showLabel: true } as const;
  return (
    <>
      <div className="two-up">
        <QuantityField
          {...shared}
          field="ride/pinion"
          label={`${label} reads, ${ways[0]}`}
          value={shown(read.pinion)}
          about={shown(wantedPinion(job)) ?? 0}
          placeholder="gauge"
          onEnter={(deg, typed) =>
            put('ride/pinion', typed, (r) => ({ read: { ...r.read, pinion: sign * deg } }))
          }
          onClear={() => put('ride/pinion', null, (r) => ({ read: without(r.read, 'pinion') }))}
        />
        <QuantityField
          {...shared}
          field="ride/pinionWanted"
          label={`${label} wanted, ${ways[0]}`}
          value={shown(wantedPinion(job))}
          placeholder="degrees"
          onEnter={(deg, typed) =>
            put('ride/pinionWanted', typed, (r) => ({ wanted: { ...r.wanted, pinion: sign * deg } }))
          }
          onClear={() => put('ride/pinionWanted', null, (r) => ({ wanted: without(r.wanted, 'pinion') }))}
        />
      </div>
      <p className="hint" data-part="pitch">
        {HINTS[end]}
        {slope !== 0 &&
          ` Type what the gauge reads: the floor’s slope of ${formatDegrees(Math.abs(slope))} is taken off.`}
      </p>
      {wantedPinion(job) === null && <ProposedPinion />}
    </>
  );
}
