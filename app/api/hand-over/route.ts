import { networkInterfaces } from 'node:os';
import { NotRead, readBody } from '@/server/body';
import { guarded, refused } from '@/server/guarded';
import { HandOver, LARGEST } from '@/server/handOver';

export const dynamic = 'force-dynamic';

const waiting = new HandOver();

/** Puts a job's file down for another device of the house: answers with its code, and with this machine's addresses there. */
export const POST = guarded(async (request) => {
  if (process.env.PELLIK_LAN !== '1')
    return refused(404, '', 'a server that was started for the house network');
  try {
    const code = waiting.put(await readBody(request, LARGEST));
    const port = new URL(`http://${request.headers.get('host')}`).port;
    const scheme = process.env.PELLIK_SCHEME ?? 'http';
    const addresses = Object.values(networkInterfaces())
      .flat()
      .flatMap((one) =>
        one?.family === 'IPv4' && !one.internal ? [`${scheme}://${one.address}:${port}`] : [],
      );
    return Response.json({ code, addresses });
  } catch (error) {
    if (!(error instanceof NotRead)) throw error;
    return refused(error.status, '', error.message);
  }
});

/** Fetches what was put down under a code. */
export const GET = guarded((request) => {
  const bytes = waiting.take(new URL(request.url).searchParams.get('code') ?? '');
  if (!bytes)
    return refused(404, 'code', 'a job that is being handed over; it waits for a quarter of an hour');
  return new Response(bytes, {
    headers: { 'Content-Type': 'application/octet-stream', 'Cache-Control': 'no-store' },
  });
});
