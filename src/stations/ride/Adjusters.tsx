'use client';
import { adjusterOf } from '@/core/ride/adjusters';
import { settingBars } from '@/core/ride/alignmentBars';
import { useJob } from '@/store/jobStore';
import { AdjusterRow } from './AdjusterRow';

/** How each bar that sets something is made longer or shorter. */
export function Adjusters() {
  const job = useJob();
  const bars = settingBars(job.rig).filter((b) => b.by === 'length');
  if (bars.length === 0) return null;
  return (
    <details className="approach no-print">
      <summary>How each bar is adjusted</summary>
      <ul className="adjusters">
        {bars.map((bar) => (
          <AdjusterRow
            key={bar.id}
            id={bar.id}
            name={bar.name}
            adjuster={adjusterOf(job, bar)}
            ends={['frame', 'axle']}
          />
        ))}
      </ul>
    </details>
  );
}
