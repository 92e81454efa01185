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
import { setPreferences } from '@/store/preferences';
import { PadDock, usePadded } from './pad/PadDock';
import { useEntry, type EntryText } from './useEntry';
import { useStable } from '@/ui/useStable';
import './field.css';

export type { Read } from './useEntry';

/** What a pad beside the field can do with it. */
export type EntryHandle = { enter: () => void };

type Props<T> = EntryText<T> & {
  label: string;
  /** what is typed: which keys the pad has */
  unit: ReadingUnit;
  /** about how much a gauge would send here, where one can */
  about?: number;
  /** what a minus in the text says, where there may be one */
  minus?: string;
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
  unit,
  about,
  minus,
  handle,
  padded = false,
  ...value
}: Props<T>) {
  const { field, shown } = value;
  const entry = useEntry(value);
  const problemId = useId();
  const fingers = usePadded();
  const ours = padded || fingers.padded;
  useImperativeHandle(handle, () => ({ enter: entry.pressEnter }));

  const onFocus = useStable((e: FocusEvent<HTMLInputElement>) => {
    if (about !== undefined) setTarget({ field, label, unit, about, take: entry.takeFromGauge });
    entry.focus();
    e.target.select();
  });
  const onChange = useStable((e: ChangeEvent<HTMLInputElement>) => entry.change(e.target.value));
  const onBlur = useStable(entry.blur);
  const onPressEnter = useStable((e: KeyboardEvent<HTMLInputElement>) => {
    entry.pressEnter();
    // What is typed next takes the place of what stands there.
    e.currentTarget.select();
  });
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
          inputMode={ours ? 'none' : 'text'}
          enterKeyHint="done"
          spellCheck={false}
          maxLength={60}
          placeholder={placeholder}
          value={entry.text}
          status={entry.problem ? 'error' : ''}
          {...{ onFocus, onChange, onBlur, onPressEnter, onKeyDown }}
        />
        {beside}
        {entry.focused && fingers.byFinger && !ours && (
          <button
            type="button"
            className="way"
            onPointerDown={(e) => e.preventDefault()}
            onClick={() => setPreferences({ pad: true })}
          >
            pad
          </button>
        )}
      </div>
      {entry.focused && fingers.padded && !padded && (
        <PadDock
          {...{ label, unit, minus }}
          text={entry.text}
          untouched={entry.untouched}
          onText={entry.change}
          onEnter={() => {
            entry.pressEnter();
            (document.activeElement as HTMLElement).blur();
          }}
        />
      )}
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
