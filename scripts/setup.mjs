/** Makes a fresh machine ready, using nothing but Node. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
export const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Runs a command in the project, showing what it prints. @returns whether it succeeded */
export function run(command, args, stdio = 'inherit') {
  return spawnSync(command, args, { cwd: root, env, stdio }).status === 0;
}

/** Installs the packages of the lock file unless they are there already. */
export function ensurePackages(stdio = 'inherit') {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const mark = join(root, 'node_modules', '.pellik-lock');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return true;
  console.error('Installing packages…');
  if (!run('npm', ['ci', '--no-audit', '--no-fund'], stdio)) return false;
  writeFileSync(mark, lock);
  return true;
}

/** Builds the application unless the last build is newer than every source. */
export function ensureBuild() {
  // Made last, of what the build has made.
  const built = join(root, 'public', 'sw.js');
  const next = join(root, '.next', 'BUILD_ID');
  if (
    existsSync(next) &&
    isNewer(built, ['app', 'src', 'package-lock.json', 'next.config.ts', 'proxy.ts', 'tsconfig.json'])
  )
    return true;
  console.log('Building…');
  return run('npm', ['run', 'build']);
}

/** Whether a file is there and newer than every file of its sources. */
export function isNewer(file, sources) {
  const newest = Math.max(...sources.map((s) => newestChange(join(root, s))));
  return existsSync(file) && statSync(file).mtimeMs > newest;
}

function newestChange(path) {
  if (!existsSync(path)) return 0;
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newestChange(join(path, name))));
}

/** Installs Chromium and its driver from Debian's packages where they are missing and can be. @returns a problem, or null */
export function ensureBrowser() {
  const there = () => ['/usr/bin/chromium', '/usr/bin/chromedriver'].every((p) => existsSync(p));
  if (there()) return null;
  const wanted =
    'Browser tests need Debian’s packages chromium and chromium-driver: apt-get install chromium chromium-driver';
  if (!existsSync('/usr/bin/apt-get') || process.getuid?.() !== 0) return wanted;
  console.log('Installing Chromium and ChromeDriver…');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', 'chromium', 'chromium-driver']);
  return there() ? null : wanted;
}
