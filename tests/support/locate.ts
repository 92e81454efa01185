import type { Job } from '@/core/job/jobSchema';
import { analyseLocate } from '@/core/locate/analyse';
import { locateInput, type LocateInput, type LocateResult } from '@/core/locate/types';
import { locateVerdicts, type LocateVerdicts } from '@/core/locate/verdicts/verdicts';
import type { Travel } from '@/core/rig/schema';
import type { Verdict } from '@/core/verdict/verdict';

/** What Locate works out of a job, and all that it says about it. */
export type Located = {
  input: LocateInput;
  result: LocateResult;
  verdicts: LocateVerdicts;
  said: Verdict[];
};

export function located(job: Job, rocker: Travel = { left: 0, right: 0 }): Located {
  const input = locateInput(job, rocker);
  const result = analyseLocate(input);
  const verdicts = locateVerdicts(input, result, job.tape);
  return { input, result, verdicts, said: Object.values(verdicts).flat() };
}
