import { proxy, wrap, type Remote } from 'comlink';
import type { Brief } from '@/core/choose/brief';
import type { Graver } from '@/core/advice/tried';
import type { Compared } from '@/core/choose/candidates/compare';
import type { Answer } from '@/core/choose/answer';
import type { FoundMounts } from '@/core/choose/findMounts';
import type { Closeness } from '@/core/choose/builds';
import type { Chances, Spreads } from '@/core/choose/spread';
import type { Job } from '@/core/job/jobSchema';
import type { ChooseApi } from './choose.worker';
import type { Outcome } from '../outcome';

/** Longer than any of it takes on a slow device, ms. */
const PATIENCE = 120_000;

/** While a pointer drags something, a search rests: for so long after each movement, told no more often than, ms. */
const REST = 600;
const REST_TOLD_EVERY = 100;

/** A search under way: its answer, null where it was stopped; and how it is stopped. */
export type Running<T> = { answer: Promise<Outcome<T> | null>; stop: () => void };

/**
 * Starts something in a worker of its own, which is ended with it. A worker that dies, or gives no answer in its time, is an answer too:
 * in words, what became of it.
 */
function started<T>(work: (api: Remote<ChooseApi>) => Promise<Outcome<T>>): Running<T> {
  const worker = new Worker(new URL('./choose.worker.ts', import.meta.url), { type: 'module' });
  const api = wrap<ChooseApi>(worker);
  let stop = () => {};
  let timer: ReturnType<typeof setTimeout>;
  let awake = () => {};
  const answer = new Promise<Outcome<T> | null>((tell) => {
    const failed = () =>
      tell({ ok: false, message: 'the search stopped by itself and gave no answer; start it again' });
    const wait = () => {
      clearTimeout(timer);
      timer = setTimeout(failed, PATIENCE);
    };
    wait();
    // While it rests it cannot answer.
    awake = resting((ms) => {
      void api.rest(ms);
      wait();
    });
    worker.addEventListener('error', failed);
    worker.addEventListener('messageerror', failed);
    stop = () => tell(null);
    work(api).then(tell, failed);
  }).finally(() => {
    awake();
    clearTimeout(timer);
    worker.terminate();
  });
  return { answer, stop: () => stop() };
}

/** Lets something rest while a pointer drags: what follows the hand comes first. @returns ends that */
function resting(rest: (ms: number) => void): () => void {
  let told = -Infinity;
  const moved = ({ buttons, timeStamp }: PointerEvent) => {
    if (buttons === 0 || timeStamp - told < REST_TOLD_EVERY) return;
    told = timeStamp;
    rest(REST);
  };
  window.addEventListener('pointermove', moved, { capture: true, passive: true });
  return () => window.removeEventListener('pointermove', moved, { capture: true });
}

/** Looks for places of mounts that meet a brief. @param told how far it is, 0 to 1 */
export const startFind = (job: Job, brief: Brief, told: (share: number) => void): Running<FoundMounts> =>
  started((api) => api.find(job, brief, proxy(told)) as Promise<Outcome<FoundMounts>>);

/** Looks at the whole car with a place that was found: what is graver than now. */
export const startGraver = (job: Job, answer: Answer): Running<Graver[]> =>
  started((api) => api.graver(job, answer));

/** Builds the car many times over by chance. @param told how far it is, 0 to 1 */
export const startSpread = (
  job: Job,
  closeness: Closeness,
  chances: Chances,
  told: (share: number) => void,
): Running<Spreads> =>
  started((api) => api.spread(job, closeness, chances, proxy(told)) as Promise<Outcome<Spreads>>);

/** Works out every way of building the car that a job keeps. @param told how far it is, 0 to 1 */
export const startCompare = (job: Job, told: (share: number) => void): Running<Compared[]> =>
  started((api) => api.compare(job, proxy(told)) as Promise<Outcome<Compared[]>>);
