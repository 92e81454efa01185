'use client';
import type { TrustedKey } from '@/core/locate/trust';
import { COVERAGE } from '@/core/measure/uncertainty';
import { finer } from '@/core/units/tape';
import { roundUp } from '@/core/units/values';
import { useJob } from '@/store/jobStore';
import { Frac } from '@/ui/Frac';
import { useTrust } from '@/workers/analysis';

/** How far a result can be trusted, once the hand rests: `± 3/16`, at about 95 %. */
export function PlusMinus({ of, unit = 'length' }: { of: TrustedKey; unit?: 'length' | '%' | '°' }) {
  const job = useJob();
  const { trust, job: about } = useTrust();
  const u = about === job ? (trust?.[of] ?? null) : null;
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
