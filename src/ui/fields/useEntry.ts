import { useEffect, useState } from 'react';
import { InputError } from '@/core/rig/read';
import type { ToolName } from '@/core/survey/quantities/tools';
import { dropTarget } from '@/store/instruments';
import { setDraft, useJobStore } from '@/store/jobStore';
import { useReading } from '@/store/reading';

export type Read<T> = { ok: true; value: T; text: string } | { ok: false; message: string };

export type EntryText<T> = {
  /** the value's own name: where its half-typed text is kept */
  field: string;
  /** the value as it reads now; empty where there is none */
  shown: string;
  read: (text: string) => Read<T>;
  /** `by` is there when a gauge sent it; @throws InputError where the job cannot take it */
  onEnter: (value: T, typed: string, by?: ToolName) => void;
  /** what an emptied field does, where there need be no value */
  onClear?: () => void;
  /** Enter on an empty field */
  onNothing?: () => void;
};

/** The text of one value while it is typed: what cannot be taken stays as it was typed, with the reason. */
export function useEntry<T>({ field, shown, read, onEnter, onClear, onNothing }: EntryText<T>) {
  const draft = useJobStore((s) => s.drafts[field]);
  const [focused, setFocused] = useState(false);
  /** Enter was pressed on what stands there, so that it is judged while the field is still being typed in */
  const [insisted, setInsisted] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  useEffect(() => () => dropTarget(field), [field]);

  /** Hands a value over; one that the job refuses stays in the field. */
  function take(text: string, by?: ToolName): void {
    const result = read(text);
    setDraft(field, text);
    if (!result.ok) return;
    try {
      const { refused } = useReading.getState();
      onEnter(result.value, result.text, by);
      if (useReading.getState().refused === refused) setDraft(field, null);
      else setRefusal('Kept as typed: go back to “As drawn” to change the car.');
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setRefusal(`${error.expected}.`);
    }
  }

  function enter(): void {
    setInsisted(true);
    if (draft === undefined) return;
    if (draft === shown || (draft.trim() === '' && !onClear)) setDraft(field, null);
    else if (draft.trim() === '') {
      setDraft(field, null);
      onClear!();
    } else take(draft);
  }

  return {
    text: draft ?? shown,
    focused,
    untouched: draft === undefined,
    problem: refusal ?? problemOf(draft, read, onClear !== undefined, focused && !insisted),
    enter,
    pressEnter: () => {
      if (onNothing && (draft ?? shown).trim() === '') onNothing();
      else enter();
    },
    /** What a gauge sends passes the same gate as what is typed. */
    takeFromGauge: (text: string, by?: ToolName) => {
      setInsisted(true);
      take(text, by);
    },
    change: (text: string) => {
      setInsisted(false);
      setRefusal(null);
      setDraft(field, text);
    },
    focus: () => {
      setFocused(true);
      setInsisted(false);
    },
    blur: () => {
      setFocused(false);
      enter();
    },
    /** @returns whether there was anything to put back */
    putBack: (): boolean => {
      setRefusal(null);
      setDraft(field, null);
      return draft !== undefined;
    },
  };
}

/** What is wrong with a text that was left standing; nothing while it is being typed. */
function problemOf(
  draft: string | undefined,
  read: (text: string) => Read<unknown>,
  mayBeEmpty: boolean,
  typing: boolean,
): string | null {
  if (draft === undefined || typing || (draft.trim() === '' && mayBeEmpty)) return null;
  const outcome = read(draft);
  return outcome.ok ? 'Typed, not taken over yet: press Enter.' : outcome.message;
}
