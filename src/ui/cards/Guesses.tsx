'use client';
import { useState } from 'react';
import { isAcceptable, withAccepted } from '@/core/provenance/accept';
import type { Input } from '@/core/provenance/inputs';
import { edit, useJobPart } from '@/store/jobStore';
import { settleAt } from '@/ui/shell/settleAt';

/** So many things are named; past that, the list hides what is said. */
const NAMED = 3;

/** What a verdict hangs on that nobody has read or said: each is one touch from where it is settled, or is taken as right. */
export function Guesses({ guesses }: { guesses: Input[] }) {
  const id = useJobPart((job) => job.id);
  const [whole, setWhole] = useState(false);
  const things = [...new Map(guesses.map((guess) => [guess.of ?? guess.name, guess])).entries()];
  const named = whole ? things : things.slice(0, NAMED);
  const acceptable = guesses.filter(isAcceptable);
  return (
    <div className="guesses" data-part="guesses">
      <span>Guessed, not read or said:</span>
      {named.map(([of, guess]) => (
        <button key={of} type="button" className="guess" onClick={() => settleAt(id, guess.settle)}>
          {of}
        </button>
      ))}
      {things.length > named.length && (
        <button type="button" className="guess" onClick={() => setWhole(true)}>
          and {things.length - named.length} more
        </button>
      )}
      {named.length === things.length && acceptable.length > 0 && (
        <button
          type="button"
          className="guess-right"
          onClick={() => edit((job) => withAccepted(job, idsOf(acceptable)))}
        >
          {acceptable.length < guesses.length
            ? 'What is drawn and usual among these is right'
            : things.length === 1
              ? 'It is right as it stands'
              : 'These are right as they stand'}
        </button>
      )}
    </div>
  );
}

const idsOf = (inputs: Input[]): string[] => inputs.map(({ id }) => id);
