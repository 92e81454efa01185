import { InputError } from '@/core/rig/read';
import { spotName, type Spot } from '@/core/survey/quantities/quantities';
import { MOST_READINGS, type Reading } from '@/core/survey/readings';
import { applyReadings } from '../applyReadings';
import { without } from './omit';
import type { Job } from '../jobSchema';

/**
 * The job with other readings at one place, and its rig brought up to them.
 *
 * @throws InputError where that is more than a place can hold
 */
export function withReadingsAt(job: Job, spot: Spot, change: (list: Reading[]) => Reading[]): Job {
  const list = change(job.readings[spot.key] ?? []);
  if (list.length > MOST_READINGS)
    throw new InputError(
      `readings.${spot.key}`,
      `${spotName(spot)} has ${MOST_READINGS} readings, the most that are kept at one place; strike none, start a copy of the job`,
    );
  return applyReadings({ ...job, readings: { ...job.readings, [spot.key]: list } });
}

/** The job with a figure that was typed over what was measured given back to the readings; without any it stays as it is. */
export const withMeasuredAgain = (job: Job, figure: string): Job =>
  applyReadings({ ...job, typed: without(job.typed, figure) });
