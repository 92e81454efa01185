'use client';
import { dequal } from 'dequal/lite';
import { memo, useEffect, useRef, useState } from 'react';
import { aboutOf, type Finding, type Judged, type State } from '@/core/verdict/verdict';
import { flag, pickFlag, strikeFlags, useFlags } from '@/store/flags';
import { useHelps } from '@/workers/advice';
import { Guesses } from './Guesses';
import { TriedRemedies } from './TriedRemedies';
import './verdicts.css';

const WORDS: Record<State, string> = { ok: 'holds', look: 'look', stop: 'stop', unknown: 'not known' };
const SIGNS: Record<State, string> = {
  ok: 'M3 9 L7 13 L15 4',
  look: 'M9 3 V11 M9 14.5 V15',
  stop: 'M4 4 L14 14 M14 4 L4 14',
  unknown: 'M5.5 6.5 A3.5 3.5 0 1 1 9 10 V11.5 M9 14.5 V15',
};
/** What a verdict would come to were all its guesses right. */
const WOULD: Record<Finding, string> = {
  ok: 'Would hold.',
  look: 'Would want a look.',
  stop: 'Would stop it.',
};

/** @param tried the station whose remedies are tried before they are offered; without it they are as they were said */
export function Verdicts({
  verdicts,
  tried,
}: {
  verdicts: Judged[];
  tried?: 'locate' | 'roll' | 'prove' | 'cut';
}) {
  useEffect(() => flag(verdicts), [verdicts]);
  useEffect(() => strikeFlags, []);
  return (
    <>
      <ul className="verdicts">
        {verdicts.map((v, i) => (
          <OneVerdict key={`${v.id}${i}`} verdict={v} tried={tried} index={i} />
        ))}
      </ul>
      <Changes verdicts={verdicts} />
    </>
  );
}

/** How long verdicts stand still before it is said how they have changed, ms: a drag passes through many. */
const STILL = 700;

/** Says to a reader of the screen which verdicts have turned, and nothing of those that have not. */
function Changes({ verdicts }: { verdicts: Judged[] }) {
  const [said, setSaid] = useState('');
  const before = useRef<Judged[] | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => {
      if (before.current) setSaid(turned(before.current, verdicts));
      before.current = verdicts;
    }, STILL);
    return () => clearTimeout(timer);
  }, [verdicts]);
  return (
    <p className="unseen" role="status">
      {said}
    </p>
  );
}

/** `Travel: stop. Clearance: holds.` */
function turned(before: Judged[], now: Judged[]): string {
  const states = new Map(before.map(({ id, state }) => [id, state]));
  return now
    .filter(({ id, state }) => states.get(id) !== state)
    .map(({ title, state }) => `${title}: ${WORDS[state]}.`)
    .join(' ');
}

/** Verdict, reason, what it hangs on, what can be done about it. */
const OneVerdict = memo(
  function OneVerdict({ verdict: v, tried, index }: { verdict: Judged; tried?: string; index: number }) {
    const line = useRef<HTMLLIElement>(null);
    const about = aboutOf(v);
    const most = useHelps(v.id);
    const picked = useFlags((s) => (s.picked?.about === about ? s.picked : null));
    useEffect(() => {
      if (picked?.on === 'bay') line.current?.scrollIntoView({ block: 'nearest' });
    }, [picked]);
    return (
      <li
        ref={line}
        className={`verdict ${v.state}${picked ? ' picked' : ''}`}
        data-verdict={v.id}
        data-state={v.state}
        data-would={v.would}
      >
        <span className="stamp">
          <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden>
            <path d={SIGNS[v.state]} />
          </svg>
          {WORDS[v.state]}
          <FlagButton about={about} number={index + 1} />
        </span>
        <div>
          <h2>{v.title}</h2>
          <p>
            {v.state === 'unknown' && <b>{WOULD[v.would]} </b>}
            {v.reason}
          </p>
          {v.guesses.length > 0 && <Guesses guesses={v.guesses} most={most} />}
          {tried && v.would !== 'ok' ? (
            <TriedRemedies verdict={v} station={tried} />
          ) : (
            v.remedies.map(({ text }) => (
              <p key={text} className="advice">
                {text}
              </p>
            ))
          )}
        </div>
      </li>
    );
  },
  // The worker makes each verdict anew: it is what it says that counts.
  (a, b) => a.tried === b.tried && a.index === b.index && dequal(a.verdict, b.verdict),
);

/** The number of a verdict’s flag in the bay; touched, the flag is shown there. */
function FlagButton({ about, number }: { about: string; number: number }) {
  const drawn = useFlags((s) => s.drawn.has(about));
  if (!drawn) return null;
  return (
    <button
      type="button"
      className="flag-number no-print"
      aria-label={`Show ${number} in the drawing`}
      onClick={() => pickFlag(about, 'card')}
    >
      <span>{number}</span>
    </button>
  );
}
