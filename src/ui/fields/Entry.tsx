'use client';
import { Button, Input } from 'antd';
import { useId, useImperativeHandle, type KeyboardEvent, type ReactNode, type Ref } from 'react';
import type { ReadingUnit } from '@/core/units/values';
import { setTarget } from '@/store/instruments';
import { useEntry, type EntryText } from './useEntry';
import './field.css';

export type { Read } from './useEntry';

/** What a pad beside the field can do with it. */
export type EntryHandle = { enter: () => void };

type Props<T> = EntryText<T> & {
  label: string;
  /** what a gauge would send here, and about how much of it */
  gauge?: { unit: ReadingUnit; about: number };
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
  label,
  placeholder,
  showLabel = false,
  beside,
  gauge,
  handle,
  padded = false,
  ...value
}: Props<T>) {
  const { field, shown } = value;
  const entry = useEntry(value);
  const problemId = useId();
  useImperativeHandle(handle, () => ({ enter: entry.pressEnter }));

  function onKeyDown(e: KeyboardEvent<HTMLInputElement>) {
    // Once to put back what was there, once more to let go of the field and have the keys of the shop again.
    if (e.key === 'Escape' && !entry.putBack()) e.currentTarget.blur();
  }

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
          aria-invalid={entry.problem ? true : undefined}
          aria-describedby={entry.problem ? problemId : undefined}
          className="figure"
          autoComplete="off"
          inputMode={padded ? 'none' : 'text'}
          enterKeyHint="done"
          spellCheck={false}
          maxLength={60}
          placeholder={placeholder}
          value={entry.text}
          status={entry.problem ? 'error' : ''}
          onFocus={(e) => {
            if (gauge) setTarget({ field, label, ...gauge, take: entry.takeFromGauge });
            entry.focus();
            e.target.select();
          }}
          onChange={(e) => entry.change(e.target.value)}
          onBlur={entry.blur}
          onPressEnter={entry.pressEnter}
          onKeyDown={onKeyDown}
        />
        {beside}
      </div>
      {entry.problem && (
        <p className="field-problem" id={problemId} role="alert">
          {entry.problem}
          {shown !== '' && (
            <Button type="link" className="put-back" onClick={entry.putBack}>
              Put back {shown}
            </Button>
          )}
        </p>
      )}
    </div>
  );
}
