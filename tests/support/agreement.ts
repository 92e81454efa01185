import type { Job } from '@/core/job/jobSchema';
import { surveyedCar } from '@/core/record/jobRecord';
import { agreementOf, type Agreement } from '@/core/survey/agreement';

/** How all readings of a job fit together; null while nothing is redundant. */
export const jobAgreement = (job: Job): Agreement | null => agreementOf(surveyedCar(job));
