import { NoAnswer } from './supervised';

/** How long after no worker has answered it is asked again, ms. */
const ANOTHER_TRY = 5000;

/**
 * Does the newest of what it is asked, one at a time: while one runs, only the last asked for waits, so that a drag never queues up
 * behind itself. That no worker answers is said on the bench; what was asked is asked again, unless something newer has been.
 */
export function newestOnly<T>(work: (wanted: T) => Promise<void>): (wanted: T) => Promise<void> {
  let busy = false;
  let waiting: { wanted: T } | null = null;
  let again: ReturnType<typeof setTimeout> | undefined;
  return async function ask(wanted) {
    clearTimeout(again);
    if (busy) {
      waiting = { wanted };
      return;
    }
    busy = true;
    try {
      for (let next: { wanted: T } | null = { wanted }; next !== null;) {
        waiting = null;
        const { wanted: asked } = next;
        if (!(await isAnswered(work(asked))) && !waiting)
          again = setTimeout(() => void ask(asked), ANOTHER_TRY);
        next = waiting;
      }
    } finally {
      busy = false;
    }
  };
}

const isAnswered = (work: Promise<void>): Promise<boolean> =>
  work.then(
    () => true,
    (error: unknown) => {
      if (!(error instanceof NoAnswer)) throw error;
      return false;
    },
  );
