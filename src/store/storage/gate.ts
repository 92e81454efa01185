import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { InputError } from '@/core/rig/read';

/**
 * What is stored passes the same gate as a file: another tab may be of another age, and a disk may have faults.
 *
 * @throws InputError with the place and what was expected there
 */
export function gated(stored: Job): Job {
  return readJob(writeJob(stored));
}

/** Why a stored job cannot be opened; undefined where it can. */
export function faultOf(stored: Job): string | undefined {
  try {
    gated(stored);
    return undefined;
  } catch (error) {
    return error instanceof InputError ? error.message : String(error);
  }
}
