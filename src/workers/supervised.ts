import { wrap, type Remote } from 'comlink';
import { create } from 'zustand';

/** An answer that takes longer than this is late: figures on the screen are then said to be from before, ms. */
const LATE = 700;
/** How often a worker is started anew for one question. */
const RESTARTS = 1;

/** Whether answers are on their way for longer than they should be, and whether no worker answers at all. */
export const useHealth = create<{ late: boolean; gone: boolean }>()(() => ({ late: false, gone: false }));

/** Whether what is on the screen may have been worked out from an earlier state of the job. */
export const isStale = ({ late, gone } = useHealth.getState()): boolean => late || gone;

/** No worker answers: it cannot be started, died, or gave no answer in its time, more than once. */
export class NoAnswer extends Error {
  constructor(cause?: unknown) {
    super('no worker answers', { cause });
    this.name = 'NoAnswer';
  }
}

let lateQuestions = 0;
const countLate = (by: 1 | -1) => {
  lateQuestions += by;
  useHealth.setState({ late: lateQuestions > 0 });
};

type Running<Api> = { worker: Worker; api: Remote<Api>; died: Promise<never> };

/**
 * A worker that is started when it is first asked, and anew when it dies or gives no answer.
 *
 * @param patience the longest that any answer may take, ms
 * @param figures whether what it answers are the figures on the screen, which are then said to be from before while it is late or gone
 */
export function supervised<Api>(start: () => Worker, patience: number, figures = true) {
  let running: Running<Api> | null = null;

  function begin(): Running<Api> {
    const worker = start();
    const died = new Promise<never>((_, fail) => {
      worker.addEventListener('error', fail);
      worker.addEventListener('messageerror', fail);
    });
    // It may die while nobody waits for it; the next question finds that out.
    died.catch(() => end(worker));
    return { worker, api: wrap<Api>(worker), died };
  }

  function end(worker: Worker | undefined): void {
    worker?.terminate();
    if (running?.worker === worker) running = null;
  }

  async function once<P extends Promise<unknown>>(work: (api: Remote<Api>) => P): Promise<Awaited<P>> {
    running ??= begin();
    const { worker, api, died } = running;
    let timer: ReturnType<typeof setTimeout>;
    const overdue = new Promise<never>((_, fail) => {
      timer = setTimeout(() => fail(new Error(`no answer within ${patience} ms`)), patience);
    });
    try {
      return await Promise.race([work(api), died, overdue]);
    } catch (error) {
      end(worker);
      throw error;
    } finally {
      clearTimeout(timer!);
    }
  }

  /** @throws NoAnswer */
  async function answered<P extends Promise<unknown>>(work: (api: Remote<Api>) => P): Promise<Awaited<P>> {
    for (let tries = 0; ; tries++) {
      try {
        const answer = await once(work);
        if (figures) useHealth.setState({ gone: false });
        return answer;
      } catch (error) {
        if (tries < RESTARTS) continue;
        if (figures) useHealth.setState({ gone: true });
        throw new NoAnswer(error);
      }
    }
  }

  /**
   * Asks the worker something.
   *
   * @throws NoAnswer
   */
  return async function ask<P extends Promise<unknown>>(work: (api: Remote<Api>) => P): Promise<Awaited<P>> {
    let late = false;
    const timer = setTimeout(() => {
      late = figures;
      if (!late) return;
      countLate(1);
    }, LATE);
    try {
      return await answered(work);
    } finally {
      clearTimeout(timer);
      if (late) countLate(-1);
    }
  };
}
