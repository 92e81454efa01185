'use client';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { BEHIND, causeOf } from '@/core/drive/causes';
import type { FaultCheck } from '@/core/drive/faultFinder';
import { MOST_CHECKED, SYMPTOMS, type Checked, type Symptom } from '@/core/job/slices/work/drive';
import { edit, useJob } from '@/store/jobStore';
import { foundElsewhere } from '@/store/storage/shelf';
import { CardHead } from '@/ui/cards/Card';
import { Full } from '@/ui/cards/Full';
import { TextArea } from '@/ui/fields/textInput';
import { sayDay, sayMoment } from '@/ui/paper/dates';
import { askFaults } from '@/workers/choosing/search';
import { useAnswer } from '@/workers/useAnswer';

/** What to look at for a symptom, the likeliest for the least work first on this car; what was found is kept. */
export function FaultsPart() {
  const job = useJob();
  const heard = job.drive.outings.at(-1)?.noises ?? [];
  const [symptom, setSymptom] = useState<Symptom>(heard[0] ?? 'knock');
  const said = useAnswer(symptom, job, () => askFaults(job, symptom));
  const full = job.drive.checked.length >= MOST_CHECKED;
  return (
    <>
      <CardHead title="Find what is wrong">
        In the order in which it is worth looking, on this car. Common practice; no published source.
      </CardHead>
      <div className="which-bar">
        <span>It</span>
        <Select<Symptom>
          aria-label="What it does"
          value={symptom}
          onChange={setSymptom}
          virtual={false}
          options={SYMPTOMS.map((value) => ({ value, label: BEHIND[value].title.toLowerCase() }))}
        />
      </div>
      {full && <Full most={MOST_CHECKED} of="things looked at" />}
      {said === null ? (
        <p className="hint">Looking through the car’s record…</p>
      ) : typeof said === 'string' ? (
        <p className="field-problem">{said}</p>
      ) : (
        <ol className="fault-checks">
          {said.map((check) => (
            <Check key={check.cause.id} symptom={symptom} check={check} full={full} />
          ))}
        </ol>
      )}
      <Elsewhere symptom={symptom} jobId={job.id} />
      <History checked={job.drive.checked} />
    </>
  );
}

function Check({ symptom, check, full }: { symptom: Symptom; check: FaultCheck; full: boolean }) {
  const { cause, because, before } = check;
  const [note, setNote] = useState('');
  const keep = (found: boolean) => {
    const checked: Checked = {
      at: new Date().toISOString(),
      symptom,
      cause: cause.id,
      found,
      note: note.trim(),
    };
    edit((j) => ({ ...j, drive: { ...j.drive, checked: [...j.drive.checked, checked] } }));
    setNote('');
  };
  return (
    <li data-cause={cause.id}>
      <h2>{cause.title}</h2>
      <p>{cause.look}</p>
      <p className="hint">
        About {cause.minutes} minutes.{because.length > 0 && ` Here: ${because.join(' ')}`}
        {before && ` Looked at ${sayDay(before.at)}: ${before.found ? 'that was it' : 'it was not that'}.`}
      </p>
      <label>
        What was found
        <TextArea rows={2} maxLength={1000} value={note} onChange={(e) => setNote(e.target.value)} />
      </label>
      <div className="tools">
        <Button type="primary" disabled={full} onClick={() => keep(true)}>
          That was it
        </Button>
        <Button disabled={full} onClick={() => keep(false)}>
          It was not that
        </Button>
      </div>
    </li>
  );
}

/** The same on the other cars of this shelf: what it was there. */
function Elsewhere({ symptom, jobId }: { symptom: Symptom; jobId: string }) {
  const found = useAnswer(symptom, jobId, async () => ({
    ok: true as const,
    result: await foundElsewhere(symptom, jobId),
  }));
  if (found === null || typeof found === 'string' || found.length === 0) return null;
  return (
    <section className="section" data-part="fault-elsewhere">
      <h2>On your other cars</h2>
      <ul className="fault-history">
        {found.slice(0, MOST_TOLD).map(({ car, cause, at, note }) => (
          <li key={car + at}>
            <b>{car}:</b> {titleOf(cause)} was it. <span className="hint">{sayMoment(at)}</span>
            {note && <p>“{note}”</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}
/** So many are told, the last of them. */
const MOST_TOLD = 8;

function History({ checked }: { checked: Checked[] }) {
  if (checked.length === 0) return null;
  return (
    <section className="section" data-part="fault-history">
      <h2>What was looked at</h2>
      <ul className="fault-history">
        {checked.toReversed().map((one, i) => (
          <li key={one.at + i}>
            <b>{BEHIND[one.symptom].title}:</b> {titleOf(one.cause)} {one.found ? 'was it' : 'was not it'}.{' '}
            <span className="hint">{sayMoment(one.at)}</span>
            {one.note && <p>“{one.note}”</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}

const titleOf = (cause: string): string => {
  const { title } = causeOf(cause as Parameters<typeof causeOf>[0]);
  return title ? `“${title}”` : cause;
};
