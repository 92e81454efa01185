'use client';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { MOST_OWN_STEPS, TRACKS, type Track } from '@/core/job/slices/work/plan';
import { withOwnStep, withoutOwnStep } from '@/core/plan/edits';
import { tasksOf } from '@/core/plan/plan';
import { edit, useJob } from '@/store/jobStore';
import { Full } from '@/ui/cards/Full';
import { Input } from '@/ui/fields/textInput';
import { TRACK_WORDS } from './words';

/** Steps of the builder's own: where each comes in, and what there are. */
export function OwnSteps() {
  const job = useJob();
  const [title, setTitle] = useState('');
  const [track, setTrack] = useState<Track>('fit');
  const [after, setAfter] = useState<string>();
  const [before, setBefore] = useState<string>();
  const { own } = job.plan;
  const steps = tasksOf(job).map((task) => ({ value: task.id, label: task.title }));
  const full = own.length >= MOST_OWN_STEPS;

  function add() {
    const id = `${Date.now().toString(36)}${own.length}`;
    edit((j) => withOwnStep(j, { id, title: title.trim(), track, after, before }));
    setTitle('');
    setAfter(undefined);
    setBefore(undefined);
  }

  return (
    <details className="approach no-print" data-part="own-steps">
      <summary>Steps of your own{own.length ? `: ${own.length}` : ''}</summary>
      <div className="plan-ways">
        {own.length > 0 && (
          <ul className="plan-own">
            {own.map((step) => (
              <li key={step.id}>
                {step.title}
                <Button onClick={() => edit((j) => withoutOwnStep(j, step.id))}>Take it out</Button>
              </li>
            ))}
          </ul>
        )}
        {full ? (
          <Full most={MOST_OWN_STEPS} of="steps of your own" />
        ) : (
          <>
            <label>
              What is to be done
              <Input value={title} maxLength={120} onChange={(e) => setTitle(e.target.value)} />
            </label>
            <label>
              Among
              <Select<Track>
                aria-label="Among"
                value={track}
                onChange={setTrack}
                options={TRACKS.map((value) => ({ value, label: TRACK_WORDS[value] }))}
              />
            </label>
            <label>
              After
              <Select
                aria-label="After"
                allowClear
                showSearch
                optionFilterProp="label"
                placeholder="any time"
                value={after}
                onChange={setAfter}
                options={steps}
              />
            </label>
            <label>
              Before
              <Select
                aria-label="Before"
                allowClear
                showSearch
                optionFilterProp="label"
                placeholder="any time"
                value={before}
                onChange={setBefore}
                options={steps}
              />
            </label>
            <Button disabled={!title.trim()} onClick={add}>
              Add the step
            </Button>
          </>
        )}
      </div>
    </details>
  );
}
