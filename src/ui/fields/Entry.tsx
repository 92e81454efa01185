'use client';
import { Button } from 'antd';
import { Input } from '@/ui/fields/textInput';
import {
  memo,
  useId,
  useImperativeHandle,
  type ChangeEvent,
  type FocusEvent,
  type KeyboardEvent,
  type ReactNode,
  type Ref,
} from 'react';
import type { ReadingUnit } from '@/core/units/values';
import { setTarget } from '@/store/instruments';
import { useEntry, type EntryText } from './useEntry';
import { useStable } from '@/ui/useStable';
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

/** Drawn again only when its text changes: a station has dozens, and a drag changes two or three. */
const Text = memo(Input);

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

  const onFocus = useStable((e: FocusEvent<HTMLInputElement>) => {
    if (gauge) setTarget({ field, label, ...gauge, take: entry.takeFromGauge });
    entry.focus();
    e.target.select();
  });
  const onChange = useStable((e: ChangeEvent<HTMLInputElement>) => entry.change(e.target.value));
  const onBlur = useStable(entry.blur);
  const onPressEnter = useStable(entry.pressEnter);
  const onKeyDown = useStable((e: KeyboardEvent<HTMLInputElement>) => {
    // Once to put back what was there, once more to let go of the field and have the keys of the shop again.
    if (e.key === 'Escape' && !entry.putBack()) e.currentTarget.blur();
  });

  return (
    <div className="length-field">
      {showLabel && (
        <label htmlFor={`field-${field}`} className="length-label">
          {label}
        </label>
      )}
      <div className="length-row">
        <Text
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
          {...{ onFocus, onChange, onBlur, onPressEnter, onKeyDown }}
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
