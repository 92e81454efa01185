import type { Job } from '@/core/job/jobSchema';
import { actsDone, isInHand, useJobStore, type Acts } from '../jobStore';
import { db, type ActsRow } from './db';
import { SEAT } from './ids';
import { mergedJob, sharing } from '../merging/merge';

/** Seats whose acts are kept of one job. */
const SEATS = 4;

/** Long enough after the last write that no letter waits for it, ms. */
const AT_REST = 400;

let timer: ReturnType<typeof setTimeout> | null = null;

/** Keeps what could be undone of the job on the bench once the hand rests: hundreds of states are a lot to write. */
export function keepActsAtRest(): void {
  if (timer !== null) clearTimeout(timer);
  // In the middle of a drag the bench shows what is no act yet.
  timer = setTimeout(() => (isInHand() ? keepActsAtRest() : void keepActs()), AT_REST);
}

/** Keeps it now, if that is still to be done: the job or the page is left. Where there is no room for it, it ends with the page. */
export async function keepActs(): Promise<void> {
  if (timer === null || isInHand()) return;
  clearTimeout(timer);
  timer = null;
  const present = useJobStore.getState().job;
  if (!present) return;
  try {
    await db.acts.put({
      jobId: present.id,
      seat: SEAT,
      at: new Date().toISOString(),
      ...actsDone(),
      present,
    });
  } catch {
    // The job itself is what must be stored, and says so where it is not.
  }
}

/**
 * What can be undone of a job that is brought to the bench: what was kept at this seat, or else what was kept last. What has
 * been changed since then elsewhere is no act of this bench, and is in every state.
 */
export async function actsOf(now: Job): Promise<Acts> {
  const rows = await db.acts.where({ jobId: now.id }).sortBy('at');
  await db.acts.bulkDelete(rows.slice(0, -SEATS).map(({ jobId, seat }): [string, string] => [jobId, seat]));
  const row = rows.find(({ seat }) => seat === SEAT) ?? rows.at(-1);
  return row ? carried(row, now) : { past: [], future: [] };
}

function carried({ past, present, future }: ActsRow, now: Job): Acts {
  const here = sharing(present, now);
  if (here === present) return { past, future };
  const into = (state: Job) => mergedJob(present, state, here).value;
  return { past: past.map(into), future: future.map(into) };
}
