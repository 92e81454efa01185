'use client';
import { removalOrder } from '@/core/place/order';
import { useJob } from '@/store/jobStore';

/** Which member comes off when, on a car that is together. */
export function Removal() {
  const job = useJob();
  return (
    <details className="approach">
      <summary>Together already? Which link comes off when</summary>
      <ol className="removal">
        {removalOrder(job.rig).map((step) => (
          <li key={step.id}>
            <b>{step.name}</b>
            {step.frees ? `: without it, ${step.frees.replace(/^nothing/, 'nothing')}.` : '.'}{' '}
            <span className="hint">{step.hold}</span>
          </li>
        ))}
      </ol>
      <p className="hint approach-body">One at a time, the new one in and snug before the next comes off.</p>
    </details>
  );
}
