import { Worker } from 'node:worker_threads';

/** An answer as text, or the place in the rig and what was expected there. */
export type Solved = { ok: true; text: string } | { ok: false; path: string; expected: string };

/** The most that one rig may take: time in ms, memory in MB. A sweep of 200 000 poses takes about half of either. */
const BUDGET = { time: 60_000, memory: 2048 };
/** Rigs that are solved at one time. */
const AT_ONCE = 2;

let running = 0;

/** Why a rig was not solved, and the status that says so. */
export class NotSolved extends Error {
  constructor(
    readonly status: 413 | 422 | 499 | 503,
    message: string,
  ) {
    super(message);
    this.name = 'NotSolved';
  }
}

/**
 * A rig's whole answer, worked out in a thread of its own, so that the server goes on answering others meanwhile.
 *
 * @param left ends the work, as when the caller has gone
 * @throws NotSolved where it takes more than its budget, or too many are at work
 */
export async function solveApart(rig: string, left: AbortSignal, budget = BUDGET): Promise<Solved> {
  if (running >= AT_ONCE) throw new NotSolved(503, 'other rigs are being solved; try again in a moment');
  running++;
  try {
    return await inThread(rig, left, budget);
  } finally {
    running--;
  }
}

function inThread(rig: string, left: AbortSignal, budget: typeof BUDGET): Promise<Solved> {
  const worker = new Worker(new URL('./solve.worker.ts', import.meta.url), {
    resourceLimits: { maxOldGenerationSizeMb: budget.memory },
  });
  return new Promise<Solved>((done, fail) => {
    const timer = setTimeout(
      () =>
        fail(new NotSolved(422, `not solved within ${budget.time / 1000} s; ask for fewer poses at a time`)),
      budget.time,
    );
    const leave = () => fail(new NotSolved(499, 'the caller has gone'));
    if (left.aborted) leave();
    left.addEventListener('abort', leave, { once: true });
    worker.once('message', done);
    worker.once('error', (error: NodeJS.ErrnoException) =>
      fail(
        error.code === 'ERR_WORKER_OUT_OF_MEMORY'
          ? new NotSolved(413, `takes more than ${budget.memory} MB; ask for fewer poses at a time`)
          : error,
      ),
    );
    worker.postMessage(rig);
    worker.once('exit', () => {
      clearTimeout(timer);
      left.removeEventListener('abort', leave);
      fail(new Error('the thread ended without an answer'));
    });
  }).finally(() => void worker.terminate());
}
