import { expose } from 'comlink';
import { newestOnly } from '@/workers/newestOnly';
import { isStale, NoAnswer, supervised, useHealth } from '@/workers/supervised';

const api = {
  twice: (n: number) => 2 * n,
  hang: () => new Promise<number>(() => {}),
  slow: (ms: number) => new Promise<string>((done) => setTimeout(() => done('late'), ms)),
};

/** Workers in this process: how many were begun, how many are still at work, and the one begun last. */
function stable() {
  const all: { worker: EventTarget; ended: boolean }[] = [];
  const start = () => {
    const { port1, port2 } = new MessageChannel();
    expose(api, port2 as never);
    const events = new EventTarget();
    const one = { worker: events, ended: false };
    all.push(one);
    return {
      postMessage: port1.postMessage.bind(port1),
      start: () => port1.start(),
      addEventListener: (kind: string, listener: never) =>
        (kind === 'message' ? (port1 as unknown as EventTarget) : events).addEventListener(kind, listener),
      removeEventListener: (kind: string, listener: never) =>
        (kind === 'message' ? (port1 as unknown as EventTarget) : events).removeEventListener(kind, listener),
      terminate: () => {
        one.ended = true;
        port1.close();
        port2.close();
      },
    } as unknown as Worker;
  };
  return {
    start,
    begun: () => all.length,
    alive: () => all.filter(({ ended }) => !ended).length,
    kill: () => all.at(-1)!.worker.dispatchEvent(new Event('error')),
  };
}

const refuse = () => {
  throw new Error('no workers here');
};
const sleep = (ms: number) => new Promise((done) => setTimeout(done, ms));
let closing: (() => void)[] = [];
/** A supervised worker whose processes end with the test. */
function ask(start: () => Worker, patience: number) {
  return supervised<typeof api>(() => {
    const worker = start();
    closing.push(() => worker.terminate());
    return worker;
  }, patience);
}

beforeEach(() => useHealth.setState({ late: false, gone: false }));
afterEach(() => {
  closing.forEach((close) => close());
  closing = [];
});

test('one worker answers all that is asked', async () => {
  const workers = stable();
  const asking = ask(workers.start, 1000);
  expect(await Promise.all([asking((a) => a.twice(2)), asking((a) => a.twice(3))])).toEqual([4, 6]);
  expect(workers.begun()).toBe(1);
  expect(isStale()).toBe(false);
});

test('one that died is started anew, and what it was asked is answered', async () => {
  const workers = stable();
  const asking = ask(workers.start, 60_000);
  await asking((a) => a.twice(1));
  const answer = asking(async (a) => (workers.begun() === 1 ? a.hang() : a.twice(4)));
  workers.kill();
  expect(await answer).toBe(8);
  expect([workers.begun(), workers.alive()]).toEqual([2, 1]);
  // While nobody was asking: the next question has a worker of its own.
  workers.kill();
  await sleep(0);
  expect(await asking((a) => a.twice(5))).toBe(10);
  expect([workers.begun(), workers.alive()]).toEqual([3, 1]);
});

test('one that hangs is ended; that none answers is said, and forgotten once one does', async () => {
  const workers = stable();
  const asking = ask(workers.start, 50);
  await expect(asking((a) => a.hang())).rejects.toBeInstanceOf(NoAnswer);
  expect([workers.begun(), workers.alive()]).toEqual([2, 0]);
  expect(isStale()).toBe(true);
  expect(await asking((a) => a.twice(1))).toBe(2);
  expect(isStale()).toBe(false);
});

test('where there are no workers at all, that is said, nothing breaks, and only the newest is asked again', async () => {
  jest.useFakeTimers();
  const seen: string[] = [];
  let start: () => Worker = refuse;
  const asking = ask(() => start(), 1000);
  const newest = newestOnly<number>(async (n) => {
    seen.push(`asked ${n}`);
    seen.push(`answered ${await asking((a) => a.twice(n))}`);
  });
  await newest(1);
  await newest(2);
  expect(seen).toEqual(['asked 1', 'asked 2']);
  expect(useHealth.getState().gone).toBe(true);
  const workers = stable();
  start = workers.start;
  await jest.advanceTimersByTimeAsync(4000);
  expect(seen).toHaveLength(2);
  jest.advanceTimersByTime(2000);
  jest.useRealTimers();
  await sleep(100);
  expect(seen).toEqual(['asked 1', 'asked 2', 'asked 2', 'answered 4']);
  expect(useHealth.getState().gone).toBe(false);
});

test('an answer that takes its time is late until it is there', async () => {
  const workers = stable();
  const asking = ask(workers.start, 60_000);
  const answer = asking((a) => a.slow(1000));
  await sleep(400);
  expect(isStale()).toBe(false);
  await sleep(450);
  expect(isStale()).toBe(true);
  expect(await answer).toBe('late');
  expect(isStale()).toBe(false);
});
