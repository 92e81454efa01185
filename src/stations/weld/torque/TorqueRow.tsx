'use client';
import { Button } from 'antd';
import { stationStripe } from '@/core/bench/stripes';
import {
  withApplied,
  withMakersTorque,
  withSecured,
  type Secured,
  type TorqueLine,
  type TorqueState,
} from '@/core/weld/torqueSheet';
import { FORCE, TORQUE } from '@/core/units/unit';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { QuantityField } from '@/ui/fields/QuantityField';
import { sayMoment } from '@/ui/paper/dates';

const TORQUE_WORDS: Record<TorqueState, string> = {
  open: 'not tightened yet',
  unknown: 'tightened; no value to hold it against',
  within: 'as wanted',
  short: 'short',
  over: 'over',
};

const SECURED: { how: Secured; label: string; undo: string }[] = [
  { how: 'locked', label: 'Its locker is on', undo: 'Locked' },
  { how: 'striped', label: 'Its paint line is drawn', undo: 'Lined' },
];

/** The most that a field of a torque takes, N·mm. */
const MOST = 2_000_000;

/** A fastener: what it should come to, and what it came to; the wrench can send that. */
export function TorqueRow({ line }: { line: TorqueLine }) {
  const tape = useJobPart((j) => j.tape);
  const isSet = useJobPart((j) => stationStripe(j, 'ride').kind === 'whole');
  const { id, what, size, grade, pull, usual, maker, wanted, applied, state, how } = line;
  const field = (key: string) => `torque/${id}/${key}`;
  return (
    <li className="torque-line" data-fastener={id} data-state={state}>
      <h2>{what}</h2>
      <p className="hint">
        {[size, grade].filter(Boolean).join(', ')}
        {usual !== null && `: by its grade ${TORQUE.say(usual, tape)}, ${FORCE.say(pull!, tape)} of pull`}
        {usual === null && ': its grade is not told, so only the maker’s value is one'}
        {how && `. ${how}`}
      </p>
      <div className="two-up">
        <QuantityField
          field={field('maker')}
          label="The maker’s value"
          showLabel
          unit="torque"
          least={0}
          most={MOST}
          value={maker}
          placeholder="not told"
          onEnter={(value, typed) => enter(field('maker'), typed, (j) => withMakersTorque(j, id, value))}
          onClear={() => enter(field('maker'), null, (j) => withMakersTorque(j, id, null))}
        />
        <QuantityField
          field={field('applied')}
          label="The wrench came to"
          showLabel
          unit="torque"
          least={0}
          most={MOST}
          value={applied?.value ?? null}
          about={wanted ?? 0}
          placeholder="pull it"
          onEnter={(value, typed) =>
            enter(field('applied'), typed, (j) => withApplied(j, id, value, new Date().toISOString()))
          }
          onClear={() => enter(field('applied'), null, (j) => withApplied(j, id, null, ''))}
        />
      </div>
      {applied && (
        <div className="tools secured">
          {SECURED.map(({ how, label, undo }) => {
            const since = line[how];
            return (
              <Button
                key={how}
                aria-pressed={since !== null}
                onClick={() =>
                  edit((j) => withSecured(j, id, how, since === null ? new Date().toISOString() : null))
                }
              >
                {since === null ? label : `${undo}, ${sayMoment(since)}`}
              </Button>
            );
          })}
        </div>
      )}
      {line.locked && !isSet && (
        <p className="changed">
          Its locker is on, and Ride has no stripe yet that the axle is set: what is still to be turned comes
          apart again.
        </p>
      )}
      <p className={state === 'short' || state === 'over' ? 'changed' : 'hint'}>
        {applied && state !== 'unknown' && state !== 'within' && wanted !== null
          ? `${TORQUE.say(Math.abs(applied.value - wanted), tape)} ${TORQUE_WORDS[state]}: ${state === 'short' ? 'pull it again' : 'a new bolt, if it is far over; else loosen it and pull it again'}.`
          : `${TORQUE_WORDS[state]}${applied ? `, ${sayMoment(applied.at)}` : ''}`}
      </p>
    </li>
  );
}
