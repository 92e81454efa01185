import { hostname } from 'node:os';
import { NotRead, readBody } from '@/server/body';
import { ownNames, refusalOf } from '@/server/guard';
import { HandOver } from '@/server/handOver';

const asked = (headers: Record<string, string>) => new Request('http://localhost/', { headers });
const status = (headers: Record<string, string>, lan = false) =>
  refusalOf(asked(headers), ownNames(lan))?.status ?? 200;

describe('who may ask', () => {
  test.each([
    [{ host: 'localhost:3000' }, 200],
    [{ host: 'LOCALHOST' }, 200],
    [{ host: '127.0.0.1:80' }, 200],
    [{ host: '[::1]:3000' }, 200],
    [{}, 421],
    [{ host: '' }, 421],
    [{ host: 'localhost.elsewhere.example' }, 421],
    [{ host: 'elsewhere.example:3000' }, 421],
    [{ host: 'localhost:3000', origin: 'http://localhost:3000' }, 200],
    [{ host: 'localhost:3000', origin: 'https://localhost:3000' }, 200],
    [{ host: 'localhost:3000', origin: 'http://localhost:3001' }, 403],
    [{ host: 'localhost:3000', origin: 'null' }, 403],
    [{ host: 'localhost:3000', origin: 'http://elsewhere.example' }, 403],
    [{ host: 'localhost', 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' }, 403],
    // A link on another page may lead here.
    [{ host: 'localhost', 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' }, 200],
  ])('%j: %i', (headers, wanted) => {
    expect(status(headers as Record<string, string>)).toBe(wanted);
  });

  test('this machine by its name is known to the house network alone', () => {
    const name = { host: `${hostname()}.local:3000` };
    expect([status(name), status(name, true)]).toEqual([421, 200]);
    expect(status({ host: 'elsewhere.example' }, true)).toBe(421);
  });
});

describe('a body', () => {
  const sent = (pieces: (string | number)[], ending = true) =>
    new Request('http://localhost/', {
      method: 'POST',
      duplex: 'half',
      body: new ReadableStream({
        async start(stream) {
          for (const piece of pieces) {
            if (typeof piece === 'string') stream.enqueue(new TextEncoder().encode(piece));
            else await new Promise((done) => setTimeout(done, piece));
          }
          if (ending) stream.close();
        },
      }),
    } as RequestInit);
  const read = (request: Request, most = 100, wait = { piece: 60, whole: 250 }) =>
    readBody(request, most, wait).then(
      (bytes) => new TextDecoder().decode(bytes),
      (error: unknown) => (error as NotRead).status,
    );

  test('comes whole, in however many pieces', async () => {
    expect(await read(sent(['a', 'b', 20, 'c']))).toBe('abc');
    expect(await read(new Request('http://localhost/', { method: 'POST' }))).toBe('');
  });

  test('is given up where it is too large, stops, or drips', async () => {
    expect(await read(sent(['x'.repeat(60), 'x'.repeat(60)]))).toBe(413);
    expect(await read(sent(['a'], false))).toBe(408);
    expect(await read(sent(Array.from({ length: 20 }, (_, i) => (i % 2 ? 40 : 'a'))))).toBe(408);
  });
});

describe('what one device hands to another', () => {
  const bytes = (n: number) => new Uint8Array([n]);
  test('waits a quarter of an hour under a code of its own, the last few of them', () => {
    const handOver = new HandOver();
    const code = handOver.put(bytes(1), 0);
    expect(code).toMatch(/^[0-9a-f]{32}$/);
    expect(handOver.take(code, 15 * 60_000)).toEqual(bytes(1));
    expect(handOver.take(code, 15 * 60_000 + 1)).toBeNull();
    expect(handOver.take('', 0)).toBeNull();
    const codes = [2, 3, 4, 5, 6].map((n) => handOver.put(bytes(n), 1));
    expect(codes.map((c) => handOver.take(c, 2)?.[0])).toEqual([undefined, 3, 4, 5, 6]);
  });
});
