'use client';
import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { MeasureDrawing } from '@/bay/parts/MeasureDrawing';
import type { Step } from '@/core/record/plan';
import { spotName } from '@/core/survey/quantities/quantities';
import type { MeasuringPlace } from '@/core/survey/quantities/quantity';
import { found } from '@/core/survey/readings';
import { TOOLS, type ToolName } from '@/core/survey/quantities/tools';
import { setDraft, useJob, useJobStore } from '@/store/jobStore';
import { setPreferences, usePreferences } from '@/store/preferences';
import { Pad } from '@/ui/fields/pad/Pad';
import type { EntryHandle } from '@/ui/fields/Entry';
import { QuantityField } from '@/ui/fields/QuantityField';
import { keepReading, limitsOf, readingField } from './readingEdits';
import { ReadingList } from './ReadingList';

const AT: Record<MeasuringPlace, string> = {
  floor: 'At the floor',
  left: 'Left side',
  right: 'Right side',
  behind: 'Behind the car',
  under: 'Underneath',
  scales: 'On the scales',
};

/** The measuring plan, one reading at a time: where, with what, why; a large pad; Enter on an empty field goes on. */
export function OneByOne({ plan }: { plan: Step[] }) {
  const job = useJob();
  const at = usePreferences((s) => s.readingAt);
  const isRead = (step: Step) => found(job.readings, step.quantity.key, step.side) !== null;
  const chosen = plan.findIndex((s) => s.key === at);
  const index =
    chosen >= 0
      ? chosen
      : Math.max(
          0,
          plan.findIndex((s) => !isRead(s)),
        );
  const step = plan[index];
  const done = plan.filter(isRead).length;
  if (!step) return null;
  const go = (to: number) =>
    setPreferences({ readingAt: plan[Math.min(plan.length - 1, Math.max(0, to))]!.key });
  return (
    <section className="one-by-one" data-step={step.key}>
      <div className="step-bar">
        <Button aria-label="Back one reading" onClick={() => go(index - 1)} disabled={index === 0}>
          ‹
        </Button>
        <span className="step-place">
          <b>{AT[step.quantity.place === 'left' ? (step.side ?? 'left') : step.quantity.place]}</b>
          <span>
            {index + 1} of {plan.length} · {done} read
          </span>
        </span>
        <Button
          aria-label="On to the next reading"
          onClick={() => go(index + 1)}
          disabled={index === plan.length - 1}
        >
          ›
        </Button>
      </div>
      <div className="step-progress" aria-hidden>
        {plan.map((s, i) => (
          <span key={s.key} className={`${isRead(s) ? 'read' : ''} ${i === index ? 'now' : ''}`} />
        ))}
      </div>
      <StepCard key={step.key} step={step} onNext={() => go(index + 1)} last={index === plan.length - 1} />
    </section>
  );
}

function StepCard({ step, onNext, last }: { step: Step; onNext: () => void; last: boolean }) {
  const job = useJob();
  const { quantity } = step;
  const field = readingField(step.key);
  const draft = useJobStore((s) => s.drafts[field]) ?? '';
  const limits = limitsOf(step);
  const count = (job.readings[step.key] ?? []).length;
  // What has been read stays in sight until the builder goes on.
  const entry = useRef<EntryHandle>(null);
  const put = (value: number, typed: string, by?: ToolName) => {
    setPreferences({ readingAt: step.key });
    keepReading(step, value, typed, by);
  };
  const focus = () => document.getElementById(`field-${field}`)?.focus();

  // The next reading is typed straight away; the drawing and the pad must stay in sight with it.
  useEffect(focus, [field]);

  return (
    <div className="step">
      <div className="step-what">
        <MeasureDrawing job={job} spot={step.key} width={410} height={140} />
        <h2>{spotName(step)}</h2>
        <p>{step.how}</p>
        <p className="hint">
          <b>{TOOLS[step.tool].name}.</b> {quantity.why}
          {step.wanted === 'check' && ' For checking.'}
        </p>
      </div>
      <div className="step-read">
        <div className="step-entry">
          <QuantityField
            {...limits}
            field={field}
            label={spotName(step)}
            value={null}
            about={quantity.standIn}
            placeholder={count ? 'again?' : exampleOf(step)}
            onEnter={put}
            onNothing={onNext}
            handle={entry}
            padded
          />
          <Button onClick={onNext} disabled={last}>
            {count ? 'Next' : 'Skip'}
          </Button>
        </div>
        {quantity.ways && (
          <p className="hint">
            Plain: {quantity.ways[0]}. Minus: {quantity.ways[1]}.
          </p>
        )}
        <Pad
          unit={quantity.unit}
          tape={job.tape}
          text={draft}
          onText={(text) => setDraft(field, text === '' ? null : text)}
          onEnter={() => entry.current?.enter()}
          minus={quantity.ways?.[1]}
        />
        <ReadingList spot={step} />
      </div>
    </div>
  );
}

const exampleOf = ({ quantity, tool }: Step): string =>
  quantity.unit === 'angle' ? (tool === 'level' ? '3/16 in 48' : 'degrees') : 'reading';
