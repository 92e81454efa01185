import * as z from 'zod/mini';
import { jobFile } from './files';

const answerSchema = z.object({
  code: z.string().check(z.regex(/^[0-9a-f]{32}$/)),
  addresses: z.array(z.url().check(z.maxLength(200))).check(z.maxLength(50)),
});

/** Where another device fetches what was put down for it; why not, where it cannot. */
export type PutDown = { address: string } | { problem: string };

const NO_NETWORK =
  'This Pellik serves this machine alone. Start it with “npm run demo -- --lan” to hand a job to a tablet in the house; or take the job over as a file.';

/** Puts a job with its photos down for another device of the house network. */
export async function putDown(jobId: string): Promise<PutDown> {
  try {
    const { blob } = await jobFile(jobId, true);
    const response = await fetch('/api/hand-over', { method: 'POST', body: blob });
    if (response.status === 404) return { problem: NO_NETWORK };
    const { code, addresses } = answerSchema.parse(await response.json());
    const origin = /^(localhost|127\.|\[::1)/.test(window.location.hostname)
      ? addresses[0]
      : window.location.origin;
    return origin ? { address: `${origin}/?take=${code}` } : { problem: 'This machine is on no network.' };
  } catch {
    return { problem: 'It could not be put down just now. Take the job over as a file.' };
  }
}

/** What was put down under a code; null where it is not there, or no longer. */
export async function fetchPutDown(code: string): Promise<Blob | null> {
  const response = await fetch(`/api/hand-over?code=${encodeURIComponent(code)}`).catch(() => null);
  return response?.ok ? response.blob() : null;
}
