import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import { connect } from 'node:net';
import { networkInterfaces } from 'node:os';
import { solveRig } from '@/core/bench/solveRig';
import { readRig } from '@/core/rig/read';
import { serve } from '../../support/page/browser';

const { rig } = JSON.parse(readFileSync('src/store/demo/marigold.pellik.json', 'utf8')) as {
  rig: Record<string, unknown>;
};
const text = JSON.stringify(rig);
const JSON_TYPE = { 'Content-Type': 'application/json' };

let server: Awaited<ReturnType<typeof serve>>;
beforeAll(async () => {
  server = await serve();
}, 60_000);
afterAll(() => server.stop());

const post = (body: string, headers: Record<string, string> = JSON_TYPE, signal?: AbortSignal) =>
  fetch(`${server.address}/api/solve`, { method: 'POST', body, headers, signal });

/** Asked under any name: `fetch` writes the Host by itself. */
const statusFor = (host: string, port = server.port, path = '/') =>
  new Promise<number>((done, fail) => {
    request({ host: 'localhost', port, path, headers: { Host: host } }, (response) => {
      response.resume();
      done(response.statusCode!);
    })
      .on('error', fail)
      .end();
  });

test('a rig is answered as the core answers it; a bad one is refused with place and cure', async () => {
  expect(await (await post(text)).json()).toEqual(JSON.parse(JSON.stringify(solveRig(readRig(text)))));
  const bad = await post(JSON.stringify({ ...rig, track: 'wide' }));
  expect(bad.status).toBe(400);
  expect(await bad.json()).toMatchObject({
    error: { path: 'track', expected: expect.stringMatching(/number/) as string },
  });
});

test('another origin, another name and another kind of body are turned away', async () => {
  expect((await post(text, { ...JSON_TYPE, Origin: 'http://elsewhere.example' })).status).toBe(403);
  expect((await post(text, { ...JSON_TYPE, 'Sec-Fetch-Site': 'cross-site' })).status).toBe(403);
  expect((await post(text, { ...JSON_TYPE, Origin: server.address })).status).toBe(200);
  expect((await post(text, { 'Content-Type': 'text/plain' })).status).toBe(415);
  expect(await statusFor('elsewhere.example')).toBe(421);
  expect(await statusFor(`localhost:${server.port}`)).toBe(200);
});

test('the house network is served only where that was asked for', async () => {
  const [own] = Object.values(networkInterfaces())
    .flat()
    .filter((one) => one?.family === 'IPv4' && !one.internal)
    .map((one) => one!.address);
  if (!own) return;
  expect(await statusFor(own)).toBe(421);
  const open = await serve(['--lan']);
  try {
    expect(await statusFor(`${own}:${open.port}`, open.port)).toBe(200);
    expect(await statusFor('elsewhere.example', open.port)).toBe(421);
  } finally {
    open.stop();
  }
});

test('a rig that takes long holds up nobody else, and ends when its caller leaves', async () => {
  const sweep = Array.from({ length: 110_000 }, (_, i) => ({ left: 5000 + (i % 7), right: -5000 }));
  const leave = new AbortController();
  const long = [0, 1].map(() => post(JSON.stringify({ ...rig, sweep }), JSON_TYPE, leave.signal));
  const left = Promise.allSettled(long);
  // Both threads are taken: a third is told so, pages are served as ever.
  await new Promise((done) => setTimeout(done, 1500));
  const began = Date.now();
  expect((await fetch(server.address)).status).toBe(200);
  expect(Date.now() - began).toBeLessThan(3000);
  expect((await post(text)).status).toBe(503);
  leave.abort();
  await left;
  for (let tries = 0; (await post(text)).status !== 200; tries++) {
    expect(tries).toBeLessThan(50);
    await new Promise((done) => setTimeout(done, 100));
  }
});

test('a body that never ends is given up', async () => {
  const answer = await new Promise<string>((done, fail) => {
    const socket = connect(server.port, 'localhost', () =>
      socket.write(
        `POST /api/solve HTTP/1.1\r\nHost: localhost:${server.port}\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n{"for`,
      ),
    );
    socket.once('data', (data) => {
      done(String(data));
      socket.destroy();
    });
    socket.once('error', fail);
    socket.once('close', () => done('closed'));
  });
  expect(answer).toMatch(/408/);
});

test('a page may run its own scripts, and no others; nothing of the device is open to it', async () => {
  const { headers } = await fetch(server.address);
  const policy = headers.get('content-security-policy')!;
  expect(policy).toMatch(/script-src 'self' 'nonce-[\w-]{20,}'(;|$)/);
  expect(policy.match(/script-src[^;]*/)![0]).not.toMatch(/unsafe/);
  for (const rule of ["base-uri 'none'", "form-action 'self'", "object-src 'none'", "frame-ancestors 'none'"])
    expect(policy).toContain(rule);
  expect(headers.get('permissions-policy')).toContain('camera=()');
  // Each answer has a nonce of its own.
  expect((await fetch(server.address)).headers.get('content-security-policy')).not.toBe(policy);
});

test('what a build is made of is sent compressed as the browser takes it, kept for good, and is the same text', async () => {
  const page = await (await fetch(server.address)).text();
  const script = page.match(/\/_next\/static\/[^"]+\.js/)![0];
  const asked = (encoding: string) =>
    fetch(server.address + script, { headers: { 'Accept-Encoding': encoding } });
  const plain = await (await asked('identity')).text();
  for (const encoding of ['br', 'gzip']) {
    const answer = await asked(encoding);
    expect(answer.headers.get('content-encoding')).toBe(encoding);
    expect(Number(answer.headers.get('content-length'))).toBeLessThan(plain.length / 2);
    expect(answer.headers.get('cache-control')).toContain('immutable');
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
    expect(await answer.text()).toBe(plain);
  }
  for (const outside of [
    '/_next/static/../BUILD_ID',
    '/_next/static/%2e%2e/BUILD_ID',
    '/_next/static/none.js',
  ])
    expect((await fetch(server.address + outside)).status).toBe(404);
});
