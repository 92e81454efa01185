import { hostname, networkInterfaces } from 'node:os';

/** What this server is called by those who may ask it: by itself alone, or by the house network as well. */
export function ownNames(lan: boolean): Set<string> {
  const names = ['localhost', '127.0.0.1', '[::1]'];
  if (!lan) return new Set(names);
  const addresses = Object.values(networkInterfaces())
    .flat()
    .flatMap((one) => (one ? [one.family === 'IPv6' ? `[${one.address}]` : one.address] : []));
  const host = hostname().toLowerCase();
  return new Set([...names, ...addresses, host, `${host}.local`]);
}

type Refusal = { status: 403 | 421; error: string };

/**
 * Why a request is turned away; null where it may come in. A page of another origin can send a browser here under a name of its
 * own, or have it post; neither is let in.
 *
 * @param names what this server is called
 */
export function refusalOf(request: Request, names: Set<string>): Refusal | null {
  const host = request.headers.get('host') ?? '';
  if (!names.has(host.replace(/:\d+$/, '').toLowerCase()))
    return { status: 421, error: 'this server does not go by that name' };
  const origin = request.headers.get('origin');
  const foreign =
    request.headers.get('sec-fetch-site') === 'cross-site' &&
    request.headers.get('sec-fetch-mode') !== 'navigate';
  if (foreign || (origin !== null && origin.replace(/^https?:\/\//, '') !== host))
    return { status: 403, error: 'only its own pages may ask this server' };
  return null;
}
