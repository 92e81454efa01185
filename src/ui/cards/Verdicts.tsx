'use client';
import { dequal } from 'dequal/lite';
import { memo, useEffect, useRef, useState } from 'react';
import type { State, Verdict } from '@/core/verdict/verdict';
import { edit } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import './verdicts.css';
import { withRoll } from '@/core/job/edits/roll';
import { withMounts } from '@/core/job/edits/mounts';

const WORDS: Record<State, string> = { ok: 'holds', look: 'look', stop: 'stop' };
const SIGNS: Record<State, string> = {
  ok: 'M3 9 L7 13 L15 4',
  look: 'M9 3 V11 M9 14.5 V15',
  stop: 'M4 4 L14 14 M14 4 L4 14',
};

export function Verdicts({ verdicts }: { verdicts: Verdict[] }) {
  return (
    <>
      <ul className="verdicts">
        {verdicts.map((v, i) => (
          <OneVerdict key={`${v.id}${i}`} verdict={v} />
        ))}
      </ul>
      <Changes verdicts={verdicts} />
    </>
  );
}

/** How long verdicts stand still before it is said how they have changed, ms: a drag passes through many. */
const STILL = 700;

/** Says to a reader of the screen which verdicts have turned, and nothing of those that have not. */
function Changes({ verdicts }: { verdicts: Verdict[] }) {
  const [said, setSaid] = useState('');
  const before = useRef<Verdict[] | null>(null);
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
function turned(before: Verdict[], now: Verdict[]): string {
  const states = new Map(before.map(({ id, state }) => [id, state]));
  return now
    .filter(({ id, state }) => states.get(id) !== state)
    .map(({ title, state }) => `${title}: ${WORDS[state]}.`)
    .join(' ');
}

/** Verdict, reason, remedy. A remedy that moves a mount is a button that does it, and one step of undo. */
const OneVerdict = memo(
  function OneVerdict({ verdict: v }: { verdict: Verdict }) {
    return (
      <li className={`verdict ${v.state}`} data-verdict={v.id} data-state={v.state}>
        <span className="stamp">
          <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden>
            <path d={SIGNS[v.state]} />
          </svg>
          {WORDS[v.state]}
        </span>
        <div>
          <h2>{v.title}</h2>
          <p>{v.reason}</p>
          {v.remedies.map(({ text, changes, roll }) =>
            changes || roll ? (
              <button
                key={text}
                type="button"
                className="remedy"
                onClick={() => {
                  setRocker(0, 0);
                  edit((job) => {
                    const moved = changes ? withMounts(job, changes) : job;
                    return roll ? withRoll(moved, roll) : moved;
                  });
                }}
              >
                {text}
              </button>
            ) : (
              <p key={text} className="advice">
                {text}
              </p>
            ),
          )}
        </div>
      </li>
    );
  },
  // The worker makes each verdict anew: it is what it says that counts.
  (a, b) => dequal(a.verdict, b.verdict),
);
