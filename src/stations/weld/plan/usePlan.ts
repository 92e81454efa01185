import { useMemo } from 'react';
import { planNow, type PlanNow } from '@/core/plan/standing';
import { useJob } from '@/store/jobStore';

/** The plan of the job on the bench as it stands. */
export function usePlan(): PlanNow {
  const job = useJob();
  return useMemo(() => planNow(job), [job]);
}
