'use client';
import { Input } from 'antd';
import { useId, useState } from 'react';
import { formatDecimal, sayLength, shownLength } from '@/core/units/format';
import { parseLength } from '@/core/units/parse';
import { setDraft, useJobPart, useJobStore } from '@/store/jobStore';
import './field.css';

/** The two ways a length can count, e.g. left and right of the centreline; the first is positive. */
export type Ways = readonly [positive: string, negative: string];

type Props = {
  /** the value's own name: where its half-typed text and its last typing are kept */
  field: string;
  label: string;
  mm: number | null;
  least: number;
  most: number;
  onEnter: (mm: number, typed: string) => void;
  /** with these, a button beside the figure says which way it counts, and the text may end in either word */
  ways?: Ways;
  placeholder?: string;
  showLabel?: boolean;
  /** shown as a decimal instead of the nearest line of the tape */
  decimal?: boolean;
};

/** A length as a fabricator types it. What cannot be taken stays where it was typed, with the reason under it. */
export function LengthField({
  field,
  label,
  mm,
  least,
  most,
  onEnter,
  ways,
  placeholder,
  showLabel = false,
  decimal = false,
}: Props) {
  const tape = useJobPart((j) => j.tape);
  const typed = useJobPart((j) => j.typed[field]);
  const draft = useJobStore((s) => s.drafts[field]);
  const [focused, setFocused] = useState(false);
  const [insisted, setInsisted] = useState(false);
  const problemId = useId();
  const size = mm === null ? null : ways ? Math.abs(mm) : mm;
  const shown = size === null ? '' : decimal ? formatDecimal(size, tape) : shownLength(size, typed, tape);
  const outcome = draft === undefined ? null : read(draft);
  const problem =
    outcome && (!focused || insisted)
      ? outcome.ok
        ? 'Typed, not taken over yet: press Enter.'
        : outcome.message
      : null;

  function read(text: string): { ok: true; mm: number; text: string } | { ok: false; message: string } {
    const { bare, sign } = ways ? splitWay(text, ways, mm) : { bare: text, sign: 1 };
    const parsed = parseLength(bare, tape);
    if (!parsed.ok) return parsed;
    const value = ways ? sign * parsed.mm : parsed.mm;
    if (value < least || value > most) {
      return {
        ok: false,
        message: `Should be between ${sayWay(least)} and ${sayWay(most)}. Check the tape and type it again.`,
      };
    }
    return { ok: true, mm: value, text: bare.trim() };
  }

  function sayWay(v: number): string {
    return ways ? `${sayLength(Math.abs(v), tape)} ${ways[v < 0 ? 1 : 0]}` : sayLength(v, tape);
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
    onEnter(result.mm, result.text);
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
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem ? problemId : undefined}
          className="figure"
          autoComplete="off"
          inputMode="text"
          enterKeyHint="done"
          spellCheck={false}
          maxLength={60}
          placeholder={placeholder}
          value={draft ?? shown}
          status={problem ? 'error' : ''}
          onFocus={(e) => {
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
          onPressEnter={enter}
          onKeyDown={(e) => {
            if (e.key === 'Escape') setDraft(field, null);
          }}
        />
        {ways && mm !== null && (
          <button
            type="button"
            className="way"
            aria-label={`${label}: ${ways[mm < 0 ? 1 : 0]}. Change to ${ways[mm < 0 ? 0 : 1]}`}
            onClick={() => onEnter(-mm, typed ?? shown)}
          >
            {ways[mm < 0 ? 1 : 0]}
          </button>
        )}
      </div>
      {problem && (
        <p className="field-problem" id={problemId} role="alert">
          {problem}
          {mm !== null && (
            <button type="button" className="put-back" onClick={() => setDraft(field, null)}>
              Put back {shown}
            </button>
          )}
        </p>
      )}
    </div>
  );
}

/** Takes a closing word like `left`, `R` or `behind` off the text, and its sign; without one the length keeps its way. */
function splitWay(text: string, ways: Ways, now: number | null): { bare: string; sign: number } {
  const match = /^(.*?)\s*([a-z]+)$/i.exec(text.trim());
  const word = match?.[2]?.toLowerCase();
  const way = word ? ways.findIndex((w) => w.toLowerCase().startsWith(word)) : -1;
  if (match && way >= 0) return { bare: match[1]!, sign: way === 0 ? 1 : -1 };
  return { bare: text, sign: now !== null && now < 0 ? -1 : 1 };
}
