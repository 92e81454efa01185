import type { Job } from '@/core/job/jobSchema';
import type { LocateInput, LocateResult } from '@/core/locate/types';
import { locateRestsOn } from '@/core/locate/verdicts/restsOn';
import { locateVerdicts } from '@/core/locate/verdicts/verdicts';
import { gravestFirst, judged, type Judged } from '@/core/verdict/verdict';

/** What Locate says of a car, by what it is about. */
export type JudgedLocate = Record<'sideways' | 'lengthwise' | 'room', Judged[]>;

/** What is said of how a car is laid out. @param result what Locate worked out of `input`, which is this job's */
export function judgeLocate(job: Job, input: LocateInput, result: LocateResult): JudgedLocate {
  const { sideways, lengthwise, room } = locateVerdicts(input, result, job.tape);
  const all = (verdicts: typeof sideways) =>
    gravestFirst(verdicts.map((v) => judged(job, v, locateRestsOn(input.rig, result, v))));
  return { sideways: all(sideways), lengthwise: all(lengthwise), room: all(room) };
}
