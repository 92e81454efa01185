import dayjs from 'dayjs';
import type { WeldEvent } from '@/core/job/schema';

/** What was done to each bracket, when, and the reasons written where a hold was passed. */
export function WeldLog({ log }: { log: WeldEvent[] }) {
  if (log.length === 0) return null;
  return (
    <section className="section weld-log">
      <h2>Record</h2>
      <ul>
        {[...log].reverse().map((e, i) => (
          <li key={e.at + i}>
            <b>
              {e.bracket === 'frame' ? 'Frame' : 'Axle'} bracket {e.to === 'scribed' ? 'cut loose' : e.to}
            </b>{' '}
            <span className="hint">{dayjs(e.at).format('D MMM YYYY, HH:mm')}</span>
            {e.reason && <p>“{e.reason}”</p>}
            {e.open && <p className="hint">Open then: {e.open.join('; ')}.</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}
