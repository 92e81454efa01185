import type { Job } from '@/core/job/jobSchema';
import { actsDone, useJobStore, type Acts } from '../jobStore';
import { db, type ActsRow } from './db';
import { SEAT, TAB } from './ids';
import { mergedJob, sameStored, sharing } from '../merging/merge';

/** Seats whose acts are kept of one job. */
const SEATS = 4;

/** Long enough after the last write that no letter waits for it, ms. */
const AT_REST = 150;

/** The job on the bench as it was stored last, whose acts are still to be kept; and when that will be. */
let due: { job: Job; timer: ReturnType<typeof setTimeout> } | null = null;

/** Keeps what could be undone of the job on the bench, just stored, once the hand rests: hundreds of states are a lot to write. */
export function keepActsAtRest(): void {
  if (due) clearTimeout(due.timer);
  const { job } = useJobStore.getState();
  due = job && { job, timer: setTimeout(() => void keepActs(), AT_REST) };
}

/** Keeps it now, where that is still to be done: the job or the page is left. Where there is no room for it, it ends with the page. */
export async function keepActs(): Promise<void> {
  if (!due) return;
  const { job: present, timer } = due;
  clearTimeout(timer);
  due = null;
  // What has been changed meanwhile is stored in its turn, and comes back here.
  if (present !== useJobStore.getState().job) return;
  try {
    await db.acts.put({
      jobId: present.id,
      seat: SEAT,
      tab: TAB,
      at: new Date().toISOString(),
      ...actsDone(),
      present,
    });
  } catch {
    // The job itself is what must be stored, and says so where it is not.
  }
}

/**
 * What can be undone of a job that is brought to the bench: what was kept at this seat, or else what was kept last. A page that
 * went before it had kept its very last acts leaves them as one. What has been changed since then elsewhere is no act of this
 * bench, and is in every state.
 *
 * @param by the tab that stored the job last
 */
export async function actsOf(now: Job, by?: string): Promise<Acts> {
  const rows = await db.acts.where({ jobId: now.id }).sortBy('at');
  await db.acts.bulkDelete(rows.slice(0, -SEATS).map(({ jobId, seat }): [string, string] => [jobId, seat]));
  const row = rows.find(({ seat }) => seat === SEAT) ?? rows.at(-1);
  if (!row) return { past: [], future: [] };
  return standsIn(row, now) ?? (row.tab !== undefined && row.tab === by ? wentOn(row) : carried(row, now));
}

/** The acts about a state that is among those that were kept, as after undo; null where it is none of them. */
function standsIn({ past, present, future }: ActsRow, now: Job): Acts | null {
  if (sameStored(present, now)) return { past, future };
  const all = [...past, present, ...future];
  const text = JSON.stringify(now);
  const i = all.findIndex((state) => JSON.stringify(state) === text);
  return i < 0 ? null : { past: all.slice(0, i), future: all.slice(i + 1) };
}

const wentOn = ({ past, present }: ActsRow): Acts => ({ past: [...past, present], future: [] });

function carried({ past, present, future }: ActsRow, now: Job): Acts {
  const here = sharing(present, now);
  const into = (state: Job) => mergedJob(present, state, here).value;
  return { past: past.map(into), future: future.map(into) };
}
