/**
 * `npm run pellik`: the command, from one bundled file that is made anew when its sources have changed. On a fresh clone it
 * installs the packages first. Only the command's own answer goes to standard output.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensurePackages, isNewer, root } from './setup.mjs';

const bundle = join(root, 'dist', 'pellik.mjs');
/** What is being done is told on standard error. */
const ASIDE = ['ignore', 2, 2];

if (!ensurePackages(ASIDE) || !(await ensureBundle())) process.exit(1);
const { status } = spawnSync(process.execPath, [bundle, ...process.argv.slice(2)], {
  cwd: process.env.INIT_CWD ?? process.cwd(),
  stdio: 'inherit',
});
process.exit(status ?? 1);

async function ensureBundle() {
  if (isNewer(bundle, ['bin', 'src/core', 'package-lock.json', 'tsconfig.json'])) return true;
  const { build } = await import('esbuild');
  const { errors } = await build({
    absWorkingDir: root,
    entryPoints: ['bin/pellik.ts'],
    outfile: bundle,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
  });
  return errors.length === 0;
}
