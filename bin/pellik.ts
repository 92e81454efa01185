/**
 * The `pellik` command. `pellik solve FILE` prints the answer to a rig file as JSON; `pellik check JOB` every verdict, order and
 * unknown of a job; `pellik check JOB --after REMEDY` the job with one of its remedies taken; `pellik prove JOB` every check of strength.
 */
import { readFileSync, statSync } from 'node:fs';
import { afterRemedy, checkJob } from '@/core/advice/check';
import { solveRig } from '@/core/bench/solveRig';
import { readJob, writeJob } from '@/core/job/file';
import { proveJob } from '@/core/prove/prove';
import { InputError, LARGEST_FILE, readRig } from '@/core/rig/read';

const USAGE = 'usage: pellik solve FILE | pellik check JOB [--after REMEDY] | pellik prove JOB';

const json = (answer: unknown): string => `${JSON.stringify(answer, null, 1)}\n`;

/** What a command prints of the text of its file; undefined where it is not called like that. */
function commandOf([command, , ...rest]: string[]): ((text: string) => string) | undefined {
  const [flag, remedy, ...more] = rest;
  if (command === 'solve' && rest.length === 0) return (text) => json(solveRig(readRig(text)));
  if (command === 'check' && rest.length === 0) return (text) => json(checkJob(readJob(text)));
  if (command === 'prove' && rest.length === 0) return (text) => json(proveJob(readJob(text)).checks);
  if (command === 'check' && flag === '--after' && remedy !== undefined && more.length === 0)
    return (text) => writeJob(afterRemedy(readJob(text), remedy));
  return undefined;
}

function main(args: string[]): number {
  const file = args[1];
  const command = file && commandOf(args);
  if (!command) {
    console.error(USAGE);
    return 2;
  }
  try {
    if (statSync(file).size > LARGEST_FILE)
      throw new InputError('', 'larger than 32 MB, the most that is read');
    process.stdout.write(command(readFileSync(file, 'utf8')));
    return 0;
  } catch (error) {
    if (!(error instanceof InputError) && !isFileError(error)) throw error;
    console.error(`${file}: ${error.message}`.replace(/\s+/g, ' '));
    return 2;
  }
}

const isFileError = (error: unknown): error is NodeJS.ErrnoException =>
  error instanceof Error && 'syscall' in error;

process.exitCode = main(process.argv.slice(2));
