/** The `pellik` command: `pellik solve FILE` prints the answer to a rig file as JSON. */
import { readFileSync, statSync } from 'node:fs';
import { solveRig } from '@/core/bench/solveRig';
import { InputError, LARGEST_FILE, readRig } from '@/core/rig/read';

function main(args: string[]): number {
  const [command, file] = args;
  if (command !== 'solve' || !file || args.length > 2) {
    console.error('usage: pellik solve FILE');
    return 2;
  }
  try {
    if (statSync(file).size > LARGEST_FILE)
      throw new InputError('', 'larger than 32 MB, the most that is read');
    const answer = solveRig(readRig(readFileSync(file, 'utf8')));
    process.stdout.write(`${JSON.stringify(answer, null, 1)}\n`);
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
