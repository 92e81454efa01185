/** Whether the browser has promised to keep what is stored here: it may ask its user, and it may refuse. */
export type Promised = 'yes' | 'no' | 'unknown';

async function answerTo(question: 'persisted' | 'persist'): Promise<Promised> {
  const storage = typeof navigator === 'undefined' ? undefined : navigator.storage;
  const answer = await storage?.[question]?.().catch(() => undefined);
  return answer === undefined ? 'unknown' : answer ? 'yes' : 'no';
}

export const isPromised = (): Promise<Promised> => answerTo('persisted');

/** Asks the browser to keep the jobs until they are removed here, however short of room it gets. @returns its answer */
export const askPromise = (): Promise<Promised> => answerTo('persist');
