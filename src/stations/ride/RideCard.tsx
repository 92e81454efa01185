'use client';
import { Button } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import type { Job } from '@/core/job/schema';
import { InputError } from '@/core/rig/read';
import { centre, type Centring } from '@/core/ride/centring';
import { formatLength, sayLength } from '@/core/units/format';
import { sayTurns } from '@/core/units/turns';
import { edit, enter, useJob } from '@/store/jobStore';
import { CardHead, Caution, Readout, Readouts } from '@/ui/Card';
import { Frac } from '@/ui/Frac';
import { LengthField } from '@/ui/LengthField';
import { StationStripe } from '@/ui/StationStripe';
import './ride.css';

const SIDES = ['left', 'right'] as const;

/** On the ground: two gaps, how far the axle must move, and the turns of the tube that move it; again until it is centred. */
export function RideCard() {
  const job = useJob();
  const { gaps, rounds, tolerance } = job.ride;
  const { tape } = job;
  const found = work(job);
  const put = (side: 'left' | 'right', mm: number, typed: string) =>
    enter(`ride/${side}`, typed, (j) => ({
      ...j,
      ride: { ...j.ride, gaps: { ...j.ride.gaps, [side]: mm } },
    }));
  return (
    <>
      <CardHead title="Centre the axle on the ground">
        Weight on the tyres, bounced at both ends, rolled forward and back to settle.
      </CardHead>
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
            onEnter={(mm, typed) => put(side, mm, typed)}
          />
        ))}
        <LengthField
          field="ride/tolerance"
          label="Good enough within"
          showLabel
          mm={tolerance}
          least={0.2}
          most={25}
          onEnter={(mm, typed) =>
            enter('ride/tolerance', typed, (j) => ({ ...j, ride: { ...j.ride, tolerance: mm } }))
          }
        />
      </div>
      {found === null && (
        <p className="ride-wait">
          Measure both gaps from sidewall to frame rail, square across, level with the hub.
        </p>
      )}
      {typeof found === 'string' && (
        <p className="field-problem" role="alert">
          {found}
        </p>
      )}
      {found && typeof found !== 'string' && <Advice found={found} job={job} />}
      {rounds.length > 0 && (
        <section className="section">
          <h2>Rounds so far</h2>
          <table className="rounds">
            <thead>
              <tr>
                <th>when</th>
                <th>left</th>
                <th>right</th>
                <th>tube</th>
              </tr>
            </thead>
            <tbody>
              {rounds.map((r) => (
                <tr key={r.at}>
                  <td>{dayjs(r.at).format('HH:mm')}</td>
                  <td>
                    <Frac mm={r.left} tape={tape} />
                  </td>
                  <td>
                    <Frac mm={r.right} tape={tape} />
                  </td>
                  <td>
                    {r.turned === 0
                      ? 'left alone'
                      : `${sayTurns(r.turned)} ${r.turned > 0 ? 'longer' : 'shorter'}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <Caution>
        Nobody under a car that is being bounced. After any change here: jam nuts with two wrenches, thread
        locker only when it is final, a paint line across nut and tube. Alignment on a rack before driving at
        speed; first drive slow, in a closed place.
      </Caution>
      <StationStripe
        station="ride"
        title="Axle centred, jam nuts tight"
        note="Draw it when both gaps agree and the nuts are locked and painted."
        disabled={!found || typeof found === 'string' || !found.centred}
      />
    </>
  );
}

/** The advice for the gaps as read; null while one is missing; a sentence where the geometry gives no answer. */
function work(job: Job): Centring | string | null {
  const { left, right } = job.ride.gaps;
  if (left === undefined || right === undefined) return null;
  const offset = (left - right) / 2;
  try {
    const found = centre(job, { left, right });
    return (
      found ??
      `The axle sits ${sayLength(Math.abs(offset), job.tape)} too far ${offset > 0 ? 'left' : 'right'}. No bar of this layout moves it sideways: shift a bracket, or the seats of the springs.`
    );
  } catch (error) {
    if (error instanceof InputError)
      return `No length of this bar does it: ${error.expected}. Look at its ends on Locate.`;
    throw error;
  }
}

function Advice({ found, job }: { found: Centring; job: Job }) {
  const { tape, cut } = job;
  const { bars, thread, centred } = found;
  const first = bars[0]!;
  const longer = first.turns > 0;
  const eighths = Math.round(first.turns * 8) / 8;
  const rightHandEnd = cut.leftHandEnd === 'frame' ? 'axle' : 'frame';
  const way = found.offset > 0 ? 'right' : 'left';
  return (
    <div className={`advice-box ${centred ? 'centred' : ''}`} data-centred={centred} aria-live="polite">
      {centred ? (
        <>
          <h2>Centred.</h2>
          <p>
            The axle is within <Frac mm={Math.abs(found.offset)} tape={tape} unit /> of the middle; you allow{' '}
            {sayLength(job.ride.tolerance, tape)}. Lock the jam nuts and stripe it.
          </p>
        </>
      ) : (
        <>
          <h2 data-readout="turns">
            {bars.map((bar) => (
              <span key={bar.id} className="turn-line">
                {bars.length > 1 && `${bar.name}: `}
                {bars.length > 1 ? (bar.turns > 0 ? 'lengthen' : 'shorten') : longer ? 'Lengthen' : 'Shorten'}
                : {sayTurns(bar.turns)}
              </span>
            ))}
          </h2>
          <p>
            The axle sits <b>{sayLength(Math.abs(found.offset), tape)}</b> too far{' '}
            {way === 'right' ? 'left' : 'right'}; it must move to the {way}. Loosen both jam nuts. Stand at
            the {rightHandEnd} end, which has the right-hand thread, look along the bar, and turn the tube{' '}
            {bars.length > 1 ? 'clockwise to lengthen' : longer ? 'clockwise' : 'anticlockwise'}.
          </p>
        </>
      )}
      <Readouts>
        {bars.map((bar) => (
          <Readout
            key={bar.id}
            name={`${bars.length > 1 ? bar.name : 'Bar'} now, eye to eye`}
            id={bar === first ? 'lengthNow' : undefined}
          >
            <Frac mm={bar.lengthNow} tape={tape} unit />
          </Readout>
        ))}
        {!centred &&
          bars.map((bar) => (
            <Readout
              key={bar.id}
              name={`${bars.length > 1 ? bar.name : 'Bar'} should be`}
              id={bar === first ? 'lengthWanted' : undefined}
            >
              <Frac mm={bar.lengthWanted} tape={tape} unit />
            </Readout>
          ))}
        {thread && (
          <Readout name="Thread in the tube then, frame · axle">
            <Frac mm={thread.engagement.frame} tape={tape} /> ·{' '}
            <Frac mm={thread.engagement.axle} tape={tape} unit />
          </Readout>
        )}
      </Readouts>
      {thread && !thread.holds && (
        <p className="field-problem" role="alert">
          {longer
            ? `Do not: that leaves less than ${formatLength(thread.limit, tape)} of thread in the tube. Make a longer tube, or move a bracket.`
            : 'The ends are wound home before that. Make a shorter tube, or move a bracket.'}
        </p>
      )}
      {!centred && <TurnedForm key={`${job.ride.rounds.length}:${eighths}`} advised={eighths} />}
    </div>
  );
}

/** Closes the round with what was really turned, which need not be what was advised. */
function TurnedForm({ advised }: { advised: number }) {
  const [turned, setTurned] = useState(advised);
  const shown = turnsLabel(turned);
  function close() {
    edit((j) => {
      const { left, right } = j.ride.gaps;
      if (left === undefined || right === undefined) return j;
      const round = { at: new Date().toISOString(), left, right, turned };
      return { ...j, ride: { ...j.ride, gaps: {}, rounds: [...j.ride.rounds, round] } };
    });
  }
  return (
    <div className="turned">
      <span>I turned it</span>
      <Button aria-label="An eighth of a turn less" onClick={() => setTurned(turned - 0.125)}>
        −
      </Button>
      <b aria-live="polite">{shown}</b>
      <Button aria-label="An eighth of a turn more" onClick={() => setTurned(turned + 0.125)}>
        +
      </Button>
      <Button type="primary" onClick={close}>
        Done: roll it, measure again
      </Button>
    </div>
  );
}

function turnsLabel(turns: number): string {
  if (turns === 0) return 'not at all';
  return `${sayTurns(turns)} ${turns > 0 ? 'longer' : 'shorter'}`;
}
