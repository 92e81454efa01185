import { InputError, orRefusal, parseJson, validate } from '@/core/rig/read';
import { applyReadings } from './applyReadings';
import { withTrueTexts } from '@/core/survey/typed';
import { upgraded, withTrackBars, withTypedMarks } from './upgrade';
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
  const told = withTrackBars({ ...job, readings: withTrueTexts(job.readings) });
  return applyReadings(typeof version === 'number' && version < 4 ? withTypedMarks(told) : told);
}

/** What in a job could not be read back once it is written: the place and what is expected there; null where all of it could. */
export function jobFault(job: Job): InputError | null {
  const read = orRefusal(() => validate(jobSchema, job));
  return read instanceof InputError ? read : null;
}

/** The text of a job file: readable, and stable enough to compare. */
export const writeJob = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`;

/** Names that one system or another keeps for itself, whatever follows the dot. */
const KEPT_NAMES = /^(con|prn|aux|nul|com\d|lpt\d)$/;
/** Letters of a name that is still well below what every disk takes. */
const LONGEST_STEM = 60;

/** A name for files of a job, without its ending: letters of any script and digits, that every system takes. */
export function fileStem(name: string): string {
  const plain = name
    .normalize('NFKD')
    // Accents go; so do the marks that some scripts stack on a letter, which not every disk writes alike.
    .replace(/\p{M}/gu, '')
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-');
  const stem = [...plain]
    .slice(0, LONGEST_STEM)
    .join('')
    .replace(/^-+|-+$/g, '');
  return stem === '' || KEPT_NAMES.test(stem) ? `job${stem && `-${stem}`}` : stem;
}

export const fileName = (job: Pick<Job, 'name'>): string => `${fileStem(job.name)}.pellik.json`;
