import { InputError, orRefusal, parseJson, validate } from '@/core/rig/read';
import { linksOf } from '@/core/rig/members/members';
import { applyReadings } from './applyReadings';
import { upgraded, withTypedMarks } from './upgrade';
import { JOB_VERSION, jobSchema, type Job } from './jobSchema';

/**
 * Reads the text of a job file.
 *
 * @throws InputError with the place and what was expected there
 */
export function readJob(text: string): Job {
  const value = parseJson(text);
  if (typeof value !== 'object' || value === null || !('format' in value) || value.format !== 'pellik.job') {
    throw new InputError('format', 'this is not a Pellik job: its format should be "pellik.job"');
  }
  const { version } = value as { version?: unknown };
  if (typeof version === 'number' && version > JOB_VERSION) {
    throw new InputError(
      'version',
      `written by a newer Pellik (version ${version}); this one reads up to version ${JOB_VERSION}`,
    );
  }
  const job = validate(jobSchema, upgraded(value as Record<string, unknown>));
  if (linksOf(job.rig).length === 0) throw new InputError('rig.members', 'needs at least one link');
  return applyReadings(version === JOB_VERSION ? job : withTypedMarks(job));
}

/** What in a job could not be read back once it is written: the place and what is expected there; null where all of it could. */
export function jobFault(job: Job): InputError | null {
  const read = orRefusal(() => validate(jobSchema, job));
  return read instanceof InputError ? read : null;
}

/** The text of a job file: readable, and stable enough to compare. */
export const writeJob = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`;

export function fileName(job: Job): string {
  const stem = job.name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${stem || 'job'}.pellik.json`;
}
