'use client';
import { Select } from 'antd';
import { ADJUSTER_STYLES, type Adjuster, type AdjusterStyle } from '@/core/job/slices/work/ride';
import { THREAD_NAMES, type ThreadName } from '@/core/materials/threads';
import { perTurn } from '@/core/ride/turns/adjusters';
import { formatDecimal } from '@/core/units/length';
import { edit, useJobPart } from '@/store/jobStore';

const STYLES: Record<AdjusterStyle, string> = {
  tube: 'tube between two hands of thread',
  end: 'one threaded end',
  fixed: 'no thread: fixed length',
};

type Props = {
  id: string;
  name: string;
  /** null while it was not said */
  adjuster: Adjuster | null;
  /** what either end is called */
  ends: readonly [string, string];
};

/** How one bar is made longer or shorter, and by how much in a turn. */
export function AdjusterRow({ id, name, adjuster, ends: [first, second] }: Props) {
  const tape = useJobPart((j) => j.tape);
  const thread = useJobPart((j) => j.cut.thread);
  const each = adjuster && perTurn(adjuster);
  const set = (to: Partial<Adjuster>) =>
    edit((j) => {
      const now = adjuster ?? { style: 'tube' as const, frame: thread, axle: thread };
      return { ...j, ride: { ...j.ride, adjusters: { ...j.ride.adjusters, [id]: { ...now, ...to } } } };
    });
  return (
    <li data-adjuster={id}>
      <b>{name}</b>
      <Select<AdjusterStyle>
        aria-label={`How the ${name} is adjusted`}
        value={adjuster?.style}
        placeholder="not said yet"
        options={ADJUSTER_STYLES.map((value) => ({ value, label: STYLES[value] }))}
        onChange={(style) => set({ style })}
      />
      {adjuster && adjuster.style !== 'fixed' && (
        <div className="two-up">
          <Thread label={`Thread, ${first} end`} value={adjuster.frame} onPick={(frame) => set({ frame })} />
          {adjuster.style === 'tube' && (
            <Thread label={`Thread, ${second} end`} value={adjuster.axle} onPick={(axle) => set({ axle })} />
          )}
        </div>
      )}
      {adjuster && (
        <span className="hint">
          {each === null
            ? 'Cut, or move a bracket.'
            : `One turn: ${formatDecimal(each, tape)} ${tape === 'mm' ? 'mm' : 'in'}.`}
        </span>
      )}
    </li>
  );
}

type ThreadProps = { label: string; value: ThreadName; onPick: (t: ThreadName) => void };

function Thread({ label, value, onPick }: ThreadProps) {
  return (
    <Select<ThreadName>
      aria-label={label}
      value={value}
      options={THREAD_NAMES.map((t) => ({ value: t, label: t }))}
      onChange={onPick}
    />
  );
}
