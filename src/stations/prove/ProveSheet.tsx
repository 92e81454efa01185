'use client';
import { partName, spokenPart } from '@/core/provenance/inputs';
import { isShort, weakestFirst } from '@/core/prove/prove';
import { CHECKS, type Check, type Proof } from '@/core/prove/types';
import { sayAmount, sayFactor, sayWanted } from '@/core/prove/verdicts';
import { capital } from '@/core/rig/names';
import type { Judged } from '@/core/verdict/verdict';
import type { Job } from '@/core/job/jobSchema';
import { useJob } from '@/store/jobStore';
import { PaperSheet } from '@/ui/paper/PaperSheet';
import { usePrinting } from '@/ui/paper/usePrinting';

const CAUTION =
  'Handbook strengths from memory against estimated loads: a factor says which part is the weak one, not that a car is safe. What holds an axle is life-critical: a qualified welder, an inspector and the rules of the place come before this sheet, which certifies nothing.';

/** So many checks of a part are on paper: past the weakest, they only say that it holds. */
const EACH = 3;

/** What was proved, part by part, on paper. */
export function ProveSheet({ proof, verdicts }: { proof: Proof; verdicts: Judged[] }) {
  const job = useJob();
  if (!usePrinting()) return null;
  const guessed = new Set(verdicts.flatMap(({ guesses }) => guesses.map(({ name }) => name)));
  return (
    <PaperSheet label="Strength" title="Will it hold" caution={CAUTION}>
      <table className="mounts-sheet">
        <thead>
          <tr>
            <th>Part</th>
            <th>Check</th>
            <th>Asked by</th>
            <th>Asks · has</th>
            <th>Times · wanted</th>
          </tr>
        </thead>
        <tbody>
          {weakestOf(job, proof.checks).map((check) => (
            <tr key={`${check.part} ${check.check}`}>
              <td>{capital(partName(job, check.part))}</td>
              <td>{CHECKS[check.check]}</td>
              <td>{check.case}</td>
              <td>
                {Number.isFinite(check.demand)
                  ? sayAmount(check.demand, check.unit, job.tape)
                  : 'without end'}{' '}
                · {sayAmount(check.capacity, check.unit, job.tape)}
              </td>
              <td>
                {sayFactor(check.factor, check.wanted)} · {sayWanted(check.wanted)}
                {isShort(check) && <b> short</b>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {guessed.size > 0 && (
        <p className="paper-guesses">Guessed, not read or said: {[...guessed].slice(0, 8).join('; ')}.</p>
      )}
      <p>
        Not proved:{' '}
        {proof.unproved
          .map(({ part, why }) => `${part[0]!.toLowerCase()}${part.slice(1)} (${why})`)
          .join('; ')}
        .
      </p>
    </PaperSheet>
  );
}

/** The weakest checks of each part, of a pair that is alike those of the worse; part by part. */
function weakestOf(job: Job, checks: Check[]): Check[] {
  const parts = new Map<string, Check[]>();
  for (const check of [...checks].sort(weakestFirst)) {
    const key = spokenPart(job, check.part);
    const had = parts.get(key) ?? [];
    if (had.length < EACH && !had.some((other) => other.check === check.check))
      parts.set(key, [...had, check]);
  }
  return [...parts.values()].flat();
}
