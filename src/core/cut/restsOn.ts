import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { mountInputs, type InputId } from '@/core/provenance/inputs';

const eyes = (job: Job): InputId[] => mountInputs(job.rig, [workBar(job)?.id ?? '']);

/** What the lengths of the bar on the saw hang on. */
export const cutRestsOn = (job: Job): InputId[] => [...eyes(job), 'barEnds'];

/** What each figure that Cut shows hangs on. */
export const CUT_FIGURES = {
  cutEyes: eyes,
  tube: cutRestsOn,
  engagement: cutRestsOn,
  shorten: cutRestsOn,
  lengthen: cutRestsOn,
  tubeMass: (job: Job) => [...cutRestsOn(job), 'tube'],
} satisfies Record<string, (job: Job) => InputId[]>;
