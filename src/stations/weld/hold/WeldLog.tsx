import { sayMoment } from '@/ui/paper/dates';
import type { Job } from '@/core/job/jobSchema';
import { capital } from '@/core/rig/names';
import { heldName } from '@/core/weld/held';

/** What was done to each bracket, when, and the reasons written where a hold was passed. */
export function WeldLog({ job }: { job: Job }) {
  const { log } = job.weld;
  if (log.length === 0) return null;
  return (
    <section className="section weld-log">
      <h2>Record</h2>
      <ul>
        {[...log].reverse().map((e, i) => (
          <li key={e.at + i}>
            <b>
              {capital(heldName(job, e.member, e.bracket))} {e.to === 'scribed' ? 'cut loose' : e.to}
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
