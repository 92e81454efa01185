'use client';
import { Select } from 'antd';
import { THREAD_NAMES, type ThreadName } from '@/core/materials/threads';
import { perTurn, adjusterOf } from '@/core/ride/adjusters';
import { formatDecimal } from '@/core/units/length';
import { edit, useJob } from '@/store/jobStore';
import { ADJUSTER_STYLES, type Adjuster, type AdjusterStyle } from '@/core/job/slices/ride';
import { settingBars } from '@/core/ride/alignmentBars';

const STYLES: Record<AdjusterStyle, string> = {
  tube: 'tube between two hands of thread',
  end: 'one threaded end',
  fixed: 'no thread: fixed length',
};

/** How each bar that sets something is made longer or shorter. */
export function Adjusters() {
  const job = useJob();
  const bars = settingBars(job.rig).filter((b) => b.by === 'length');
  if (bars.length === 0) return null;
  return (
    <details className="approach no-print">
      <summary>How each bar is adjusted</summary>
      <ul className="adjusters">
        {bars.map((bar) => {
          const adjuster = adjusterOf(job, bar);
          const each = perTurn(adjuster);
          const set = (to: Partial<Adjuster>) =>
            edit((j) => ({
              ...j,
              ride: { ...j.ride, adjusters: { ...j.ride.adjusters, [bar.id]: { ...adjuster, ...to } } },
            }));
          return (
            <li key={bar.id} data-adjuster={bar.id}>
              <b>{bar.name}</b>
              <Select<AdjusterStyle>
                aria-label={`How the ${bar.name} is adjusted`}
                value={adjuster.style}
                options={ADJUSTER_STYLES.map((value) => ({ value, label: STYLES[value] }))}
                onChange={(style) => set({ style })}
              />
              {adjuster.style !== 'fixed' && (
                <div className="two-up">
                  <Thread
                    label="Thread, frame end"
                    value={adjuster.frame}
                    onPick={(frame) => set({ frame })}
                  />
                  {adjuster.style === 'tube' && (
                    <Thread label="Thread, axle end" value={adjuster.axle} onPick={(axle) => set({ axle })} />
                  )}
                </div>
              )}
              <span className="hint">
                {each === null
                  ? 'Cut, or move a bracket.'
                  : `One turn: ${formatDecimal(each, job.tape)} ${job.tape === 'mm' ? 'mm' : 'in'}.`}
              </span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

function Thread({
  label,
  value,
  onPick,
}: {
  label: string;
  value: ThreadName;
  onPick: (t: ThreadName) => void;
}) {
  return (
    <Select<ThreadName>
      aria-label={label}
      value={value}
      options={THREAD_NAMES.map((t) => ({ value: t, label: t }))}
      onChange={onPick}
    />
  );
}
