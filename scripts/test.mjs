/** `npm test`: everything that is checked, from a fresh clone. The last line counts what passed and what failed. */
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBrowser, ensureBuild, ensurePackages, root, run } from './setup.mjs';

let passed = 0;
let failed = 0;
const count = (name, ok) => {
  if (ok) passed++;
  else failed++;
  console.log(`${ok ? 'ok' : 'FAILED'}: ${name}`);
  return ok;
};

/** Runs one of the Jest projects and counts each of its tests. */
function jest(project) {
  const report = join(root, `.jest-${project}.json`);
  rmSync(report, { force: true });
  run('npx', [
    '--no-install',
    'jest',
    '--selectProjects',
    project,
    '--json',
    `--outputFile=${report}`,
    '--silent',
    // Two at once, however many cores there are: by itself it leaves one of two idle.
    '--maxWorkers=2',
  ]);
  try {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
      readFileSync(report, 'utf8'),
    );
    passed += numPassedTests;
    failed += numFailedTests + numRuntimeErrorTestSuites;
    if (numPassedTests + numFailedTests + numRuntimeErrorTestSuites === 0)
      count(`${project}: no test ran`, false);
  } catch {
    count(`${project}: the runner did not finish`, false);
  }
  rmSync(report, { force: true });
}

const npx = (...args) => run('npx', ['--no-install', ...args]);

if (count('packages', ensurePackages())) {
  count('types', npx('next', 'typegen') && npx('tsc', '--noEmit'));
  // By itself the core knows neither page nor machine nor test.
  count('types of the core by itself', npx('tsc', '--noEmit', '-p', 'src/core'));
  count('lint', npx('eslint', '.', '--max-warnings', '0'));
  count('formatting', npx('prettier', '--check', '--log-level', 'warn', '.'));
  count(
    'dependency rules',
    npx(
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
      'app',
      'src',
      'bin',
      'scripts',
    ),
  );
  count('nothing unused', npx('knip'));
  jest('unit');
  jest('reference');
  if (count('build', ensureBuild())) {
    const problem = ensureBrowser();
    if (problem) console.log(problem);
    if (count('browser', !problem)) jest('e2e');
  }
}
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed ? 1 : 0;
