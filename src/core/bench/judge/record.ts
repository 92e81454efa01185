import type { Job } from '@/core/job/jobSchema';
import { approachOf } from '@/core/record/jobRecord';
import { checkRecord } from '@/core/record/recordChecks';
import type { Agreement } from '@/core/survey/agreement';
import { judged, type Judged } from '@/core/verdict/verdict';

/** What is said of the readings of a car. @param agreement of them; null while nothing is redundant */
export const judgeRecord = (job: Job, agreement: Agreement | null): Judged[] =>
  checkRecord(job.readings, agreement, approachOf(job), job.tape).map((v) =>
    judged(job, v, v.id === 'square' ? ['read.track'] : []),
  );
