'use client';
import { useEffect, useState } from 'react';
import type { Graver } from '@/core/advice/tried';
import type { Answer } from '@/core/choose/answer';
import { useJob } from '@/store/jobStore';
import { startGraver } from '@/workers/choosing/choose';

/** So long a slider rests before the whole car is looked at with the place that it stands at, ms. */
const RESTS = 300;

/** What gets worse in the whole car at a place; where the search did not look, it is looked at now. */
export function WholeCar({ answer }: { answer: Answer }) {
  const asked = useGraver(answer);
  const graver = answer.graver ?? asked;
  if (graver === null)
    return (
      <p className="hint" role="status">
        The whole car is being looked at with it.
      </p>
    );
  if (typeof graver === 'string')
    return <p className="changed">What else it changes was not looked at: {graver}.</p>;
  const [stops, looks] = [true, false].map((stop) =>
    graver.filter(({ stops }) => stops === stop).map(({ said }) => said),
  ) as [string[], string[]];
  return (
    <div data-part="whole-car">
      {graver.length === 0 && <p className="hint">Nothing else of the car gets worse.</p>}
      {stops.length > 0 && <p className="changed">Stops the work: {stops.join('; ')}.</p>}
      {looks.length > 0 && <p className="changed">Worse than now: {looks.join('; ')}.</p>}
    </div>
  );
}

/** What is graver at a place that the search did not look at whole; null until that is known, in words why it is not. */
function useGraver(answer: Answer): Graver[] | string | null {
  const job = useJob();
  const [known, setKnown] = useState<{ answer: Answer; graver: Graver[] | string } | null>(null);
  const isAsked = answer.graver === null;
  useEffect(() => {
    if (!isAsked) return;
    let stop = () => {};
    const timer = setTimeout(() => {
      const running = startGraver(job, answer);
      stop = running.stop;
      void running.answer.then(
        (outcome) => outcome && setKnown({ answer, graver: outcome.ok ? outcome.result : outcome.message }),
      );
    }, RESTS);
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [job, answer, isAsked]);
  return known?.answer === answer ? known.graver : null;
}
