/** Serves the built application: to this machine alone, or to the house network where that was asked for. */
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import sirv from 'sirv';
import { root } from './setup.mjs';

const { values: asked } = parseArgs({
  options: {
    port: { type: 'string' },
    lan: { type: 'boolean' },
    cert: { type: 'string' },
    key: { type: 'string' },
  },
});
// Said before the application is loaded, which reads both.
Object.assign(process.env, {
  NODE_ENV: 'production',
  NEXT_TELEMETRY_DISABLED: '1',
  PELLIK_LAN: asked.lan ? '1' : '',
  PELLIK_SCHEME: asked.cert ? 'https' : 'http',
});
const port = Number(asked.port ?? 3000);
const hostname = asked.lan ? '0.0.0.0' : 'localhost';

const { default: next } = await import('next');
const app = next({ dev: false, hostname, port });
await app.prepare();
const handle = app.getRequestHandler();
// What a build is made of lies there compressed (scripts/compress.mjs), and is named after what is in it.
const BUILT = '/_next/static/';
const built = sirv(join(root, '.next', 'static'), {
  brotli: true,
  gzip: true,
  immutable: true,
  maxAge: 31_536_000,
  setHeaders: (response) => response.setHeader('X-Content-Type-Options', 'nosniff'),
});
function answer(request, response) {
  if (!request.url.startsWith(BUILT)) return void handle(request, response);
  const asked = request.url;
  request.url = asked.slice(BUILT.length - 1);
  built(request, response, () => {
    request.url = asked;
    void handle(request, response);
  });
}
const server = asked.cert
  ? createSecureServer({ cert: readFileSync(asked.cert), key: readFileSync(asked.key) }, answer)
  : createServer(answer);
server.headersTimeout = 20_000;
server.requestTimeout = 130_000;
server.listen(port, hostname, () => process.send?.('serving'));
