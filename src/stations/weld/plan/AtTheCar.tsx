'use client';
import { Button, Modal } from 'antd';
import { useEffect, useState } from 'react';
import { nextStep, type Planned } from '@/core/plan/standing';
import { localVoice, readAloud, stopReading } from './readAloud';
import { Step } from './Step';
import { useAwake } from './useAwake';
import { aloud, STANDING_WORDS } from './words';

/** One step a screen, for a tablet under the car: large, kept awake, read aloud when asked. */
export function AtTheCar({ steps, onClose }: { steps: Planned[]; onClose: () => void }) {
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      steps.findIndex((s) => s === nextStep(steps)),
    ),
  );
  const awake = useAwake();
  const planned = steps[Math.min(at, steps.length - 1)]!;
  useEffect(() => stopReading, [at]);
  const go = (by: number) => setAt(Math.min(steps.length - 1, Math.max(0, at + by)));
  // The next that can be done, farther on or from the start again.
  const onward = () => {
    const ready = [...steps.keys()].filter((i) => i !== at && steps[i]!.standing.kind === 'ready');
    setAt(ready.find((i) => i > at) ?? ready[0] ?? at);
  };
  return (
    <Modal
      open
      width="100%"
      className="at-the-car"
      footer={null}
      onCancel={onClose}
      title={
        <span className="at-the-car-head">
          Step {at + 1} of {steps.length} · {STANDING_WORDS[planned.standing.kind]}
        </span>
      }
    >
      <h1>{planned.task.title}</h1>
      <Step key={planned.task.id} planned={planned} onDone={onward} />
      <div className="at-the-car-tools">
        <Button size="large" disabled={at === 0} onClick={() => go(-1)}>
          Back
        </Button>
        <Button size="large" disabled={!localVoice()} onClick={() => readAloud(aloud(planned.task))}>
          Read it to me
        </Button>
        <Button size="large" disabled={at === steps.length - 1} onClick={() => go(1)}>
          Next
        </Button>
      </div>
      <p className="hint">
        {awake
          ? 'The screen stays awake.'
          : 'This browser cannot keep the screen awake: set it on the device.'}
        {!localVoice() && ' It has no voice of its own to read with.'}
      </p>
    </Modal>
  );
}
