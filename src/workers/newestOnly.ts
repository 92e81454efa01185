import { NoAnswer } from './supervised';

/** Does the newest of what it is asked, one at a time: while one runs, only the last asked for waits, so that a drag never queues up behind itself. */
export function newestOnly<T>(work: (wanted: T) => Promise<void>): (wanted: T) => Promise<void> {
  let busy = false;
  let waiting: { wanted: T } | null = null;
  return async (wanted) => {
    if (busy) {
      waiting = { wanted };
      return;
    }
    busy = true;
    try {
      for (let next: { wanted: T } | null = { wanted }; next !== null;) {
        waiting = null;
        await answeredOrSaid(work(next.wanted));
        next = waiting;
      }
    } finally {
      busy = false;
    }
  };
}

/** That no worker answers is said on the bench; what was asked stays unanswered, and what is asked next is tried again. */
const answeredOrSaid = (work: Promise<void>): Promise<void> =>
  work.catch((error: unknown) => {
    if (!(error instanceof NoAnswer)) throw error;
  });
