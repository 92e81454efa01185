import { randomBytes } from 'node:crypto';

/** How long something waits to be fetched, ms; how large it and all of it may be, bytes. */
const WAITS = 15 * 60 * 1000;
export const LARGEST = 256 * 2 ** 20;
const MOST = 4;

type Waiting = { bytes: Uint8Array<ArrayBuffer>; until: number };

/**
 * What one device has put down for another to fetch: in memory only, for a quarter of an hour, under a code that nobody can guess.
 * The last few are kept.
 */
export class HandOver {
  private readonly waiting = new Map<string, Waiting>();

  /** @returns the code that it is fetched by */
  put(bytes: Uint8Array<ArrayBuffer>, now = Date.now()): string {
    this.sweep(now);
    const code = randomBytes(16).toString('hex');
    this.waiting.set(code, { bytes, until: now + WAITS });
    // The earliest go first.
    for (const old of [...this.waiting.keys()].slice(0, -MOST)) this.waiting.delete(old);
    return code;
  }

  /** What waits under a code; null where nothing does, or no longer. It may be fetched again until its time is over. */
  take(code: string, now = Date.now()): Uint8Array<ArrayBuffer> | null {
    this.sweep(now);
    return this.waiting.get(code)?.bytes ?? null;
  }

  private sweep(now: number): void {
    for (const [code, { until }] of this.waiting) if (until < now) this.waiting.delete(code);
  }
}
