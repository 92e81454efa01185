/**
 * The `pellik` command. `pellik solve FILE` prints the answer to a rig file as JSON; `pellik check JOB` every verdict, order and
 * unknown of a job; `pellik check JOB --after REMEDY` the job with one of its remedies taken; `pellik prove JOB` every check of
 * strength; `pellik cut JOB --out DIR` writes every file that it is cut from; `pellik find JOB --brief BRIEF` places of mounts that meet a
 * brief; `pellik spread JOB --seed N` what its figures may come out as; `pellik compare JOB` every way of building that the job keeps,
 * with what it comes to and gives up.
 */
import { mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterRemedy, checkJob } from '@/core/advice/check';
import { readBrief } from '@/core/choose/brief';
import { compareCandidates } from '@/core/choose/candidates/compare';
import { givenUp } from '@/core/choose/candidates/givesUp';
import { findMounts } from '@/core/choose/findMounts';
import { USUAL_CLOSENESS } from '@/core/choose/builds';
import { BUILDS, spreadOf } from '@/core/choose/spread';
import { solveRig } from '@/core/bench/solveRig';
import { cutFiles } from '@/core/cut/cutFiles';
import type { Job } from '@/core/job/jobSchema';
import { readJob, writeJob } from '@/core/job/file';
import { proveJob } from '@/core/prove/prove';
import { InputError, LARGEST_FILE, readRig } from '@/core/rig/read';

const USAGE =
  'usage: pellik solve FILE | pellik check JOB [--after REMEDY] | pellik prove JOB | pellik cut JOB --out DIR | pellik find JOB --brief BRIEF | pellik spread JOB --seed N | pellik compare JOB';

const json = (answer: unknown): string => `${JSON.stringify(answer, null, 1)}\n`;

/** What a command prints of the text of its file. */
type Command = (text: string) => string | Promise<string>;

/** The command as it is called; undefined where it is not called like that. */
function commandOf([command, , ...rest]: string[]): Command | undefined {
  const [flag, given, ...more] = rest;
  if (command === 'solve' && rest.length === 0) return (text) => json(solveRig(readRig(text)));
  if (command === 'check' && rest.length === 0) return (text) => json(checkJob(readJob(text)));
  if (command === 'prove' && rest.length === 0) return (text) => json(proveJob(readJob(text)).checks);
  if (command === 'compare' && rest.length === 0) return (text) => json(compared(readJob(text)));
  if (given === undefined || more.length > 0) return undefined;
  if (command === 'check' && flag === '--after') return (text) => writeJob(afterRemedy(readJob(text), given));
  if (command === 'find' && flag === '--brief')
    return (text) => json(findMounts(readJob(text), readBrief(textOf(given))));
  if (command === 'spread' && flag === '--seed' && /^\d{1,9}$/.test(given))
    return (text) => json(spreadOf(readJob(text), USUAL_CLOSENESS, { builds: BUILDS, seed: Number(given) }));
  if (command === 'cut' && flag === '--out') return (text) => writeCut(readJob(text), given);
  return undefined;
}

/** The ways of building that a job keeps. */
function compared(job: Job) {
  const all = compareCandidates(job);
  return { candidates: all, givesUp: givenUp(all) };
}

/** Writes the files of a job's cut into a folder, and says their names. */
async function writeCut(job: Job, folder: string): Promise<string> {
  const files = await cutFiles(job);
  mkdirSync(folder, { recursive: true });
  for (const { name, content } of files) writeFileSync(join(folder, name), content);
  return json(files.map(({ name }) => name));
}

/** @throws InputError when it is larger than is read */
function textOf(file: string): string {
  if (statSync(file).size > LARGEST_FILE)
    throw new InputError('', 'larger than 32 MB, the most that is read');
  return readFileSync(file, 'utf8');
}

async function main(args: string[]): Promise<number> {
  const file = args[1];
  const command = file && commandOf(args);
  if (!command) {
    console.error(USAGE);
    return 2;
  }
  try {
    process.stdout.write(await command(textOf(file)));
    return 0;
  } catch (error) {
    if (!(error instanceof InputError) && !isFileError(error)) throw error;
    console.error(`${file}: ${error.message}`.replace(/\s+/g, ' '));
    return 2;
  }
}

const isFileError = (error: unknown): error is NodeJS.ErrnoException =>
  error instanceof Error && 'syscall' in error;

process.exitCode = await main(process.argv.slice(2));
