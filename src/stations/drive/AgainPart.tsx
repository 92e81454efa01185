'use client';
import { Button } from 'antd';
import { dueOf, USUAL_EVERY, withRechecked } from '@/core/drive/rechecks';
import { drivenSoFar } from '@/core/drive/setUps';
import { DISTANCE } from '@/core/units/unit';
import { edit, enter, useJob } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { NumberField } from '@/ui/fields/NumberField';
import { sayDay } from '@/ui/paper/dates';

/** What is looked at again, when, and what it means if it has moved. */
export function AgainPart() {
  const job = useJob();
  const { tape, drive } = job;
  const due = dueOf(job);
  const every = drive.every ?? USUAL_EVERY;
  return (
    <>
      <CardHead title="Look at it again">
        {due.length === 0
          ? 'After the first drive, and by distance from then on.'
          : `${due.filter(({ overdue }) => overdue).length} due. Driven so far: ${DISTANCE.say(drivenSoFar(job), tape)}.`}
      </CardHead>
      <NumberField
        field="drive/every"
        label="Look again every"
        showLabel
        value={DISTANCE.shown(every, tape)}
        least={1}
        most={100_000}
        unit={DISTANCE.sign(tape)}
        decimals={0}
        onEnter={(value, typed) =>
          enter('drive/every', typed, (j) => ({
            ...j,
            drive: { ...j.drive, every: DISTANCE.read(value, tape) },
          }))
        }
        onClear={() => enter('drive/every', null, (j) => ({ ...j, drive: { ...j.drive, every: undefined } }))}
      />
      <ul className="rechecks">
        {due.map((item) => (
          <li key={item.id} data-recheck={item.id} data-due={String(item.overdue)}>
            <h2>
              {item.title} {item.overdue && <span className="due">due</span>}
            </h2>
            <p>{item.how}</p>
            <p className="hint">
              {item.last
                ? `Looked at ${sayDay(item.last.at)}, ${DISTANCE.say(item.since, tape)} ago.`
                : 'Not looked at since it was first driven.'}
            </p>
            <p className="hint">
              <b>If its line is broken:</b> {item.broken}
            </p>
            <Button onClick={() => edit((j) => withRechecked(j, item.id, new Date().toISOString()))}>
              Looked at: as it was
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
