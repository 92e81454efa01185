/** `npm run demo`: from a fresh clone to Pellik on http://localhost:3000 with the demo jobs on the shelf. */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { ensureBuild, ensurePackages, env, root } from './setup.mjs';

const PORT = Number(process.env.PORT ?? 3000);
const address = `http://localhost:${PORT}`;

if (!(await isFree(PORT))) {
  console.error(`Port ${PORT} is taken. Stop what runs there, or choose another: PORT=3001 npm run demo`);
  process.exit(1);
}
if (!ensurePackages() || !ensureBuild()) process.exit(1);

const server = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '-H', 'localhost', '-p', String(PORT)],
  { cwd: root, env, stdio: ['ignore', 'ignore', 'inherit'] },
);
server.on('exit', (code) => process.exit(code ?? 1));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));

while (!(await answers())) await new Promise((rest) => setTimeout(rest, 200));
console.log(`\nPellik is on ${address} with the demo job open. Stop it with Ctrl+C.`);

async function answers() {
  return fetch(address).then(
    (r) => r.ok,
    () => false,
  );
}

function isFree(port) {
  return new Promise((tell) => {
    const probe = createServer();
    probe.once('error', () => tell(false));
    probe.listen(port, 'localhost', () => probe.close(() => tell(true)));
  });
}
