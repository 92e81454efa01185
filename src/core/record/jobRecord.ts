import type { Job } from '@/core/job/jobSchema';
import { agreementOf, type Agreement } from '@/core/survey/agreement';
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

/** How all readings of a job fit together; null while nothing is redundant. Worked out once for the same readings. */
export function jobAgreement(job: Job): Agreement | null {
  const car = surveyedCar(job);
  if (!last || !isSameSurvey(last.car, car)) last = { car, agreement: agreementOf(car) };
  return last.agreement;
}
let last: { car: SurveyedCar; agreement: Agreement | null } | null = null;
