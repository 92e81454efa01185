import { gravityHeight } from '@/core/balance/gravityHeight';
import type { Job } from '@/core/job/jobSchema';
import { estimate, propagate, type Estimate } from '@/core/survey/uncertainty';

/** Height of the centre of gravity that two weighings of a job give, mm, with its standard uncertainty; null while one is missing. */
export function weighedHeight({ locate, rig }: Pick<Job, 'locate' | 'rig'>): Estimate | null {
  const { level, lifted, by } = locate.lifted ?? {};
  const { masses, wheelbase, tireRadius } = rig;
  if (!level || !lifted || !by || !masses || !wheelbase) return null;
  // Two wheels stand on the scales at each weighing.
  const pair = Math.SQRT2 * estimate([0], 'scales').u;
  const tape = estimate([0], 'tape').u;
  return propagate(
    [
      { value: level, u: pair },
      { value: lifted, u: pair },
      { value: by, u: tape },
    ],
    ([a, b, c]) => gravityHeight({ level: a!, lifted: b!, by: c! }, masses.total, wheelbase, tireRadius),
  );
}
