import { lateralBarOf, leavesOf, lengthwiseLinks } from '@/core/rig/roles';
import type { Job } from '@/core/job/jobSchema';
import type { SurveyedCar } from '@/core/survey/network';
import type { Approach } from './plan';

/** How this job is measured, for the plan. */
export const approachOf = ({ record, rig }: Job): Approach => ({
  method: record.method,
  measuring: record.measuring,
  datum: record.datum,
  scales: record.scales,
  brief: record.brief === true,
  driven: rig.driveshaft !== undefined,
  heldBy: leavesOf(rig).length ? 'leaves' : lengthwiseLinks(rig).length ? 'links' : 'arms',
  bar: lateralBarOf(rig) !== null,
  end: rig.end,
});

/** What is surveyed of a job: its readings, and how they are to be taken. */
export const surveyedCar = ({ readings, record, rig }: Job): SurveyedCar => ({
  readings,
  method: record.method,
  end: rig.end,
});

/** Whether two cars are the same to the survey. */
export const isSameSurvey = (a: SurveyedCar, b: SurveyedCar): boolean =>
  a.readings === b.readings && a.method === b.method && a.end === b.end;
