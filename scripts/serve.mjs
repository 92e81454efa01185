/** Serves the built application: to this machine alone, or to the house network where that was asked for. */
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { parseArgs } from 'node:util';

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
const answer = (request, response) => void handle(request, response);
const server = asked.cert
  ? createSecureServer({ cert: readFileSync(asked.cert), key: readFileSync(asked.key) }, answer)
  : createServer(answer);
server.headersTimeout = 20_000;
server.requestTimeout = 130_000;
server.listen(port, hostname, () => process.send?.('serving'));
