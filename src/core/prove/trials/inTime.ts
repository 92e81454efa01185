import type { Job } from '@/core/job/jobSchema';
import { LIMITS } from '@/core/materials/limits';
import { DETAILS, rangeFor, type DetailName } from '@/core/strength/fatigue';
import type { Trial } from './governing';

/** What comes and goes on a detail, by what of it a force asks, N/mm²: its range against what it bears as often as the job's use brings it. */
export function inTime(
  { use }: Pick<Job, 'use'>,
  check: Trial['check'],
  detail: DetailName,
  asked: string,
  { asks, inputs }: { asks: (force: number) => { demand: number }; inputs: Trial['inputs'] },
): Trial {
  const times = LIMITS.strength.cycles[use];
  const { category, formula } = DETAILS[detail];
  const capacity = rangeFor(detail, times);
  return {
    check,
    unit: 'N/mm²',
    fails: 'cracks',
    formula: `${asked}, against ${formula}, in 1,000 psi`,
    source: `AISC 360 appendix 3, category ${category}, from memory; so many times: common practice, no published source`,
    comesAndGoes: true,
    asks: (force) => ({ demand: asks(force).demand, capacity }),
    inputs: (force) => ({ ...inputs(force), times }),
  };
}
