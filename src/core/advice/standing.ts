import { judgePlace } from '@/core/bench/judge/place';
import { judgeRecord } from '@/core/bench/judge/record';
import { openAmong, unheld, type Open } from '@/core/bench/open';
import type { Job } from '@/core/job/jobSchema';
import { surveyedCar } from '@/core/record/jobRecord';
import { agreementOf } from '@/core/survey/agreement';
import { gravestFirst } from '@/core/verdict/verdict';
import { InputError, orRefusal } from '@/core/rig/read';
import { lookAt } from './look';

/** What of a job does not hold, station by station, the gravest first; of an axle that nothing holds, that it is so. */
export function openIn(job: Job): Open[] {
  const look = orRefusal(() => lookAt(job, { cures: false }));
  return openOf(job, look instanceof InputError ? [unheld(look.expected)] : openAmong(look.said));
}

function openOf(job: Job, laidOut: Open[]): Open[] {
  const record = judgeRecord(job, agreementOf(surveyedCar(job)));
  return gravestFirst([
    ...openAmong([
      ...record.map((verdict) => ({ station: 'record' as const, part: 'agree', verdict })),
      ...judgePlace(job).map((verdict) => ({ station: 'place' as const, verdict })),
    ]),
    ...laidOut,
  ]);
}
