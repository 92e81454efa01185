'use client';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { sayEffects } from '@/core/advice/words';
import { changesBetween, settingsOf } from '@/core/drive/setUps';
import type { Suggestion } from '@/core/drive/suggestions';
import { withRemedy } from '@/core/verdict/remedy';
import { namesOfGuesses } from '@/core/bench/figures';
import type { Feel, Phase } from '@/core/job/slices/work/drive';
import { capital } from '@/core/rig/names';
import { edit, useJob } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { askSuggestions } from '@/workers/choosing/search';
import { useAnswer } from '@/workers/useAnswer';
import { Compare } from './Compare';
import { FEEL_WORDS, GOOD, PHASE_WORDS } from './words';

type Complaint = { phase: Phase; feel: Feel };

/** What the model would change about what was felt last; one thing, then drive it. And any two set-ups side by side. */
export function TunePart() {
  const job = useJob();
  const { drive, tape } = job;
  const last = drive.outings.at(-1);
  const complaints = (Object.entries(last?.feel ?? {}) as [Phase, Feel][])
    .filter(([, feel]) => !GOOD.includes(feel))
    .map(([phase, feel]): Complaint => ({ phase, feel }));
  const [picked, setPicked] = useState(0);
  const complaint = complaints[Math.min(picked, complaints.length - 1)];
  const driven = last && drive.setUps[last.setUp];
  const undriven = driven ? changesBetween(driven, { settings: settingsOf(job), figures: null }, tape) : [];
  return (
    <>
      <CardHead title="What to change next">
        {last
          ? 'About what was felt last. One thing, then drive it.'
          : 'Log an outing first: nothing is changed for its own sake.'}
      </CardHead>
      {undriven.length > 0 && (
        <p className="changed" data-part="undriven">
          Changed since the last outing: {undriven.join('; ')}. Drive that first; what is changed twice at
          once cannot be told apart.
        </p>
      )}
      {last && complaints.length === 0 && <p>Nothing was felt that asks for a change.</p>}
      {complaint && (
        <>
          <label className="which-bar">
            <span>About</span>
            <Select
              aria-label="About what was felt"
              value={complaints.indexOf(complaint)}
              onChange={setPicked}
              options={complaints.map(({ phase, feel }, value) => ({
                value,
                label: `${PHASE_WORDS[phase]}: ${FEEL_WORDS[feel]}`,
              }))}
            />
          </label>
          <Suggestions complaint={complaint} held={undriven.length > 0} />
        </>
      )}
      <Compare />
    </>
  );
}

function Suggestions({ complaint: { phase, feel }, held }: { complaint: Complaint; held: boolean }) {
  const job = useJob();
  const said = useAnswer(`${phase} ${feel}`, job, () => askSuggestions(job, phase, feel));
  if (said === null) return <p className="hint">Trying each change on the whole car…</p>;
  if (typeof said === 'string') return <p className="field-problem">{said}</p>;
  const { unknown } = said;
  const suggestions = said.suggestions.slice(0, MOST);
  const offered = suggestions.filter(({ spoils }) => spoils.length === 0).length;
  const guesses = suggestions.some(({ want }) => want.what === 'frontShare')
    ? namesOfGuesses(job, 'frontShare')
    : [];
  return (
    <section data-part="suggestions">
      {unknown.length > 0 && (
        <p className="changed">
          How the car is balanced is not known: its springs, weights and the height of its centre of gravity
          are not all told. Without them nothing is suggested about it.
        </p>
      )}
      {guesses.length > 0 && (
        <p className="hint">
          Rests on what is guessed, not read: {guesses.join('; ')}. The way is right; the size may not be.
        </p>
      )}
      {offered === 0 && unknown.length === 0 && (
        <p>
          Nothing that can be changed here answers it without spoiling something else. If it came of itself,
          look under Find a fault.
        </p>
      )}
      <ol className="suggestions">
        {suggestions.map((one) => (
          <Suggested1 key={one.remedy.text} one={one} held={held} />
        ))}
      </ol>
    </section>
  );
}

/** So many are shown. */
const MOST = 6;

function Suggested1({
  one: { remedy, want, effects, ease, spoils },
  held,
}: {
  one: Suggestion;
  held: boolean;
}) {
  const { tape } = useJob();
  return (
    <li data-suggestion={remedy.text}>
      <h2>{capital(remedy.text)}</h2>
      <p>
        {capital(want.why)}.{' '}
        <span className="hint">{ease === 0 ? 'A bolt in another hole.' : 'A bracket or springs.'}</span>
      </p>
      <p className="hint">Changes: {sayEffects(effects, tape)}.</p>
      {spoils.length > 0 ? (
        <p className="changed">Not offered, for then: {spoils.join('. ')}.</p>
      ) : (
        <Button disabled={held} onClick={() => edit((j) => withRemedy(j, remedy))}>
          Set it so
        </Button>
      )}
    </li>
  );
}
