import type { Job } from '@/core/job/jobSchema';
import type { RollPart, RollResult } from '@/core/roll/analyse';
import { rollVerdicts } from '@/core/roll/checks/checks';
import type { RollInput } from '@/core/roll/input';
import { rollRestsOn } from '@/core/roll/restsOn';
import { gravestFirst, judged, type Judged } from '@/core/verdict/verdict';

/** What is said of springs, sway bar or balance. @param result what Roll worked out of `input` for the part asked about */
export const judgeRoll = (job: Job, input: RollInput, part: RollPart, result: RollResult): Judged[] =>
  gravestFirst(
    rollVerdicts(input, part, result, job.tape).map((v) => judged(job, v, rollRestsOn(input.rig, v.id))),
  );
