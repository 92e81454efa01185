/**
 * `npm run demo`: from a fresh clone to Pellik on http://localhost:3000 with the demo jobs on the shelf.
 *
 * `npm run demo -- --lan` serves the house network as well, so that a tablet at the car can work with it;
 * `--cert FILE --key FILE` does so by https.
 */
import { fork } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { networkInterfaces } from 'node:os';
import { parseArgs } from 'node:util';
import { ensureBuild, ensurePackages, env, root } from './setup.mjs';

const PORT = Number(process.env.PORT ?? 3000);
const asked = options();
const scheme = asked.cert ? 'https' : 'http';

if (!(await isFree(PORT)))
  stop(`Port ${PORT} is taken. Stop what runs there, or choose another: PORT=3001 npm run demo`);
if (!ensurePackages() || !ensureBuild()) process.exit(1);

const server = fork('scripts/serve.mjs', [`--port=${PORT}`, ...process.argv.slice(2)], { cwd: root, env });
server.on('exit', (code) => process.exit(code ?? 1));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.once('message', () => {
  console.log(`\nPellik is on ${scheme}://localhost:${PORT} with the demo job open. Stop it with Ctrl+C.`);
  if (asked.lan) tellNetwork();
});

function tellNetwork() {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter((one) => one.family === 'IPv4' && !one.internal)
    .map((one) => `${scheme}://${one.address}:${PORT}`);
  console.log(
    [
      '',
      'It is open to the network that this machine is on, for as long as it runs:',
      ...addresses.map((address) => `  ${address}`),
      'Whoever is on that network can open Pellik there, and take a job that is being handed over. Jobs stay in the browser of',
      'each device; nobody else’s can be seen. Use it at home or in the shop, not on a network you do not know.',
      ...(asked.cert
        ? []
        : [
            'Without a certificate (--cert FILE --key FILE) a tablet cannot install it or work on without this machine.',
          ]),
    ].join('\n'),
  );
}

function options() {
  try {
    const { values } = parseArgs({
      options: { lan: { type: 'boolean' }, cert: { type: 'string' }, key: { type: 'string' } },
    });
    if (Boolean(values.cert) !== Boolean(values.key))
      stop('A certificate needs both: --cert FILE --key FILE');
    for (const file of [values.cert, values.key])
      if (file && !existsSync(file)) stop(`There is no file ${file}.`);
    return values;
  } catch (problem) {
    return stop(`${problem.message}\nKnown here: --lan, --cert FILE, --key FILE`);
  }
}

function stop(why) {
  console.error(why);
  process.exit(1);
}

function isFree(port) {
  return new Promise((tell) => {
    const probe = createServer();
    probe.once('error', () => tell(false));
    probe.listen(port, asked.lan ? '0.0.0.0' : 'localhost', () => probe.close(() => tell(true)));
  });
}
