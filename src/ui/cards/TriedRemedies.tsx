'use client';
import { sayEffects, sayTrade } from '@/core/advice/words';
import { canBeTaken, withRemedy } from '@/core/verdict/remedy';
import type { Judged } from '@/core/verdict/verdict';
import { edit, useJob } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { useAdvice } from '@/workers/advice';

/** What cures a verdict, each tried on the whole car: a button takes it, in one step of undo. */
export function TriedRemedies({ verdict, station }: { verdict: Judged; station: string }) {
  const job = useJob();
  const advice = useAdvice(job, station, verdict);
  if (advice === undefined)
    return (
      <>
        <p className="trying">Trying what would cure it…</p>
        <ReadOnly texts={verdict.remedies.filter((r) => !canBeTaken(r)).map(({ text }) => text)} />
      </>
    );
  if (advice === null) return null;
  const { offered, priced, read, searched } = advice;
  return (
    <>
      {offered.map(({ remedy, effects }) => (
        <div key={remedy.text}>
          <button
            type="button"
            className="remedy"
            onClick={() => {
              setRocker(0, 0);
              edit((j) => withRemedy(j, remedy));
            }}
          >
            {remedy.text}
          </button>
          {effects.length > 0 && <p className="effects">Also: {sayEffects(effects, job.tape)}.</p>}
        </div>
      ))}
      {priced.map(({ remedy, spoils, trade }) => (
        <p key={remedy.text} className="priced">
          {remedy.text} would cure it, but then: {spoils.join('; ')}. {trade && sayTrade(trade, job.tape)}
        </p>
      ))}
      {searched > 0 && offered.length === 0 && priced.length === 0 && (
        <p className="priced">No one change of {searched} that were tried cures it by itself.</p>
      )}
      <ReadOnly texts={read.map(({ text }) => text)} />
    </>
  );
}

const ReadOnly = ({ texts }: { texts: string[] }) =>
  texts.map((text) => (
    <p key={text} className="advice">
      {text}
    </p>
  ));
