'use client';
import { Input } from 'antd';
import { useEffect, useId, useImperativeHandle, useState, type ReactNode, type Ref } from 'react';
import type { ToolName } from '@/core/survey/quantities/tools';
import type { Unit } from '@/core/units/values';
import { dropTarget, setTarget } from '@/store/instruments';
import { setDraft, useJobStore } from '@/store/jobStore';
import './field.css';

export type Read<T> = { ok: true; value: T; text: string } | { ok: false; message: string };

/** What a pad beside the field can do with it. */
export type EntryHandle = { enter: () => void };

type Props<T> = {
  /** the value's own name: where its half-typed text is kept */
  field: string;
  label: string;
  /** the value as it reads now; empty where there is none */
  shown: string;
  read: (text: string) => Read<T>;
  /** `by` is there when a gauge sent it */
  onEnter: (value: T, typed: string, by?: ToolName) => void;
  /** Enter on an empty field */
  onNothing?: () => void;
  /** what a gauge would send here, and about how much of it */
  gauge?: { unit: Unit; about: number };
  handle?: Ref<EntryHandle>;
  /** a pad of ours stands beside it: the device need not bring up its own */
  padded?: boolean;
  placeholder?: string;
  showLabel?: boolean;
  /** stands beside the text */
  beside?: ReactNode;
};

/** One typed value. What cannot be taken stays where it was typed, with the reason under it. */
export function Entry<T>({
  field,
  label,
  shown,
  read,
  onEnter,
  placeholder,
  showLabel = false,
  beside,
  onNothing,
  gauge,
  handle,
  padded = false,
}: Props<T>) {
  const draft = useJobStore((s) => s.drafts[field]);
  const [focused, setFocused] = useState(false);
  const [insisted, setInsisted] = useState(false);
  const problemId = useId();
  const outcome = draft === undefined ? null : read(draft);
  const problem =
    outcome && (!focused || insisted)
      ? outcome.ok
        ? 'Typed, not taken over yet: press Enter.'
        : outcome.message
      : null;

  useEffect(() => () => dropTarget(field), [field]);

  /** What a gauge sends passes the same gate as what is typed; what cannot be taken stands in the field, with the reason. */
  function takeFromGauge(text: string, by: ToolName) {
    const result = read(text);
    if (result.ok) {
      setDraft(field, null);
      onEnter(result.value, result.text, by);
    } else {
      setInsisted(true);
      setDraft(field, text);
    }
  }

  function enter() {
    setInsisted(true);
    if (draft === undefined) return;
    if (draft.trim() === '' || draft === shown) {
      setDraft(field, null);
      return;
    }
    const result = read(draft);
    if (!result.ok) return;
    setDraft(field, null);
    onEnter(result.value, result.text);
  }

  function pressEnter() {
    if (onNothing && (draft ?? shown).trim() === '') onNothing();
    else enter();
  }
  useImperativeHandle(handle, () => ({ enter: pressEnter }));

  return (
    <div className="length-field">
      {showLabel && (
        <label htmlFor={`field-${field}`} className="length-label">
          {label}
        </label>
      )}
      <div className="length-row">
        <Input
          id={`field-${field}`}
          aria-label={showLabel ? undefined : label}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem ? problemId : undefined}
          className="figure"
          autoComplete="off"
          inputMode={padded ? 'none' : 'text'}
          enterKeyHint="done"
          spellCheck={false}
          maxLength={60}
          placeholder={placeholder}
          value={draft ?? shown}
          status={problem ? 'error' : ''}
          onFocus={(e) => {
            if (gauge) setTarget({ field, label, ...gauge, take: takeFromGauge });
            setFocused(true);
            setInsisted(false);
            e.target.select();
          }}
          onChange={(e) => {
            setInsisted(false);
            setDraft(field, e.target.value);
          }}
          onBlur={() => {
            setFocused(false);
            enter();
          }}
          onPressEnter={pressEnter}
          onKeyDown={(e) => {
            if (e.key !== 'Escape') return;
            // Once to put back what was there, once more to let go of the field and have the keys of the shop again.
            if (draft === undefined) e.currentTarget.blur();
            setDraft(field, null);
          }}
        />
        {beside}
      </div>
      {problem && (
        <p className="field-problem" id={problemId} role="alert">
          {problem}
          {shown !== '' && (
            <button type="button" className="put-back" onClick={() => setDraft(field, null)}>
              Put back {shown}
            </button>
          )}
        </p>
      )}
    </div>
  );
}
