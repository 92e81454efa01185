import { sayMoment } from '@/ui/paper/dates';
import { capital, memberName } from '@/core/rig/names';
import type { AxleEnd } from '@/core/rig/schema';
import type { WeldEvent } from '@/core/job/slices/work/weld';

/** What was done to each bracket, when, and the reasons written where a hold was passed. */
export function WeldLog({ log, end }: { log: WeldEvent[]; end: AxleEnd }) {
  if (log.length === 0) return null;
  return (
    <section className="section weld-log">
      <h2>Record</h2>
      <ul>
        {[...log].reverse().map((e, i) => (
          <li key={e.at + i}>
            <b>
              {capital(memberName(e.member, end))}, {e.bracket} bracket{' '}
              {e.to === 'scribed' ? 'cut loose' : e.to}
            </b>{' '}
            <span className="hint">{sayMoment(e.at)}</span>
            {e.reason && <p>“{e.reason}”</p>}
            {e.open && <p className="hint">Open then: {e.open.join('; ')}.</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}
