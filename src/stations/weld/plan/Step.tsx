'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { withDone, withUndone } from '@/core/plan/edits';
import type { Planned } from '@/core/plan/standing';
import type { MarkedAt } from '@/core/plan/task';
import { edit, useJobPart } from '@/store/jobStore';
import { holdAt } from '@/stations/weld/hold/holdAt';
import { setPreferences } from '@/store/preferences';
import { Caution } from '@/ui/cards/Card';
import { TextArea } from '@/ui/fields/textInput';
import { sayMoment } from '@/ui/paper/dates';
import { Photos } from '@/ui/photos/Photos';
import { goTo } from '@/ui/shell/route';
import { STATION_WORDS, takes, zoneWord } from './words';

type Props = { planned: Planned; onDone?: () => void };

/** One step with all that it takes, and what can be said of it: done, not on this car, to be done again. */
export function Step({ planned, onDone }: Props) {
  const { task, standing } = planned;
  const { end, tape, helper } = useJobPart((j) => ({
    end: j.rig.end,
    tape: j.tape,
    helper: j.plan.helper ?? false,
  }));
  const lines = takes(task, helper, tape);
  return (
    <div className="plan-step" data-step={task.id} data-standing={standing.kind}>
      <p>{task.how}</p>
      {task.expect && (
        <p className="plan-expect">
          <b>Then measured:</b> {task.expect}
        </p>
      )}
      <ul className="plan-takes">
        <li>{zoneWord(task.zone, end)}.</li>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {standing.kind === 'waits' && <Waits planned={planned} />}
      {standing.kind === 'doubt' && (
        <p className="changed">
          Done {sayMoment(standing.at)}. Since then: {standing.changes.join('; ')}. Look whether it still
          holds.
        </p>
      )}
      {task.permanent && (
        <p className="plan-permanent">
          <b>For good:</b> {task.permanent}
        </p>
      )}
      {task.caution && <Caution>{task.caution}</Caution>}
      <Marks planned={planned} onDone={onDone} />
    </div>
  );
}

function Waits({ planned: { task, standing } }: { planned: Planned }) {
  if (standing.kind !== 'waits') return null;
  return (
    <ul className="plan-waits">
      {standing.for.map((other) => (
        <li key={other.id}>
          After <b>{other.title}</b>: {task.after.find(({ id }) => id === other.id)!.why}.
        </li>
      ))}
    </ul>
  );
}

function Marks({ planned: { task, standing }, onDone }: Props) {
  const [note, setNote] = useState('');
  const [asking, setAsking] = useState(false);
  const now = () => new Date().toISOString();
  if (task.marked)
    return (
      <div className="tools no-print">
        <MarkedElsewhere at={task.marked} />
        {standing.kind === 'notHere' ? (
          <Button onClick={() => edit((j) => withUndone(j, task.id))}>To be done after all</Button>
        ) : (
          standing.kind !== 'done' && (
            <Button onClick={() => edit((j) => withDone(j, task, now(), { notHere: true }))}>
              {'station' in task.marked ? 'Leave it out' : 'Not on this car'}
            </Button>
          )
        )}
      </div>
    );
  const done = () => {
    edit((j) => withDone(j, task, now(), { note }));
    setAsking(false);
    onDone?.();
  };
  const label = standing.kind === 'doubt' ? 'Looked at: it still holds' : 'Done';
  const kept = standing.kind === 'done' || standing.kind === 'notHere';
  return (
    <div className="plan-marks no-print">
      {kept ? (
        <Button onClick={() => edit((j) => withUndone(j, task.id))}>Not done after all</Button>
      ) : (
        <>
          <label>
            Note
            <TextArea rows={2} maxLength={1000} value={note} onChange={(e) => setNote(e.target.value)} />
          </label>
          <Photos item={`plan/${task.id}`} label={task.title} />
          {asking && task.permanent ? (
            <p className="plan-permanent" role="alert">
              {task.permanent} Everything before it is right?
            </p>
          ) : null}
          <div className="tools">
            <Button
              type="primary"
              disabled={standing.kind === 'waits'}
              onClick={() => (task.permanent && !asking ? setAsking(true) : done())}
            >
              {asking ? 'Yes, it is done' : label}
            </Button>
            <Button
              onClick={() => {
                edit((j) =>
                  standing.kind === 'doubt'
                    ? withUndone(j, task.id)
                    : withDone(j, task, now(), { note, notHere: true }),
                );
                onDone?.();
              }}
            >
              {standing.kind === 'doubt' ? 'To be done again' : 'Not on this car'}
            </Button>
          </div>
        </>
      )}
    </div>
  );
}

/** What is marked where it is done: at another station, or at the bracket's hold point. */
function MarkedElsewhere({ at }: { at: MarkedAt }) {
  const jobId = useJobPart((j) => j.id);
  if ('station' in at) {
    return (
      <Button type="primary" onClick={() => goTo(jobId, at.station)}>
        Do it at {STATION_WORDS[at.station]}: its stripe marks it here
      </Button>
    );
  }
  const { member } = at;
  return (
    <Button
      type="primary"
      onClick={() => {
        holdAt(member);
        setPreferences({ weld: 'hold' });
        goTo(jobId, 'weld');
      }}
    >
      To its hold point
    </Button>
  );
}
