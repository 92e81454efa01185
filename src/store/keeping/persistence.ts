/** Whether the browser has promised to keep what is stored here: it may ask its user, and it may refuse. */
export type Promised = 'yes' | 'no' | 'unknown';

const storage = (): StorageManager | undefined =>
  typeof navigator === 'undefined' ? undefined : navigator.storage;

export async function isPromised(): Promise<Promised> {
  const answer = await storage()
    ?.persisted?.()
    .catch(() => undefined);
  return answer === undefined ? 'unknown' : answer ? 'yes' : 'no';
}

/** Asks the browser to keep the jobs until they are removed here, however short of room it gets. @returns its answer */
export async function askPromise(): Promise<Promised> {
  const answer = await storage()
    ?.persist?.()
    .catch(() => undefined);
  return answer === undefined ? 'unknown' : answer ? 'yes' : 'no';
}
