'use client';
import type { ResultKey } from '@/core/locate/resultUncertainty';
import { COVERAGE } from '@/core/survey/uncertainty';
import { finer } from '@/core/units/tape';
import { roundUp } from '@/core/units/values';
import { useJob } from '@/store/jobStore';
import { Frac } from '@/ui/figures/Frac';
import { useUncertainty } from '@/workers/locate';

/** How far a result can be trusted, once the hand rests: `± 3/16`, at about 95 %. */
export function PlusMinus({ of, unit = 'length' }: { of: ResultKey; unit?: 'length' | '%' | '°' }) {
  const job = useJob();
  const { of: found, job: about } = useUncertainty();
  const u = about === job ? (found?.[of] ?? null) : null;
  if (u === null) return null;
  const within = COVERAGE * u;
  return (
    <span
      className="plus-minus"
      title="Nineteen times in twenty, if mounts stand as near as a tape sets them"
    >
      {' '}
      ±{' '}
      {unit === 'length' ? (
        <Frac mm={roundUp(within, 'length', job.tape)} tape={finer(job.tape)} />
      ) : unit === '%' ? (
        Math.max(1, Math.ceil(within))
      ) : (
        `${Math.max(0.01, within).toFixed(2)}°`
      )}{' '}
    </span>
  );
}
