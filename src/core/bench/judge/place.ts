import type { Job } from '@/core/job/jobSchema';
import { placeChecks } from '@/core/place/placeChecks';
import { judged, type Judged } from '@/core/verdict/verdict';

/** What is said of the axle held in its place. */
export const judgePlace = (job: Job): Judged[] =>
  placeChecks(job).map((v) =>
    judged(job, v, v.id === 'restRoom' ? ['read.tireRadius', 'read.tubeDiameter'] : []),
  );
