'use client';
import { adjusterOf } from '@/core/ride/turns/adjusters';
import { settingBars } from '@/core/ride/alignmentBars';
import { useJob } from '@/store/jobStore';
import { AdjusterRow } from './AdjusterRow';
import { ArmAdjuster } from './ArmAdjuster';
import { TurnTable } from './TurnTable';

/** How each bar that sets something is made longer or shorter. */
export function Adjusters() {
  const job = useJob();
  const all = settingBars(job.rig);
  const bars = all.filter((b) => b.by === 'length');
  const arm = all.some((b) => b.by === 'pin');
  if (bars.length === 0 && !arm) return null;
  return (
    <details className="approach no-print">
      <summary>How each bar is adjusted, and what a turn does</summary>
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
        {arm && <ArmAdjuster />}
      </ul>
      <TurnTable />
    </details>
  );
}
