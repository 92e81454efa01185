'use client';
import { useState } from 'react';
import { isAcceptable, withAccepted } from '@/core/provenance/accept';
import { spokenOf, type Input, type InputId } from '@/core/provenance/inputs';
import { edit, useJobPart } from '@/store/jobStore';
import { settleAt } from '@/ui/shell/settleAt';

/** So many things are named; past that, the list hides what is said. */
const NAMED = 3;

/**
 * What a verdict hangs on that nobody has read or said: each is one touch from where it is settled, or is taken as right. `most`: the one
 * that counts most, if that is known, is named first.
 */
export function Guesses({ guesses, most }: { guesses: Input[]; most?: InputId }) {
  const id = useJobPart((job) => job.id);
  const [whole, setWhole] = useState(false);
  const first = guesses.find(({ id }) => id === most);
  const inOrder = first ? [first, ...guesses.filter((guess) => guess !== first)] : guesses;
  // Of what goes by one name the first is kept.
  const names = inOrder.map(spokenOf);
  const things = inOrder.filter((guess, i) => names.indexOf(spokenOf(guess)) === i);
  const named = whole ? things : things.slice(0, NAMED);
  const acceptable = guesses.filter(isAcceptable);
  return (
    <div className="guesses" data-part="guesses">
      <span>Guessed, not read or said:</span>
      {named.map((guess) => (
        <button
          key={spokenOf(guess)}
          type="button"
          className="guess"
          onClick={() => settleAt(id, guess.settle)}
        >
          {spokenOf(guess)}
          {guess === first && things.length > 1 && ' (counts most)'}
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
